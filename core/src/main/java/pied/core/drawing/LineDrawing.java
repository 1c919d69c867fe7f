package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.operation.overlayng.UnaryUnionNG;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/**
 * A mesh drawn in lines, hidden lines removed.
 *
 * @param outlines closed rings x, y, x, y…, metres: the outline of what is seen, and its holes
 * @param lines segments x1, y1, x2, y2: the edges seen inside the outline
 */
public record LineDrawing(List<double[]> outlines, List<double[]> lines) {
  /** The two looks that every shape has. */
  public enum View {
    plan(Eye.PLAN),
    front(Eye.FRONT);

    private final Eye eye;

    View(Eye eye) {
      this.eye = eye;
    }

    public Eye eye() {
      return eye;
    }
  }

  /** How much room it takes, roughly. */
  public long bytes() {
    long numbers = outlines.stream().mapToLong(o -> o.length).sum();
    return 8 * (numbers + 4L * lines.size()) + 24L * (outlines.size() + lines.size());
  }

  /** Outlines keep to this grid, metres: a tenth of a millimetre. */
  private static final double GRID = 1e-4;

  /** Draws a mesh. */
  public static LineDrawing of(Mesh mesh, View view) {
    return of(mesh, view.eye);
  }

  /** Draws a mesh as it is looked at. */
  public static LineDrawing of(Mesh mesh, Eye eye) {
    List<double[]> lines =
        SeenEdges.unhidden(mesh, eye).stream().map(e -> line(eye, e.from(), e.to())).toList();
    return new LineDrawing(outlines(mesh, eye), lines);
  }

  /** A segment of a drawing, to a tenth of a millimetre. */
  static double[] line(Eye eye, Vec p, Vec q) {
    return new double[] {fine(eye.u(p)), fine(eye.v(p)), fine(eye.u(q)), fine(eye.v(q))};
  }

  private static double fine(double v) {
    return Math.rint(v * 1e4) / 1e4 + 0.0;
  }

  /** The outline of what is seen of a mesh, and its holes: closed rings. */
  static List<double[]> outlines(Mesh mesh, Eye view) {
    GeometryFactory plane = new GeometryFactory(new PrecisionModel(1 / GRID));
    List<Geometry> seen = new ArrayList<>();
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      Vec a = mesh.vertex(c[t]);
      Vec b = mesh.vertex(c[t + 1]);
      Vec d = mesh.vertex(c[t + 2]);
      if (b.minus(a).cross(d.minus(a)).dot(view.toEye()) <= 0) {
        continue;
      }
      Coordinate p = at(plane, view, a);
      Coordinate q = at(plane, view, b);
      Coordinate r = at(plane, view, d);
      if (org.locationtech.jts.algorithm.Orientation.index(p, q, r) != 0) {
        seen.add(plane.createPolygon(new Coordinate[] {p, q, r, p.copy()}));
      }
    }
    List<double[]> rings = new ArrayList<>();
    if (seen.isEmpty()) {
      return rings;
    }
    Geometry all = UnaryUnionNG.union(plane.buildGeometry(seen), plane.getPrecisionModel());
    all = TopologyPreservingSimplifier.simplify(all, 4 * GRID);
    for (int i = 0; i < all.getNumGeometries(); i++) {
      if (all.getGeometryN(i) instanceof Polygon polygon) {
        rings.add(ring(polygon.getExteriorRing()));
        for (int k = 0; k < polygon.getNumInteriorRing(); k++) {
          if (Math.abs(
                  org.locationtech.jts.algorithm.Area.ofRing(
                      polygon.getInteriorRingN(k).getCoordinates()))
              > 1e-6) {
            rings.add(ring(polygon.getInteriorRingN(k)));
          }
        }
      }
    }
    return rings;
  }

  private static Coordinate at(GeometryFactory plane, Eye view, Vec p) {
    Coordinate c = new Coordinate(view.u(p), view.v(p));
    plane.getPrecisionModel().makePrecise(c);
    return c;
  }

  private static double[] ring(LinearRing ring) {
    Coordinate[] c = ring.getCoordinates();
    double[] out = new double[2 * (c.length - 1)];
    for (int i = 0; i + 1 < c.length; i++) {
      out[2 * i] = fine(c[i].x);
      out[2 * i + 1] = fine(c[i].y);
    }
    return out;
  }
}
