package pied.core.model;

import java.awt.image.BufferedImage;
import pied.core.Nullable;
import pied.core.material.PictureReader;

/** Pictures on models: PNG and JPEG files. */
final class Pictures {
  /** A picture is looked at in about so many points across to find its colour. */
  private static final int SAMPLES = 64;

  private Pictures() {}

  /** Whether it can be shown: a PNG or JPEG file of bearable size. */
  static boolean readable(byte[] file) {
    return sample(file) != null;
  }

  /**
   * The colour it has on the whole.
   *
   * @param tint red, green and blue it is multiplied with, 0 to 1
   * @return #RRGGBB
   */
  static String colour(byte[] file, double[] tint) {
    BufferedImage image = sample(file);
    double[] sum = new double[3];
    int n = image.getWidth() * image.getHeight();
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int rgb = image.getRGB(x, y);
        for (int k = 0; k < 3; k++) {
          sum[k] += (rgb >> (16 - 8 * k) & 255) / 255.0 / n;
        }
      }
    }
    for (int k = 0; k < 3; k++) {
      sum[k] *= tint[k];
    }
    return ModelReader.colour(sum);
  }

  private static @Nullable BufferedImage sample(byte[] file) {
    return PictureReader.read(file, SAMPLES);
  }
}
