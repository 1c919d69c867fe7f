package pied.core.solid;

import java.util.Arrays;
import java.util.List;
import pied.core.Tolerance;

/**
 * Makes a mesh of fewer triangles that looks the same: edges are collapsed in order of the error
 * that this makes, measured by quadrics of the planes around (Garland and Heckbert 1997, "Surface
 * simplification using quadric error metrics"). Corners of the result are corners of the original,
 * so what sticks out stays where it is; rims and the borders between finish parts move only along
 * themselves.
 */
public final class Lighter {
  /** Rims weigh this much more than faces. */
  private static final double RIM = 10;

  /** A triangle may not turn farther than this by a collapse: cosine of 60°. */
  private static final double TURN = 0.5;

  private static final int PASSES = 200;

  private final double[] xyz;
  private final int[] corners;
  private final int[] partOf;
  private int triangles;
  private final double[] quadrics;
  private int[] first;
  private int[] around;
  private final int[] to;
  private final int[] mark;
  private int stamp;

  /**
   * A lighter mesh.
   *
   * @param mesh without normals, its corners shared
   * @param error how far the original's corners are from it at most, metres (or whatever the mesh
   *     is in): from all of them, or from 20,000 spread evenly over it
   */
  public record Lightened(Mesh mesh, double error) {}

  private Lighter(Mesh mesh) {
    xyz = mesh.xyz();
    int[] weld = weld(xyz);
    corners = new int[mesh.corners().length];
    partOf = mesh.partOf().clone();
    for (int t = 0; t < mesh.triangles(); t++) {
      add(
          weld[mesh.corners()[3 * t]],
          weld[mesh.corners()[3 * t + 1]],
          weld[mesh.corners()[3 * t + 2]],
          mesh.partOf()[t]);
    }
    int n = xyz.length / 3;
    quadrics = new double[10 * n];
    to = new int[n];
    mark = new int[n];
  }

  private void add(int a, int b, int c, int part) {
    if (a != b && b != c && c != a) {
      corners[3 * triangles] = a;
      corners[3 * triangles + 1] = b;
      corners[3 * triangles + 2] = c;
      partOf[triangles++] = part;
    }
  }

  /**
   * Collapses edges until there are no more than so many triangles, or no edge is left that may go.
   */
  public static Lightened of(Mesh mesh, int most) {
    Lighter l = new Lighter(mesh);
    l.index();
    l.planes();
    for (int pass = 0; pass < PASSES && l.triangles > most; pass++) {
      if (l.pass((l.triangles - most) / 2 + 1) == 0) {
        break;
      }
      l.index();
    }
    Mesh lighter = l.mesh(mesh.parts());
    return new Lightened(lighter, error(mesh, lighter));
  }

  private Mesh mesh(List<String> parts) {
    int[] number = new int[xyz.length / 3];
    Arrays.fill(number, -1);
    double[] p = new double[3 * Math.min(number.length, 3 * triangles)];
    int[] c = new int[3 * triangles];
    int n = 0;
    for (int i = 0; i < c.length; i++) {
      int v = corners[i];
      if (number[v] < 0) {
        System.arraycopy(xyz, 3 * v, p, 3 * n, 3);
        number[v] = n++;
      }
      c[i] = number[v];
    }
    return new Mesh(Arrays.copyOf(p, 3 * n), null, c, Arrays.copyOf(partOf, triangles), parts);
  }

  private static double error(Mesh from, Mesh lighter) {
    int n = from.xyz().length / 3;
    int step = Math.max(1, n / 20_000);
    double[] p = new double[9];
    double worst = 0;
    for (int v = 0; v < n; v += step) {
      // a triangle that is next to nothing stands for the corner
      for (int k = 0; k < 9; k++) {
        p[k] = from.xyz()[3 * v + k % 3];
      }
      Mesh point = Mesh.of(p, new int[] {0, 1, 2});
      double limit = Math.max(Tolerance.NONE, from.box().size().length());
      worst = Math.max(worst, Nearness.distance(point, Pose.HERE, lighter, Pose.HERE, limit));
    }
    return worst;
  }

