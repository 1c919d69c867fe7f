package pied.core.solid;

/**
 * A binary tree of boxes over boxes, built by the surface-area heuristic (binned, after MacDonald
 * and Booth 1990 and Wald 2007). Bounds are kept as floats rounded outward. Children of an inner
 * node stand side by side.
 */
final class BoxTree {
  private static final int BINS = 16;
  private static final float WALK = 1.0f;

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

    final float[] binBox = new float[BINS * 6];
    final int[] binCount = new int[BINS];
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
      float[] box = acc;
      clear(box, 0);
      float[] cmin = {Float.MAX_VALUE, Float.MAX_VALUE, Float.MAX_VALUE};
      float[] cmax = {-Float.MAX_VALUE, -Float.MAX_VALUE, -Float.MAX_VALUE};
      for (int i = a; i < b; i++) {
        grow(box, 0, items, 6 * i);
        for (int k = 0; k < 3; k++) {
          float m = mid[3 * i + k];
          cmin[k] = Math.min(cmin[k], m);
          cmax[k] = Math.max(cmax[k], m);
        }
      }
      System.arraycopy(box, 0, bounds, 6 * node, 6);
      int m = b - a;
      if (m <= 1) {
        return -1;
      }
      float whole = area(box, 0);
      float best = Float.MAX_VALUE;
      int bestAxis = -1;
      int bestBin = 0;
      for (int k = 0; k < 3; k++) {
        float width = cmax[k] - cmin[k];
        if (!(width > 0)) {
          continue;
        }
        float scale = BINS * 0.9999f / width;
        for (int i = 0; i < BINS; i++) {
          binCount[i] = 0;
          clear(binBox, 6 * i);
        }
        for (int i = a; i < b; i++) {
          int bin = (int) ((mid[3 * i + k] - cmin[k]) * scale);
          binCount[bin]++;
          grow(binBox, 6 * bin, items, 6 * i);
        }
        clear(acc, 0);
        for (int i = BINS - 1; i > 0; i--) {
          grow(acc, 0, binBox, 6 * i);
          rightArea[i] = area(acc, 0);
        }
        clear(acc, 0);
        int left = 0;
        for (int i = 0; i < BINS - 1; i++) {
          grow(acc, 0, binBox, 6 * i);
          left += binCount[i];
          if (left == 0 || left == m) {
            continue;
          }
          float cost = left * area(acc, 0) + (m - left) * rightArea[i + 1];
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
      float scale = BINS * 0.9999f / (cmax[bestAxis] - cmin[bestAxis]);
      int i = a;
      int j = b - 1;
      while (i <= j) {
        if ((int) ((mid[3 * i + bestAxis] - cmin[bestAxis]) * scale) <= bestBin) {
          i++;
        } else {
          swap(i, j--);
        }
      }
      return i;
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

    static float area(float[] b, int at) {
      float x = b[at + 3] - b[at];
      float y = b[at + 4] - b[at + 1];
      float z = b[at + 5] - b[at + 2];
      return x < 0 ? 0 : x * y + y * z + z * x;
    }
  }
}
