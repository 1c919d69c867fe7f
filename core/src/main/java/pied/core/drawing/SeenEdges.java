package pied.core.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import pied.core.solid.Mesh;
import pied.core.solid.MeshTree;
import pied.core.solid.Vec;

/** The edges of a mesh that one sees: creases and turns of the surface. */
final class SeenEdges {
  /** Faces that meet at more than this angle have an edge one sees. */
  private static final double CREASE = Math.cos(Math.toRadians(32));

  /** Shorter edges are not drawn, metres. */
  static final double SHORT = 0.002;

  /** A point is looked at from so far off its surface, metres. */
  private static final double OFF = 2e-4;

  private SeenEdges() {}

  /**
   * An edge.
   *
   * @param lift from the surface toward where one sees it, of length 1
   */
  record Edge(Vec from, Vec to, Vec lift) {}

  /** All edges that face the eye, be they hidden or not. */
  static List<Edge> facing(Mesh mesh, Eye eye) {
    int[] weld = mesh.welded();
    int[] c = mesh.corners();
    Map<Long, Vec> first = new HashMap<>();
    List<Edge> edges = new ArrayList<>();
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
        } else if (drawn(n, other, eye.toEye())) {
          Vec lift = n.dot(eye.toEye()) >= other.dot(eye.toEye()) ? n : other;
          edges.add(new Edge(mesh.vertex(p), mesh.vertex(q), lift));
        }
      }
    }
    return edges;
  }

  private static boolean drawn(Vec n, Vec m, Vec toEye) {
    double a = n.dot(toEye);
    double b = m.dot(toEye);
    if (a <= 1e-6 && b <= 1e-6) {
      return false;
    }
    return n.dot(m) < CREASE || a * b < 0 && Math.min(a, b) < -1e-6;
  }

  /** The stretches of edges that the mesh itself does not hide. */
  static List<Edge> unhidden(Mesh mesh, Eye eye) {
    MeshTree.RayHit hit = new MeshTree.RayHit();
    List<Edge> seen = new ArrayList<>();
    Vec d = eye.toEye();
    for (Edge e : facing(mesh, eye)) {
      trace(
          e,
          eye,
          p -> !mesh.tree().any(p.x(), p.y(), p.z(), d.x(), d.y(), d.z(), 1e4, hit),
          (a, b) -> seen.add(new Edge(a, b, e.lift)));
    }
    return seen;
  }

  /**
   * Walks along an edge and gives the stretches on which it is open to the eye.
   *
   * @param open whether a point, a little off the surface, is seen
   */
  static void trace(Edge e, Eye eye, Predicate<Vec> open, BiConsumer<Vec, Vec> stretch) {
    double length = Math.hypot(eye.u(e.to) - eye.u(e.from), eye.v(e.to) - eye.v(e.from));
    if (length < SHORT) {
      return;
    }
    Vec off = e.lift.plus(eye.toEye()).times(OFF);
    Predicate<Double> at = t -> open.test(between(e, t).plus(off));
    int n = (int) Math.max(4, Math.min(60, Math.ceil(length / 0.03)));
    double start = Double.NaN;
    for (int i = 0; i <= n; i++) {
      boolean seen = i < n && at.test((i + 0.5) / n);
      if (seen && Double.isNaN(start)) {
        start = i == 0 ? 0 : turn((i - 0.5) / n, (i + 0.5) / n, false, at);
      } else if (!seen && !Double.isNaN(start)) {
        double end = i == n ? 1 : turn((i - 0.5) / n, (i + 0.5) / n, true, at);
        if ((end - start) * length >= SHORT) {
          stretch.accept(between(e, start), between(e, end));
        }
        start = Double.NaN;
      }
    }
  }

  /** Where seen turns to hidden, by halving. */
  private static double turn(double a, double b, boolean openAtA, Predicate<Double> at) {
    for (int i = 0; i < 7; i++) {
      double m = (a + b) / 2;
      if (at.test(m) == openAtA) {
        a = m;
      } else {
        b = m;
      }
    }
    return (a + b) / 2;
  }

  private static Vec between(Edge e, double t) {
    return e.from.plus(e.to.minus(e.from).times(t));
  }
}
