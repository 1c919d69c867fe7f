package pied.core.material;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.stream.ImageInputStream;
import pied.core.Nullable;

/** Reads PNG and JPEG files that come from outside, however many dots they have. */
public final class PictureReader {
  /** Most points of a picture; more is a slip or an attack. */
  private static final long MOST = 100_000_000;

  /** The segment of a JPEG file that says how the camera was held, and what it begins with. */
  private static final int APP1 = 0xE1;

  private static final byte[] EXIF = {'E', 'x', 'i', 'f', 0, 0};

  /** The segment with which its dots begin. */
  private static final int DOTS = 0xDA;

  private PictureReader() {}

  /**
   * The picture in a file, with most of its dots left out while it is read, so that a small file
   * never unfolds into a huge picture.
   *
   * @param across about so many dots are wanted across its longer side; it has up to twice as many,
   *     or as many as there are
   * @return null if it cannot be read: it is no PNG or JPEG, is damaged, or has over 100 million
   *     dots
   */
  public static @Nullable BufferedImage read(byte[] file, int across) {
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
        int every = (int) Math.max(1, Math.max(w, h) / across);
        some.setSourceSubsampling((int) Math.min(every, w), (int) Math.min(every, h), 0, 0);
        return reader.read(0, some);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      return null; // damaged in whatever way
    }
  }

  /**
   * The same as one sees it: the way up the camera was held, on white, at most so many dots across
   * its longer side.
   *
   * @return null if it cannot be read
   */
  static @Nullable BufferedImage upright(byte[] file, int most) {
    BufferedImage raw = read(file, 2 * most);
    if (raw == null) {
      return null;
    }
    int held = held(file);
    boolean lying = held >= 5;
    int w = lying ? raw.getHeight() : raw.getWidth();
    int h = lying ? raw.getWidth() : raw.getHeight();
    double scale = Math.min(1, (double) most / Math.max(w, h));
    int wide = Math.max(1, (int) Math.round(w * scale));
    int high = Math.max(1, (int) Math.round(h * scale));
    BufferedImage out = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = out.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, wide, high);
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    AffineTransform t = new AffineTransform();
    t.scale((double) wide / w, (double) high / h);
    t.concatenate(turned(held, raw.getWidth(), raw.getHeight()));
    g.drawImage(raw, t, null);
    g.dispose();
    return out;
  }

  /** From the dots as they are stored to how they are seen: the eight ways of the Exif standard. */
  private static AffineTransform turned(int held, int w, int h) {
    return switch (held) {
      case 2 -> new AffineTransform(-1, 0, 0, 1, w, 0);
      case 3 -> new AffineTransform(-1, 0, 0, -1, w, h);
      case 4 -> new AffineTransform(1, 0, 0, -1, 0, h);
      case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
      case 6 -> new AffineTransform(0, 1, -1, 0, h, 0);
      case 7 -> new AffineTransform(0, -1, -1, 0, h, w);
      case 8 -> new AffineTransform(0, -1, 1, 0, 0, w);
      default -> new AffineTransform();
    };
  }

  /** How the camera was held: 1 to 8 as the Exif standard counts, 1 where nothing is said. */
  private static int held(byte[] file) {
    byte[] exif = exif(file);
    try {
      return exif == null ? 1 : orientation(exif);
    } catch (IOException | RuntimeException e) {
      return 1; // it says nothing that can be read
    }
  }

  /**
   * What a JPEG file says of the camera: segments begin with FF, their sort, and their length; the
   * first that says it counts (Exif 2.3, 4.5.4).
   */
  private static @Nullable byte[] exif(byte[] file) {
    int at = 2;
    while (at + 4 + EXIF.length < file.length && (file[at] & 255) == 0xFF) {
      int sort = file[at + 1] & 255;
      int length = (file[at + 2] & 255) << 8 | file[at + 3] & 255;
      int from = at + 4;
      int to = at + 2 + length;
      if (sort == DOTS || to > file.length || to < from) {
        return null;
      }
      if (sort == APP1 && Arrays.equals(file, from, from + EXIF.length, EXIF, 0, EXIF.length)) {
        return Arrays.copyOfRange(file, from + EXIF.length, Math.max(to, from + EXIF.length));
      }
      at = to;
    }
    return null;
  }

  private static int orientation(byte[] exif) throws IOException {
    ImageReader reader = ImageIO.getImageReadersByFormatName("tiff").next();
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(exif))) {
      reader.setInput(in, true, false);
      TIFFField f =
          TIFFDirectory.createFromMetadata(reader.getImageMetadata(0))
              .getTIFFField(BaselineTIFFTagSet.TAG_ORIENTATION);
      return f == null ? 1 : f.getAsInt(0);
    } finally {
      reader.dispose();
    }
  }
}
