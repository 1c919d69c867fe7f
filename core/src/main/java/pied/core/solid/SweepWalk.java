package pied.core.solid;

import java.util.Arrays;
import java.util.PriorityQueue;
import pied.core.Tolerance;

/**
 * The walk down the trees of a mesh that moves and of one that rests, both at once: pairs of boxes
 * that come to meet are opened, the nearest first, until pairs of triangles remain. Everything
 * happens in the frame of the way, from the place of what rests.
 */
abstract class SweepWalk {
  private static final double GRAZE = Travel.GRAZE;

  /** What is met so much sooner than something else is met at once, metres. */
  static final double SAME = Tolerance.NONE;

  final Sweep sweep;
  final TrianglePair pair = new TrianglePair();
  private final SweepTree ta;
  private final SweepTree tb;
  private final Mesh mb;
  private final double[] turnB;
  private final double ox;
  private final double oy;
  private final double oz;

  /** What is met later than this no longer matters. */
  double bound = Double.MAX_VALUE;

  /** What is met later than this will never matter. */
  double farthest = Double.MAX_VALUE;

  /** What is left behind before this does not matter. */
  double left;

  /** When the boxes compared last part. */
  private double last;

  /** The boxes at hand: where they are, and room for one that is not kept. */
  private SweepBoxes boxesA;

  private SweepBoxes boxesB;
  private int atA;
  private int atB;
  private final SweepBoxes roomA = new SweepBoxes(1, false);
  private final SweepBoxes roomB = new SweepBoxes(1, false);
  private final double[] normal = new double[3];
  private int[] stackA = new int[64];
  private int[] stackB = new int[64];
  private double[] stackKey = new double[64];
  private int top;

  /** What is met later than the bound, where that grows; null where it does not. */
  private final PriorityQueue<Waiting> waiting;

  /** When triangles of two leaves are met that do not matter yet. */
  private double later;

  /**
   * @param facing whether only those triangles count that look at the other
   * @param grows whether what is met later than the bound may matter once that has grown: it waits,
   *     the first of it first, and the walk can go on from where it ended
   */
  SweepWalk(Sweep sweep, Mesh b, Pose pb, boolean facing, boolean grows) {
    this.sweep = sweep;
    ta = sweep.own(facing);
    mb = b;
    turnB = sweep.turn(pb);
    tb = SweepTree.of(b, turnB, facing ? SweepFacing.AGAINST : SweepFacing.ALL);
    Vec from = sweep.seen(sweep.pose.at().minus(pb.at()));
    ox = from.x();
    oy = from.y();
    oz = from.z();
    waiting = grows ? new PriorityQueue<>() : null;
  }

  /** Two triangles that may meet; {@link #pair} holds them. Returns false to end the walk. */
  abstract boolean triangles(int a, int b);

  final void run() {
    begin();
    go();
  }

  /** What met the last time is met about now: by then all is known that can be. */
  final void hinted() {
    SweepHint h = ta.hint(tb);
    if (h != null) {
      cornersOfA(h.a());
      cornersOfB(h.b());
      if (pair.sweep(GRAZE, bound, left) && pair.in > Travel.TOUCH) {
        bound = Math.min(bound, pair.in + SAME);
      }
    }
  }

  /** These two triangles have met. */
  final void hint(int a, int b) {
    ta.hint(tb, a, b);
  }

  final void begin() {
    loadA(0);
    loadB(0);
    offer(0, 0, key());
  }

