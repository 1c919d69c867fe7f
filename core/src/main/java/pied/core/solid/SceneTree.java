package pied.core.solid;

import java.util.Arrays;
import java.util.List;
import pied.core.Tolerance;

/**
 * Meshes that stand in a space, for very many rays: a tree over their boxes, and of each mesh its
 * own, which all that are of the same mesh share. Still: what moves takes another one. Safe for
 * many threads, each with its own {@link SceneHit}. A ray costs about the logarithm of the number
 * of meshes and, for those whose boxes it passes, of that of their triangles.
 */
public final class SceneTree {
  /** A mesh and where it stands. */
  public record StandingMesh(Mesh mesh, Pose pose) {}

  /** Nothing is passed over. */
  public static final int ALL = -1;

  private static final int STACK = 512;

  private final StandingMesh[] all;
  private final BoxTree boxes;
  private final int[] nodes;
  private final MeshTree[] trees;
  private final RayTree[] rays;

  public SceneTree(List<StandingMesh> meshes) {
    all = meshes.toArray(StandingMesh[]::new);
    float[] items = new float[6 * Math.max(1, all.length)];
    for (int i = 0; i < all.length; i++) {
      Box b = all[i].pose.box(all[i].mesh.box());
      double[] lo = {b.min().x(), b.min().y(), b.min().z()};
      double[] hi = {b.max().x(), b.max().y(), b.max().z()};
      for (int k = 0; k < 3; k++) {
        // a ray is followed in floats: a box that it grazes is asked rather than not
        items[6 * i + k] = BoxTree.down(lo[k] - Tolerance.HAIR);
        items[6 * i + 3 + k] = BoxTree.up(hi[k] + Tolerance.HAIR);
      }
    }
    boxes = all.length == 0 ? null : new BoxTree(items, all.length, 1);
    nodes = boxes == null ? null : WideNodes.of(boxes);
    trees = Arrays.stream(all).map(s -> s.mesh.tree()).toArray(MeshTree[]::new);
    rays = Arrays.stream(trees).map(MeshTree::manyRays).toArray(RayTree[]::new);
  }

  /** How many meshes there are. */
  public int size() {
    return all.length;
  }

  public StandingMesh get(int i) {
    return all[i];
  }

  /** What a ray met, and the scratch of its walk. Reusable, one a thread. */
  public static final class SceneHit {
    /** Metres along the ray. */
    public double distance;

    /** The mesh, by its number; -1 for a miss. */
    public int mesh;

    public int triangle;

    /** How far along the two edges from the first corner of the triangle, of 1. */
    public double u;

    public double v;

    private final WideTree.WalkStack walk = new WideTree.WalkStack();
    private final long[] stack = new long[STACK];
    private int top;
    private final WideRay ray = new WideRay();
    private final double[] local = new double[6];
  }

  /**
   * The nearest triangle along a ray, from either side.
   *
   * @param way of length 1
   * @param limit what is farther does not count, metres
   * @param skip the number of a mesh that is not there for it, or {@link #ALL}
   * @return whether there was one; {@code hit} is set
   */
  public boolean nearest(double[] from, double[] way, double limit, int skip, SceneHit hit) {
    hit.mesh = -1;
    hit.distance = limit;
    if (boxes == null) {
      return false;
    }
    WideRay r = hit.ray.set(from, way);
    hit.top = 0;
    int node = 0;
    while (true) {
      if (node < 0) {
        ask(~node >> 3, from, way, skip, hit);
      } else {
        long first = opened(node, r, hit);
        if (first != Long.MAX_VALUE) {
          node = (int) first;
          continue;
        }
      }
      int best = Float.floatToRawIntBits(BoxTree.up(hit.distance));
      do {
        if (hit.top == 0) {
          return refined(from, way, hit);
        }
        hit.top--;
      } while ((int) (hit.stack[hit.top] >> 32) > best);
      node = (int) hit.stack[hit.top];
    }
  }

  /** The nearest child of a node, which is taken at once; the others wait. */
  private long opened(int node, WideRay r, SceneHit hit) {
    int best = Float.floatToRawIntBits(BoxTree.up(hit.distance));
    long first = Long.MAX_VALUE;
    for (int i = node; i < node + WideNodes.WIDTH; i++) {
      int n = r.latest(nodes, i);
      if (n <= r.soonest(nodes, i, best)) {
        long key = (long) n << 32 | nodes[i + WideNodes.LINKS] & 0xFFFFFFFFL;
        if (first != Long.MAX_VALUE) {
          hit.stack[hit.top++] = Math.max(key, first);
        }
        first = Math.min(key, first);
      }
    }
    return first;
  }