  /** For every vertex the first at exactly the same place. */
  private static int[] weld(double[] xyz) {
    int n = xyz.length / 3;
    int[] same = new int[n];
    int size = Integer.highestOneBit(Math.max(16, n)) << 2;
    int[] table = new int[size];
    for (int v = 0; v < n; v++) {
      long h = 17;
      for (int k = 0; k < 3; k++) {
        h = h * 0x9E3779B97F4A7C15L + Double.doubleToLongBits(xyz[3 * v + k] + 0.0);
        h ^= h >>> 29;
      }
      int at = (int) (h & (size - 1));
      while (table[at] != 0 && !same(xyz, table[at] - 1, v)) {
        at = (at + 1) & (size - 1);
      }
      if (table[at] == 0) {
        table[at] = v + 1;
      }
      same[v] = table[at] - 1;
    }
    return same;
  }

  private static boolean same(double[] xyz, int a, int b) {
    return xyz[3 * a] == xyz[3 * b]
        && xyz[3 * a + 1] == xyz[3 * b + 1]
        && xyz[3 * a + 2] == xyz[3 * b + 2];
  }

  /** Lists the triangles around every vertex. */
  private void index() {
    int n = xyz.length / 3;
    first = new int[n + 1];
    for (int i = 0; i < 3 * triangles; i++) {
      first[corners[i] + 1]++;
    }
    for (int v = 0; v < n; v++) {
      first[v + 1] += first[v];
    }
    around = new int[3 * triangles];
    int[] next = Arrays.copyOf(first, n);
    for (int i = 0; i < 3 * triangles; i++) {
      around[next[corners[i]]++] = i / 3;
    }
  }

  // ---- quadrics

  private void planes() {
    for (int t = 0; t < triangles; t++) {
      Vec a = vec(corners[3 * t]);
      Vec n = vec(corners[3 * t + 1]).minus(a).cross(vec(corners[3 * t + 2]).minus(a));
      double area = n.length();
      if (area == 0) {
        continue;
      }
      n = n.times(1 / area);
      for (int k = 0; k < 3; k++) {
        plane(corners[3 * t + k], n, a, area);
      }
      for (int k = 0; k < 3; k++) {
        int b = corners[3 * t + k];
        int c = corners[3 * t + (k + 1) % 3];
        if (rim(b, c, t)) {
          Vec edge = vec(c).minus(vec(b));
          Vec side = edge.cross(n);
          double length = side.length();
          if (length > 0) {
            side = side.times(1 / length);
            plane(b, side, vec(b), RIM * length * length);
            plane(c, side, vec(b), RIM * length * length);
          }
        }
      }
    }
  }

  /** Whether no other triangle of the same part, or more than one, shares an edge with this one. */
  private boolean rim(int a, int b, int t) {
    int others = 0;
    for (int i = first[a]; i < first[a + 1]; i++) {
      int o = around[i];
      if (o != t && partOf[o] == partOf[t] && has(o, b)) {
        others++;
      }
    }
    return others != 1;
  }

  private boolean has(int t, int v) {
    return corners[3 * t] == v || corners[3 * t + 1] == v || corners[3 * t + 2] == v;
  }

