package pied.core.solid;

import java.util.PriorityQueue;
import pied.core.Tolerance;

/**
 * The common walk down two mesh trees at once: pairs of boxes that may matter are opened, nearest
 * first, until pairs of triangles remain. Everything happens in the frame of the second mesh.
 */
abstract class PairWalk {
  /** A triangle that looks along the way by less than this is seen edge on: a cosine. */
  private static final double EDGE_ON = Tolerance.FINE;

  final Mesh ma;
  final Mesh mb;
  final TrianglePair pair = new TrianglePair();
  private final BoxTree ta;
  private final BoxTree tb;
  private final Pose rel;
  private final double[] boxA = new double[6];
  private final double[] boxB = new double[6];
  private int[] stackA = new int[256];
  private int[] stackB = new int[256];
  private double[] stackKey = new double[256];
  private int top;

  private PriorityQueue<Waiting> waiting;

  /** The least key of triangles of two leaves that do not matter yet. */
  private double later;

  /**
   * Two directions at right angles to the way of a sweep, or null; and both boxes seen along it.
   */
  private double[] across;

  /** Whether triangles that look away are passed over. */
  private boolean facing;

  private final double[] acrossA = new double[9];
  private final double[] shadowA = new double[6];
  private final double[] shadowB = new double[6];

  PairWalk(Mesh a, Pose pa, Mesh b, Pose pb) {
    ma = a;
    mb = b;
    ta = a.tree().split();
    tb = b.tree().split();
    rel = pa.within(pb);
  }

  /**
   * One mesh moves along a direction, in the frame of the second: boxes whose shadows do not meet
   * never matter. Unlike upright boxes, shadows do not grow when a mesh is turned.
   */
  final void sweeping(double dx, double dy, double dz) {
    Vec d = new Vec(dx, dy, dz);
    Vec n = d.cross(Math.abs(dy) < 0.9 ? Vec.UP : new Vec(1, 0, 0)).unit();
    Vec m = d.cross(n);
    across = new double[] {n.x(), n.y(), n.z(), m.x(), m.y(), m.z(), dx, dy, dz};
    for (int i = 0; i < 9; i += 3) {
      double x = across[i];
      double y = across[i + 1];
      double z = across[i + 2];
      acrossA[i] = Math.abs(x * rel.m00 + y * rel.m10 + z * rel.m20);
      acrossA[i + 1] = Math.abs(x * rel.m01 + y * rel.m11 + z * rel.m21);
      acrossA[i + 2] = Math.abs(x * rel.m02 + y * rel.m12 + z * rel.m22);
    }
  }

  /** Whether the shadows of the boxes at hand share nothing. */
  private boolean apart() {
    return Math.abs(shadowA[0] - shadowB[0]) >= shadowA[1] + shadowB[1]
        || Math.abs(shadowA[2] - shadowB[2]) >= shadowA[3] + shadowB[3];
  }

  private double keyed() {
    if (across == null) {
      return key(boxA, boxB);
    }
    if (apart()) {
      return Double.POSITIVE_INFINITY;
    }
    double along = shadowB[4] - shadowB[5] - shadowA[4] - shadowA[5];
    return Math.max(along, key(boxA, boxB));
  }

  /** The shadow of a box with its middle and its half extents along axes seen across. */
  private void shadow(
      double[] out, double cx, double cy, double cz, double hx, double hy, double hz, double[] w) {
    for (int i = 0; i < 3; i++) {
      int o = 3 * i;
      out[2 * i] = across[o] * cx + across[o + 1] * cy + across[o + 2] * cz;
      out[2 * i + 1] = Math.abs(w[o]) * hx + Math.abs(w[o + 1]) * hy + Math.abs(w[o + 2]) * hz;
    }
  }

  /** The shadow of a triangle: its box, and its corners seen along the way. */
  private void shadow(double[] out, double[] corners, double[] p) {
    for (int i = 0; i < 3; i++) {
      int o = 3 * i;
      double a = across[o] * p[0] + across[o + 1] * p[1] + across[o + 2] * p[2];
      double b = across[o] * p[3] + across[o + 1] * p[4] + across[o + 2] * p[5];
      double c = across[o] * p[6] + across[o + 1] * p[7] + across[o + 2] * p[8];
      double lo = Math.min(a, Math.min(b, c));
      double hi = Math.max(a, Math.max(b, c));
      out[2 * i] = 0.5 * (lo + hi);
      out[2 * i + 1] = 0.5 * (hi - lo);
      if (i < 2) {
        corners[i] = a;
        corners[2 + i] = b;
        corners[4 + i] = c;
      }
    }
  }

