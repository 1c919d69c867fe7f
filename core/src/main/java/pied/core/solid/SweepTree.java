package pied.core.solid;

import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReferenceArray;
import pied.core.BoundedCache;
import pied.core.Tolerance;

/**
 * The tree over a mesh as it is seen along the way of a sweep: boxes whose third direction is the
 * way, so that two meshes turned like this are compared by shifts alone. Boxes are those of {@link
 * Splits}, put round the same triangles anew: no sorting. Small ones have slanting faces too, since
 * a wall that is come to askew is far smaller than its box.
 *
 * <p>What is carried keeps its turn, and so does what stands; the same tree is asked again and
 * again. It is kept once it was asked for as often as making it costs; until then boxes are turned
 * as they are asked. Both give the same answers.
 */
final class SweepTree {
  /** Boxes are larger across by this, metres: they serve all that is turned so but for rounding. */
  static final double PAD = Tolerance.SAME;

  /** Only the boxes of few triangles have faces: many are of all kinds. */
  private static final int FEW = 64;

  /** Making a tree of so many triangles costs about what one walk does with boxes turned. */
  private static final int WORTH = 100;

  /** Kept trees take no more than this share of the memory. */
  private static final double SHARE = 1.0 / 16;

  /** A mesh of more triangles is never kept: it would push out all others. */
  private static final int MOST = 200_000;

  /** So many meshes that were met last are remembered. */
  private static final int HINTS = 64;

  private static final Map<SweepKey, SweepTree> KNOWN = BoundedCache.room(SHARE, SweepTree::bytes);

  private final Mesh mesh;
  private final BoxTree tree;
  private final double[] turn;
  private final SweepFacing facing;
  private final AtomicInteger asked = new AtomicInteger();

  /** Which triangles met which of others last; whoever is later than another wins. */
  private final AtomicReferenceArray<SweepHint> hints = new AtomicReferenceArray<>(HINTS);

  /** The boxes of nodes and of items that count; null if they are not kept. */
  private SweepBoxes nodes;

  private SweepBoxes items;

  /** The triangles of these, and how many of them there are before each item of the tree. */
  private int[] kept;

  private int[] before;

  private SweepTree(Mesh mesh, double[] turn, SweepFacing facing) {
    this.mesh = mesh;
    this.turn = turn;
    this.facing = facing;
    tree = mesh.tree().split();
  }

  /**
   * The tree of a mesh.
   *
   * @param turn from its own frame into that of the way, nine numbers, row by row
   */
  static SweepTree of(Mesh mesh, double[] turn, SweepFacing facing) {
    SweepKey key = SweepKey.of(mesh, turn, facing);
    SweepTree known = KNOWN.get(key);
    if (known != null && known.nodes != null) {
      return known;
    }
    int times = known == null ? 0 : known.asked.incrementAndGet();
    boolean worth = mesh.triangles() <= MOST && times >= mesh.triangles() / WORTH;
    if (known == null || worth) {
      known = new SweepTree(mesh, turn, facing);
      if (worth) {
        known.keep();
      }
      KNOWN.put(key, known);
    }
    return known;
  }

  private long bytes() {
    long own = 256;
    return nodes == null
        ? own
        : own + nodes.bytes() + items.bytes() + 4L * (kept.length + before.length);
  }

  /** Which two triangles met the last time that this was moved toward another; null for none. */
  SweepHint hint(SweepTree other) {
    SweepHint h = hints.get(System.identityHashCode(other) % HINTS);
    return h != null && h.other() == other ? h : null;
  }

  void hint(SweepTree other, int a, int b) {
    SweepHint known = hint(other);
    if (known == null || known.a() != a || known.b() != b) {
      hints.set(System.identityHashCode(other) % HINTS, new SweepHint(other, a, b));
    }
  }

  // ---- what it is asked

  boolean isLeaf(int node) {
    return tree.link[node] < 0;
  }

