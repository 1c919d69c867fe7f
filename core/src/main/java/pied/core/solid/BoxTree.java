package pied.core.solid;

/**
 * A binary tree of boxes over boxes, built by the surface-area heuristic (binned, after MacDonald
 * and Booth 1990 and Wald 2007). Bounds are kept as floats rounded outward. Children of an inner
 * node stand side by side.
 */
final class BoxTree {
  private static final int BINS = 16;
  private static final float WALK = 1.0f;

  /** So many items are few. */
  private static final int FEW = 16;

  private static final int FEW_BINS = 6;

  /** Of very many items so many say where they are best parted. */
  private static final int SAMPLED = 4_096;

  /** Six floats a node: min x, y, z, max x, y, z. */
  final float[] bounds;

  /** For an inner node its left child (the right one follows); for a leaf ~(first item). */
  final int[] link;

  /** 0 for an inner node, else the number of items of the leaf. */
  final int[] count;

  /** Items in the order of the leaves. */
  final int[] order;

  /**
   * @param items six floats an item, min and max; left in another order
   * @param n number of items, at least 1
   * @param leafSize most items of a leaf
   */
  BoxTree(float[] items, int n, int leafSize) {
    Builder b = new Builder(items, n, leafSize);
    b.build();
    bounds = java.util.Arrays.copyOf(b.bounds, b.used * 6);
    link = java.util.Arrays.copyOf(b.link, b.used);
    count = java.util.Arrays.copyOf(b.count, b.used);
    order = b.order;
  }

  /** The square of the diagonal of a node. */
  double spread(int node) {
    int o = 6 * node;
    double x = bounds[o + 3] - bounds[o];
    double y = bounds[o + 4] - bounds[o + 1];
    double z = bounds[o + 5] - bounds[o + 2];
    return x * x + y * y + z * z;
  }

  static float down(double v) {
    float f = (float) v;
    return f > v ? Math.nextDown(f) : f;
  }

  static float up(double v) {
    float f = (float) v;
    return f < v ? Math.nextUp(f) : f;
  }

  static void clear(float[] box, int at) {
    box[at] = box[at + 1] = box[at + 2] = Float.POSITIVE_INFINITY;
    box[at + 3] = box[at + 4] = box[at + 5] = Float.NEGATIVE_INFINITY;
  }

  static void grow(float[] box, int at, float[] other, int from) {
    for (int k = 0; k < 3; k++) {
      if (other[from + k] < box[at + k]) {
        box[at + k] = other[from + k];
      }
      if (other[from + 3 + k] > box[at + 3 + k]) {
        box[at + 3 + k] = other[from + 3 + k];
      }
    }
  }

  private static final class Builder {
    final float[] items;
    final int n;
    final int leafSize;
    final float[] bounds;
    final int[] link;
    final int[] count;
    final int[] order;
    final float[] mid;
    int used = 1;

    final float[] binBox = new float[3 * BINS * 6];
    final int[] binCount = new int[3 * BINS];
    final float[] cmin = new float[3];
    final float[] scale = new float[3];
    final float[] rightArea = new float[BINS];
    final float[] acc = new float[6];

    Builder(float[] items, int n, int leafSize) {
      this.items = items;
      this.n = n;
      this.leafSize = leafSize;
      bounds = new float[Math.max(1, 2 * n) * 6];
      link = new int[Math.max(1, 2 * n)];
      count = new int[Math.max(1, 2 * n)];
      order = new int[n];
      mid = new float[3 * n];
      for (int i = 0; i < n; i++) {
        order[i] = i;
        for (int k = 0; k < 3; k++) {
          mid[3 * i + k] = 0.5f * (items[6 * i + k] + items[6 * i + 3 + k]);
        }
      }
    }

    void build() {
      int[] nodes = new int[128];
      int[] from = new int[128];
      int[] to = new int[128];
      int top = 1;
      from[0] = 0;
      to[0] = n;
      while (top > 0) {
        top--;
        int node = nodes[top];
        int a = from[top];
        int b = to[top];
        int cut = split(node, a, b);
        if (cut < 0) {
          link[node] = ~a;
          count[node] = b - a;
          continue;
        }
        int child = used;
        used += 2;
        link[node] = child;
        boolean leftLarger = cut - a > b - cut; // the smaller one is taken first: a shallow stack
        nodes[top] = leftLarger ? child : child + 1;
        from[top] = leftLarger ? a : cut;
        to[top] = leftLarger ? cut : b;
        top++;
        nodes[top] = leftLarger ? child + 1 : child;
        from[top] = leftLarger ? cut : a;
        to[top] = leftLarger ? b : cut;
        top++;
      }
    }

