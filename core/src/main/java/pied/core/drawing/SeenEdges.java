package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import pied.core.Tolerance;
import pied.core.solid.Creases;
import pied.core.solid.Mesh;
import pied.core.solid.MeshTree;
import pied.core.solid.Vec;

/** The edges of a mesh that one sees: creases and turns of the surface. */
final class SeenEdges {
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
  record SeenEdge(Vec from, Vec to, Vec lift) {
    /** The point a share of the way along. */
    Vec at(double t) {
      return from.plus(to.minus(from).times(t));
    }
  }

  /** All edges that face the eye, be they hidden or not. */
  static List<SeenEdge> facing(Mesh mesh, Eye eye) {
    List<SeenEdge> edges = new ArrayList<>();
    for (Creases.CreaseEdge e : Creases.all(mesh)) {
      double a = e.n().dot(eye.toEye());
      double b = e.m().dot(eye.toEye());
      boolean toEye = a > Tolerance.FINE || b > Tolerance.FINE;
      boolean turns = a * b < 0 && Math.min(a, b) < -Tolerance.FINE;
      if (toEye && (e.sharp() || turns)) {
        edges.add(new SeenEdge(e.from(), e.to(), a >= b ? e.n() : e.m()));
      }
    }
    return edges;
  }

  /** The stretches of edges that the mesh itself does not hide. */
  static List<SeenEdge> unhidden(Mesh mesh, Eye eye) {
    MeshTree.RayHit hit = new MeshTree.RayHit();
    List<SeenEdge> seen = new ArrayList<>();
    Vec d = eye.toEye();
    for (SeenEdge e : facing(mesh, eye)) {
      trace(
          e,
          eye,
          p -> !mesh.tree().any(p.x(), p.y(), p.z(), d.x(), d.y(), d.z(), 1e4, hit),
          (a, b) -> seen.add(new SeenEdge(a, b, e.lift)));
    }
    return seen;
  }

  /**
   * Walks along an edge and gives the stretches on which it is open to the eye.
   *
   * @param open whether a point, a little off the surface, is seen
   */
  static void trace(SeenEdge e, Eye eye, Predicate<Vec> open, BiConsumer<Vec, Vec> stretch) {
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

  private static Vec between(SeenEdge e, double t) {
    return e.from.plus(e.to.minus(e.from).times(t));
  }
}
