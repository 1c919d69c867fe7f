package pied.core.edit;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.solid.Bodies;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;

/** What is on both sides of some pieces: pieces and walls they would come to, and openings. */
public final class Sides {
  private final Space space;
  private final Set<String> own;
  private final @Nullable Wall wall;

  /**
   * @param wall that they are fixed to, whose openings count; null for none
   */
  public Sides(Space space, List<String> pieces, @Nullable Wall wall) {
    this.space = space;
    this.own = new HashSet<>(space.withCarried(pieces));
    this.wall = wall;
  }

  /** How far it can go along a direction until it comes to something, metres; NaN for nothing. */
  public double before(Bulk b, Vec way) {
    Piece p = b.lead();
    Bodies.Met met =
        space
            .bodies()
            .travel(space.shapes().mesh(p), p.pose(), way, 1e3, body -> !own.contains(body.id()));
    double far = met.stop().meets() ? met.stop().distance() : Double.NaN;
    if (wall == null) {
      return far;
    }
    double edge = b.high(way);
    for (Opening o : openings(space, wall)) {
      double side = Math.min(at(wall, o.from(), way), at(wall, o.to(), way));
      if (side >= edge - Tolerance.FINE && !(side - edge >= far)) {
        far = Math.max(0, side - edge);
      }
    }
    return far;
  }

  private static List<Opening> openings(Space space, Wall wall) {
    return space.shell().openings().stream().filter(o -> o.wall().equals(wall.name())).toList();
  }

  private static double at(Wall wall, double station, Vec way) {
    Spot s = wall.spot(station, 0);
    return s.at(0).dot(way);
  }

  /** Whether there is an opening on both sides of them. */
  public static boolean openings(Space space, List<String> pieces, Wall wall) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (String id : pieces) {
      if (space.has(id)) {
        Vec at = space.piece(id).at();
        double s = wall.station(new Spot(at.x(), at.z()));
        low = Math.min(low, s);
        high = Math.max(high, s);
      }
    }
    double first = low;
    double last = high;
    return openings(space, wall).stream().anyMatch(o -> o.to() <= first)
        && openings(space, wall).stream().anyMatch(o -> o.from() >= last);
  }
}
