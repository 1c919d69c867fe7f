package pied.core.material.pattern;

/** Colours in linear light, and as they are written. */
public final class Tint {
  private Tint() {}

  /**
   * Red, green and blue of linear light, 0 to 1 (IEC 61966-2-1).
   *
   * @param colour as #RRGGBB
   */
  public static double[] linear(String colour) {
    int rgb = Integer.parseInt(colour.substring(1), 16);
    double[] out = new double[3];
    for (int k = 0; k < 3; k++) {
      double c = (rgb >> (16 - 8 * k) & 255) / 255.0;
      out[k] = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }
    return out;
  }

  /**
   * One of the three as a byte of sRGB (IEC 61966-2-1).
   *
   * @param light linear, is held from 0 to 1
   */
  public static int written(double light) {
    double c = Math.max(0, Math.min(1, light));
    double s = c <= 0.0031308 ? 12.92 * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055;
    return (int) Math.round(255 * s);
  }

  /** As #RRGGBB, of linear light. */
  public static String text(double[] linear) {
    return "#%02X%02X%02X".formatted(written(linear[0]), written(linear[1]), written(linear[2]));
  }

  /**
   * Lightness 0 to 1 and the two opponent directions, in which equal steps look equal (Ottosson, "A
   * perceptual color space for image processing", 2020).
   */
  public static double[] seen(String colour) {
    double[] c = linear(colour);
    double l = Math.cbrt(0.4122214708 * c[0] + 0.5363325363 * c[1] + 0.0514459929 * c[2]);
    double m = Math.cbrt(0.2119034982 * c[0] + 0.6806995451 * c[1] + 0.1073969566 * c[2]);
    double s = Math.cbrt(0.0883024619 * c[0] + 0.2817188376 * c[1] + 0.6299787005 * c[2]);
    return new double[] {
      0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
      1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
      0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s
    };
  }

  /** Linear light of what is {@link #seen} so. */
  public static double[] linear(double lightness, double red, double yellow) {
    double l = Math.pow(lightness + 0.3963377774 * red + 0.2158037573 * yellow, 3);
    double m = Math.pow(lightness - 0.1055613458 * red - 0.0638541728 * yellow, 3);
    double s = Math.pow(lightness - 0.0894841775 * red - 1.2914855480 * yellow, 3);
    return new double[] {
      4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
      -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
      -0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s
    };
  }
}
