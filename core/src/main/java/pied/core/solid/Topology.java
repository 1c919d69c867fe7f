package pied.core.solid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntUnaryOperator;

/** How the triangles of a mesh hang together. */
final class Topology {
  /** Corners nearer than the inverse of this are one, metres. */
  private static final double GRAIN = 1e5;

  /** More parts than this are not tried one by one. */
  private static final int MOST_PARTS = 200;

  final boolean closed;
  final boolean outward;
  final int[] representatives;
  final int[] places;

  /** A point well inside every connected part of a closed mesh; none if there are too many. */
  final List<Vec> insides;

  /** The box of every connected part, six numbers each; null if there are too many to try all. */
  private final double[] parts;

  Topology(Mesh m) {
    int[] weld = m.welded();
    places = Arrays.stream(m.corners()).map(c -> weld[c]).distinct().toArray();
    int[] root = new int[weld.length];
    for (int i = 0; i < root.length; i++) {
      root[i] = i;
    }
    // each edge with its lesser end first, and in the lowest bit whether it runs the other way
    long[] edges = new long[m.corners().length];
    int count = 0;
    for (int t = 0; t < m.corners().length; t += 3) {
      for (int k = 0; k < 3; k++) {
        int a = weld[m.corners()[t + k]];
        int b = weld[m.corners()[t + (k + 1) % 3]];
        if (a != b) {
          root[find(root, a)] = find(root, b);
          edges[count++] =
              (long) Math.min(a, b) << 33 | (long) Math.max(a, b) << 1 | (a < b ? 0 : 1);
        }
      }
    }
    closed = everyEdgeBothWays(edges, count);
    boolean[] taken = new boolean[root.length];
    int[] found = new int[root.length];
    int n = 0;
    for (int c : m.corners()) {
      int r = find(root, weld[c]);
      if (!taken[r]) {
        taken[r] = true;
        found[n++] = c;
      }
    }
    representatives = Arrays.copyOf(found, n);
    outward = closed && allOutward(m, c -> find(root, weld[c]));
    insides = !outward || n > MOST_PARTS ? List.of() : insides(m, c -> find(root, weld[c]));
    parts = n > MOST_PARTS ? null : parts(m, representatives, c -> find(root, weld[c]));
  }

  private static boolean allOutward(Mesh m, IntUnaryOperator part) {
    Map<Integer, Double> six = new HashMap<>();
    for (int t = 0; t < m.corners().length; t += 3) {
      Vec a = m.vertex(m.corners()[t]);
      Vec b = m.vertex(m.corners()[t + 1]);
      Vec c = m.vertex(m.corners()[t + 2]);
      six.merge(part.applyAsInt(m.corners()[t]), a.dot(b.cross(c)), Double::sum);
    }
    return six.values().stream().allMatch(v -> v > 0);
  }

  private static int find(int[] root, int a) {
    while (root[a] != a) {
      root[a] = root[root[a]];
      a = root[a];
    }
    return a;
  }

  /** Half-way through each part from its largest triangle. */
  private static List<Vec> insides(Mesh m, IntUnaryOperator part) {
    Map<Integer, Integer> largest = new TreeMap<>();
    int[] c = m.corners();
    for (int t = 0; t < c.length; t += 3) {
      int one = t;
      largest.merge(
          part.applyAsInt(c[t]),
          one,
          (a, b) -> normal(m, a).length() < normal(m, b).length() ? b : a);
    }
    List<Vec> all = new ArrayList<>();
    MeshTree.RayHit hit = new MeshTree.RayHit();
    for (int t : largest.values()) {
      Vec sum = m.vertex(c[t]).plus(m.vertex(c[t + 1])).plus(m.vertex(c[t + 2]));
      Vec in = normal(m, t).unit().times(-1);
      Vec from = sum.times(1 / 3.0).plus(in.times(Travel.TOUCH));
      if (m.tree().nearest(from.x(), from.y(), from.z(), in.x(), in.y(), in.z(), 1e3, hit)) {
        all.add(from.plus(in.times(hit.distance / 2)));
      }
    }
    return all;
  }

  private static Vec normal(Mesh m, int t) {
    Vec a = m.vertex(m.corners()[t]);
    return m.vertex(m.corners()[t + 1]).minus(a).cross(m.vertex(m.corners()[t + 2]).minus(a));
  }

  private static double[] parts(Mesh m, int[] firsts, IntUnaryOperator part) {
    Map<Integer, Integer> number = new HashMap<>();
    double[] boxes = new double[6 * firsts.length];
    for (int i = 0; i < firsts.length; i++) {
      number.put(part.applyAsInt(firsts[i]), i);
      Arrays.fill(boxes, 6 * i, 6 * i + 3, Double.POSITIVE_INFINITY);
      Arrays.fill(boxes, 6 * i + 3, 6 * i + 6, Double.NEGATIVE_INFINITY);
    }
    for (int c : m.corners()) {
      int at = 6 * number.get(part.applyAsInt(c));
      for (int k = 0; k < 3; k++) {
        boxes[at + k] = Math.min(boxes[at + k], m.xyz()[3 * c + k]);
        boxes[at + 3 + k] = Math.max(boxes[at + 3 + k], m.xyz()[3 * c + k]);
      }
    }
    return boxes;
  }

  /** Whether a point is so far inside the box of a part at least; only such can be inside. */
  boolean mayHold(double x, double y, double z, double depth) {
    if (parts == null) {
      return true;
    }
    for (int i = 0; i < parts.length; i += 6) {
      if (x > parts[i] + depth
          && y > parts[i + 1] + depth
          && z > parts[i + 2] + depth
          && x < parts[i + 3] - depth
          && y < parts[i + 4] - depth
          && z < parts[i + 5] - depth) {
        return true;
      }
    }
    return false;
  }

  private static boolean everyEdgeBothWays(long[] edges, int count) {
    Arrays.sort(edges, 0, count);
    int i = 0;
    while (i < count) {
      long edge = edges[i] >> 1;
      int balance = 0;
      for (; i < count && edges[i] >> 1 == edge; i++) {
        balance += (edges[i] & 1) == 0 ? 1 : -1;
      }
      if (balance != 0) {
        return false;
      }
    }
    return true;
  }

  /** For every vertex the first at the same place. */
  static int[] welded(double[] xyz) {
    int n = xyz.length / 3;
    long[] key = new long[n];
    long[] order = new long[n];
    for (int v = 0; v < n; v++) {
      long k = Math.round(xyz[3 * v] * GRAIN);
      k = k * 4_000_037L + Math.round(xyz[3 * v + 1] * GRAIN);
      key[v] = k * 4_000_037L + Math.round(xyz[3 * v + 2] * GRAIN);
      order[v] = (long) Long.hashCode(key[v]) << 32 | v;
    }
    Arrays.sort(order); // equal places side by side, the first vertex first
    int[] first = new int[n];
    int run = 0;
    for (int i = 0; i < n; i++) {
      if (order[i] >> 32 != order[run] >> 32) {
        run = i;
      }
      int v = (int) order[i];
      first[v] = v;
      for (int j = run; j < i && first[v] == v; j++) {
        int before = (int) order[j];
        first[v] = key[before] == key[v] ? first[before] : v;
      }
    }
    return first;
  }
}