  int left(int node) {
    return tree.link[node];
  }

  int firstOf(int leaf) {
    int at = ~tree.link[leaf];
    return before == null ? at : before[at];
  }

  int endOf(int leaf) {
    int at = ~tree.link[leaf] + tree.count[leaf];
    return before == null ? at : before[at];
  }

  int triangle(int item) {
    return kept == null ? tree.order[item] : kept[item];
  }

  /** The boxes of nodes, or null: then each is asked for. */
  SweepBoxes nodes() {
    return nodes;
  }

  /** Those of items likewise. */
  SweepBoxes items() {
    return items;
  }

  /**
   * The box of an item, as the only one of these; false if it does not count.
   *
   * @param p room for the corners of its triangle, n for its normal
   */
  boolean item(int item, SweepBoxes out, double[] p, double[] n) {
    SweepTriangles.corners(mesh, turn, tree.order[item], p);
    SweepTriangles.normal(p, n);
    out.set(0, p, 0);
    return SweepTriangles.counts(n, facing);
  }

  /** The box round a node's box turned, as the only one of these. */
  void node(int node, SweepBoxes out) {
    float[] f = tree.bounds;
    int o = 6 * node;
    double cx = 0.5 * ((double) f[o] + f[o + 3]);
    double cy = 0.5 * ((double) f[o + 1] + f[o + 4]);
    double cz = 0.5 * ((double) f[o + 2] + f[o + 5]);
    double hx = f[o + 3] - cx;
    double hy = f[o + 4] - cy;
    double hz = f[o + 5] - cz;
    for (int k = 0; k < 3; k++) {
      double x = turn[3 * k];
      double y = turn[3 * k + 1];
      double z = turn[3 * k + 2];
      double at = x * cx + y * cy + z * cz;
      double half = Math.abs(x) * hx + Math.abs(y) * hy + Math.abs(z) * hz + PAD;
      out.set(0, k, at - half, at + half);
    }
  }

  // ---- keeping it

  private void keep() {
    int n = tree.order.length;
    kept = new int[n];
    before = new int[n + 1];
    SweepBoxes all = new SweepBoxes(n, true);
    nodes = new SweepBoxes(tree.link.length, n <= FEW);
    int count = keep(0, 0, all, new SweepTriangles(mesh, turn, facing), new SweepBoxes(1, false));
    kept = Arrays.copyOf(kept, count);
    items = all.first(count);
  }

  /**
   * Keeps what counts of a node and of those below it.
   *
   * @param first how many items are kept by now
   * @param whole room for the box of a node
   * @return how many are then
   */
  private int keep(int node, int first, SweepBoxes to, SweepTriangles all, SweepBoxes whole) {
    int end;
    nodes.clear(node);
    if (isLeaf(node)) {
      end = keepLeaf(node, first, to, all, whole);
      for (int i = first; i < end; i++) {
        nodes.grow(node, to, i);
      }
    } else {
      int child = tree.link[node];
      end = keep(child + 1, keep(child, first, to, all, whole), to, all, whole);
      nodes.grow(node, nodes, child);
      nodes.grow(node, nodes, child + 1);
    }
    if (nodes.faced()) {
      nodes.face(node, all, kept, first, end);
    }
    return end;
  }

  /** Keeps the items of a leaf that count; what is split off a triangle has its leaf's box. */
  private int keepLeaf(int node, int first, SweepBoxes to, SweepTriangles all, SweepBoxes whole) {
    node(node, whole);
    int end = first;
    int from = ~tree.link[node];
    for (int i = from; i < from + tree.count[node]; i++) {
      int t = tree.order[i];
      if (all.counts[t]) {
        to.set(end, all.corners, 9 * t);
        to.cut(end, whole, 0);
        to.face(end, all, t);
        kept[end++] = t;
      }
      before[i + 1] = end;
    }
    return end;
  }
}
