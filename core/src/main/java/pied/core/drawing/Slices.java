package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.operation.overlayng.UnaryUnionNG;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import org.locationtech.jts.operation.union.CascadedPolygonUnion;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/** What is solid where a plane cuts through a body. */
final class Slices {
  private static final GeometryFactory PLANE = new GeometryFactory(new PrecisionModel(1e5));

  private Slices() {}

  /**
   * The figures in which the plane cuts a body.
   *
   * @param depth of the plane along {@code eye.toEye()}, metres
   * @return polygons in the directions of the drawing, or null if it cuts nothing
   */
  static Geometry of(Body body, Eye eye, double depth) {
    Mesh mesh = body.mesh();
    int[] c = mesh.corners();
    List<Geometry> cuts = new ArrayList<>();
    for (int t = 0; t < c.length; t += 3) {
      LineString cut = cut(body, t, eye, depth);
      if (cut != null) {
        cuts.add(cut);
      }
    }
    if (cuts.isEmpty()) {
      return null;
    }
    Polygonizer polygons = new Polygonizer();
    polygons.add(UnaryUnionNG.union(PLANE.buildGeometry(cuts), PLANE.getPrecisionModel()));
    List<Polygon> solid = new ArrayList<>();
    for (Object o : polygons.getPolygons()) {
      Polygon figure = (Polygon) o;
      Point in = figure.getInteriorPoint();
      Vec at =
          eye.right()
              .times(in.getX())
              .plus(eye.down().times(in.getY()))
              .plus(eye.toEye().times(depth - Tolerance.SIZE));
      if (mesh.tree().winding(body.pose().unapply(at)) != 0) {
        solid.add((Polygon) figure.norm());
      }
    }
    solid.sort(null); // polygons come in no order; the same cut is to have the same lines
    return solid.isEmpty() ? null : CascadedPolygonUnion.union(solid).norm();
  }

  /**
   * The line in which the plane cuts a triangle, or null.
   *
   * @param corner the first of its three
   */
  private static @Nullable LineString cut(Body body, int corner, Eye eye, double depth) {
    Mesh mesh = body.mesh();
    Vec[] p = new Vec[3];
    double[] d = new double[3];
    for (int k = 0; k < 3; k++) {
      p[k] = body.pose().apply(mesh.vertex(mesh.corners()[corner + k]));
      d[k] = eye.toEye().dot(p[k]) - depth;
      d[k] =
          Math.abs(d[k]) < Tolerance.SAME
              ? Tolerance.SAME
              : d[k]; // what lies in the plane lies before it
    }
    List<Coordinate> ends = new ArrayList<>();
    for (int k = 0; k < 3; k++) {
      int j = (k + 1) % 3;
      if (d[k] > 0 != d[j] > 0) {
        Vec m = p[k].plus(p[j].minus(p[k]).times(d[k] / (d[k] - d[j])));
        ends.add(new Coordinate(eye.u(m), eye.v(m)));
      }
    }
    if (ends.size() != 2) {
      return null;
    }
    ends.forEach(PLANE.getPrecisionModel()::makePrecise);
    return ends.get(0).equals2D(ends.get(1))
        ? null
        : PLANE.createLineString(ends.toArray(Coordinate[]::new));
  }
}
