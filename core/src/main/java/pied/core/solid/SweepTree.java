package pied.core.solid;

import java.util.Arrays;
import java.util.Map;
import pied.core.BoundedCache;
import pied.core.Nullable;
import pied.core.Tolerance;

/**
 * The tree over a mesh as it is seen along the way of a sweep: boxes whose third direction is the
 * way, so that two meshes turned like this are compared by shifts alone. Boxes are those of {@link
 * Splits}, put round the same triangles anew: no sorting. Small ones have slanting faces too, since
 * a wall that is come to askew is far smaller than its box.
 *
 * <p>What is carried keeps its turn, and so does what stands; the same tree is asked again and
 * again. Its boxes are kept once they were asked for as often as making them costs; until then
 * boxes are turned as they are asked. Both give the same answers.
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

  private static final Map<SweepKey, SweepKept> KNOWN = BoundedCache.room(SHARE, SweepKept::bytes);

  private final Mesh mesh;
  private final BoxTree tree;
  private final double[] turn;
  private final SweepFacing facing;
  private final SweepKept known;

  private SweepTree(Mesh mesh, double[] turn, SweepFacing facing) {
    this.mesh = mesh;
    this.turn = turn;
    this.facing = facing;
    tree = mesh.tree().split();
    known = known(SweepKey.of(mesh, turn, facing));
  }

  /**
   * The tree of a mesh.
   *
   * @param turn from its own frame into that of the way, nine numbers, row by row
   */
  static SweepTree of(Mesh mesh, double[] turn, SweepFacing facing) {
    return new SweepTree(mesh, turn, facing);
  }

  private SweepKept known(SweepKey key) {
    SweepKept found = KNOWN.get(key);
    if (found != null && found.nodes() != null) {
      return found;
    }
    int times = found == null ? 0 : found.asked().incrementAndGet();
    boolean worth = mesh.triangles() <= MOST && times >= mesh.triangles() / WORTH;
    if (found == null || worth) {
      found = worth ? keep() : SweepKept.none();
      KNOWN.put(key, found);
    }
    return found;
  }

  /** Which two triangles met the last time that this was moved toward another; null for none. */
  @Nullable
  SweepHint hint(SweepTree other) {
    return known.hint(other.known);
  }

  void hint(SweepTree other, int a, int b) {
    known.hint(other.known, a, b);
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
    return known.before() == null ? at : known.before()[at];
  }

  int endOf(int leaf) {
    int at = ~tree.link[leaf] + tree.count[leaf];
    return known.before() == null ? at : known.before()[at];
  }

  int triangle(int item) {
    return known.kept() == null ? tree.order[item] : known.kept()[item];
  }

  /** The boxes of nodes, or null: then each is asked for. */
  SweepBoxes nodes() {
    return known.nodes();
  }

  /** Those of items likewise. */
  SweepBoxes items() {
    return known.items();
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

  private SweepKept keep() {
    int n = tree.order.length;
    SweepKept to =
        new SweepKept(
            new SweepBoxes(tree.link.length, n <= FEW),
            new SweepBoxes(n, true),
            new int[n],
            new int[n + 1]);
    int count = keep(0, 0, to, new SweepTriangles(mesh, turn, facing), new SweepBoxes(1, false));
    return new SweepKept(
        to.nodes(), to.items().first(count), Arrays.copyOf(to.kept(), count), to.before());
  }

  /**
   * Keeps what counts of a node and of those below it.
   *
   * @param first how many items are kept by now
   * @param whole room for the box of a node
   * @return how many are then
   */
  private int keep(int node, int first, SweepKept to, SweepTriangles all, SweepBoxes whole) {
    SweepBoxes nodes = to.nodes();
    int end;
    nodes.clear(node);
    if (isLeaf(node)) {
      end = keepLeaf(node, first, to, all, whole);
      for (int i = first; i < end; i++) {
        nodes.grow(node, to.items(), i);
      }
    } else {
      int child = tree.link[node];
      end = keep(child + 1, keep(child, first, to, all, whole), to, all, whole);
      nodes.grow(node, nodes, child);
      nodes.grow(node, nodes, child + 1);
    }
    if (nodes.faced()) {
      nodes.face(node, all, to.kept(), first, end);
    }
    return end;
  }

  /** Keeps the items of a leaf that count; what is split off a triangle has its leaf's box. */
  private int keepLeaf(int node, int first, SweepKept to, SweepTriangles all, SweepBoxes whole) {
    node(node, whole);
    int end = first;
    int from = ~tree.link[node];
    for (int i = from; i < from + tree.count[node]; i++) {
      int t = tree.order[i];
      if (all.counts[t]) {
        to.items().set(end, all.corners, 9 * t);
        to.items().cut(end, whole, 0);
        to.items().face(end, all, t);
        to.kept()[end++] = t;
      }
      to.before()[i + 1] = end;
    }
    return end;
  }
}