  /** How soon two boxes (min, max) matter; infinite for never. Smaller is opened first. */
  abstract double key(double[] a, double[] b);

  /**
   * Whether only those triangles matter that look where they are going and at what comes.
   *
   * @param first how soon the whole boxes matter
   */
  boolean onlyFacing(double first) {
    return false;
  }

  /** Keys above this no longer matter. */
  abstract double bound();

  /** Two triangles whose boxes matter; {@link #pair} holds them. Returns false to end the walk. */
  abstract boolean triangles(int a, int b);

  /**
   * Whether pairs that do not matter yet may later, since the bound grows. Then they wait, the
   * first of them first, and the walk can go on from where it ended.
   */
  boolean grows() {
    return false;
  }

  /** Until when the boxes keyed last matter; those that matter longer are opened first. */
  double last() {
    return 0;
  }

  void run() {
    begin();
    go();
  }

  final void begin() {
    top = 0;
    loadA(0);
    loadB(0);
    double k = keyed();
    facing = across != null && onlyFacing(k);
    offer(0, 0, k);
  }

  /** Goes on until nothing is left within the bound. */
  final void go() {
    while (true) {
      if (top == 0 && !taken()) {
        return;
      }
      top--;
      if (stackKey[top] > bound()) {
        continue;
      }
      int a = stackA[top];
      int b = stackB[top];
      boolean leafA = ta.count[a] > 0;
      boolean leafB = tb.count[b] > 0;
      if (leafA && leafB) {
        later = Double.POSITIVE_INFINITY;
        if (!leaves(a, b)) {
          return;
        }
        if (later < Double.POSITIVE_INFINITY) {
          offer(a, b, later);
        }
      } else if (leafB || !leafA && volumeA(a) >= volumeB(b)) {
        loadB(b);
        open(ta.link[a], b, true);
      } else {
        loadA(a);
        open(a, tb.link[b], false);
      }
    }
  }

  /** Takes what has waited and matters by now; false if nothing does. */
  private boolean taken() {
    if (waiting == null) {
      return false;
    }
    while (!waiting.isEmpty() && waiting.peek().key() <= bound()) {
      Waiting w = waiting.poll();
      push(w.a(), w.b(), w.key());
    }
    return top > 0;
  }

  private void offer(int a, int b, double key) {
    if (key <= bound()) {
      push(a, b, key);
    } else if (key < Double.POSITIVE_INFINITY && grows()) {
      waiting = waiting == null ? new PriorityQueue<>() : waiting;
      waiting.add(new Waiting(a, b, key));
    }
  }

  /** Some triangles of the leaves at hand matter from this key on. */
  final void later(double key) {
    later = Math.min(later, key);
  }

  private void open(int a, int b, boolean first) {
    double k0;
    double k1;
    double last0;
    if (first) {
      loadA(a);
      k0 = keyed();
      last0 = last();
      loadA(a + 1);
      k1 = keyed();
    } else {
      loadB(b);
      k0 = keyed();
      last0 = last();
      loadB(b + 1);
      k1 = keyed();
    }
    int a1 = first ? a + 1 : a;
    int b1 = first ? b : b + 1;
    if (grows() ? last0 >= last() : k0 <= k1) {
      offer(a1, b1, k1);
      offer(a, b, k0);
    } else {
      offer(a, b, k0);
      offer(a1, b1, k1);
    }
  }

  private boolean leaves(int a, int b) {
    int fa = ~ta.link[a];
    int fb = ~tb.link[b];
    for (int i = fa; i < fa + ta.count[a]; i++) {
      int i0 = ta.order[i];
      cornersOfA(i0);
      if (facing && along(pair.a) < -EDGE_ON) {
        continue;
      }
      extent(pair.a, boxA);
      if (across != null) {
        shadow(shadowA, pair.shadowA, pair.a);
      }
      loadB(b);
      double whole = keyed();
      if (whole > bound()) {
        later(whole);
        continue;
      }
      for (int j = fb; j < fb + tb.count[b]; j++) {
        int j0 = tb.order[j];
        mb.triangle(j0, pair.b);
        if (facing && along(pair.b) > EDGE_ON) {
          continue;
        }
        extent(pair.b, boxB);
        if (across != null) {
          shadow(shadowB, pair.shadowB, pair.b);
        }
        double k = keyed();
        if (k > bound()) {
          later(k);
          continue;
        }
        pair.edges();
        if (!triangles(i0, j0)) {
          return false;
        }
      }
    }
    return true;
  }

