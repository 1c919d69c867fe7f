package pied.core.solid;

import java.util.HashMap;
import java.util.Map;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;

/** Closed bodies between two copies of a plane figure: extrusions, slabs, walls. */
public final class Prism {
  private Prism() {}

  /** Where a corner of the figure stands, on the near side or on the far one. */
  @FunctionalInterface
  public interface Placing {
    Vec place(Coordinate corner, boolean far);
  }

  /**
   * Adds the body of a valid polygon with holes. Seen from the far side the figure turns
   * counter-clockwise if its coordinates do, so that the skin faces outward.
   */
  public static void add(MeshMaker maker, Polygon polygon, Placing placing) {
    Map<Coordinate, int[]> at = new HashMap<>();
    Geometry flat = PolygonTriangulator.triangulate(polygon);
    for (int i = 0; i < flat.getNumGeometries(); i++) {
      Coordinate[] c = flat.getGeometryN(i).getCoordinates();
      int[][] v = new int[3][];
      for (int k = 0; k < 3; k++) {
        v[k] =
            at.computeIfAbsent(
                c[k],
                p ->
                    new int[] {
                      maker.point(placing.place(p, false)), maker.point(placing.place(p, true))
                    });
      }
      boolean left = Orientation.index(c[0], c[1], c[2]) > 0;
      maker.triangle(v[0][1], v[left ? 1 : 2][1], v[left ? 2 : 1][1]);
      maker.triangle(v[0][0], v[left ? 2 : 1][0], v[left ? 1 : 2][0]);
    }
    sides(maker, polygon.getExteriorRing(), true, at);
    for (int i = 0; i < polygon.getNumInteriorRing(); i++) {
      sides(maker, polygon.getInteriorRingN(i), false, at);
    }
  }

  private static void sides(
      MeshMaker maker, LinearRing ring, boolean outer, Map<Coordinate, int[]> at) {
    Coordinate[] c = ring.getCoordinates();
    boolean forward = Orientation.isCCW(c) == outer;
    for (int i = 0; i + 1 < c.length; i++) {
      int[] p = at.get(c[forward ? i : i + 1]);
      int[] q = at.get(c[forward ? i + 1 : i]);
      maker.quad(p[0], q[0], q[1], p[1]);
    }
  }
}
