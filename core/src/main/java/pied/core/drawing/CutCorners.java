package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import pied.core.Tolerance;
import pied.core.solid.Body;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;

/**
 * Fills the corners of a cut, where floor or ceiling ends at the inner face of a wall that is cut
 * too: what is built is one.
 */
final class CutCorners {
  /** A wall ends where a slab begins if they are so near, metres. */
  private static final double NEAR = Tolerance.NEAR;

  private final List<Envelope> slabs = new ArrayList<>();
  private final List<Envelope> walls = new ArrayList<>();

  /** Takes note of a body that is cut, and the figure of the cut. */
  void add(Body body, Geometry figure) {
    for (int i = 0; i < figure.getNumGeometries(); i++) {
      Envelope box = figure.getGeometryN(i).getEnvelopeInternal();
      if (PartName.is(body, PartKind.floor, PartKind.ceiling)) {
        slabs.add(box);
      } else if (PartName.is(body, PartKind.wall)) {
        walls.add(box);
      }
    }
  }

  /** The corners, in the pen of what is cut. */
  List<Ink> inks(double zero) {
    List<Ink> all = new ArrayList<>();
    for (Envelope s : slabs) {
      for (Envelope w : walls) {
        boolean beside =
            Math.abs(w.getMinX() - s.getMaxX()) < NEAR
                || Math.abs(w.getMaxX() - s.getMinX()) < NEAR;
        if (beside && w.getMaxY() > s.getMinY() - NEAR && w.getMinY() < s.getMaxY() + NEAR) {
          double a = w.getMinX() - zero;
          double b = w.getMaxX() - zero;
          double low = s.getMinY();
          double high = s.getMaxY();
          double[] ring = {a, low, b, low, b, high, a, high};
          all.add(Ink.rings(Ink.InkStyle.cut, null, List.of(ring)));
        }
      }
    }
    return all;
  }
}