  private void ask(int item, double[] from, double[] way, int skip, SceneHit hit) {
    int k = boxes.order[item];
    if (k == skip) {
      return;
    }
    double[] l = local(all[k].pose, from, way, hit);
    MeshTree tree = trees[k];
    int at = rays[k].nearest(l[0], l[1], l[2], l[3], l[4], l[5], hit.distance, hit.walk);
    if (at >= 0 && hit.walk.distance < hit.distance) {
      hit.mesh = k;
      hit.triangle = tree.boxes.order[at];
      hit.distance = hit.walk.distance;
      hit.u = hit.walk.u;
      hit.v = hit.walk.v;
    }
  }

  /** The distance in doubles. */
  private boolean refined(double[] from, double[] way, SceneHit hit) {
    if (hit.mesh < 0) {
      return false;
    }
    double[] l = local(all[hit.mesh].pose, from, way, hit);
    MeshTree tree = all[hit.mesh].mesh.tree();
    hit.distance = tree.exact(hit.triangle, l[0], l[1], l[2], l[3], l[4], l[5], hit.distance);
    return true;
  }

  /** Whether anything is met within {@code limit} metres. */
  public boolean any(double[] from, double[] way, double limit, int skip, SceneHit hit) {
    if (boxes == null) {
      return false;
    }
    WideRay r = hit.ray.set(from, way);
    int far = Float.floatToRawIntBits(BoxTree.up(limit));
    int top = 1;
    hit.stack[0] = 0;
    while (top > 0) {
      int node = (int) hit.stack[--top];
      if (node < 0) {
        int k = boxes.order[~node >> 3];
        double[] l = local(all[k].pose, from, way, hit);
        if (k != skip && rays[k].any(l[0], l[1], l[2], l[3], l[4], l[5], limit, hit.walk)) {
          return true;
        }
        continue;
      }
      for (int i = node + WideNodes.WIDTH - 1; i >= node; i--) {
        if (r.latest(nodes, i) <= r.soonest(nodes, i, far)) {
          hit.stack[top++] = nodes[i + WideNodes.LINKS];
        }
      }
    }
    return false;
  }

  private static double[] local(Pose p, double[] from, double[] way, SceneHit hit) {
    double x = from[0] - p.at().x();
    double y = from[1] - p.at().y();
    double z = from[2] - p.at().z();
    double[] l = hit.local;
    l[0] = p.m00 * x + p.m10 * y + p.m20 * z;
    l[1] = p.m01 * x + p.m11 * y + p.m21 * z;
    l[2] = p.m02 * x + p.m12 * y + p.m22 * z;
    l[3] = p.m00 * way[0] + p.m10 * way[1] + p.m20 * way[2];
    l[4] = p.m01 * way[0] + p.m11 * way[1] + p.m21 * way[2];
    l[5] = p.m02 * way[0] + p.m12 * way[1] + p.m22 * way[2];
    return l;
  }

  /** A ray in floats, as boxes are asked. */
  private static final class WideRay {
    private float ox;
    private float oy;
    private float oz;
    private float ix;
    private float iy;
    private float iz;
    private int x0;
    private int y0;
    private int z0;

    WideRay set(double[] from, double[] way) {
      ox = (float) from[0];
      oy = (float) from[1];
      oz = (float) from[2];
      ix = (float) (1 / RayStart.steep(way[0]));
      iy = (float) (1 / RayStart.steep(way[1]));
      iz = (float) (1 / RayStart.steep(way[2]));
      x0 = ix >= 0 ? 0 : 4;
      y0 = iy >= 0 ? 8 : 12;
      z0 = iz >= 0 ? 16 : 20;
      return this;
    }

    int latest(int[] nodes, int at) {
      return WideNodes.latest(nodes, at + x0, at + y0, at + z0, ox, oy, oz, ix, iy, iz);
    }

    int soonest(int[] nodes, int at, int limit) {
      return WideNodes.soonest(
          nodes, at + 4 - x0, at + 20 - y0, at + 36 - z0, ox, oy, oz, ix, iy, iz, limit);
    }
  }
}
