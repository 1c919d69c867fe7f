package pied.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.FloatBuffer;
import java.util.List;
import java.util.Random;
import pied.core.solid.Body;
import pied.core.solid.MeshTree;
import pied.core.solid.Pose;
import pied.core.solid.RayTrees;
import pied.core.solid.SceneTree;
import pied.core.solid.SceneTree.StandingMesh;

/**
 * Takes the figures of rays through the trees, that over one mesh, that over meshes that stand
 * somewhere, and that with vectors: how many a second, what they leave to be cleared away, and
 * whether they meet the same. What they meet is compared ray by ray with the first, and some with
 * all triangles one by one.
 */
final class RayFigures {
  private static final int ROUNDS = 3;
  private static final int WITH_ALL = 300;
  private static final double SAME = 1e-4;
  private static final double FAR = 1e9;

  private RayFigures() {}

  /** One way of asking for the nearest, or whether anything is near. */
  private interface Asked {
    double at(double[] from, double[] way);
  }

  static void of(Scene scene, FloatBuffer sets) throws IOException {
    List<Body> bodies = scene.bodies();
    long t = System.nanoTime();
    SceneTree standing =
        new SceneTree(bodies.stream().map(b -> new StandingMesh(b.mesh(), b.pose())).toList());
    Figures.figure("rays-standing", "build", "s", (System.nanoTime() - t) / 1e9);
    float[] r = new float[sets.remaining()];
    sets.get(r);
    MeshTree.RayHit one = new MeshTree.RayHit();
    SceneTree.SceneHit some = new SceneTree.SceneHit();
    MeshTree tree = scene.soup.tree();
    Asked mesh =
        (o, d) -> tree.nearest(o[0], o[1], o[2], d[0], d[1], d[2], FAR, one) ? one.distance : FAR;
    Asked stand = (o, d) -> standing.nearest(o, d, FAR, SceneTree.ALL, some) ? some.distance : FAR;
    Asked near = (o, d) -> tree.any(o[0], o[1], o[2], d[0], d[1], d[2], 3, one) ? 1 : 0;
    Asked nearStand = (o, d) -> standing.any(o, d, 3, SceneTree.ALL, some) ? 1 : 0;
    Asked[] vectors = vectors(scene, some);
    int n = r.length / 6;
    String[] names = {"coherent", "incoherent"};
    for (int set = 0; set < 2; set++) {
      int from = set * (n / 2);
      int to = set == 0 ? n / 2 : n;
      double[] a = rate("rays-mesh", names[set], mesh, r, from, to);
      double[] b = rate("rays-standing", names[set], stand, r, from, to);
      compare("rays-standing", names[set], a, b);
      withAll(scene, names[set], r, from, to, a);
      if (vectors.length > 0) {
        double[] c = rate("rays-vectors", names[set], vectors[0], r, from, to);
        compare("rays-vectors", names[set], a, c);
      }
      a = rate("rays-mesh", names[set] + "-within-3-m", near, r, from, to);
      b = rate("rays-standing", names[set] + "-within-3-m", nearStand, r, from, to);
      compare("rays-standing", names[set] + "-within-3-m", a, b);
      if (vectors.length > 0) {
        double[] c = rate("rays-vectors", names[set] + "-within-3-m", vectors[1], r, from, to);
        compare("rays-vectors", names[set] + "-within-3-m", a, c);
      }
    }
  }

  /** The same by the tree with vectors, where Java has them and they are quicker. */
  private static Asked[] vectors(Scene scene, SceneTree.SceneHit hit) {
    Figures.figure("rays-vectors", "when-tried", "times as quick", RayTrees.warm(() -> {}));
    if (!RayTrees.isQuicker()) {
      return new Asked[0];
    }
    long t = System.nanoTime();
    SceneTree tree = new SceneTree(List.of(new StandingMesh(scene.soup, Pose.HERE)));
    Figures.figure("rays-vectors", "build", "s", (System.nanoTime() - t) / 1e9);
    return new Asked[] {
      (o, d) -> tree.nearest(o, d, FAR, SceneTree.ALL, hit) ? hit.distance : FAR,
      (o, d) -> tree.any(o, d, 3, SceneTree.ALL, hit) ? 1 : 0
    };
  }

  private static double[] rate(String bench, String set, Asked asked, float[] r, int from, int to) {
    var threads = (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
    double[] met = new double[to - from];
    double[] rate = new double[ROUNDS];
    double[] o = new double[3];
    double[] d = new double[3];
    long bytes = 0;
    for (int round = 0; round < ROUNDS; round++) {
      long before = threads.getCurrentThreadAllocatedBytes();
      long t = System.nanoTime();
      for (int i = from; i < to; i++) {
        for (int k = 0; k < 3; k++) {
          o[k] = r[6 * i + k];
          d[k] = r[6 * i + 3 + k];
        }
        met[i - from] = asked.at(o, d);
      }
      rate[round] = (to - from) / ((System.nanoTime() - t) / 1e9);
      bytes = threads.getCurrentThreadAllocatedBytes() - before;
    }
    Figures.figure(bench, set, "rays/s", Figures.median(rate));
    Figures.figure(bench, set + "-allocated", "bytes/ray", (double) bytes / (to - from));
    return met;
  }

  private static void compare(String bench, String set, double[] a, double[] b) {
    int other = 0;
    for (int i = 0; i < a.length; i++) {
      other += Math.abs(a[i] - b[i]) > SAME * Math.max(1, a[i]) ? 1 : 0;
    }
    Figures.figure(bench, set + "-other-than-mesh", "of " + a.length, other);
  }

  /** Some rays against every triangle, in doubles. */
  private static void withAll(Scene scene, String set, float[] r, int from, int to, double[] met) {
    Random random = new Random(9);
    int other = 0;
    for (int k = 0; k < WITH_ALL; k++) {
      int i = from + random.nextInt(to - from);
      double d = nearest(scene.soup.xyz(), r, 6 * i);
      other += Math.abs(d - met[i - from]) > SAME * Math.max(1, d) ? 1 : 0;
    }
    Figures.figure("rays-mesh", set + "-other-than-all-triangles", "of " + WITH_ALL, other);
  }

  /** Möller and Trumbore 1997, for all triangles. */
  private static double nearest(double[] p, float[] r, int o) {
    double best = FAR;
    for (int t = 0; t < p.length; t += 9) {
      double ax = p[t + 3] - p[t];
      double ay = p[t + 4] - p[t + 1];
      double az = p[t + 5] - p[t + 2];
      double bx = p[t + 6] - p[t];
      double by = p[t + 7] - p[t + 1];
      double bz = p[t + 8] - p[t + 2];
      double px = r[o + 4] * bz - r[o + 5] * by;
      double py = r[o + 5] * bx - r[o + 3] * bz;
      double pz = r[o + 3] * by - r[o + 4] * bx;
      double det = ax * px + ay * py + az * pz;
      double sx = r[o] - p[t];
      double sy = r[o + 1] - p[t + 1];
      double sz = r[o + 2] - p[t + 2];
      double u = (sx * px + sy * py + sz * pz) / det;
      double qx = sy * az - sz * ay;
      double qy = sz * ax - sx * az;
      double qz = sx * ay - sy * ax;
      double v = (r[o + 3] * qx + r[o + 4] * qy + r[o + 5] * qz) / det;
      double d = (bx * qx + by * qy + bz * qz) / det;
      if (u >= 0 && v >= 0 && u + v <= 1 && d > 0 && d < best) {
        best = d;
      }
    }
    return best;
  }
}
