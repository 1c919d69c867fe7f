package pied.core.still;

import pied.core.Nullable;
import pied.core.light.LinearColour;
import pied.core.material.pattern.Tint;

/**
 * How light becomes a picture: so bright as an eye sees it that is used to the light there, colours
 * as it sees them (J. von Kries), highlights rolled off by the curve that the set view has, too
 * (Khronos PBR Neutral Tone Mapper, 2024), which leaves the colours of materials as they are.
 *
 * @param times by which luminances are multiplied, so that 1 is the brightest there is, per cd/m²
 * @param balance by which each of the three is
 */
public record Exposure(double times, double[] balance) {
  private static final double SHOULDER = 0.8 - 0.04;
  private static final double PALE = 0.15;
  private static final double TOE = 0.08;

  /** Of paper in the light that an eye is used to, as the set view has it. */
  private static final double USED = 2.3;

  /** How bright a picture is on the whole, as it is seen, and by how much that is mended. */
  private static final double WANTED = 0.52;

  private static final double LEAST = 0.6;
  private static final double MOST = 1.9;

  /**
   * That of an eye.
   *
   * @param used light that it is used to, lux
   * @param colour of that light
   */
  static Exposure of(double used, LinearColour colour) {
    return new Exposure(USED / used, colour.used());
  }

  /** The same of an eye that has got used to light of another colour. */
  Exposure to(@Nullable LinearColour colour) {
    return colour == null ? this : new Exposure(times, colour.used());
  }

  /** Linear light of a picture from light that was met; of 1. */
  void develop(double[] rgb) {
    for (int k = 0; k < 3; k++) {
      rgb[k] = Math.max(0, rgb[k] * times * balance[k]);
    }
    double low = Math.min(rgb[0], Math.min(rgb[1], rgb[2]));
    double off = low < TOE ? low - 6.25 * low * low : 0.04;
    for (int k = 0; k < 3; k++) {
      rgb[k] -= off;
    }
    double peak = Math.max(rgb[0], Math.max(rgb[1], rgb[2]));
    if (peak < SHOULDER) {
      return;
    }
    double d = 1 - SHOULDER;
    double held = 1 - d * d / (peak + d - SHOULDER);
    double g = 1 - 1 / (PALE * (peak - held) + 1);
    for (int k = 0; k < 3; k++) {
      rgb[k] = rgb[k] * held / peak * (1 - g) + held * g;
    }
  }

  /**
   * The same, mended so that the picture is as bright on the whole as one wants it: an evening is
   * no noon, and what is dark stays so.
   *
   * @param light three floats a dot
   * @param paper how much of each dot is nothing but paper, of 1, which does not count
   */
  Exposure fitted(float[] light, float[] paper, int wide, int high) {
    double low = LEAST;
    double top = MOST;
    for (int i = 0; i < 20; i++) {
      double middle = Math.sqrt(low * top);
      double bright = new Exposure(times * middle, balance).brightness(light, paper, wide, high);
      if (bright < WANTED) {
        low = middle;
      } else {
        top = middle;
      }
    }
    return new Exposure(times * Math.sqrt(low * top), balance);
  }

  /** How bright a picture is as it is seen, of 1; the middle is what one looks at. */
  private double brightness(float[] light, float[] paper, int wide, int high) {
    int step = Math.max(1, Math.min(wide, high) / 48);
    double[] rgb = new double[3];
    double sum = 0;
    double all = 0;
    for (int y = step / 2; y < high; y += step) {
      for (int x = step / 2; x < wide; x += step) {
        int dot = y * wide + x;
        double away = Math.hypot((x + 0.5) / wide - 0.5, (y + 0.5) / high - 0.5);
        double weight = (1 - 0.7 * away) * (1 - paper[dot]);
        for (int k = 0; k < 3; k++) {
          rgb[k] = light[3 * dot + k];
        }
        develop(rgb);
        sum += weight * seen(rgb);
        all += weight;
      }
    }
    return all > 0 ? sum / all : WANTED;
  }

  private static double seen(double[] rgb) {
    return LinearColour.luminance(
        Tint.written(rgb[0]) / 255.0, Tint.written(rgb[1]) / 255.0, Tint.written(rgb[2]) / 255.0);
  }
}
