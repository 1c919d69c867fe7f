package pied.core.solid;

import pied.core.Tolerance;

/** The tree over the triangles of one mesh, and the ray questions to it. Safe for many threads. */
public final class MeshTree {
  private static final int LEAF = 4;
  private static final double EDGE = Tolerance.SAME;

  final Mesh mesh;
  final BoxTree boxes;
  private volatile BoxTree split;

  /** First corner and the two edges from it, nine floats a triangle, in the order of the leaves. */
  private final float[] shape;

  /**
   * The tree once more, packed for rays: sixteen floats an inner node, so that a step reads one
   * line of the cache. Bounds of the one child, of the other, and where each leads, as bits: an
   * inner node's number, or ~(first item * 8 + number of items) for a leaf.
   */
  private final float[] packed;

  MeshTree(Mesh mesh) {
    this.mesh = mesh;
    int n = mesh.triangles();
    float[] items = new float[6 * n];
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    for (int t = 0; t < n; t++) {
      for (int k = 0; k < 3; k++) {
        double a = p[3 * c[3 * t] + k];
        double b = p[3 * c[3 * t + 1] + k];
        double d = p[3 * c[3 * t + 2] + k];
        items[6 * t + k] = BoxTree.down(Math.min(a, Math.min(b, d)));
        items[6 * t + 3 + k] = BoxTree.up(Math.max(a, Math.max(b, d)));
      }
    }
    boxes = new BoxTree(items, n, LEAF);
    shape = new float[9 * n];
    for (int i = 0; i < n; i++) {
      int t = 3 * boxes.order[i];
      for (int k = 0; k < 3; k++) {
        double a = p[3 * c[t] + k];
        shape[9 * i + k] = (float) a;
        shape[9 * i + 3 + k] = (float) (p[3 * c[t + 1] + k] - a);
        shape[9 * i + 6 + k] = (float) (p[3 * c[t + 2] + k] - a);
      }
    }
    packed = pack(boxes);
  }

  /** The tree for walking two meshes at once, in which triangles that lie askew are split. */
  BoxTree split() {
    BoxTree s = split;
    if (s == null) {
      s = Splits.of(mesh, boxes, LEAF);
      split = s;
    }
    return s;
  }

  private static float[] pack(BoxTree t) {
    int[] number = new int[t.link.length];
    int inner = 0;
    for (int i = 0; i < t.link.length; i++) {
      number[i] = t.count[i] == 0 ? inner++ : ~((~t.link[i] << 3) | t.count[i]);
    }
    if (inner == 0) { // a single leaf: a root with one real child
      float[] root = new float[16];
      System.arraycopy(t.bounds, 0, root, 0, 6);
      java.util.Arrays.fill(root, 6, 12, Float.NaN);
      root[12] = Float.intBitsToFloat(number[0]);
      return root;
    }
    float[] out = new float[16 * inner];
    for (int i = 0; i < t.link.length; i++) {
      if (t.count[i] == 0) {
        int o = 16 * number[i];
        System.arraycopy(t.bounds, 6 * t.link[i], out, o, 12);
        out[o + 12] = Float.intBitsToFloat(number[t.link[i]]);
        out[o + 13] = Float.intBitsToFloat(number[t.link[i] + 1]);
      }
    }
    return out;
  }

  /** What a ray met. Reusable, one a thread: it also holds the scratch of the walk. */
  public static final class RayHit {
    /** Distance along the ray, metres for a direction of length 1; infinite for a miss. */
    public double distance;

    /** The triangle of the mesh, -1 for a miss. */
    public int triangle;

    final int[] stack = new int[128];
    final float[] near = new float[128];
  }

  /**
   * The nearest triangle along a ray, from either side.
   *
   * @param limit hits farther than this do not count, metres
   * @return whether there was one; {@code hit} is set
   */
  public boolean nearest(
      double ox, double oy, double oz, double dx, double dy, double dz, double limit, RayHit hit) {
    return walk(ox, oy, oz, dx, dy, dz, limit, hit, false);
  }

  /** Whether anything is met within {@code limit} metres. */
  public boolean any(
      double ox, double oy, double oz, double dx, double dy, double dz, double limit, RayHit hit) {
    return walk(ox, oy, oz, dx, dy, dz, limit, hit, true);
  }

