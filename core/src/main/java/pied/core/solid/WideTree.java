package pied.core.solid;

import java.util.Arrays;

/**
 * The tree over a mesh for rays: four children a node, so that a step of the walk asks four boxes
 * that lie side by side, and triangles in the order of the leaves. Boxes and triangles are asked in
 * floats; boxes are a little larger than what they hold, so that no rounding loses a hit. A ray
 * costs about the logarithm of the number of triangles; nothing is allocated.
 */
final class WideTree extends RayTree {
  private static final int WIDTH = WideNodes.WIDTH;
  private static final int LINKS = WideNodes.LINKS;
  private static final int STACK = 256;

  /** A ray meets a triangle still so far beyond its edges, of their lengths. */
  static final float EDGE = 1e-6f;

  private static final long MISS = Long.MAX_VALUE;

  /** Bounds as bits of floats: those of one kind of all four children side by side. */
  private final int[] nodes;

  /** First corner and the two edges from it, nine floats a triangle, in the order of the leaves. */
  private final float[] shape;

  WideTree(Mesh mesh, BoxTree boxes) {
    super(boxes);
    shape = shape(mesh, boxes.order);
    nodes = WideNodes.of(boxes);
  }

  /** First corner and the two edges from it, nine floats a triangle, in an order. */
  static float[] shape(Mesh mesh, int[] order) {
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    float[] shape = new float[9 * order.length];
    for (int i = 0; i < order.length; i++) {
      int t = 3 * order[i];
      for (int k = 0; k < 3; k++) {
        double a = p[3 * c[t] + k];
        shape[9 * i + k] = (float) a;
        shape[9 * i + 3 + k] = (float) (p[3 * c[t + 1] + k] - a);
        shape[9 * i + 6 + k] = (float) (p[3 * c[t + 2] + k] - a);
      }
    }
    return shape;
  }

  @Override
  long bytes() {
    return 4L * (nodes.length + shape.length);
  }

  /** Scratch of a walk, one a thread. */
  static final class WalkStack {
    long[] links = new long[STACK];
    final int[] lanes = new int[16];
    final float[] faces = new float[8];

    long[] larger() {
      links = Arrays.copyOf(links, 2 * links.length);
      return links;
    }

    /** Distance to what was met. */
    float distance;

    /** Along the first and the second edge of the triangle, of 1. */
    float u;

    float v;
  }

  @Override
  int nearest(
      float ox, float oy, float oz, float dx, float dy, float dz, float limit, WalkStack scratch) {
    final int[] nodes = this.nodes;
    final float[] shape = this.shape;
    long[] stack = scratch.links;
    final float ix = 1 / RayStart.steep(dx);
    final float iy = 1 / RayStart.steep(dy);
    final float iz = 1 / RayStart.steep(dz);
    // which of two bounds is met first, as an offset into a node
    final int x0 = ix >= 0 ? 0 : 4;
    final int y0 = iy >= 0 ? 8 : 12;
    final int z0 = iz >= 0 ? 16 : 20;
    final int x1 = 4 - x0;
    final int y1 = 20 - y0;
    final int z1 = 36 - z0;
    float best = limit;
    int bestBits = Float.floatToRawIntBits(best);
    int found = -1;
    int top = 0;
    int node = 0;
    while (true) {
      if (top + WIDTH > stack.length) {
        stack = scratch.larger();
      }
      if (node >= 0) {
        // the nearest child is taken at once, the others wait; distances are not negative: their
        // bits have the order of the floats
        long first = MISS;
        for (int i = 0; i < WIDTH; i++) {
          int at = node + i;
          int n = WideNodes.latest(nodes, at + x0, at + y0, at + z0, ox, oy, oz, ix, iy, iz);
          int f =
              WideNodes.soonest(nodes, at + x1, at + y1, at + z1, ox, oy, oz, ix, iy, iz, bestBits);
          if (n <= f) {
            long key = (long) n << 32 | nodes[at + LINKS] & 0xFFFFFFFFL;
            if (first == MISS) {
              first = key;
            } else if (key < first) {
              stack[top++] = first;
              first = key;
            } else {
              stack[top++] = key;
            }
          }
        }
        if (first != MISS) {
          node = (int) first;
          continue;
        }
      } else {
        int leaf = ~node;
        int from = leaf >> 3;
        int to = from + (leaf & 7);
        for (int i = from; i < to; i++) {
          int s = 9 * i;
          float e1x = shape[s + 3];
          float e1y = shape[s + 4];
          float e1z = shape[s + 5];
          float e2x = shape[s + 6];
          float e2y = shape[s + 7];
          float e2z = shape[s + 8];
          float px = dy * e2z - dz * e2y;
          float py = dz * e2x - dx * e2z;
          float pz = dx * e2y - dy * e2x;
          float det = e1x * px + e1y * py + e1z * pz;
          float size = Math.abs(det);
          float edge = EDGE * size;
          float tx = ox - shape[s];
          float ty = oy - shape[s + 1];
          float tz = oz - shape[s + 2];
          float u = Math.copySign(1f, det) * (tx * px + ty * py + tz * pz);
          if (!(u >= -edge && u <= size + edge)) {
            continue;
          }
          float qx = ty * e1z - tz * e1y;
          float qy = tz * e1x - tx * e1z;
          float qz = tx * e1y - ty * e1x;
          float v = Math.copySign(1f, det) * (dx * qx + dy * qy + dz * qz);
          if (!(v >= -edge && u + v <= size + edge)) {
            continue;
          }
          float t = (e2x * qx + e2y * qy + e2z * qz) / det;
          if (t >= 0 && t < best) {
            best = t;
            bestBits = Float.floatToRawIntBits(t);
            found = i;
            scratch.u = u / size;
            scratch.v = v / size;
          }
        }
      }
      long next;
      do {
        if (top == 0) {
          scratch.distance = best;
          return found;
        }
        next = stack[--top];
      } while ((int) (next >> 32) > bestBits);
      node = (int) next;
    }
  }

