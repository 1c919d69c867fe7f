package pied.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.piece.Piece;
import pied.core.place.Footprint;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.Space;
import pied.core.space.Wholes;

/**
 * What is arranged as one: a piece, or a group of which all is chosen. Its sides are those of its
 * true meshes, whatever way it is turned.
 */
public final class Bulk {
  private final Space space;
  private final List<Piece> pieces;

  private Bulk(Space space, List<Piece> pieces) {
    this.space = space;
    this.pieces = pieces;
  }

  /** The pieces of an edit, the lead's last; what stands on another of them goes along with it. */
  public static List<Bulk> of(EditSession session, List<String> chosen) {
    Set<String> tops = Set.copyOf(Carriers.tops(session.space(), chosen));
    List<Bulk> all = new ArrayList<>();
    for (List<String> ids : Wholes.of(session.space(), chosen)) {
      List<Piece> own = ids.stream().filter(tops::contains).map(session::piece).toList();
      if (!own.isEmpty()) {
        all.add(new Bulk(session.space(), own));
      }
    }
    return all;
  }

  /**
   * The same where the last of them stays, so that the others are arranged by it: what stands on it
   * and was chosen is arranged by itself.
   */
  public static List<Bulk> byLead(EditSession session, List<String> chosen) {
    List<List<String>> wholes = Wholes.of(session.space(), chosen);
    List<String> lead = wholes.get(wholes.size() - 1);
    List<String> others = new ArrayList<>(chosen);
    others.removeAll(lead);
    List<Bulk> all = new ArrayList<>(others.isEmpty() ? List.of() : of(session, others));
    Set<String> on = Set.copyOf(Carriers.tops(session.space(), lead));
    all.add(
        new Bulk(session.space(), lead.stream().filter(on::contains).map(session::piece).toList()));
    return all;
  }

  /** A piece that is not arranged itself. */
  public static Bulk single(Space space, Piece piece) {
    return new Bulk(space, List.of(piece));
  }

  /** Moves each by a vector of its own, with all they carry; they come to rest where they do. */
  public static void move(EditSession session, Map<Bulk, Vec> ways, boolean rest) {
    Map<String, Vec> by = new HashMap<>();
    List<String> moved = new ArrayList<>();
    ways.forEach(
        (bulk, way) -> {
          if (way.length() > 0) {
            for (Piece p : bulk.pieces) {
              moved.add(p.id());
              session.space().withCarried(List.of(p.id())).forEach(id -> by.put(id, way));
            }
          }
        });
    session.alter(by.keySet(), p -> p.moved(by.get(p.id())));
    if (rest) {
      session.settle(moved, false);
    } else {
      session.carriers(moved);
    }
    session.sayOverlaps(moved);
  }

  /** Whether a piece is of it, or goes along with it. */
  public boolean moves(String id) {
    return space.withCarried(pieces.stream().map(Piece::id).toList()).contains(id);
  }

  /** The lead of it. */
  public Piece lead() {
    return pieces.get(pieces.size() - 1);
  }

  /** How far it reaches in a direction, of length 1, from the zero of the space, metres. */
  public double high(Vec way) {
    return pieces.stream().mapToDouble(p -> farthest(p, way)).max().orElseThrow();
  }

  /** How far it reaches the other way, in the same measure. */
  public double low(Vec way) {
    return -high(way.times(-1));
  }

  public double middle(Vec way) {
    return (low(way) + high(way)) / 2;
  }

  private double farthest(Piece p, Vec way) {
    return Footprint.reach(space.shapes().mesh(p), p.pose(), way) + p.at().dot(way);
  }

  /** All of them together: how far they reach. */
  public static double high(Collection<Bulk> all, Vec way) {
    return all.stream().mapToDouble(b -> b.high(way)).max().orElseThrow();
  }

  /**
   * How far this is to go along a direction, of length 1, until it touches another that is before
   * it; less than zero if there is a gap. By true sides; where they would pass each other there are
   * none that meet.
   *
   * @return metres; NaN if they would pass each other
   */
  public double touching(Bulk before, Vec way) {
    double ahead = before.high(way) - low(way) + 1;
    double most = Double.NaN;
    for (Piece p : pieces) {
      for (Piece q : before.pieces) {
        Travel.Stop stop =
            Travel.of(
                space.shapes().mesh(p),
                p.pose().moved(way.times(ahead)),
                space.shapes().mesh(q),
                q.pose(),
                way.times(-1),
                1e4);
        if (stop.meets()) {
          double by = ahead - stop.distance();
          most = Double.isNaN(most) ? by : Math.max(most, by);
        }
      }
    }
    return most;
  }

  /** The same by the boxes about them, in this direction. */
  public double touchingBoxes(Bulk before, Vec way) {
    return before.high(way) - low(way);
  }
}
