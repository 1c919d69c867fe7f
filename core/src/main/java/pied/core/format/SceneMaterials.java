package pied.core.format;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import pied.core.Nullable;
import pied.core.material.Appearance;
import pied.core.material.Look;
import pied.core.material.PictureFiles;
import pied.core.material.Tiles;
import pied.core.material.pattern.Tint;

/**
 * The materials of a glTF file with their pictures, each written once. Of the extensions only
 * ratified ones: KHR_materials_clearcoat, _sheen, _transmission.
 */
final class SceneMaterials {
  /** Keeps the bytes of a file, and says as which view of the buffer. */
  interface Keeper {
    int keep(byte[] file);
  }

  /** How rough lacquer is, and cloth where it gleams. */
  private static final double LACQUER = 0.12;

  private static final double FUZZ = 0.6;

  private final ObjectNode root;
  private final PictureFiles pictures;
  private final Keeper keeper;
  private final boolean shapes;
  private final Map<WornLook, Integer> all = new LinkedHashMap<>();
  private final Map<String, Integer> textures = new HashMap<>();
  private final Map<Look, Integer> brought = new HashMap<>();

  private record WornLook(Look look, boolean pictured) {}

  /**
   * @param shapes whether they are dressed by others: then nothing is printed on them but what they
   *     came with
   */
  SceneMaterials(ObjectNode root, PictureFiles pictures, Keeper keeper, boolean shapes) {
    this.root = root;
    this.pictures = pictures;
    this.keeper = keeper;
    this.shapes = shapes;
  }

  /** Says that an extension is used. */
  void uses(String extension) {
    ArrayNode used = root.withArray("/extensionsUsed");
    for (int i = 0; i < used.size(); i++) {
      if (used.get(i).asText().equals(extension)) {
        return;
      }
    }
    used.add(extension);
  }

  /** The number of one. */
  int of(Look look, Appearance s, boolean pictured) {
    Look told = pictured ? look : new Look(look.name(), look.finish(), null);
    WornLook key = new WornLook(told, pictured);
    Integer had = all.get(key);
    if (had != null) {
      return had;
    }
    ObjectNode m = root.withArray("/materials").addObject().put("name", look.name());
    ObjectNode body = m.putObject("pbrMetallicRoughness");
    Integer print = pictured ? brought(told) : shapes ? null : printed(s.tile());
    body.put("metallicFactor", s.metal()).put("roughnessFactor", s.roughness());
    if (print != null) {
      ObjectNode texture = body.putObject("baseColorTexture").put("index", print);
      if (shapes) {
        texture.put("texCoord", 2);
      }
    }
    colour(body, print, s);
    if (print != null && !pictured) {
      uneven(m, body, s);
    }
    light(m, s);
    layers(m, s);
    all.put(key, all.size());
    return all.size() - 1;
  }

  private static void colour(ObjectNode body, @Nullable Integer print, Appearance s) {
    double[] rgb = print == null ? Tint.linear(s.colour()) : new double[] {1, 1, 1};
    if (print == null || s.transparency() > 0) {
      ArrayNode factor = body.putArray("baseColorFactor");
      factor.add(rgb[0]).add(rgb[1]).add(rgb[2]).add(1 - s.transparency());
    }
  }

  private void uneven(ObjectNode m, ObjectNode body, Appearance s) {
    Integer rough = texture(s.tile().roughness());
    if (rough != null) {
      body.put("roughnessFactor", 1).put("metallicFactor", 1);
      body.putObject("metallicRoughnessTexture").put("index", rough);
    }
    Integer normals = texture(s.tile().normals());
    if (normals != null) {
      m.putObject("normalTexture").put("index", normals);
    }
    if (s.tile().holes()) {
      m.put("alphaMode", "MASK");
    }
  }

  private static void light(ObjectNode m, Appearance s) {
    if (s.transparency() > 0) {
      m.put("alphaMode", "BLEND");
    }
    if (s.emission() > 0) {
      double[] rgb = Tint.linear(s.colour());
      double glow = s.emission();
      m.putArray("emissiveFactor").add(glow * rgb[0]).add(glow * rgb[1]).add(glow * rgb[2]);
    }
  }

  private void layers(ObjectNode m, Appearance s) {
    if (s.clearCoat() > 0) {
      extension(m, "KHR_materials_clearcoat")
          .put("clearcoatFactor", s.clearCoat())
          .put("clearcoatRoughnessFactor", LACQUER);
    }
    if (s.transmission() > 0) {
      extension(m, "KHR_materials_transmission").put("transmissionFactor", s.transmission());
    }
    if (s.sheen() > 0) {
      double[] rgb = Tint.linear(s.colour());
      ObjectNode sheen = extension(m, "KHR_materials_sheen");
      ArrayNode colour = sheen.putArray("sheenColorFactor");
      for (double c : rgb) {
        colour.add(c * s.sheen());
      }
      sheen.put("sheenRoughnessFactor", FUZZ);
    }
  }

  private ObjectNode extension(ObjectNode m, String name) {
    uses(name);
    return m.withObject("/extensions/" + name);
  }

  private Integer brought(Look look) {
    return brought.computeIfAbsent(look, l -> texture(l.picture()));
  }

  private @Nullable Integer printed(@Nullable Appearance.Tiled tile) {
    return tile == null ? null : texture(tile.colours());
  }

  /** The texture of a tile or an own picture by its name; null if it is not there. */
  private @Nullable Integer texture(@Nullable String name) {
    if (name == null) {
      return null;
    }
    Integer had = textures.get(name);
    if (had == null) {
      byte[] file = Tiles.file(name, pictures);
      if (file == null) {
        return null;
      }
      had = texture(file);
      textures.put(name, had);
    }
    return had;
  }

  private int texture(byte[] file) {
    boolean png = file.length > 0 && (file[0] & 255) == 0x89;
    ArrayNode images = root.withArray("/images");
    images
        .addObject()
        .put("bufferView", keeper.keep(file))
        .put("mimeType", png ? "image/png" : "image/jpeg");
    ArrayNode out = root.withArray("/textures");
    out.addObject().put("source", images.size() - 1);
    return out.size() - 1;
  }
}