  /** When the boxes at hand meet at the earliest; infinite for never. */
  private double key() {
    double[] a = boxesA.all;
    double[] b = boxesB.all;
    int i = atA * boxesA.stride;
    int j = atB * boxesB.stride;
    boolean never =
        b[j + 3] - (a[i] + ox) <= GRAZE
            || a[i + 3] + ox - b[j] <= GRAZE
            || b[j + 4] - (a[i + 1] + oy) <= GRAZE
            || a[i + 4] + oy - b[j + 1] <= GRAZE;
    if (never) {
      return Double.POSITIVE_INFINITY;
    }
    last = b[j + 5] - a[i + 2] - oz;
    double key = b[j + 2] - a[i + 5] - oz;
    if (last <= left) {
      return Double.POSITIVE_INFINITY;
    }
    boolean aslant = key <= bound && (boxesA.slants(atA) || boxesB.slants(atB));
    return aslant ? aslant(key, a, i, b, j) : key;
  }

  /** The same of their faces: one's face and the other's box, and both faces. */
  private double aslant(double key, double[] a, int i, double[] b, int j) {
    double x0 = Math.max(a[i] + ox, b[j]);
    double x1 = Math.min(a[i + 3] + ox, b[j + 3]);
    double y0 = Math.max(a[i + 1] + oy, b[j + 1]);
    double y1 = Math.min(a[i + 4] + oy, b[j + 4]);
    double sx = boxesA.face(atA, SweepBoxes.LOWER, 1);
    double sy = boxesA.face(atA, SweepBoxes.LOWER, 2);
    double foot = boxesA.face(atA, SweepBoxes.LOWER, 0) + oz - sx * ox - sy * oy;
    double tx = boxesB.face(atB, SweepBoxes.UPPER, 1);
    double ty = boxesB.face(atB, SweepBoxes.UPPER, 2);
    double high = boxesB.face(atB, SweepBoxes.UPPER, 0);
    last = Math.min(last, high - foot - least(sx - tx, x0, x1) - least(sy - ty, y0, y1));
    if (last <= left) {
      return Double.POSITIVE_INFINITY;
    }
    sx = boxesA.face(atA, SweepBoxes.UPPER, 1);
    sy = boxesA.face(atA, SweepBoxes.UPPER, 2);
    double top = boxesA.face(atA, SweepBoxes.UPPER, 0) + oz - sx * ox - sy * oy;
    tx = boxesB.face(atB, SweepBoxes.LOWER, 1);
    ty = boxesB.face(atB, SweepBoxes.LOWER, 2);
    double low = boxesB.face(atB, SweepBoxes.LOWER, 0);
    double ahead = low + least(tx, x0, x1) + least(ty, y0, y1) - a[i + 5] - oz;
    double behind = b[j + 2] - top + least(-sx, x0, x1) + least(-sy, y0, y1);
    double both = low - top + least(tx - sx, x0, x1) + least(ty - sy, y0, y1);
    return Math.max(Math.max(key, both), Math.max(ahead, behind));
  }

  private static double least(double slope, double from, double to) {
    return slope * (slope > 0 ? from : to);
  }

  /** Goes on until nothing is left within the bound. */
  final void go() {
    while (top > 0 || taken()) {
      top--;
      if (stackKey[top] > bound) {
        continue;
      }
      int a = stackA[top];
      int b = stackB[top];
      boolean leafA = ta.isLeaf(a);
      boolean leafB = tb.isLeaf(b);
      loadA(a);
      loadB(b);
      if (waiting != null && key() == Double.POSITIVE_INFINITY) {
        continue; // what was known to be left behind has grown since
      }
      if (leafA && leafB) {
        if (!leaves(a, b)) {
          return;
        }
      } else if (leafB || !leafA && boxesA.spread(atA) >= boxesB.spread(atB)) {
        openA(ta.left(a), b);
      } else {
        openB(a, tb.left(b));
      }
    }
  }

  /** Takes what has waited and matters by now; false if nothing does. */
  private boolean taken() {
    while (waiting != null && !waiting.isEmpty() && waiting.peek().key() <= bound) {
      Waiting w = waiting.poll();
      push(w.a(), w.b(), w.key());
    }
    return top > 0;
  }

  private void offer(int a, int b, double key) {
    if (key <= bound) {
      push(a, b, key);
    } else {
      later(a, b, key);
    }
  }

