package pied.core.solid;

import java.util.Arrays;

/**
 * Makes nodes of many children out of nodes of two, always opening the largest child (after Wald,
 * Benthin and Boulos 2008). A node is eight numbers for each of its children: bounds as bits of
 * floats, those of one kind of all children side by side (least x, most x, least y and so on), then
 * what each leads to: the place of a node, or ~(first item * 8 + number of items) for a leaf. The
 * largest child stands first; what is missing has a box that nothing meets.
 */
final class WideNodes {
  /** Children of a node that is asked one box after the other. */
  static final int WIDTH = 4;

  /** Where the links of such a node begin. */
  static final int LINKS = 6 * WIDTH;

  /**
   * What boxes are larger by, of the largest coordinate that counts with them: a few steps of
   * rounding of a float.
   */
  private static final float PAD = 3e-7f;

  private final BoxTree boxes;
  private final int width;

  /** Numbers of a node, filled up to whole lines of the cache. */
  private final int size;

  private final int[] open;
  private final float pad;
  private int[] nodes;
  private int used;

  private WideNodes(BoxTree boxes, int width) {
    this.boxes = boxes;
    this.width = width;
    size = 8 * width;
    open = new int[width];
    pad = pad(boxes);
    nodes = new int[size * Math.max(1, boxes.link.length / width + 1)];
    used = size;
  }

  /** A ray begins no farther from all there is than that is across, and is as coarse there. */
  static float pad(BoxTree boxes) {
    float most = 0;
    float across = 0;
    for (int k = 0; k < 3; k++) {
      float lo = boxes.bounds[k];
      float hi = boxes.bounds[3 + k];
      most = Math.max(most, Math.max(Math.abs(lo), Math.abs(hi)));
      across += hi - lo;
    }
    return PAD * (most + across);
  }

  static int[] of(BoxTree boxes) {
    return of(boxes, WIDTH);
  }

  /**
   * @param width most children of a node
   */
  static int[] of(BoxTree boxes, int width) {
    return new WideNodes(boxes, width).nodes();
  }

  private int[] nodes() {
    int[] from = new int[Math.max(4, boxes.link.length)];
    int[] to = new int[from.length];
    int top = 1; // the root, to node 0
    while (top > 0) {
      top--;
      int node = to[top];
      int n = opened(from[top]);
      for (int i = 0; i < width; i++) {
        if (i >= n) {
          empty(node + i);
          continue;
        }
        int child = open[i];
        put(node + i, child);
        if (boxes.count[child] > 0) {
          nodes[node + 6 * width + i] = ~((~boxes.link[child]) << 3 | boxes.count[child]);
        } else {
          room();
          nodes[node + 6 * width + i] = used;
          from[top] = child;
          to[top++] = used;
          used += size;
        }
      }
    }
    return Arrays.copyOf(nodes, used);
  }

  private void room() {
    if (used + size > nodes.length) {
      nodes = Arrays.copyOf(nodes, nodes.length + (nodes.length >> 1) + size);
    }
  }

  /** Up to four below a node, the largest first; itself where it is a leaf. */
  private int opened(int node) {
    open[0] = node;
    int n = 1;
    while (n < width) {
      int largest = -1;
      for (int i = 0; i < n; i++) {
        boolean inner = boxes.count[open[i]] == 0;
        if (inner && (largest < 0 || area(open[i]) > area(open[largest]))) {
          largest = i;
        }
      }
      if (largest < 0) {
        break;
      }
      int child = boxes.link[open[largest]];
      open[largest] = child;
      open[n++] = child + 1;
    }
    for (int i = 1; i < n; i++) {
      int o = open[i];
      int k = i;
      for (; k > 0 && area(open[k - 1]) < area(o); k--) {
        open[k] = open[k - 1];
      }
      open[k] = o;
    }
    return n;
  }

  private float area(int node) {
    float[] b = boxes.bounds;
    int o = 6 * node;
    float x = b[o + 3] - b[o];
    float y = b[o + 4] - b[o + 1];
    float z = b[o + 5] - b[o + 2];
    return x * y + y * z + z * x;
  }

  private void put(int at, int child) {
    for (int k = 0; k < 3; k++) {
      float lo = boxes.bounds[6 * child + k];
      float hi = boxes.bounds[6 * child + 3 + k];
      nodes[at + 2 * width * k] = Float.floatToRawIntBits(lo - pad);
      nodes[at + 2 * width * k + width] = Float.floatToRawIntBits(hi + pad);
    }
  }

  private void empty(int at) {
    for (int k = 0; k < 3; k++) {
      nodes[at + 2 * width * k] = Float.floatToRawIntBits(Float.POSITIVE_INFINITY);
      nodes[at + 2 * width * k + width] = Float.floatToRawIntBits(Float.NEGATIVE_INFINITY);
    }
  }

  /** When a ray has passed the three planes of a box that it meets first, as bits, 0 at least. */
  static int latest(
      int[] nodes,
      int x,
      int y,
      int z,
      float ox,
      float oy,
      float oz,
      float ix,
      float iy,
      float iz) {
    int a = Float.floatToRawIntBits((Float.intBitsToFloat(nodes[x]) - ox) * ix);
    int b = Float.floatToRawIntBits((Float.intBitsToFloat(nodes[y]) - oy) * iy);
    int c = Float.floatToRawIntBits((Float.intBitsToFloat(nodes[z]) - oz) * iz);
    return Math.max(Math.max(a, b), Math.max(c, 0));
  }

  /** When it comes to the first of the other three, at most so far; negative for never. */
  static int soonest(
      int[] nodes,
      int x,
      int y,
      int z,
      float ox,
      float oy,
      float oz,
      float ix,
      float iy,
      float iz,
      int limit) {
    int a = Float.floatToRawIntBits((Float.intBitsToFloat(nodes[x]) - ox) * ix);
    int b = Float.floatToRawIntBits((Float.intBitsToFloat(nodes[y]) - oy) * iy);
    int c = Float.floatToRawIntBits((Float.intBitsToFloat(nodes[z]) - oz) * iz);
    return Math.min(Math.min(a, b), Math.min(c, limit));
  }
}
