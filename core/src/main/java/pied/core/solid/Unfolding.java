package pied.core.solid;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.PriorityQueue;

/**
 * Folds the skin of a mesh out flat. Smooth stretches of it are folded out together, from the
 * triangle that faces the front or the top, to all sides evenly, so that where the skin must part
 * it does at the back; at an edge one sees it parts always. Flat stretches lie where they are in
 * the article's own frame, so that what repeats runs on from one to the next.
 *
 * <p>Cost: n log n for n triangles. Robust: a triangle that cannot be put beside what lies already
 * without being stretched by more than {@link #MOST} parts from it; one of no area lies as a point.
 */
final class Unfolding {
  /** Lengths on a triangle are at most so many times too long or too short. */
  static final double MOST = 1.15;

  /** Faces that meet more gently than this are folded out together, degrees. */
  private static final double CREASE = Math.cos(Math.toRadians(38));

  /** What is so many times as long as it is wide has a length, whichever way that runs. */
  private static final double LONG = 2;

  private final Mesh mesh;
  private final Vec from;
  private final int triangles;
  private final int[] welded;
  private final Vec[] normals;
  private final int[] beside;
  private final float[] upright;
  private final float[] along;
  private final double[] uv;
  private final boolean[] done;

  private Unfolding(Mesh mesh, Vec from) {
    this.mesh = mesh;
    this.from = from;
    triangles = mesh.triangles();
    welded = mesh.welded();
    normals = new Vec[triangles];
    beside = new int[3 * triangles];
    uv = new double[6 * triangles];
    done = new boolean[triangles];
    upright = new float[6 * triangles];
    along = new float[6 * triangles];
  }

  /**
   * That of a mesh.
   *
   * @param from where flat stretches are measured from
   */
  static Mapping of(Mesh mesh, Vec from) {
    Unfolding m = new Unfolding(mesh, from);
    m.faces();
    m.neighbours();
    for (int t : m.byScore()) {
      if (!m.done[t]) {
        m.stretch(t);
      }
    }
    return new Mapping(m.upright, m.along);
  }

  private Vec corner(int t, int k) {
    return mesh.vertex(mesh.corners()[3 * t + k]);
  }

  private void faces() {
    for (int t = 0; t < triangles; t++) {
      Vec a = corner(t, 0);
      Vec n = corner(t, 1).minus(a).cross(corner(t, 2).minus(a));
      normals[t] = n.length() > 0 ? n.unit() : Vec.UP;
    }
  }

  /** For every edge the triangle with which it is folded out together, or -1. */
  private void neighbours() {
    Map<Long, Integer> first = new HashMap<>(4 * triangles);
    int[] met = new int[3 * triangles];
    Arrays.fill(beside, -1);
    for (int e = 0; e < 3 * triangles; e++) {
      int p = welded[mesh.corners()[e]];
      int q = welded[mesh.corners()[e - e % 3 + (e + 1) % 3]];
      long key = ((long) Math.min(p, q) << 32) | Math.max(p, q);
      Integer other = first.putIfAbsent(key, e);
      if (other == null) {
        met[e] = 1;
        continue;
      }
      met[other]++;
      boolean two = met[other] == 2 && runsBack(e, other) && smooth(e / 3, other / 3);
      beside[e] = two ? other : -1;
      beside[other] = two ? e : -1;
      if (met[other] > 2) {
        part(other); // where more than two meet, all part
      }
    }
  }

  private void part(int edge) {
    if (beside[edge] >= 0) {
      beside[beside[edge]] = -1;
      beside[edge] = -1;
    }
  }

  private boolean runsBack(int e, int f) {
    return welded[mesh.corners()[e]] == welded[mesh.corners()[f - f % 3 + (f + 1) % 3]];
  }

  private boolean smooth(int t, int u) {
    return mesh.partOf()[t] == mesh.partOf()[u] && normals[t].dot(normals[u]) > CREASE;
  }

