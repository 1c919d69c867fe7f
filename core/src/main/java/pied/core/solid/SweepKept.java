package pied.core.solid;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReferenceArray;
import pied.core.Nullable;

/**
 * What is kept of a {@link SweepTree}: numbers only. It holds on to no mesh and to no other of its
 * kind, so that it takes as much room as it says.
 *
 * @param self known by this to others
 * @param asked how often it was asked for before its boxes were kept
 * @param hints which triangles met which of others last; whoever is later than another wins
 * @param nodes boxes of the nodes; null, as all that follows, if they are not kept
 * @param items boxes of the items that count
 * @param kept their triangles
 * @param before how many of them there are before each item of the tree
 */
record SweepKept(
    Object self,
    AtomicInteger asked,
    AtomicReferenceArray<SweepHint> hints,
    @Nullable SweepBoxes nodes,
    @Nullable SweepBoxes items,
    @Nullable int[] kept,
    @Nullable int[] before) {
  /** So many meshes that were met last are remembered. */
  private static final int HINTS = 64;

  SweepKept(SweepBoxes nodes, SweepBoxes items, int[] kept, int[] before) {
    this(
        new Object(),
        new AtomicInteger(),
        new AtomicReferenceArray<>(HINTS),
        nodes,
        items,
        kept,
        before);
  }

  /** Nothing yet. */
  static SweepKept none() {
    return new SweepKept(null, null, null, null);
  }

  long bytes() {
    long own = 512;
    return nodes == null
        ? own
        : own + nodes.bytes() + items.bytes() + 4L * (kept.length + before.length);
  }

  /** Which two triangles met the last time that this was moved toward another; null for none. */
  @Nullable
  SweepHint hint(SweepKept other) {
    SweepHint h = hints.get(System.identityHashCode(other.self) % HINTS);
    return h != null && h.other() == other.self ? h : null;
  }

  void hint(SweepKept other, int a, int b) {
    SweepHint known = hint(other);
    if (known == null || known.a() != a || known.b() != b) {
      hints.set(System.identityHashCode(other.self) % HINTS, new SweepHint(other.self, a, b));
    }
  }
}
