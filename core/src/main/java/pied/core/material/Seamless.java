package pied.core.material;

import java.awt.image.BufferedImage;

/**
 * Makes the edges of a picture fit one another: a band at its right passes gradually into the one
 * at its left and is then left out, likewise below and above. It gets smaller by the bands; what is
 * left keeps its scale.
 */
final class Seamless {
  /** The band, as a part of the picture. */
  private static final int PART = 6;

  private Seamless() {}

  /** So many dots are left of so many. */
  static int left(int dots) {
    return dots - dots / PART;
  }

  /** The picture, so that what stands beside it on any side is it again without a break. */
  static BufferedImage of(BufferedImage image) {
    int w = left(image.getWidth());
    int h = left(image.getHeight());
    BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < h; y++) {
      double down = share(y, image.getHeight());
      for (int x = 0; x < w; x++) {
        double right = share(x, image.getWidth());
        int here = image.getRGB(x, y);
        int rgb = right == 1 ? here : mixed(here, image.getRGB(x + w, y), right);
        if (down < 1) {
          int below = image.getRGB(x, y + h);
          int beside = right == 1 ? below : mixed(below, image.getRGB(x + w, y + h), right);
          rgb = mixed(rgb, beside, down);
        }
        out.setRGB(x, y, rgb);
      }
    }
    return out;
  }

  /** How much of a dot is its own: nothing at the very edge, all of it from the band on. */
  private static double share(int at, int dots) {
    int band = dots - left(dots);
    return at >= band ? 1 : (double) at / band;
  }

  private static int mixed(int a, int b, double share) {
    int out = 0;
    for (int shift = 0; shift <= 16; shift += 8) {
      double v = (a >> shift & 255) * share + (b >> shift & 255) * (1 - share);
      out |= (int) Math.round(v) << shift;
    }
    return out;
  }
}
