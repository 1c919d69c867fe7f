package pied.core.solid;

/**
 * The walk down two mesh trees at once as they are: pairs of boxes that may matter are opened,
 * nearest first, until pairs of triangles remain. Everything happens in the frame of the second
 * mesh. For one that moves there is {@link SweepWalk}.
 */
abstract class PairWalk {
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

  PairWalk(Mesh a, Pose pa, Mesh b, Pose pb) {
    ma = a;
    mb = b;
    ta = a.tree().split();
    tb = b.tree().split();
    rel = pa.within(pb);
  }

  /** How soon two boxes (min, max) matter; infinite for never. Smaller is opened first. */
  abstract double key(double[] a, double[] b);

  /** Keys above this no longer matter. */
  abstract double bound();

  /** Two triangles whose boxes matter; {@link #pair} holds them. Returns false to end the walk. */
  abstract boolean triangles(int a, int b);

  /** Goes on until nothing is left within the bound. */
  final void run() {
    loadA(0);
    loadB(0);
    offer(0, 0, key(boxA, boxB));
    while (top > 0) {
      top--;
      if (stackKey[top] > bound()) {
        continue;
      }
      int a = stackA[top];
      int b = stackB[top];
      boolean leafA = ta.count[a] > 0;
      boolean leafB = tb.count[b] > 0;
      if (leafA && leafB) {
        if (!leaves(a, b)) {
          return;
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

  private void offer(int a, int b, double key) {
    if (key <= bound()) {
      push(a, b, key);
    }
  }

  private void open(int a, int b, boolean first) {
    double k0;
    double k1;
    if (first) {
      loadA(a);
      k0 = key(boxA, boxB);
      loadA(a + 1);
      k1 = key(boxA, boxB);
    } else {
      loadB(b);
      k0 = key(boxA, boxB);
      loadB(b + 1);
      k1 = key(boxA, boxB);
    }
    int a1 = first ? a + 1 : a;
    int b1 = first ? b : b + 1;
    if (k0 <= k1) {
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
      extent(pair.a, boxA);
      loadB(b);
      if (key(boxA, boxB) > bound()) {
        continue;
      }
      for (int j = fb; j < fb + tb.count[b]; j++) {
        int j0 = tb.order[j];
        mb.triangle(j0, pair.b);
        extent(pair.b, boxB);
        if (key(boxA, boxB) > bound()) {
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
  }

  private void loadB(int n) {
    for (int k = 0; k < 6; k++) {
      boxB[k] = tb.bounds[6 * n + k];
    }
  }

  /** Loads a triangle of the first mesh into {@link #pair}, in the frame of the second. */
  private void cornersOfA(int t) {
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

  private static void extent(double[] p, double[] box) {
    for (int k = 0; k < 3; k++) {
      box[k] = Math.min(p[k], Math.min(p[3 + k], p[6 + k]));
      box[3 + k] = Math.max(p[k], Math.max(p[3 + k], p[6 + k]));
    }
  }
}
