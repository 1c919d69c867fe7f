package pied.core.solid;

import java.util.Arrays;
import pied.core.Tolerance;

/**
 * Boxes over a mesh in which triangles that lie askew, such as those of a slanting leg, have
 * several small boxes instead of a large one that is mostly air (early split clipping, after Ernst
 * and Greiner 2007). A triangle may be met more than once.
 */
final class Splits {
  /** A box is split if its surface is so many times the triangle's area; half a flat box has 4. */
  private static final double AIR = 8;

  /** Boxes are not split below this share of the mesh's longest measure. */
  private static final double SMALLEST = 1.0 / 40;

  /**
   * Boxes are always split above this share, since a large one is near to much when it is turned.
   */
  private static final double LARGEST = 1.0 / 12;

  /** Meshes of fewer triangles than this are walked quickly as they are. */
  private static final int SIMPLE = 100;

  private static final int DEEPEST = 8;

  private final double smallest;
  private final double largest;
  private float[] items = new float[6 * 256];
  private int[] triangle = new int[256];
  private int n;

  private Splits(double longest) {
    smallest = longest * SMALLEST;
    largest = longest * LARGEST;
  }

  /**
   * The tree.
   *
   * @param whole that with one box a triangle, which is answered if nothing is askew
   */
  static BoxTree of(Mesh mesh, BoxTree whole, int leaf) {
    if (mesh.triangles() < SIMPLE) {
      return whole;
    }
    Vec size = mesh.box().size();
    double longest = Math.max(size.x(), Math.max(size.y(), size.z()));
    Splits s = new Splits(longest);
    for (int t = 0; t < mesh.triangles(); t++) {
      double[] p = new double[9];
      for (int k = 0; k < 3; k++) {
        System.arraycopy(mesh.xyz(), 3 * mesh.corners()[3 * t + k], p, 3 * k, 3);
      }
      s.add(t, p, area(p), 0);
    }
    if (s.n == mesh.triangles()) {
      return whole;
    }
    BoxTree tree = new BoxTree(s.items, s.n, leaf);
    for (int i = 0; i < tree.order.length; i++) {
      tree.order[i] = s.triangle[tree.order[i]];
    }
    return tree;
  }

  private static double area(double[] p) {
    Vec a = new Vec(p[0], p[1], p[2]);
    Vec u = new Vec(p[3], p[4], p[5]).minus(a);
    Vec v = new Vec(p[6], p[7], p[8]).minus(a);
    return u.cross(v).length() / 2;
  }

  /** Adds what is left of a triangle, a convex figure of three numbers a corner. */
  private void add(int t, double[] p, double area, int depth) {
    double[] lo = {1e300, 1e300, 1e300};
    double[] hi = {-1e300, -1e300, -1e300};
    for (int i = 0; i < p.length; i++) {
      lo[i % 3] = Math.min(lo[i % 3], p[i]);
      hi[i % 3] = Math.max(hi[i % 3], p[i]);
    }
    double x = hi[0] - lo[0];
    double y = hi[1] - lo[1];
    double z = hi[2] - lo[2];
    int axis = x >= y && x >= z ? 0 : y >= z ? 1 : 2;
    boolean askew = 2 * (x * y + y * z + z * x) > AIR * area;
    double most = hi[axis] - lo[axis];
    if (depth == DEEPEST || most < smallest || !askew && most < largest) {
      put(t, lo, hi);
      return;
    }
    double at = (lo[axis] + hi[axis]) / 2;
    for (int side = -1; side <= 1; side += 2) {
      double[] part = cut(p, axis, at, side);
      if (part.length >= 9) {
        add(t, part, area / 2, depth + 1);
      }
    }
  }

  /** The part of a convex figure on one side of a plane. */
  private static double[] cut(double[] p, int axis, double at, int side) {
    double[] out = new double[p.length + 6];
    int n = 0;
    int corners = p.length / 3;
    for (int i = 0; i < corners; i++) {
      int j = (i + 1) % corners;
      double a = side * (p[3 * i + axis] - at);
      double b = side * (p[3 * j + axis] - at);
      if (a >= 0) {
        System.arraycopy(p, 3 * i, out, n, 3);
        n += 3;
      }
      if (a > 0 && b < 0 || a < 0 && b > 0) {
        double s = a / (a - b);
        for (int k = 0; k < 3; k++) {
          out[n + k] = p[3 * i + k] + s * (p[3 * j + k] - p[3 * i + k]);
        }
        out[n + axis] = at;
        n += 3;
      }
    }
    return Arrays.copyOf(out, n);
  }

  private void put(int t, double[] lo, double[] hi) {
    if (n == triangle.length) {
      triangle = Arrays.copyOf(triangle, 2 * n);
      items = Arrays.copyOf(items, 12 * n);
    }
    triangle[n] = t;
    for (int k = 0; k < 3; k++) {
      // a cut is rounded, so that its parts are given a little more
      double more = Tolerance.SAME * (1 + Math.abs(lo[k]) + Math.abs(hi[k]));
      items[6 * n + k] = BoxTree.down(lo[k] - more);
      items[6 * n + 3 + k] = BoxTree.up(hi[k] + more);
    }
    n++;
  }
}
