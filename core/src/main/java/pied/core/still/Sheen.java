package pied.core.still;

import pied.core.Tolerance;

/**
 * The gleam of cloth at its edges: fibres that stand up, after A. Conty Estevez and C. Kulla
 * ("Production friendly microfacet sheen", 2017), seen after D. Neubelt and M. Pettineo (2013), as
 * KHR_materials_sheen has it. All cloth is equally fuzzy.
 */
final class Sheen {
  private static final double FUZZ = 0.6;
  private static final double ALPHA = FUZZ * FUZZ;
  private static final int TABLE = 32;
  private static final int FINE = 96;
  private static final double[] SHARE = table();

  private Sheen() {}

  /** What it gives back in all of light from one direction, of 1, where its colour is white. */
  static double share(double cos) {
    double x = Math.max(0, Math.min(1, cos)) * (TABLE - 1);
    int i = Math.min(TABLE - 2, (int) x);
    return SHARE[i] + (SHARE[i + 1] - SHARE[i]) * (x - i);
  }

  /** Of the light from one direction per steradian to another, both in the surface's frame. */
  static double light(double[] out, double[] in) {
    double x = out[0] + in[0];
    double y = out[1] + in[1];
    double z = out[2] + in[2];
    double cos = z / Math.sqrt(x * x + y * y + z * z);
    double sin = Math.sqrt(Math.max(0, 1 - cos * cos));
    double spread = (2 + 1 / ALPHA) * Math.pow(sin, 1 / ALPHA) / (2 * Math.PI);
    return spread / (4 * Math.max(Tolerance.HAIR, in[2] + out[2] - in[2] * out[2]));
  }

  private static double[] table() {
    double[] all = new double[TABLE];
    double[] out = new double[3];
    double[] in = new double[3];
    for (int i = 0; i < TABLE; i++) {
      double cos = Math.max(0.01, i / (TABLE - 1.0));
      out[0] = Math.sqrt(1 - cos * cos);
      out[2] = cos;
      double sum = 0;
      for (int k = 0; k < FINE * FINE; k++) {
        double z = (k / FINE + 0.5) / FINE;
        double a = 2 * Math.PI * (k % FINE + 0.5) / FINE;
        double s = Math.sqrt(1 - z * z);
        in[0] = s * Math.cos(a);
        in[1] = s * Math.sin(a);
        in[2] = z;
        sum += light(out, in) * z;
      }
      all[i] = Math.min(1, sum * 2 * Math.PI / (FINE * FINE));
    }
    return all;
  }
}
