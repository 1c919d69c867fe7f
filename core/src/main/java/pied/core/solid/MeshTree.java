package pied.core.solid;

import pied.core.Nullable;
import pied.core.Tolerance;

/** The tree over the triangles of one mesh, and the ray questions to it. Safe for many threads. */
public final class MeshTree {
  private static final int LEAF = 4;

  final Mesh mesh;
  final BoxTree boxes;
  private volatile BoxTree split;

  private final RayTree rays;
  private volatile @Nullable RayTree quicker;

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
    rays = new WideTree(mesh, boxes);
  }

  /** The tree for some rays. */
  RayTree rays() {
    return rays;
  }

  /** The tree for very many rays: another one where that is quicker. */
  RayTree manyRays() {
    RayTree q = quicker;
    if (q == null && RayTrees.isQuicker()) {
      q = RayTrees.of(mesh, boxes);
      quicker = q;
    }
    return q == null ? rays : q;
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

  /** What a ray met. Reusable, one a thread: it also holds the scratch of the walk. */
  public static final class RayHit {
    /** Distance along the ray, metres for a direction of length 1; infinite for a miss. */
    public double distance;

    /** The triangle of the mesh, -1 for a miss. */
    public int triangle;

    /** How far along the first edge of the triangle, from its first corner, of 1. */
    public double u() {
      return scratch.u;
    }

    /** Along the other edge from there. */
    public double v() {
      return scratch.v;
    }

    final WideTree.WalkStack scratch = new WideTree.WalkStack();
  }

  /**
   * The nearest triangle along a ray, from either side.
   *
   * @param limit hits farther than this do not count, metres
   * @return whether there was one; {@code hit} is set
   */
  public boolean nearest(
      double ox, double oy, double oz, double dx, double dy, double dz, double limit, RayHit hit) {
    int i = rays.nearest(ox, oy, oz, dx, dy, dz, limit, hit.scratch);
    hit.triangle = i < 0 ? -1 : boxes.order[i];
    hit.distance =
        i < 0
            ? Double.POSITIVE_INFINITY
            : exact(hit.triangle, ox, oy, oz, dx, dy, dz, hit.scratch.distance);
    return i >= 0;
  }

  /** Whether anything is met within {@code limit} metres. */
  public boolean any(
      double ox, double oy, double oz, double dx, double dy, double dz, double limit, RayHit hit) {
    return rays.any(ox, oy, oz, dx, dy, dz, limit, hit.scratch);
  }

  /**
   * The distance along a ray to the plane of a triangle, in doubles; that in floats if it is none.
   */
  double exact(
      int triangle,
      double ox,
      double oy,
      double oz,
      double dx,
      double dy,
      double dz,
      double about) {
    double[] p = mesh.xyz();
    int a = 3 * mesh.corners()[3 * triangle];
    int b = 3 * mesh.corners()[3 * triangle + 1];
    int c = 3 * mesh.corners()[3 * triangle + 2];
    double ux = p[b] - p[a];
    double uy = p[b + 1] - p[a + 1];
    double uz = p[b + 2] - p[a + 2];
    double vx = p[c] - p[a];
    double vy = p[c + 1] - p[a + 1];
    double vz = p[c + 2] - p[a + 2];
    double nx = uy * vz - uz * vy;
    double ny = uz * vx - ux * vz;
    double nz = ux * vy - uy * vx;
    double t =
        ((p[a] - ox) * nx + (p[a + 1] - oy) * ny + (p[a + 2] - oz) * nz)
            / (dx * nx + dy * ny + dz * nz);
    // along its plane a ray meets a triangle anywhere
    return Math.abs(t - about) < Tolerance.NEAR * (1 + about) ? Math.max(0, t) : about;
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
    RayTree q = quicker;
    return rays.bytes()
        + (q == null ? 0 : q.bytes())
        + 4L * (boxes.bounds.length + boxes.link.length + boxes.count.length + boxes.order.length);
  }
}