  /** How far a triangle's outside looks along the sweep: 1 for all the way, -1 for back. */
  private double along(double[] p) {
    double ux = p[3] - p[0];
    double uy = p[4] - p[1];
    double uz = p[5] - p[2];
    double vx = p[6] - p[0];
    double vy = p[7] - p[1];
    double vz = p[8] - p[2];
    double nx = uy * vz - uz * vy;
    double ny = uz * vx - ux * vz;
    double nz = ux * vy - uy * vx;
    double l2 = nx * nx + ny * ny + nz * nz;
    double along = nx * across[6] + ny * across[7] + nz * across[8];
    return l2 < Tolerance.SMALL_SQUARED ? 0 : along / Math.sqrt(l2);
  }

  private void push(int a, int b, double k) {
    if (top == stackA.length) {
      stackA = java.util.Arrays.copyOf(stackA, 2 * top);
      stackB = java.util.Arrays.copyOf(stackB, 2 * top);
      stackKey = java.util.Arrays.copyOf(stackKey, 2 * top);
    }
    stackA[top] = a;
    stackB[top] = b;
    stackKey[top++] = k;
  }

  private double volumeA(int n) {
    return ta.spread(n);
  }

  private double volumeB(int n) {
    return tb.spread(n);
  }

  private void loadA(int n) {
    float[] f = ta.bounds;
    int o = 6 * n;
    double cx = 0.5 * ((double) f[o] + f[o + 3]);
    double cy = 0.5 * ((double) f[o + 1] + f[o + 4]);
    double cz = 0.5 * ((double) f[o + 2] + f[o + 5]);
    double hx = f[o + 3] - cx;
    double hy = f[o + 4] - cy;
    double hz = f[o + 5] - cz;
    Vec at = rel.at();
    double x = rel.m00 * cx + rel.m01 * cy + rel.m02 * cz + at.x();
    double y = rel.m10 * cx + rel.m11 * cy + rel.m12 * cz + at.y();
    double z = rel.m20 * cx + rel.m21 * cy + rel.m22 * cz + at.z();
    double ex = Math.abs(rel.m00) * hx + Math.abs(rel.m01) * hy + Math.abs(rel.m02) * hz;
    double ey = Math.abs(rel.m10) * hx + Math.abs(rel.m11) * hy + Math.abs(rel.m12) * hz;
    double ez = Math.abs(rel.m20) * hx + Math.abs(rel.m21) * hy + Math.abs(rel.m22) * hz;
    boxA[0] = x - ex;
    boxA[1] = y - ey;
    boxA[2] = z - ez;
    boxA[3] = x + ex;
    boxA[4] = y + ey;
    boxA[5] = z + ez;
    if (across != null) {
      shadow(shadowA, x, y, z, hx, hy, hz, acrossA);
    }
  }

  private void loadB(int n) {
    for (int k = 0; k < 6; k++) {
      boxB[k] = tb.bounds[6 * n + k];
    }
    if (across != null) {
      shadow(
          shadowB,
          0.5 * (boxB[0] + boxB[3]),
          0.5 * (boxB[1] + boxB[4]),
          0.5 * (boxB[2] + boxB[5]),
          0.5 * (boxB[3] - boxB[0]),
          0.5 * (boxB[4] - boxB[1]),
          0.5 * (boxB[5] - boxB[2]),
          across);
    }
  }

  /** Loads a triangle of the first mesh into {@link #pair}, in the frame of the second. */
  final void cornersOfA(int t) {
    double[] p = ma.xyz();
    int[] c = ma.corners();
    Vec at = rel.at();
    for (int k = 0; k < 3; k++) {
      int v = 3 * c[3 * t + k];
      double x = p[v];
      double y = p[v + 1];
      double z = p[v + 2];
      pair.a[3 * k] = rel.m00 * x + rel.m01 * y + rel.m02 * z + at.x();
      pair.a[3 * k + 1] = rel.m10 * x + rel.m11 * y + rel.m12 * z + at.y();
      pair.a[3 * k + 2] = rel.m20 * x + rel.m21 * y + rel.m22 * z + at.z();
    }
  }

  final void cornersOfB(int t) {
    mb.triangle(t, pair.b);
  }

  private static void extent(double[] p, double[] box) {
    for (int k = 0; k < 3; k++) {
      box[k] = Math.min(p[k], Math.min(p[3 + k], p[6 + k]));
      box[3 + k] = Math.max(p[k], Math.max(p[3 + k], p[6 + k]));
    }
  }
}
