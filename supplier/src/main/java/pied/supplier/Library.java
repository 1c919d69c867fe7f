package pied.supplier;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.imageio.ImageIO;
import pied.core.catalog.Article;
import pied.core.catalog.Catalog;
import pied.core.catalog.Mounting;
import pied.core.format.Glb;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.size.Size;
import pied.core.solid.Mesh;

/** What the supplier has, and its model files. */
final class Library {
  private final Map<String, Ware> wares = new LinkedHashMap<>();
  private final Map<String, byte[]> models = new LinkedHashMap<>();

  Library() {
    Catalog shapes = Catalog.shipped();
    for (String line : lines()) {
      String[] f = line.split(";");
      for (int i = 0; i < f.length; i++) {
        f[i] = f[i].strip();
      }
      Article shape = shapes.article(f[2]);
      Size size =
          new Size(
              measure(f[3], shape.size().width()),
              measure(f[4], shape.size().depth()),
              measure(f[5], shape.size().height()));
      shape.check(f[1], size);
      byte[] model = model(f[1], shape, size);
      models.put(f[0], model);
      wares.put(
          f[0],
          new Ware(
              f[0],
              f[1],
              shape.kind(),
              size,
              mounting(shape),
              shape.weight(),
              Integer.parseInt(f[6]),
              model.length,
              sha256(model)));
    }
  }

  private static List<String> lines() {
    try (InputStream in = Library.class.getResourceAsStream("/wares.txt")) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return text.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static double measure(String text, double natural) {
    return text.isEmpty() ? natural : Double.parseDouble(text);
  }

  private static String mounting(Article a) {
    return a.mounting() == Mounting.STANDS && a.standsOnTops()
        ? "tops"
        : a.mounting().name().toLowerCase(Locale.ROOT);
  }

  private static byte[] model(String name, Article shape, Size size) {
    Mesh mesh = shape.recipe().build(size);
    Map<String, Finish> finishes = FinishPart.finishes(shape.finishes());
    if (!shape.id().equals("rug")) {
      return Glb.write(name, mesh, finishes);
    }
    // seen from above the picture lies on the whole of it
    float[] uv = new float[2 * mesh.corners().length];
    for (int i = 0; i < mesh.corners().length; i++) {
      uv[2 * i] = (float) (mesh.xyz()[3 * mesh.corners()[i]] / size.width() + 0.5);
      uv[2 * i + 1] = (float) (mesh.xyz()[3 * mesh.corners()[i] + 2] / size.depth() + 0.5);
    }
    Mesh pictured =
        new Mesh(mesh.xyz(), mesh.normals(), mesh.corners(), mesh.partOf(), mesh.parts(), uv);
    Map<String, byte[]> pictures = new LinkedHashMap<>();
    mesh.parts().forEach(part -> pictures.put(part, stripes()));
    return Glb.write(name, pictured, finishes, pictures);
  }

  private static byte[] stripes() {
    BufferedImage image = new BufferedImage(256, 128, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    Color[] wool = {
      new Color(0xE9DFC8), new Color(0x2F6690), new Color(0xE9DFC8), new Color(0xB05B3B)
    };
    for (int i = 0; i < 16; i++) {
      g.setColor(wool[i % wool.length]);
      g.fillRect(16 * i, 0, 16, 128);
    }
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  static String sha256(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What has all these words in its name or kind, in the order of the list. */
  List<Ware> search(String text) {
    List<String> words = List.of(text.toLowerCase(Locale.ROOT).strip().split("\\s+"));
    List<Ware> found = new ArrayList<>();
    for (Ware w : wares.values()) {
      String all = (w.name() + " " + w.kind() + " " + w.id()).toLowerCase(Locale.ROOT);
      if (words.stream().allMatch(all::contains)) {
        found.add(w);
      }
    }
    return found;
  }

  /** One, or null. */
  Ware ware(String id) {
    return wares.get(id);
  }

  /** Its model file, or null. */
  byte[] model(String id) {
    return models.get(id);
  }
}
