package pied.core.light;

/** The colour of what glows at a temperature. */
public final class Kelvin {
  private Kelvin() {}

  /**
   * Red, green and blue in linear light, the largest of them 1.
   *
   * <p>The chromaticity of the Planckian locus by Kim, Kang and others, US patent 7024034 (2006),
   * 1667 to 25000 K, and the matrix of sRGB (IEC 61966-2-1).
   */
  public static double[] linear(double kelvin) {
    double t = Math.max(1667, Math.min(25_000, kelvin));
    double x =
        t <= 4000
            ? -0.2661239e9 / (t * t * t) - 0.2343589e6 / (t * t) + 0.8776956e3 / t + 0.179910
            : -3.0258469e9 / (t * t * t) + 2.1070379e6 / (t * t) + 0.2226347e3 / t + 0.240390;
    double y =
        t <= 2222
            ? -1.1063814 * x * x * x - 1.34811020 * x * x + 2.18555832 * x - 0.20219683
            : t <= 4000
                ? -0.9549476 * x * x * x - 1.37418593 * x * x + 2.09137015 * x - 0.16748867
                : 3.0817580 * x * x * x - 5.87338670 * x * x + 3.75112997 * x - 0.37001483;
    double bigX = x / y;
    double bigZ = (1 - x - y) / y;
    double[] rgb = {
      3.2404542 * bigX - 1.5371385 - 0.4985314 * bigZ,
      -0.9692660 * bigX + 1.8760108 + 0.0415560 * bigZ,
      0.0556434 * bigX - 0.2040259 + 1.0572252 * bigZ
    };
    double most = Math.max(rgb[0], Math.max(rgb[1], rgb[2]));
    for (int k = 0; k < 3; k++) {
      rgb[k] = Math.max(0, rgb[k] / most);
    }
    return rgb;
  }
}
