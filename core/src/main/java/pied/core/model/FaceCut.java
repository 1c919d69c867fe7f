package pied.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;
import pied.core.solid.Vec;

/**
 * Cuts a face of many corners into triangles; it need not be convex nor quite flat, and may have
 * holes. It takes about the square of the corners.
 */
final class FaceCut {
  private static final GeometryFactory PLANE = new GeometryFactory();

  private FaceCut() {}

  private static Vec normal(List<Vec> c) { // Newell 1972: also for what is not quite flat
    double x = 0;
    double y = 0;
    double z = 0;
    for (int i = 0; i < c.size(); i++) {
      Vec a = c.get(i);
      Vec b = c.get((i + 1) % c.size());
      x += (a.y() - b.y()) * (a.z() + b.z());
      y += (a.z() - b.z()) * (a.x() + b.x());
      z += (a.x() - b.x()) * (a.y() + b.y());
    }
    return new Vec(x, y, z);
  }

  /** Whether one can see all of it from each of its corners. */
  static boolean isConvex(List<Vec> c) {
    Vec n = normal(c);
    for (int i = 0; i < c.size(); i++) {
      Vec a = c.get(i);
      Vec b = c.get((i + 1) % c.size());
      Vec d = c.get((i + 2) % c.size());
      if (b.minus(a).cross(d.minus(b)).dot(n) < 0) {
        return false;
      }
    }
    return true;
  }

  /**
   * Its triangles, by the numbers of their corners: those of the face, then those of its holes.
   * None where it has no area; one that crosses itself is cut as well as may be.
   */
  static List<int[]> of(List<Vec> corners, List<List<Vec>> holes) {
    Vec n = normal(corners);
    List<int[]> out = new ArrayList<>();
    if (!(n.length() > 0 && n.length() < Double.POSITIVE_INFINITY)) {
      return out;
    }
    n = n.unit();
    Vec u = (Math.abs(n.x()) < 0.8 ? new Vec(1, 0, 0) : new Vec(0, 1, 0)).cross(n).unit();
    Vec v = n.cross(u);
    Map<Coordinate, Integer> of = new HashMap<>();
    try {
      LinearRing shell = ring(corners, u, v, 0, of);
      List<LinearRing> inner = new ArrayList<>();
      int first = corners.size();
      for (List<Vec> h : holes) {
        if (h.size() > 2) {
          inner.add(ring(h, u, v, first, of));
        }
        first += h.size();
      }
      Geometry flat =
          PolygonTriangulator.triangulate(
              PLANE.createPolygon(shell, inner.toArray(LinearRing[]::new)));
      for (int i = 0; i < flat.getNumGeometries(); i++) {
        Coordinate[] t = flat.getGeometryN(i).getCoordinates();
        boolean left = Orientation.index(t[0], t[1], t[2]) > 0;
        out.add(new int[] {of.get(t[0]), of.get(t[left ? 1 : 2]), of.get(t[left ? 2 : 1])});
      }
    } catch (RuntimeException e) {
      out.clear();
      for (int i = 1; i + 1 < corners.size(); i++) {
        out.add(new int[] {0, i, i + 1});
      }
    }
    return out;
  }

  private static LinearRing ring(
      List<Vec> corners, Vec u, Vec v, int first, Map<Coordinate, Integer> of) {
    Coordinate[] ring = new Coordinate[corners.size() + 1];
    for (int i = 0; i < corners.size(); i++) {
      ring[i] = new Coordinate(u.dot(corners.get(i)), v.dot(corners.get(i)));
      of.putIfAbsent(ring[i], first + i);
    }
    ring[corners.size()] = ring[0].copy();
    return PLANE.createLinearRing(ring);
  }
}