  /** Those that face the front come first, then those that face up; of these the nearest. */
  private int[] byScore() {
    double[] score = new double[triangles];
    Box box = mesh.box();
    Vec middle = box.min().plus(box.max()).times(0.5);
    double size = box.size().length();
    for (int t = 0; t < triangles; t++) {
      double away = centre(t).minus(middle).length() / size;
      // faces that look nearly the same way are told apart by where they are
      double faces = Math.rint(8 * (normals[t].z() + 0.6 * normals[t].y()));
      score[t] = -faces + away;
    }
    return java.util.stream.IntStream.range(0, triangles)
        .boxed()
        .sorted(java.util.Comparator.comparingDouble(t -> score[t]))
        .mapToInt(t -> t)
        .toArray();
  }

  private Vec centre(int t) {
    return corner(t, 0).plus(corner(t, 1)).plus(corner(t, 2)).times(1 / 3.0);
  }

  private record Next(double away, int edge) {}

  /** Folds out all that is smoothly connected with a triangle. */
  private void stretch(int seed) {
    Map<Integer, double[]> lies = new HashMap<>();
    PriorityQueue<Next> next =
        new PriorityQueue<>(
            java.util.Comparator.comparingDouble(Next::away).thenComparingInt(Next::edge));
    int[] own = new int[16];
    int n = 0;
    Frame f = Frame.facing(normals[seed]);
    for (int k = 0; k < 3; k++) {
      Vec p = corner(seed, k).minus(from);
      put(seed, k, p.dot(f.right), p.dot(f.up), lies);
    }
    done[seed] = true;
    own[n++] = seed;
    reach(seed, 0, next);
    while (!next.isEmpty()) {
      Next e = next.poll();
      int t = beside[e.edge] / 3;
      if (done[t]) {
        continue;
      }
      unfold(e.edge, lies);
      done[t] = true;
      if (n == own.length) {
        own = Arrays.copyOf(own, 2 * n);
      }
      own[n++] = t;
      reach(t, e.away, next);
    }
    finish(Arrays.copyOf(own, n));
  }

  /** The way from a triangle to those beside it. */
  private void reach(int t, double away, PriorityQueue<Next> next) {
    for (int k = 0; k < 3; k++) {
      int edge = 3 * t + k;
      if (beside[edge] >= 0 && !done[beside[edge] / 3]) {
        double step = centre(t).minus(centre(beside[edge] / 3)).length();
        next.add(new Next(away + step, edge));
      }
    }
  }

  private void put(int t, int k, double u, double v, Map<Integer, double[]> lies) {
    uv[6 * t + 2 * k] = u;
    uv[6 * t + 2 * k + 1] = v;
    lies.put(welded[mesh.corners()[3 * t + k]], new double[] {u, v});
  }

  /** Lays the triangle on the other side of an edge beside the one that lies already. */
  private void unfold(int edge, Map<Integer, double[]> lies) {
    int s = edge / 3;
    int t = beside[edge] / 3;
    int k = beside[edge] % 3;
    // the edge runs back in the other triangle
    double[] b = {uv[6 * s + 2 * (edge % 3)], uv[6 * s + 2 * (edge % 3) + 1]};
    int e2 = (edge % 3 + 1) % 3;
    double[] a = {uv[6 * s + 2 * e2], uv[6 * s + 2 * e2 + 1]};
    Vec p = corner(t, k);
    Vec q = corner(t, (k + 1) % 3);
    Vec r = corner(t, (k + 2) % 3);
    Vec pq = q.minus(p);
    double length = pq.length();
    double laid = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (!(length > 0) || !(laid > 0)) {
      lay(t, k, a, b, a, lies);
      return;
    }
    double on = r.minus(p).dot(pq) / (length * length);
    double high = r.minus(p).cross(pq).length() / length;
    double[] dir = {(b[0] - a[0]) / laid, (b[1] - a[1]) / laid};
    double[] c = {
      a[0] + on * laid * dir[0] - high * dir[1], a[1] + on * laid * dir[1] + high * dir[0]
    };
    double[] there = lies.get(welded[mesh.corners()[3 * t + (k + 2) % 3]]);
    boolean joins = there != null && fits(length, on, high, a, b, there);
    lay(t, k, a, b, joins ? there : c, lies);
  }

  private void lay(int t, int k, double[] a, double[] b, double[] c, Map<Integer, double[]> lies) {
    put(t, k, a[0], a[1], lies);
    put(t, (k + 1) % 3, b[0], b[1], lies);
    put(t, (k + 2) % 3, c[0], c[1], lies);
  }

