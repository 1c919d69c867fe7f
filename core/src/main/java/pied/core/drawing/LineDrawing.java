package pied.core.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.operation.overlayng.UnaryUnionNG;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;
import pied.core.solid.Mesh;
import pied.core.solid.MeshTree;
import pied.core.solid.Vec;

/**
 * A mesh drawn in lines, hidden lines removed.
 *
 * @param outlines closed rings x, y, x, y…, metres: the outline of what is seen, and its holes
 * @param lines segments x1, y1, x2, y2: the edges seen inside the outline
 */
public record LineDrawing(List<double[]> outlines, List<double[]> lines) {
  /**
   * Where one looks from. Coordinates of the drawing: first to the right, second down the sheet.
   */
  public enum View {
    /** From above: x to the right, z down the sheet. */
    plan(new Vec(0, 1, 0)),
    /** From the front: x to the right, height up, so that the second is minus the height. */
    front(new Vec(0, 0, 1));

    private final Vec toEye;

    View(Vec toEye) {
      this.toEye = toEye;
    }

    double u(Vec p) {
      return p.x();
    }

    double v(Vec p) {
      return this == plan ? p.z() : -p.y();
    }
  }

  /** Outlines keep to this grid, metres: a tenth of a millimetre. */
  private static final double GRID = 1e-4;

  /** Faces that meet at more than this angle have an edge one sees. */
  private static final double CREASE = Math.cos(Math.toRadians(32));

  /** Shorter edges are not drawn, metres. */
  private static final double SHORT = 0.002;

  /** Draws a mesh. */
  public static LineDrawing of(Mesh mesh, View view) {
    return new LineDrawing(outlines(mesh, view), new Edges(mesh, view).seen());
  }

  private static List<double[]> outlines(Mesh mesh, View view) {
    GeometryFactory plane = new GeometryFactory(new PrecisionModel(1 / GRID));
    List<Geometry> seen = new ArrayList<>();
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      Vec a = mesh.vertex(c[t]);
      Vec b = mesh.vertex(c[t + 1]);
      Vec d = mesh.vertex(c[t + 2]);
      if (b.minus(a).cross(d.minus(a)).dot(view.toEye) <= 0) {
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

  private static Coordinate at(GeometryFactory plane, View view, Vec p) {
    Coordinate c = new Coordinate(view.u(p), view.v(p));
    plane.getPrecisionModel().makePrecise(c);
    return c;
  }

  private static double[] ring(LinearRing ring) {
    Coordinate[] c = ring.getCoordinates();
    double[] out = new double[2 * (c.length - 1)];
    for (int i = 0; i + 1 < c.length; i++) {
      out[2 * i] = round(c[i].x);
      out[2 * i + 1] = round(c[i].y);
    }
    return out;
  }

  private static double round(double v) {
    return Math.round(v / GRID) * GRID + 0.0 == 0 ? 0 : Math.rint(v * 1e4) / 1e4;
  }

  /**
   * The edges of a mesh that one sees: creases and turns of the surface, where nothing hides them.
   */
  private static final class Edges {
    private final Mesh mesh;
    private final View view;
    private final MeshTree.RayHit hit = new MeshTree.RayHit();
    private final List<double[]> lines = new ArrayList<>();

    Edges(Mesh mesh, View view) {
      this.mesh = mesh;
      this.view = view;
    }

    List<double[]> seen() {
      int[] weld = mesh.welded();
      int[] c = mesh.corners();
      Map<Long, Vec> first = new HashMap<>();
      Map<Long, int[]> ends = new HashMap<>();
      for (int t = 0; t < c.length; t += 3) {
        Vec a = mesh.vertex(c[t]);
        Vec n = mesh.vertex(c[t + 1]).minus(a).cross(mesh.vertex(c[t + 2]).minus(a));
        if (n.length() < 1e-14) {
          continue;
        }
        n = n.unit();
        for (int k = 0; k < 3; k++) {
          int p = weld[c[t + k]];
          int q = weld[c[t + (k + 1) % 3]];
          long key = ((long) Math.min(p, q) << 32) | Math.max(p, q);
          Vec other = first.remove(key);
          if (other == null) {
            first.put(key, n);
            ends.put(key, new int[] {p, q});
          } else if (drawn(n, other)) {
            trace(mesh.vertex(p), mesh.vertex(q), n.plus(other));
          }
        }
      }
      return lines;
    }

    private boolean drawn(Vec n, Vec m) {
      double a = n.dot(view.toEye);
      double b = m.dot(view.toEye);
      if (a <= 1e-6 && b <= 1e-6) {
        return false;
      }
      return n.dot(m) < CREASE || a * b < 0 && Math.min(a, b) < -1e-6;
    }

    private void trace(Vec p, Vec q, Vec out) {
      double length = Math.hypot(view.u(q) - view.u(p), view.v(q) - view.v(p));
      if (length < SHORT) {
        return;
      }
      int n = (int) Math.max(4, Math.min(60, Math.ceil(length / 0.03)));
      Vec lift = out.length() > 1e-6 ? out.unit().times(2e-4) : Vec.ZERO;
      Vec start = null;
      for (int i = 0; i <= n; i++) {
        boolean open = i < n && isOpen(between(p, q, (i + 0.5) / n).plus(lift));
        if (open && start == null) {
          start = i == 0 ? p : edge(p, q, (i - 0.5) / n, (i + 0.5) / n, false, lift);
        } else if (!open && start != null) {
          add(start, i == n ? q : edge(p, q, (i - 0.5) / n, (i + 0.5) / n, true, lift));
          start = null;
        }
      }
    }

    /** Where seen turns to hidden, by halving. */
    private Vec edge(Vec p, Vec q, double a, double b, boolean openAtA, Vec lift) {
      for (int i = 0; i < 6; i++) {
        double m = (a + b) / 2;
        if (isOpen(between(p, q, m).plus(lift)) == openAtA) {
          a = m;
        } else {
          b = m;
        }
      }
      return between(p, q, (a + b) / 2);
    }

    private boolean isOpen(Vec p) {
      Vec d = view.toEye;
      return !mesh.tree()
          .any(
              p.x() + d.x() * 2e-4,
              p.y() + d.y() * 2e-4,
              p.z() + d.z() * 2e-4,
              d.x(),
              d.y(),
              d.z(),
              1e4,
              hit);
    }

    private static Vec between(Vec p, Vec q, double t) {
      return p.plus(q.minus(p).times(t));
    }

    private void add(Vec p, Vec q) {
      double[] line = {view.u(p), view.v(p), view.u(q), view.v(q)};
      if (Math.hypot(line[2] - line[0], line[3] - line[1]) >= SHORT) {
        for (int i = 0; i < 4; i++) {
          line[i] = Math.rint(line[i] * 1e4) / 1e4;
        }
        lines.add(line);
      }
    }
  }
}