  @Override
  boolean any(
      float ox, float oy, float oz, float dx, float dy, float dz, float limit, WalkStack scratch) {
    final int[] nodes = this.nodes;
    final float[] shape = this.shape;
    long[] stack = scratch.links;
    final float ix = 1 / RayStart.steep(dx);
    final float iy = 1 / RayStart.steep(dy);
    final float iz = 1 / RayStart.steep(dz);
    final int x0 = ix >= 0 ? 0 : 4;
    final int y0 = iy >= 0 ? 8 : 12;
    final int z0 = iz >= 0 ? 16 : 20;
    final int x1 = 4 - x0;
    final int y1 = 20 - y0;
    final int z1 = 36 - z0;
    final int limitBits = Float.floatToRawIntBits(limit);
    int top = 0;
    int node = 0;
    while (true) {
      if (top + WIDTH > stack.length) {
        stack = scratch.larger();
      }
      if (node >= 0) {
        // the largest child stands first and is taken first
        for (int i = WIDTH - 1; i >= 0; i--) {
          int at = node + i;
          if (WideNodes.latest(nodes, at + x0, at + y0, at + z0, ox, oy, oz, ix, iy, iz)
              <= WideNodes.soonest(
                  nodes, at + x1, at + y1, at + z1, ox, oy, oz, ix, iy, iz, limitBits)) {
            stack[top++] = nodes[at + LINKS];
          }
        }
      } else {
        int leaf = ~node;
        int from = leaf >> 3;
        int to = from + (leaf & 7);
        for (int i = from; i < to; i++) {
          if (meets(shape, 9 * i, ox, oy, oz, dx, dy, dz, limit)) {
            return true;
          }
        }
      }
      if (top == 0) {
        return false;
      }
      node = (int) stack[--top];
    }
  }

  private static boolean meets(
      float[] shape,
      int s,
      float ox,
      float oy,
      float oz,
      float dx,
      float dy,
      float dz,
      float limit) {
    float e1x = shape[s + 3];
    float e1y = shape[s + 4];
    float e1z = shape[s + 5];
    float e2x = shape[s + 6];
    float e2y = shape[s + 7];
    float e2z = shape[s + 8];
    float px = dy * e2z - dz * e2y;
    float py = dz * e2x - dx * e2z;
    float pz = dx * e2y - dy * e2x;
    float inv = 1 / (e1x * px + e1y * py + e1z * pz);
    float tx = ox - shape[s];
    float ty = oy - shape[s + 1];
    float tz = oz - shape[s + 2];
    float u = (tx * px + ty * py + tz * pz) * inv;
    float qx = ty * e1z - tz * e1y;
    float qy = tz * e1x - tx * e1z;
    float qz = tx * e1y - ty * e1x;
    float v = (dx * qx + dy * qy + dz * qz) * inv;
    float t = (e2x * qx + e2y * qy + e2z * qz) * inv;
    return u >= -EDGE && v >= -EDGE && u + v <= 1 + EDGE && t >= 0 && t < limit;
  }
}
