package pied.core.still;

/**
 * How a rough surface mirrors: tiny mirrors whose slopes are spread after T. Trowbridge and K.
 * Reitz (1975) and B. Walter and others (GGX, 2007), hiding each other after Smith, heights taken
 * as one (E. Heitz, 2014). Directions are in the frame of the surface, z out of it.
 */
final class Ggx {
  private static final int TABLE = 32;
  private static final int FINE = 40;

  /** What it mirrors in all of light from one direction: F0 times the first and the second. */
  private static final float[][] SHARE = table();

  private Ggx() {}

  /** Where slopes are so flat that it is a mirror to all who look, they are taken as so flat. */
  static final double FLATTEST = 0.001;

  static double alpha(double rough) {
    return Math.max(FLATTEST, rough * rough);
  }

  static double spread(double alpha, double cos) {
    double a2 = alpha * alpha;
    double d = cos * cos * (a2 - 1) + 1;
    return a2 / (Math.PI * d * d);
  }

  private static double lambda(double alpha, double cos) {
    double c2 = cos * cos;
    return (Math.sqrt(1 + alpha * alpha * (1 - c2) / c2) - 1) / 2;
  }

  /** What is not hidden from one side. */
  static double seen(double alpha, double cos) {
    return 1 / (1 + lambda(alpha, Math.abs(cos)));
  }

  /** What is hidden neither from here nor from there. */
  static double seen(double alpha, double cosOut, double cosIn) {
    return 1 / (1 + lambda(alpha, Math.abs(cosOut)) + lambda(alpha, Math.abs(cosIn)));
  }

  /**
   * One of the tiny mirrors that are seen from a direction (J. Dupuy and A. Benyoub, "Sampling
   * visible GGX normals with spherical caps", 2023).
   *
   * @param out of length 1, above the surface
   * @param mirror is set
   */
  static void mirror(double alpha, double[] out, double u, double v, double[] mirror) {
    double x = alpha * out[0];
    double y = alpha * out[1];
    double z = out[2];
    double l = 1 / Math.sqrt(x * x + y * y + z * z);
    x *= l;
    y *= l;
    z *= l;
    double phi = 2 * Math.PI * u;
    double cz = (1 - v) * (1 + z) - z;
    double s = Math.sqrt(Math.max(0, 1 - cz * cz));
    double hx = alpha * (s * Math.cos(phi) + x);
    double hy = alpha * (s * Math.sin(phi) + y);
    double hz = Math.max(0, cz + z);
    double h = 1 / Math.sqrt(Math.max(Double.MIN_NORMAL, hx * hx + hy * hy + hz * hz));
    mirror[0] = hx * h;
    mirror[1] = hy * h;
    mirror[2] = hz * h;
  }

  /** How much more is mirrored at a slant (C. Schlick, 1994): the part that is added to F0. */
  static double slanted(double cos) {
    double m = Math.max(0, 1 - cos);
    double m2 = m * m;
    return m2 * m2 * m;
  }

  /**
   * All that a surface mirrors of light from one direction, of 1, with what its tiny mirrors throw
   * to each other (E. Turquin, "Practical multiple scattering compensation", 2019).
   */
  static double share(double f0, double rough, double cos) {
    double a = at(0, rough, cos);
    double b = at(1, rough, cos);
    return (f0 * a + b) * more(f0, a + b);
  }

  /** By how much more it mirrors than at the first meeting. */
  static double more(double f0, double rough, double cos) {
    return more(f0, at(0, rough, cos) + at(1, rough, cos));
  }

  private static double more(double f0, double once) {
    return 1 + f0 * (1 - once) / once;
  }

  private static double at(int which, double rough, double cos) {
    double x = Math.max(0, Math.min(1, cos)) * (TABLE - 1);
    double y = Math.max(0, Math.min(1, rough)) * (TABLE - 1);
    int i = Math.min(TABLE - 2, (int) x);
    int j = Math.min(TABLE - 2, (int) y);
    double fx = x - i;
    double fy = y - j;
    float[] t = SHARE[which];
    int k = j * TABLE + i;
    return (t[k] * (1 - fx) + t[k + 1] * fx) * (1 - fy)
        + (t[k + TABLE] * (1 - fx) + t[k + TABLE + 1] * fx) * fy;
  }

  private static float[][] table() {
    float[][] t = new float[2][TABLE * TABLE];
    double[] out = new double[3];
    double[] h = new double[3];
    for (int j = 0; j < TABLE; j++) {
      double alpha = alpha(j / (TABLE - 1.0));
      for (int i = 0; i < TABLE; i++) {
        double cos = Math.max(0.01, i / (TABLE - 1.0));
        out[0] = Math.sqrt(1 - cos * cos);
        out[2] = cos;
        summed(alpha, out, h, t, j * TABLE + i);
      }
    }
    return t;
  }

  private static void summed(double alpha, double[] out, double[] h, float[][] t, int at) {
    double a = 0;
    double b = 0;
    for (int k = 0; k < FINE * FINE; k++) {
      mirror(alpha, out, (k / FINE + 0.5) / FINE, (k % FINE + 0.5) / FINE, h);
      double dot = out[0] * h[0] + out[2] * h[2];
      double in = 2 * dot * h[2] - out[2];
      if (in > 0) {
        double left = seen(alpha, out[2], in) / seen(alpha, out[2]);
        double f = slanted(dot);
        a += left * (1 - f);
        b += left * f;
      }
    }
    t[0][at] = (float) (a / (FINE * FINE));
    t[1][at] = (float) (b / (FINE * FINE));
  }
}