  private Vec vec(int v) {
    return new Vec(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]);
  }

  private void plane(int v, Vec n, Vec on, double weight) {
    double d = -n.dot(on);
    double[] p = {n.x(), n.y(), n.z(), d};
    int at = 10 * v;
    for (int i = 0; i < 4; i++) {
      for (int k = i; k < 4; k++) {
        quadrics[at++] += weight * p[i] * p[k];
      }
    }
  }

  /** The error of both quadrics at a vertex. */
  private double cost(int a, int b, int at) {
    double x = xyz[3 * at];
    double y = xyz[3 * at + 1];
    double z = xyz[3 * at + 2];
    double sum = 0;
    for (int v : new int[] {a, b}) {
      int q = 10 * v;
      sum +=
          quadrics[q] * x * x
              + 2 * quadrics[q + 1] * x * y
              + 2 * quadrics[q + 2] * x * z
              + 2 * quadrics[q + 3] * x
              + quadrics[q + 4] * y * y
              + 2 * quadrics[q + 5] * y * z
              + 2 * quadrics[q + 6] * y
              + quadrics[q + 7] * z * z
              + 2 * quadrics[q + 8] * z
              + quadrics[q + 9];
    }
    return Math.max(0, sum);
  }

  // ---- collapsing

  /** Collapses the cheapest edges that have nothing to do with one another. */
  private int pass(int wanted) {
    long[] edges = edges();
    Arrays.sort(edges);
    // what costs far more than the last one wanted waits until nothing cheaper is held up
    float dear = 1.5f * costOf(edges[Math.min(wanted, edges.length - 1)]) + Float.MIN_NORMAL;
    for (int v = 0; v < to.length; v++) {
      to[v] = v;
    }
    boolean[] held = new boolean[to.length];
    int done = 0;
    for (int e = 0; e < edges.length && done < wanted; e++) {
      if (done > 0 && costOf(edges[e]) > dear) {
        break;
      }
      int at = (int) edges[e];
      int a = corners[at];
      int b = corners[at - at % 3 + (at + 1) % 3];
      if (held[a] || held[b]) {
        continue;
      }
      if (cost(a, b, a) < cost(a, b, b)) {
        int swap = a;
        a = b;
        b = swap;
      }
      if (!mayGo(a, b)) {
        continue;
      }
      to[a] = b;
      for (int k = 0; k < 10; k++) {
        quadrics[10 * b + k] += quadrics[10 * a + k];
      }
      hold(a, held);
      hold(b, held);
      done++;
    }
    int n = triangles;
    triangles = 0;
    for (int t = 0; t < n; t++) {
      add(to[corners[3 * t]], to[corners[3 * t + 1]], to[corners[3 * t + 2]], partOf[t]);
    }
    return done;
  }

  /**
   * Every edge once, by its first corner in the list of corners, the cheapest first when sorted.
   */
  private long[] edges() {
    long[] edges = new long[3 * triangles];
    int n = 0;
    for (int i = 0; i < 3 * triangles; i++) {
      int a = corners[i];
      int b = corners[i - i % 3 + (i + 1) % 3];
      if (a < b || rim(a, b, i / 3)) {
        float cost = (float) Math.min(cost(a, b, a), cost(a, b, b));
        edges[n++] = ((long) Float.floatToIntBits(cost) << 32) | i;
      }
    }
    return Arrays.copyOf(edges, n);
  }

  private static float costOf(long edge) {
    return Float.intBitsToFloat((int) (edge >>> 32));
  }

  private void hold(int v, boolean[] held) {
    for (int i = first[v]; i < first[v + 1]; i++) {
      for (int k = 0; k < 3; k++) {
        held[corners[3 * around[i] + k]] = true;
      }
    }
  }

  /** Whether a may go to b: nothing turns over, and what is closed stays closed. */
  private boolean mayGo(int a, int b) {
    int shared = 0;
    stamp++;
    for (int i = first[b]; i < first[b + 1]; i++) {
      for (int k = 0; k < 3; k++) {
        mark[corners[3 * around[i] + k]] = stamp;
      }
    }
    int common = 0;
    for (int i = first[a]; i < first[a + 1]; i++) {
      int t = around[i];
      if (has(t, b)) {
        shared++;
        continue;
      }
      if (turns(t, a, b)) {
        return false;
      }
    }
    for (int i = first[a]; i < first[a + 1]; i++) {
      for (int k = 0; k < 3; k++) {
        int v = corners[3 * around[i] + k];
        if (v != a && v != b && mark[v] == stamp) {
          mark[v] = 0; // counted once
          common++;
        }
      }
    }
    return common == shared;
  }

  private boolean turns(int t, int a, int b) {
    Vec[] p = new Vec[3];
    Vec[] q = new Vec[3];
    for (int k = 0; k < 3; k++) {
      int v = corners[3 * t + k];
      p[k] = vec(v);
      q[k] = v == a ? vec(b) : p[k];
    }
    Vec before = p[1].minus(p[0]).cross(p[2].minus(p[0]));
    Vec after = q[1].minus(q[0]).cross(q[2].minus(q[0]));
    return before.dot(after) <= TURN * before.length() * after.length();
  }
}
