package pied.core.still;

import pied.core.Nullable;
import pied.core.light.LinearColour;

/**
 * The colour of the light in a picture: of what falls on things, not of what they throw back. Over
 * a floor of oak it is that of the lamps and of the oak, and an eye in the room is used to both.
 */
final class MetLight {
  /** What throws back less than this tells little of the light. */
  private static final double DARK = 0.04;

  /** Fewer dots than this tell nothing. */
  private static final int FEW = 32;

  /** So many dots to a side are looked at. */
  private static final int ACROSS = 64;

  private MetLight() {}

  /**
   * The mean of its shares of red, green and blue, over dots, as ratios; what is brighter as it is
   * seen counts more, so that neither a dark corner nor a lamp decides.
   *
   * @param lit light of dots without its noise, three each
   * @return its colour; null where too little is seen
   */
  static @Nullable LinearColour colour(float[] lit, Film film) {
    int step = Math.max(1, Math.min(film.wide, film.high) / ACROSS);
    double[] sum = new double[3];
    double[] one = new double[3];
    double all = 0;
    int n = 0;
    for (int y = step / 2; y < film.high; y += step) {
      for (int x = step / 2; x < film.wide; x += step) {
        if (falls(lit, film, y * film.wide + x, one)) {
          double bright = LinearColour.luminance(one[0], one[1], one[2]);
          double counts = Math.sqrt(bright);
          for (int k = 0; k < 3; k++) {
            sum[k] += counts * Math.log(one[k] / bright);
          }
          all += counts;
          n++;
        }
      }
    }
    return n < FEW
        ? null
        : LinearColour.of(Math.exp(sum[0] / all), Math.exp(sum[1] / all), Math.exp(sum[2] / all));
  }

  /** The light that falls on what is seen in a dot; false if that is not to be told. */
  private static boolean falls(float[] lit, Film film, int dot, double[] to) {
    int at = Film.SIZE * dot;
    int paths = film.count[dot];
    if (paths == 0 || film.sums[at + Film.PAPER] > 0 || film.sums[at + Film.DEPTH] <= 0) {
      return false;
    }
    for (int k = 0; k < 3; k++) {
      double colour = film.sums[at + Film.COLOUR + k] / paths;
      to[k] = lit[3 * dot + k] / colour;
      if (colour < DARK || to[k] <= 0) {
        return false;
      }
    }
    return true;
  }
}
