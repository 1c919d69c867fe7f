package pied.core.place;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Space;

/**
 * Flats are joined at their upright edges, and turned about them: what they share there, no more
 * than they are thick, is the joint and no fault.
 */
public final class Joined {
  private static final String FLATS = "stage structure/flats";

  /** The joint reaches so many times their thickness from the edges: the diagonal, and a hair. */
  private static final double REACH = 1.5;

  private Joined() {}

  /** Whether all that two pieces share is the joint between their upright edges. */
  public static boolean at(Space space, Piece a, Piece b) {
    if (!isFlat(space, a) || !isFlat(space, b)) {
      return false;
    }
    Geometry shared =
        OverlayNGRobust.overlay(
            Footprint.of(space.shapes().mesh(a), a.pose()),
            Footprint.of(space.shapes().mesh(b), b.pose()),
            OverlayNG.INTERSECTION);
    double near = REACH * (a.size().depth() + b.size().depth()) / 2;
    return !shared.isEmpty() && isNear(shared, a, near) && isNear(shared, b, near);
  }

  private static boolean isFlat(Space space, Piece p) {
    return space.article(p).kind().startsWith(FLATS) && p.lean().by() == 0;
  }

  /** Whether a figure lies about one of the two upright edges of a piece. */
  private static boolean isNear(Geometry shared, Piece p, double near) {
    for (int side = -1; side <= 1; side += 2) {
      Vec edge = p.pose().apply(new Vec(side * p.size().width() / 2, 0, 0));
      boolean all = true;
      for (Coordinate c : shared.getCoordinates()) {
        all &= Math.hypot(c.x - edge.x(), c.y - edge.z()) <= near;
      }
      if (all) {
        return true;
      }
    }
    return false;
  }
}
