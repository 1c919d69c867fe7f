package pied.core.material;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import pied.core.Nullable;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * A picture as it is kept: a JPEG file of a size one can draw with.
 *
 * @param picture what it is, its edges as they are
 */
public record PictureFile(OwnPicture picture, byte[] file) {
  /** Most dots across its longer side. */
  static final int ACROSS = 1024;

  /** Fewer across are none. */
  private static final int LEAST = 8;

  private static final float QUALITY = 0.9f;

  /** So much of what it shows stands for it in its name, bytes. */
  private static final int PRINT = 12;

  /**
   * What is kept of a file that somebody brings.
   *
   * @param name of the file
   * @throws Refusal if it is no picture that can be read
   */
  public static PictureFile of(byte[] file, String name) {
    BufferedImage image = PictureReader.upright(file, ACROSS);
    if (image == null) {
      throw new Refusal(
          "“{}” cannot be read as a picture; bring a PNG or JPEG file of at most 100 million"
              + " dots.",
          Text.clean(name));
    }
    int w = image.getWidth();
    int h = image.getHeight();
    if (Math.min(w, h) < LEAST) {
      throw new Refusal(
          "“{}” is {} × {} dots; a picture has at least {} each way.",
          Text.clean(name),
          w,
          h,
          LEAST);
    }
    byte[] kept = jpeg(image);
    OwnPicture p = new OwnPicture(print(kept), w, h, false, OwnPicture.callable(Text.clean(name)));
    return new PictureFile(p, kept);
  }

  /**
   * One that was kept elsewhere and comes back.
   *
   * @return null if it is not what it was: its name is another, or it can no longer be read
   */
  public static @Nullable PictureFile kept(String id, byte[] file) {
    OwnPicture p = OwnPicture.named(id);
    if (p == null || p.seamless() || !p.print().equals(print(file))) {
      return null;
    }
    if (Math.min(p.wide(), p.high()) < LEAST || Math.max(p.wide(), p.high()) > ACROSS) {
      return null;
    }
    BufferedImage image = PictureReader.read(file, ACROSS);
    boolean same = image != null && image.getWidth() == p.wide() && image.getHeight() == p.high();
    return same ? new PictureFile(p, file) : null;
  }

  /** The file of one with its edges made to fit one another. */
  static byte[] seamless(byte[] kept) {
    return jpeg(Seamless.of(PictureReader.read(kept, ACROSS)));
  }

  private static String print(byte[] file) {
    try {
      byte[] all = MessageDigest.getInstance("SHA-256").digest(file);
      return HexFormat.of().formatHex(all, 0, PRINT);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has it
    }
  }

  private static byte[] jpeg(BufferedImage image) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream to = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam how = writer.getDefaultWriteParam();
      how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      how.setCompressionQuality(QUALITY);
      writer.setOutput(to);
      writer.write(null, new IIOImage(image, null, null), how);
    } catch (IOException e) {
      throw new UncheckedIOException(e); // it is written into memory
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }
}
