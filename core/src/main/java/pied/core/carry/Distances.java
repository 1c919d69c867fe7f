package pied.core.carry;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Tolerance;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Space;

/**
 * The free distances round all that is carried, in the directions of the lead's sides. Along its
 * own way they only grow and shrink by as much as it is moved, so that they need not be measured
 * anew.
 */
final class Distances {
  private static final double FAR = 1e4;

  /** What is moved by less has not been moved, metres. */
  private static final double ROUNDING = Tolerance.SAME;

  private final Space space;
  private final Set<String> own;
  private final Map<Side, Reach> known = new EnumMap<>(Side.class);
  private List<Piece> pieces;
  private Piece lead;

  Distances(Space space, Set<String> own) {
    this.space = space;
    this.own = own;
  }

  /** All that is carried is there now, the lead last. */
  void at(List<Piece> placed) {
    Piece now = placed.get(placed.size() - 1);
    if (lead != null && now.turn() == lead.turn() && now.lean().equals(lead.lean())) {
      Vec by = now.at().minus(lead.at());
      if (by.length() > ROUNDING) {
        known.entrySet().removeIf(e -> !along(now, e.getKey(), by));
        known.replaceAll((side, r) -> moved(r, now, by));
      }
    } else {
      known.clear();
    }
    pieces = placed;
    lead = now;
  }

  /** Whether a side looks along the way it is moved. */
  private static boolean along(Piece now, Side side, Vec by) {
    return Math.abs(now.pose().direct(side.outward()).dot(by)) > by.length() * (1 - Tolerance.NONE);
  }

  private static Reach moved(Reach r, Piece now, Vec by) {
    double d = r.distance() - now.pose().direct(r.side().outward()).dot(by);
    return new Reach(r.side(), d, r.to(), r.toName(), r.fromPoint().plus(by), r.toPoint());
  }

  /** The least reach on a side, or null if there is nothing that way. */
  Reach of(Side side) {
    Reach r = known.get(side);
    if (r == null) {
      r = measured(side);
      if (r != null) {
        known.put(side, r);
      }
    }
    return r;
  }

  private Reach measured(Side side) {
    Vec way = lead.pose().direct(side.outward());
    Reach least = Reach.of(space, lead, side, way, own, FAR);
    for (Piece p : pieces) {
      if (p != lead) {
        double limit = least == null ? FAR : Math.max(0, least.distance());
        Reach r = Reach.of(space, p, side, way, own, limit);
        least = r != null && (least == null || r.distance() < least.distance()) ? r : least;
      }
    }
    return least;
  }
}