    /** Sets the node's bounds; orders its items and returns where they part, or -1 for a leaf. */
    int split(int node, int a, int b) {
      measure(a, b);
      System.arraycopy(acc, 0, bounds, 6 * node, 6);
      int m = b - a;
      if (m <= 1) {
        return -1;
      }
      float whole = area(acc, 0);
      // few items need few bins: most nodes are small, and their bins cost more than they
      int bins = m <= FEW ? FEW_BINS : BINS;
      int asked = fill(a, b, bins);
      float best = Float.MAX_VALUE;
      int bestAxis = -1;
      int bestBin = 0;
      for (int k = 0; k < 3; k++) {
        if (!(scale[k] > 0)) {
          continue;
        }
        int first = BINS * k;
        clear(acc, 0);
        for (int i = bins - 1; i > 0; i--) {
          grow(acc, 0, binBox, 6 * (first + i));
          rightArea[i] = area(acc, 0);
        }
        clear(acc, 0);
        int left = 0;
        for (int i = 0; i < bins - 1; i++) {
          grow(acc, 0, binBox, 6 * (first + i));
          left += binCount[first + i];
          if (left == 0 || left == asked) {
            continue;
          }
          float cost = left * area(acc, 0) + (asked - left) * rightArea[i + 1];
          if (cost < best) {
            best = cost;
            bestAxis = k;
            bestBin = i;
          }
        }
      }
      if (bestAxis < 0) { // all middles in one place
        return m <= leafSize ? -1 : (a + b) >>> 1;
      }
      if (m <= leafSize && WALK * whole + best >= m * whole) {
        return -1;
      }
      float from = cmin[bestAxis];
      float by = scale[bestAxis];
      int i = a;
      int j = b - 1;
      while (i <= j) {
        if ((int) ((mid[3 * i + bestAxis] - from) * by) <= bestBin) {
          i++;
        } else {
          swap(i, j--);
        }
      }
      return i;
    }

    /** The box of items, and that of their middles. */
    private void measure(int a, int b) {
      clear(acc, 0);
      float x0 = Float.MAX_VALUE;
      float y0 = Float.MAX_VALUE;
      float z0 = Float.MAX_VALUE;
      float x1 = -Float.MAX_VALUE;
      float y1 = -Float.MAX_VALUE;
      float z1 = -Float.MAX_VALUE;
      for (int i = a; i < b; i++) {
        grow(acc, 0, items, 6 * i);
        float x = mid[3 * i];
        float y = mid[3 * i + 1];
        float z = mid[3 * i + 2];
        x0 = x < x0 ? x : x0;
        y0 = y < y0 ? y : y0;
        z0 = z < z0 ? z : z0;
        x1 = x > x1 ? x : x1;
        y1 = y > y1 ? y : y1;
        z1 = z > z1 ? z : z1;
      }
      cmin[0] = x0;
      cmin[1] = y0;
      cmin[2] = z0;
      scale[0] = x1 - x0;
      scale[1] = y1 - y0;
      scale[2] = z1 - z0;
    }

    /**
     * Puts items into bins of all three directions in one go; no scale where all are in one place.
     *
     * @return how many
     */
    private int fill(int a, int b, int bins) {
      for (int k = 0; k < 3; k++) {
        float by = bins * 0.9999f / scale[k];
        scale[k] = scale[k] > 0 && by < Float.MAX_VALUE ? by : 0;
        for (int i = BINS * k; i < BINS * k + bins; i++) {
          binCount[i] = 0;
          clear(binBox, 6 * i);
        }
      }
      float x0 = cmin[0];
      float y0 = cmin[1];
      float z0 = cmin[2];
      float sx = scale[0];
      float sy = scale[1];
      float sz = scale[2];
      int step = b - a > 2 * SAMPLED ? (b - a) / SAMPLED : 1;
      for (int i = a; i < b; i += step) {
        int x = (int) ((mid[3 * i] - x0) * sx);
        int y = BINS + (int) ((mid[3 * i + 1] - y0) * sy);
        int z = 2 * BINS + (int) ((mid[3 * i + 2] - z0) * sz);
        binCount[x]++;
        binCount[y]++;
        binCount[z]++;
        grow(binBox, 6 * x, items, 6 * i);
        grow(binBox, 6 * y, items, 6 * i);
        grow(binBox, 6 * z, items, 6 * i);
      }
      return (b - a + step - 1) / step;
    }

    /**
     * Items change places with all that is known of them, so that every node reads them in a row.
     */
    private void swap(int i, int j) {
      int o = order[i];
      order[i] = order[j];
      order[j] = o;
      for (int k = 0; k < 6; k++) {
        float f = items[6 * i + k];
        items[6 * i + k] = items[6 * j + k];
        items[6 * j + k] = f;
      }
      for (int k = 0; k < 3; k++) {
        float f = mid[3 * i + k];
        mid[3 * i + k] = mid[3 * j + k];
        mid[3 * j + k] = f;
      }
    }

    static float area(float[] b, int at) {
      float x = b[at + 3] - b[at];
      float y = b[at + 4] - b[at + 1];
      float z = b[at + 5] - b[at + 2];
      return x < 0 ? 0 : x * y + y * z + z * x;
    }
  }
}
