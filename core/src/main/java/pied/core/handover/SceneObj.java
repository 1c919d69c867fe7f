package pied.core.handover;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.zip.ZipOutputStream;
import pied.core.material.Look;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Decimal;

/**
 * A space as Wavefront OBJ with its materials and pictures, in one zip. Metres, y up; an object for
 * every body, in its place.
 */
public final class SceneObj {
  private SceneObj() {}

  /**
   * Writes it.
   *
   * @param file name of the files in it, without an ending
   */
  public static void write(
      Space space, String file, boolean ceiling, OutputStream to, Deadline deadline)
      throws IOException {
    Map<Look, String> materials = new LinkedHashMap<>();
    Map<String, byte[]> pictures = new LinkedHashMap<>();
    ZipOutputStream zip = Zip.open(to);
    Zip.begin(zip, file + ".obj");
    Writer obj = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
    obj.write("# metres, y up\nmtllib " + file + ".mtl\n");
    int points = 1;
    int places = 1;
    StringBuilder out = new StringBuilder();
    for (Item i : Item.of(space, ceiling)) {
      deadline.check();
      Mesh m = i.mesh();
      points(i, out);
      faces(i, points, places, look -> material(look, materials, pictures), out);
      points += m.xyz().length / 3;
      places += m.uv() == null ? 0 : m.uv().length / 2;
      obj.append(out);
      out.setLength(0);
    }
    obj.flush();
    zip.closeEntry();
    Zip.put(zip, file + ".mtl", mtl(materials, pictures).getBytes(StandardCharsets.UTF_8));
    for (Map.Entry<String, byte[]> p : pictures.entrySet()) {
      Zip.put(zip, p.getKey(), p.getValue());
    }
    zip.finish();
  }

  private static void points(Item i, StringBuilder out) {
    Mesh m = i.mesh();
    out.append("o ").append(word(i.name())).append('\n');
    for (int v = 0; 3 * v < m.xyz().length; v++) {
      Vec p = i.pose().apply(m.vertex(v));
      number(out.append("v "), p.x());
      number(out.append(' '), p.y());
      number(out.append(' '), p.z());
      out.append('\n');
    }
    for (int k = 0; m.uv() != null && k < m.uv().length; k += 2) {
      number(out.append("vt "), m.uv()[k]);
      number(out.append(' '), 1 - m.uv()[k + 1]);
      out.append('\n');
    }
  }

  private static void faces(
      Item i, int points, int places, Function<Look, String> material, StringBuilder out) {
    Mesh m = i.mesh();
    for (int part = 0; part < m.parts().size(); part++) {
      boolean begun = false;
      for (int t = 0; t < m.triangles(); t++) {
        if (m.partOf()[t] != part) {
          continue;
        }
        if (!begun) {
          String name = material.apply(i.looks().get(m.parts().get(part)));
          out.append("usemtl ").append(name).append('\n');
          begun = true;
        }
        out.append('f');
        for (int corner = 3 * t; corner < 3 * t + 3; corner++) {
          out.append(' ').append(points + m.corners()[corner]);
          if (m.uv() != null) {
            out.append('/').append(places + corner);
          }
        }
        out.append('\n');
      }
    }
  }

  private static String material(
      Look look, Map<Look, String> materials, Map<String, byte[]> pictures) {
    return materials.computeIfAbsent(
        look,
        l -> {
          String name = word(l.name()) + "_" + (materials.size() + 1);
          if (l.picture() != null) {
            boolean png = (l.picture()[0] & 255) == 0x89;
            pictures.put("pictures/" + name + (png ? ".png" : ".jpg"), l.picture());
          }
          return name;
        });
  }

  private static String mtl(Map<Look, String> materials, Map<String, byte[]> pictures) {
    StringBuilder out = new StringBuilder();
    materials.forEach(
        (look, name) -> {
          int rgb = Integer.parseInt(look.finish().colour().substring(1), 16);
          out.append("newmtl ").append(name).append("\nKd");
          for (int k = 16; k >= 0; k -= 8) {
            out.append(' ').append(number((rgb >> k & 255) / 255.0));
          }
          out.append("\nillum 1\n");
          pictures.keySet().stream()
              .filter(p -> p.matches("pictures/\\Q" + name + "\\E\\.(png|jpg)"))
              .forEach(p -> out.append("map_Kd ").append(p).append('\n'));
        });
    return out.toString();
  }

  /** A name as one word of letters that every reader knows. */
  private static String word(String name) {
    String w = name.replaceAll("[^A-Za-z0-9.-]+", "_");
    return w.isEmpty() || w.equals("_") ? "piece" : w;
  }

  private static String number(double v) {
    StringBuilder out = new StringBuilder();
    number(out, v);
    return out.toString();
  }

  /** To a thousandth of a millimetre. */
  private static void number(StringBuilder out, double v) {
    Decimal.append(out, v, 1_000_000);
  }
}