  private void later(int a, int b, double key) {
    if (waiting != null && key <= farthest) {
      waiting.add(new Waiting(a, b, key));
    }
  }

  private void openA(int a, int b) {
    loadA(a);
    double k0 = key();
    double last0 = last;
    loadA(a + 1);
    double k1 = key();
    offer(a, b, k0, last0, a + 1, b, k1);
  }

  private void openB(int a, int b) {
    loadB(b);
    double k0 = key();
    double last0 = last;
    loadB(b + 1);
    double k1 = key();
    offer(a, b, k0, last0, a, b + 1, k1);
  }

  /** The first of two is opened first, or, where the bound grows, what lasts the longest. */
  private void offer(int a0, int b0, double k0, double last0, int a1, int b1, double k1) {
    if (waiting != null ? last0 >= last : k0 <= k1) {
      offer(a1, b1, k1);
      offer(a0, b0, k0);
    } else {
      offer(a0, b0, k0);
      offer(a1, b1, k1);
    }
  }

  private boolean leaves(int a, int b) {
    later = Double.POSITIVE_INFINITY;
    int endA = ta.endOf(a);
    int endB = tb.endOf(b);
    for (int i = ta.firstOf(a); i < endA; i++) {
      if (!itemOfA(i)) {
        continue;
      }
      loadB(b);
      if (passes()) {
        continue;
      }
      int i0 = ta.triangle(i);
      boolean loaded = false;
      for (int j = tb.firstOf(b); j < endB; j++) {
        if (!itemOfB(j) || passes()) {
          continue;
        }
        if (!loaded) {
          cornersOfA(i0);
          loaded = true;
        }
        int j0 = tb.triangle(j);
        cornersOfB(j0);
        if (!triangles(i0, j0)) {
          return false;
        }
      }
    }
    later(a, b, later);
    return true;
  }

  /** Whether the boxes at hand do not matter; they may later. */
  private boolean passes() {
    double k = key();
    if (k > bound) {
      later = Math.min(later, k);
      return true;
    }
    return false;
  }

  /** Triangles of the leaves at hand are met by then, later than the bound. */
  final void later(double key) {
    later = Math.min(later, key);
  }

  private void push(int a, int b, double k) {
    if (top == stackA.length) {
      stackA = Arrays.copyOf(stackA, 2 * top);
      stackB = Arrays.copyOf(stackB, 2 * top);
      stackKey = Arrays.copyOf(stackKey, 2 * top);
    }
    stackA[top] = a;
    stackB[top] = b;
    stackKey[top++] = k;
  }

  private void loadA(int n) {
    boxesA = ta.nodes();
    atA = n;
    if (boxesA == null) {
      boxesA = roomA;
      atA = 0;
      ta.node(n, roomA);
    }
  }

  private void loadB(int n) {
    boxesB = tb.nodes();
    atB = n;
    if (boxesB == null) {
      boxesB = roomB;
      atB = 0;
      tb.node(n, roomB);
    }
  }

  private boolean itemOfA(int i) {
    boxesA = ta.items();
    atA = i;
    if (boxesA != null) {
      return true;
    }
    boxesA = roomA;
    atA = 0;
    return ta.item(i, roomA, pair.a, normal);
  }

  private boolean itemOfB(int i) {
    boxesB = tb.items();
    atB = i;
    if (boxesB != null) {
      return true;
    }
    boxesB = roomB;
    atB = 0;
    return tb.item(i, roomB, pair.b, normal);
  }

  /** Loads a triangle of what moves into {@link #pair}. */
  final void cornersOfA(int t) {
    double[] p = pair.a;
    SweepTriangles.corners(sweep.mesh, sweep.turn, t, p);
    for (int k = 0; k < 9; k += 3) {
      p[k] += ox;
      p[k + 1] += oy;
      p[k + 2] += oz;
    }
  }

  final void cornersOfB(int t) {
    SweepTriangles.corners(mb, turnB, t, pair.b);
  }
}