  private boolean walk(
      double ox,
      double oy,
      double oz,
      double dx,
      double dy,
      double dz,
      double limit,
      RayHit hit,
      boolean anyWillDo) {
    final float[] packed = this.packed;
    final float[] shape = this.shape;
    final int[] stack = hit.stack;
    final float[] nearOf = hit.near;
    final float fx = (float) ox;
    final float fy = (float) oy;
    final float fz = (float) oz;
    final float ix = (float) (1 / (Math.abs(dx) < Tolerance.STEEP ? Tolerance.STEEP : dx));
    final float iy = (float) (1 / (Math.abs(dy) < Tolerance.STEEP ? Tolerance.STEEP : dy));
    final float iz = (float) (1 / (Math.abs(dz) < Tolerance.STEEP ? Tolerance.STEEP : dz));
    // which of the two bounds is met first, as an offset into a node
    final int x0 = ix >= 0 ? 0 : 3;
    final int y0 = iy >= 0 ? 1 : 4;
    final int z0 = iz >= 0 ? 2 : 5;
    final int x1 = 3 - x0;
    final int y1 = 5 - y0;
    final int z1 = 7 - z0;
    double best = limit;
    int found = -1;
    float bestF = BoxTree.up(best);
    int top = 0;
    int node = 0;
    while (true) {
      if (node >= 0) {
        int b = 16 * node;
        float n0 =
            larger(
                larger((packed[b + x0] - fx) * ix, (packed[b + y0] - fy) * iy),
                larger((packed[b + z0] - fz) * iz, 0f));
        float f0 =
            smaller(
                smaller((packed[b + x1] - fx) * ix, (packed[b + y1] - fy) * iy),
                (packed[b + z1] - fz) * iz);
        float n1 =
            larger(
                larger((packed[b + 6 + x0] - fx) * ix, (packed[b + 6 + y0] - fy) * iy),
                larger((packed[b + 6 + z0] - fz) * iz, 0f));
        float f1 =
            smaller(
                smaller((packed[b + 6 + x1] - fx) * ix, (packed[b + 6 + y1] - fy) * iy),
                (packed[b + 6 + z1] - fz) * iz);
        // widened by the rounding of the three operations (after Ize 2013)
        n0 *= 0.999999f;
        n1 *= 0.999999f;
        boolean h0 = n0 <= f0 * 1.000001f + 1e-6f && n0 <= bestF;
        boolean h1 = n1 <= f1 * 1.000001f + 1e-6f && n1 <= bestF;
        if (h0) {
          node = Float.floatToRawIntBits(packed[b + 12]);
          if (h1) {
            int other = Float.floatToRawIntBits(packed[b + 13]);
            if (n0 <= n1) {
              stack[top] = other;
              nearOf[top++] = n1;
            } else {
              stack[top] = node;
              nearOf[top++] = n0;
              node = other;
            }
          }
          continue;
        } else if (h1) {
          node = Float.floatToRawIntBits(packed[b + 13]);
          continue;
        }
      } else {
        int leaf = ~node;
        int n = leaf & 7;
        int first = leaf >> 3;
        for (int i = first; i < first + n; i++) {
          int s = 9 * i;
          double e1x = shape[s + 3];
          double e1y = shape[s + 4];
          double e1z = shape[s + 5];
          double e2x = shape[s + 6];
          double e2y = shape[s + 7];
          double e2z = shape[s + 8];
          double px = dy * e2z - dz * e2y;
          double py = dz * e2x - dx * e2z;
          double pz = dx * e2y - dy * e2x;
          double det = e1x * px + e1y * py + e1z * pz;
          if (det == 0) {
            continue;
          }
          double inv = 1 / det;
          double tx = ox - shape[s];
          double ty = oy - shape[s + 1];
          double tz = oz - shape[s + 2];
          double u = (tx * px + ty * py + tz * pz) * inv;
          if (!(u >= -EDGE && u <= 1 + EDGE)) {
            continue;
          }
          double qx = ty * e1z - tz * e1y;
          double qy = tz * e1x - tx * e1z;
          double qz = tx * e1y - ty * e1x;
          double v = (dx * qx + dy * qy + dz * qz) * inv;
          if (!(v >= -EDGE && u + v <= 1 + EDGE)) {
            continue;
          }
          double t = (e2x * qx + e2y * qy + e2z * qz) * inv;
          if (t >= 0 && t < best) {
            best = t;
            bestF = BoxTree.up(t);
            found = i;
          }
        }
        if (found >= 0 && anyWillDo) {
          break;
        }
      }
      do {
        if (top == 0) {
          return finish(hit, best, found);
        }
        node = stack[--top];
      } while (nearOf[top] > bestF);
    }
    return finish(hit, best, found);
  }

