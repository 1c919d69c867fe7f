package pied.core.still;

/** Directions as three numbers each, for loops that make nothing. */
final class Frames {
  private Frames() {}

  static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  static void unit(double[] v) {
    double l = 1 / Math.sqrt(Math.max(Double.MIN_NORMAL, dot(v, v)));
    v[0] *= l;
    v[1] *= l;
    v[2] *= l;
  }

  /**
   * A frame whose third direction is a normal (T. Duff and others, "Building an orthonormal basis,
   * revisited", Journal of Computer Graphics Techniques 6, 2017).
   */
  static void about(double[] n, double[] frame) {
    double sign = Math.copySign(1, n[2]);
    double a = -1 / (sign + n[2]);
    double b = n[0] * n[1] * a;
    frame[0] = 1 + sign * n[0] * n[0] * a;
    frame[1] = sign * b;
    frame[2] = -sign * n[0];
    frame[3] = b;
    frame[4] = sign + n[1] * n[1] * a;
    frame[5] = -n[1];
    System.arraycopy(n, 0, frame, 6, 3);
  }

  static void into(double[] f, double[] v, double[] to) {
    to[0] = f[0] * v[0] + f[1] * v[1] + f[2] * v[2];
    to[1] = f[3] * v[0] + f[4] * v[1] + f[5] * v[2];
    to[2] = f[6] * v[0] + f[7] * v[1] + f[8] * v[2];
  }

  static void outOf(double[] f, double[] v, double[] to) {
    double x = f[0] * v[0] + f[3] * v[1] + f[6] * v[2];
    double y = f[1] * v[0] + f[4] * v[1] + f[7] * v[2];
    double z = f[2] * v[0] + f[5] * v[1] + f[8] * v[2];
    to[0] = x;
    to[1] = y;
    to[2] = z;
  }
}
