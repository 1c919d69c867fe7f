package pied.core.carry;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Space;

/**
 * The free distances round what is carried. Along its own way they only grow and shrink by as much
 * as it is moved, so that they need not be measured anew.
 */
final class Distances {
  private static final double FAR = 1e4;

  private final Space space;
  private final Set<String> own;
  private final Map<Side, Reach> known = new EnumMap<>(Side.class);
  private Piece piece;

  Distances(Space space, Set<String> own) {
    this.space = space;
    this.own = own;
  }

  /** The piece is there now. */
  void at(Piece now) {
    if (piece != null && sameButPlace(now)) {
      Vec by = now.at().minus(piece.at());
      if (by.length() > 0) {
        known.entrySet().removeIf(e -> !along(now, e.getKey(), by));
        known.replaceAll((side, r) -> moved(r, now, by));
      }
    } else {
      known.clear();
    }
    piece = now;
  }

  private boolean sameButPlace(Piece now) {
    return now.turn() == piece.turn() && now.lean().equals(piece.lean());
  }

  /** Whether a side looks along the way it is moved, or has nothing before it on a level way. */
  private static boolean along(Piece now, Side side, Vec by) {
    return Math.abs(now.pose().direct(side.outward()).dot(by)) > by.length() * (1 - 1e-12);
  }

  private static Reach moved(Reach r, Piece now, Vec by) {
    double d = r.distance() - now.pose().direct(r.side().outward()).dot(by);
    return new Reach(r.side(), d, r.to(), r.toName(), r.fromPoint().plus(by), r.toPoint());
  }

  /** The reach of a side, or null if there is nothing that way. */
  Reach of(Side side) {
    Reach r = known.get(side);
    if (r == null) {
      r = Reach.of(space, piece, side, own, FAR);
      if (r != null) {
        known.put(side, r);
      }
    }
    return r;
  }
}
