package pied.core.model;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Pictures on models: PNG and JPEG files. */
final class Pictures {
  /** Most points of a picture; more is a slip or an attack. */
  private static final long MOST = 100_000_000;

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

  /** It, with most points left out; null if it cannot be read. */
  private static BufferedImage sample(byte[] file) {
    boolean png = file.length > 8 && (file[0] & 255) == 0x89 && file[1] == 'P';
    boolean jpeg = file.length > 3 && (file[0] & 255) == 0xFF && (file[1] & 255) == 0xD8;
    if (!png && !jpeg) {
      return null;
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        return null;
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        long w = reader.getWidth(0);
        long h = reader.getHeight(0);
        if (w * h > MOST) {
          return null;
        }
        ImageReadParam some = reader.getDefaultReadParam();
        some.setSourceSubsampling(
            (int) Math.max(1, w / SAMPLES), (int) Math.max(1, h / SAMPLES), 0, 0);
        return reader.read(0, some);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      return null; // damaged in whatever way
    }
  }
}
