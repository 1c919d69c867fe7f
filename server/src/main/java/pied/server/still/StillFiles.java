package pied.server.still;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Map;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import pied.core.Nullable;
import pied.core.format.PngFile;
import pied.core.format.RadianceHdr;
import pied.core.still.Developed;
import pied.core.still.StillRun;
import pied.core.units.Refusal;

/**
 * The files of stills, beside the store: the picture, all its light, a small one to look at, and
 * what is done of one that is not finished. Each is written aside and then put in its place, so
 * that there is never half of one.
 */
@Component
class StillFiles {
  private static final Logger LOG = LoggerFactory.getLogger(StillFiles.class);

  /** Longest side of one to look at, dots. */
  private static final int SMALL = 1400;

  private static final float FINE = 0.92f;
  private static final List<String> ENDINGS = List.of(".png", ".hdr", ".jpg", ".film");

  private final Path folder;

  StillFiles(@Value("${pied.data}") String data) {
    folder = Path.of(data).resolve("stills");
  }

  /** Writes something. */
  interface Written {
    void write(OutputStream out) throws IOException;
  }

  private void write(String name, Written what) throws IOException {
    Files.createDirectories(folder);
    Path aside = Files.createTempFile(folder, name, ".part");
    try {
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(aside), 1 << 16)) {
        what.write(out);
      }
      Files.move(
          aside,
          folder.resolve(name),
          StandardCopyOption.REPLACE_EXISTING,
          StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(aside);
    }
  }

  /**
   * Keeps a picture that is made.
   *
   * @param words that go into it
   */
  void made(String id, Developed d, Map<String, String> words) throws IOException {
    BufferedImage image = d.image();
    write(id + ".png", out -> PngFile.write(image, words, out));
    if (d.isLit()) {
      write(
          id + ".hdr",
          out -> RadianceHdr.write(d.wide(), d.high(), d.light(), d.exposure().times(), out));
    }
    byte[] small = jpeg(shrunk(image));
    write(id + ".jpg", out -> out.write(small));
    Files.deleteIfExists(folder.resolve(id + ".film"));
  }

  /**
   * Keeps a picture that comes from elsewhere, if it is one of so many dots.
   *
   * @param light all its light; null for none
   * @throws Refusal if it is not
   */
  void takeIn(String id, Path png, @Nullable Path light, int wide, int high) throws IOException {
    byte[] small = jpeg(lookedAt(png, wide, high));
    if (light != null && !RadianceHdr.isOf(light, wide, high)) {
      throw new Refusal("its light is not of that picture.");
    }
    boolean whole = false;
    try {
      write(id + ".png", out -> Files.copy(png, out));
      if (light != null) {
        write(id + ".hdr", out -> Files.copy(light, out));
      }
      write(id + ".jpg", out -> out.write(small));
      whole = true;
    } finally {
      if (!whole) {
        forget(id);
      }
    }
  }

  /** A PNG made small: no more of it is in memory at a time than that needs. */
  private static BufferedImage lookedAt(Path png, int wide, int high) throws IOException {
    ImageReader reader = ImageIO.getImageReadersByFormatName("png").next();
    try (ImageInputStream in = ImageIO.createImageInputStream(png.toFile())) {
      reader.setInput(in, true, true);
      if (reader.getWidth(0) != wide || reader.getHeight(0) != high) {
        throw new Refusal("it is not of the size that was asked for.");
      }
      int step = Math.max(1, (Math.max(wide, high) + SMALL - 1) / SMALL);
      ImageReadParam how = reader.getDefaultReadParam();
      how.setSourceSubsampling(step, step, 0, 0);
      BufferedImage read = reader.read(0, how);
      BufferedImage plain =
          new BufferedImage(read.getWidth(), read.getHeight(), BufferedImage.TYPE_INT_RGB);
      plain.getGraphics().drawImage(read, 0, 0, null);
      return plain;
    } catch (IOException | RuntimeException e) {
      if (e instanceof Refusal r) {
        throw r;
      }
      throw new Refusal("it is damaged.");
    } finally {
      reader.dispose();
    }
  }

  /** The files of one for another: what is written is never altered, so both may share it. */
  void copy(String from, String to) throws IOException {
    for (String ending : List.of(".png", ".hdr", ".jpg")) {
      Path f = file(from, ending);
      if (f == null) {
        continue;
      }
      try {
        Files.createLink(folder.resolve(to + ending), f);
      } catch (IOException | UnsupportedOperationException e) {
        write(to + ending, out -> Files.copy(f, out));
      }
    }
  }

  /** Keeps what is done so far. */
  void keep(String id, StillRun run) throws IOException {
    write(
        id + ".film",
        out -> {
          DataOutputStream data = new DataOutputStream(out);
          run.keep(data);
          data.flush();
        });
  }

  /** What there is to look at. */
  interface Seen {
    byte[] jpeg() throws IOException;
  }

  /** Keeps what there is to look at of one that is not finished; it is no loss if that fails. */
  void seen(String id, Seen what) {
    try {
      byte[] bytes = what.jpeg();
      write(id + ".jpg", out -> out.write(bytes));
    } catch (IOException e) {
      LOG.warn("What there is of a picture cannot be kept", e);
    }
  }

  /** Takes up what was kept, if there is any. */
  void takeUp(String id, StillRun run) {
    Path film = folder.resolve(id + ".film");
    if (!Files.exists(film)) {
      return;
    }
    try (DataInputStream in =
        new DataInputStream(new BufferedInputStream(Files.newInputStream(film), 1 << 16))) {
      run.takeUp(in);
    } catch (IOException e) {
      LOG.warn("What was done of a picture cannot be read; it is begun anew", e);
    }
  }

  /** A file of one; null if it is not there. */
  @Nullable
  Path file(String id, String ending) {
    Path f = folder.resolve(id + ending);
    return Files.exists(f) ? f : null;
  }

  void forget(String id) {
    for (String ending : ENDINGS) {
      try {
        Files.deleteIfExists(folder.resolve(id + ending));
      } catch (IOException e) {
        LOG.warn("A file of a picture is left over", e);
      }
    }
  }

  private static BufferedImage shrunk(BufferedImage image) {
    int most = Math.max(image.getWidth(), image.getHeight());
    if (most <= SMALL) {
      return image;
    }
    int w = Math.max(1, image.getWidth() * SMALL / most);
    int h = Math.max(1, image.getHeight() * SMALL / most);
    BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = out.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.drawImage(image, 0, 0, w, h, null);
    g.dispose();
    return out;
  }

  /** A picture as JPEG. */
  static byte[] jpeg(BufferedImage image) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam how = writer.getDefaultWriteParam();
    how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    how.setCompressionQuality(FINE);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, null), how);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }
}