  /** Whether a triangle would not be stretched much with its third corner there. */
  private static boolean fits(
      double length, double on, double high, double[] a, double[] b, double[] c) {
    if (!(high > 0)) {
      return true;
    }
    // columns: where a metre along the edge goes, and one across it
    double x0 = (b[0] - a[0]) / length;
    double y0 = (b[1] - a[1]) / length;
    double x1 = (c[0] - a[0] - on * (b[0] - a[0])) / high;
    double y1 = (c[1] - a[1] - on * (b[1] - a[1])) / high;
    double det = x0 * y1 - x1 * y0;
    double sum = x0 * x0 + y0 * y0 + x1 * x1 + y1 * y1;
    double root = Math.sqrt(Math.max(0, sum * sum / 4 - det * det));
    return det > 0 && sum / 2 + root < MOST * MOST && sum / 2 - root > 1 / (MOST * MOST);
  }

  /** Writes what lies, and the same along the length of it all. */
  private void finish(int[] own) {
    double turn = lengthwise(own);
    double cos = Math.cos(turn);
    double sin = Math.sin(turn);
    for (int t : own) {
      for (int i = 6 * t; i < 6 * t + 6; i += 2) {
        upright[i] = (float) uv[i];
        upright[i + 1] = (float) -uv[i + 1];
        along[i] = (float) (cos * uv[i] + sin * uv[i + 1]);
        along[i + 1] = (float) (sin * uv[i] - cos * uv[i + 1]);
      }
    }
  }

  /** The angle at which the length of what lies runs, from the right toward up. */
  private double lengthwise(int[] own) {
    double[] m = new double[6]; // area, first moments, second moments
    double[] low = {Double.MAX_VALUE, Double.MAX_VALUE};
    double[] top = {-Double.MAX_VALUE, -Double.MAX_VALUE};
    for (int t : own) {
      moments(t, m);
      for (int i = 6 * t; i < 6 * t + 6; i++) {
        low[i % 2] = Math.min(low[i % 2], uv[i]);
        top[i % 2] = Math.max(top[i % 2], uv[i]);
      }
    }
    double wide = top[0] - low[0];
    double high = top[1] - low[1];
    double axis = high > 1.02 * wide ? Math.PI / 2 : 0;
    if (!(m[0] > 0)) {
      return axis;
    }
    double xx = m[3] / m[0] - m[1] * m[1] / (m[0] * m[0]);
    double yy = m[5] / m[0] - m[2] * m[2] / (m[0] * m[0]);
    double xy = m[4] / m[0] - m[1] * m[2] / (m[0] * m[0]);
    double mean = (xx + yy) / 2;
    double off = Math.hypot((xx - yy) / 2, xy);
    boolean isLong = mean + off > LONG * LONG * (mean - off);
    return isLong ? Math.atan2(2 * xy, xx - yy) / 2 : axis;
  }

  private void moments(int t, double[] m) {
    int i = 6 * t;
    double area =
        Math.abs(
                (uv[i + 2] - uv[i]) * (uv[i + 5] - uv[i + 1])
                    - (uv[i + 4] - uv[i]) * (uv[i + 3] - uv[i + 1]))
            / 2;
    m[0] += area;
    // the middles of the edges weigh a third each: exact for second moments
    for (int k = 0; k < 3; k++) {
      int j = (k + 1) % 3;
      double u = (uv[i + 2 * k] + uv[i + 2 * j]) / 2;
      double v = (uv[i + 2 * k + 1] + uv[i + 2 * j + 1]) / 2;
      m[1] += area / 3 * u;
      m[2] += area / 3 * v;
      m[3] += area / 3 * u * u;
      m[4] += area / 3 * u * v;
      m[5] += area / 3 * v * v;
    }
  }

  /** The two directions on a face as one looks at it: to the right, and up. */
  private record Frame(Vec right, Vec up) {
    /** Of a face that lies level, up is away from one who stands in front. */
    static Frame facing(Vec n) {
      Vec level = Vec.UP.cross(n);
      boolean lies = level.length() < LEVEL;
      Vec right = lies ? new Vec(1, 0, 0) : level.unit();
      right = right.minus(n.times(right.dot(n))).unit();
      return new Frame(right, n.cross(right));
    }

    /** What leans less than this from lying level is seen from above, sine. */
    private static final double LEVEL = Math.sin(Math.toRadians(30));
  }
}
