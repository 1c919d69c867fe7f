package pied.core.handover;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.zip.ZipOutputStream;
import pied.core.Nullable;
import pied.core.format.TexturePlaces;
import pied.core.material.Appearance;
import pied.core.material.Look;
import pied.core.material.PictureFiles;
import pied.core.material.Tiles;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Decimal;

/**
 * A space as Wavefront OBJ with its materials and what is printed on them, in one zip. Metres, y
 * up; an object for every body, in its place.
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
    Map<Look, ObjMaterial> materials = new LinkedHashMap<>();
    Function<Look, byte[]> files = look -> picture(look, space.shapes().pictures());
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
      float[] printed = printed(i);
      places(printed, out);
      faces(i, points, printed == null ? 0 : places, look -> material(look, materials, files), out);
      points += m.xyz().length / 3;
      places += printed == null ? 0 : printed.length / 2;
      obj.append(out);
      out.setLength(0);
    }
    obj.flush();
    zip.closeEntry();
    Zip.put(zip, file + ".mtl", mtl(materials).getBytes(StandardCharsets.UTF_8));
    for (ObjMaterial m : materials.values()) {
      if (m.picture != null) {
        Zip.put(zip, m.file(), m.picture);
      }
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
  }

  /** Where every corner is on what is printed on its part; null if nothing is on any. */
  private static @Nullable float[] printed(Item i) {
    Mesh m = i.mesh();
    float[] all = null;
    for (int part = 0; part < m.parts().size(); part++) {
      int[] corners = corners(m, part);
      float[] of = TexturePlaces.of(m, corners, i.looks().get(m.parts().get(part)));
      for (int k = 0; of != null && k < corners.length; k++) {
        all = all == null ? new float[2 * m.corners().length] : all;
        all[2 * corners[k]] = of[2 * k];
        all[2 * corners[k] + 1] = of[2 * k + 1];
      }
    }
    return all;
  }

  /** Numbers of the corners of a part. */
  private static int[] corners(Mesh m, int part) {
    return IntStream.range(0, m.corners().length).filter(c -> m.partOf()[c / 3] == part).toArray();
  }

  private static void places(@Nullable float[] printed, StringBuilder out) {
    for (int k = 0; printed != null && k < printed.length; k += 2) {
      number(out.append("vt "), printed[k]);
      number(out.append(' '), 1 - printed[k + 1]);
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
          if (places > 0) {
            out.append('/').append(places + corner);
          }
        }
        out.append('\n');
      }
    }
  }

  private static String material(
      Look look, Map<Look, ObjMaterial> materials, Function<Look, byte[]> files) {
    return materials.computeIfAbsent(
            look,
            l -> new ObjMaterial(word(l.name()) + "_" + (materials.size() + 1), files.apply(l)))
        .name;
  }

  /**
   * A material of the file.
   *
   * @param picture PNG or JPEG, what is printed on it; null for nothing
   */
  private record ObjMaterial(String name, @Nullable byte[] picture) {
    String file() {
      return "pictures/" + name + ((picture[0] & 255) == 0x89 ? ".png" : ".jpg");
    }
  }

  /** What is printed on what looks so: the picture of its model, or the colours of its tile. */
  private static @Nullable byte[] picture(Look look, PictureFiles own) {
    if (TexturePlaces.pictured(look)) {
      return look.picture();
    }
    Appearance.Tiled tile = Appearance.of(look.finish()).tile();
    return tile == null ? null : Tiles.file(tile.colours(), own);
  }

  private static String mtl(Map<Look, ObjMaterial> materials) {
    StringBuilder out = new StringBuilder();
    materials.forEach(
        (look, m) -> {
          int rgb = Integer.parseInt(look.finish().colour().substring(1), 16);
          out.append("newmtl ").append(m.name).append("\nKd");
          for (int k = 16; k >= 0; k -= 8) {
            // what is printed has the colour in it
            out.append(' ').append(number(m.picture != null ? 1 : (rgb >> k & 255) / 255.0));
          }
          double clear = look.finish().transparency();
          if (clear > 0) {
            out.append("\nd ").append(number(1 - clear));
          }
          out.append("\nillum 1\n");
          if (m.picture != null) {
            out.append("map_Kd ").append(m.file()).append('\n');
          }
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