  private static float larger(float a, float b) {
    return a > b ? a : b;
  }

  private static float smaller(float a, float b) {
    return a < b ? a : b;
  }

  private boolean finish(RayHit hit, double best, int found) {
    hit.distance = found < 0 ? Double.POSITIVE_INFINITY : best;
    hit.triangle = found < 0 ? -1 : boxes.order[found];
    return found >= 0;
  }

  /**
   * How often the mesh winds around a point: 0 outside, 1 or more inside; overlapping closed parts
   * add up. Counted along one ray in a direction that no modelled edge runs in.
   */
  public int winding(Vec p) {
    final double dx = 0.3182716;
    final double dy = 0.8412347;
    final double dz = 0.4371193;
    int wound = 0;
    int[] stack = new int[128];
    int top = 1;
    double[] q = mesh.xyz();
    int[] c = mesh.corners();
    while (top > 0) {
      int node = stack[--top];
      if (!rayMeets(node, p, dx, dy, dz)) {
        continue;
      }
      int n = boxes.count[node];
      if (n == 0) {
        stack[top++] = boxes.link[node];
        stack[top++] = boxes.link[node] + 1;
        continue;
      }
      int first = ~boxes.link[node];
      for (int i = first; i < first + n; i++) {
        int t = 3 * boxes.order[i];
        wound += crossing(p, dx, dy, dz, q, 3 * c[t], 3 * c[t + 1], 3 * c[t + 2]);
      }
    }
    return wound;
  }

  private boolean rayMeets(int node, Vec p, double dx, double dy, double dz) {
    float[] b = boxes.bounds;
    int o = 6 * node;
    double near =
        Math.max(Math.max((b[o] - p.x()) / dx, (b[o + 1] - p.y()) / dy), (b[o + 2] - p.z()) / dz);
    double far =
        Math.min(
            Math.min((b[o + 3] - p.x()) / dx, (b[o + 4] - p.y()) / dy), (b[o + 5] - p.z()) / dz);
    return near <= far && far >= 0;
  }

  /** +1 where the ray leaves through the triangle, -1 where it enters, 0 where it misses. */
  private static int crossing(
      Vec p, double dx, double dy, double dz, double[] q, int a, int b, int c) {
    double e1x = q[b] - q[a];
    double e1y = q[b + 1] - q[a + 1];
    double e1z = q[b + 2] - q[a + 2];
    double e2x = q[c] - q[a];
    double e2y = q[c + 1] - q[a + 1];
    double e2z = q[c + 2] - q[a + 2];
    double px = dy * e2z - dz * e2y;
    double py = dz * e2x - dx * e2z;
    double pz = dx * e2y - dy * e2x;
    double det = e1x * px + e1y * py + e1z * pz;
    if (det == 0) {
      return 0;
    }
    double tx = p.x() - q[a];
    double ty = p.y() - q[a + 1];
    double tz = p.z() - q[a + 2];
    double u = (tx * px + ty * py + tz * pz) / det;
    double rx = ty * e1z - tz * e1y;
    double ry = tz * e1x - tx * e1z;
    double rz = tx * e1y - ty * e1x;
    double v = (dx * rx + dy * ry + dz * rz) / det;
    double t = (e2x * rx + e2y * ry + e2z * rz) / det;
    if (u < 0 || v < 0 || u + v >= 1 || t < 0) {
      return 0;
    }
    return det < 0 ? 1 : -1;
  }

  /** Bytes held by the tree, without the mesh. */
  public long bytes() {
    return 4L
        * (shape.length
            + packed.length
            + boxes.bounds.length
            + boxes.link.length
            + boxes.count.length
            + boxes.order.length);
  }
}
