package pied.core.solid;

import pied.core.Tolerance;

/** All triangles of a mesh in the frame of a way, and which of them count. */
final class SweepTriangles {
  /** A triangle that looks along the way by less than this is seen edge on: a cosine. */
  private static final double EDGE_ON = Tolerance.FINE;

  /** Nine numbers a triangle. */
  final double[] corners;

  /** Three numbers each, as long as twice its area. */
  final double[] normals;

  final boolean[] counts;

  SweepTriangles(Mesh mesh, double[] turn, SweepFacing facing) {
    int n = mesh.triangles();
    corners = new double[9 * n];
    normals = new double[3 * n];
    counts = new boolean[n];
    double[] p = new double[9];
    double[] normal = new double[3];
    for (int t = 0; t < n; t++) {
      corners(mesh, turn, t, p);
      normal(p, normal);
      counts[t] = counts(normal, facing);
      System.arraycopy(p, 0, corners, 9 * t, 9);
      System.arraycopy(normal, 0, normals, 3 * t, 3);
    }
  }

  /** The corners of a triangle in the frame of the way. */
  static void corners(Mesh mesh, double[] m, int t, double[] out) {
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    for (int k = 0; k < 3; k++) {
      int v = 3 * c[3 * t + k];
      double x = p[v];
      double y = p[v + 1];
      double z = p[v + 2];
      out[3 * k] = m[0] * x + m[1] * y + m[2] * z;
      out[3 * k + 1] = m[3] * x + m[4] * y + m[5] * z;
      out[3 * k + 2] = m[6] * x + m[7] * y + m[8] * z;
    }
  }

  /** The normal of a triangle, as long as twice its area. */
  static void normal(double[] p, double[] n) {
    double ux = p[3] - p[0];
    double uy = p[4] - p[1];
    double uz = p[5] - p[2];
    double vx = p[6] - p[0];
    double vy = p[7] - p[1];
    double vz = p[8] - p[2];
    n[0] = uy * vz - uz * vy;
    n[1] = uz * vx - ux * vz;
    n[2] = ux * vy - uy * vx;
  }

  /** Whether a triangle of this normal counts. */
  static boolean counts(double[] n, SweepFacing facing) {
    if (facing == SweepFacing.ALL) {
      return true;
    }
    double along = facing == SweepFacing.ALONG ? n[2] : -n[2];
    double l2 = n[0] * n[0] + n[1] * n[1] + n[2] * n[2];
    return along >= 0 || l2 < Tolerance.SMALL_SQUARED || along >= -EDGE_ON * Math.sqrt(l2);
  }
}
