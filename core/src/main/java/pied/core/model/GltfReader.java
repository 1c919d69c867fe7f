package pied.core.model;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.joml.Matrix4d;
import org.joml.Quaterniond;
import org.joml.Vector3d;
import pied.core.Names;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * Reads glTF 2.0 (Khronos, ISO/IEC 12113), in one binary file or with its buffers beside it. It is
 * in metres with y up. Shapes, plain colours and the pictures on them are taken; bones and
 * movements are not.
 */
final class GltfReader {
  /** A text in it may be a whole buffer, and is as long as the file may be. */
  private static final ObjectMapper JSON =
      new ObjectMapper(
          JsonFactory.builder()
              .streamReadConstraints(
                  StreamReadConstraints.builder()
                      .maxStringLength((int) Files.MOST)
                      .maxNestingDepth(200)
                      .build())
              .build());

  private static final int DEEPEST = 100;

  /** So often nodes are looked at: one that stands below several is looked at for each. */
  private static final int MOST_VISITS = 100_000;

  /** How materials were said before; of it their colour and picture are taken. */
  private static final String SPECULAR = "KHR_materials_pbrSpecularGlossiness";

  /** What a file may need without which it is not as it was meant; all else is not understood. */
  private static final Set<String> KNOWN =
      Set.of(
          "KHR_mesh_quantization",
          "KHR_texture_transform",
          "KHR_lights_punctual",
          "KHR_materials_unlit",
          "KHR_materials_clearcoat",
          "KHR_materials_sheen",
          "KHR_materials_transmission",
          "KHR_materials_volume",
          "KHR_materials_ior",
          "KHR_materials_specular",
          "KHR_materials_emissive_strength",
          "KHR_materials_iridescence",
          "KHR_materials_anisotropy",
          "KHR_materials_dispersion",
          "KHR_materials_variants",
          SPECULAR,
          "KHR_xmp_json_ld");

  /** What packs a file, by what people call it. */
  private static final Map<String, String> PACKED =
      Map.of(
          "KHR_draco_mesh_compression", "Draco",
          "EXT_meshopt_compression", "meshopt",
          "KHR_meshopt_compression", "meshopt");

  private final JsonNode root;
  private final GltfNumbers numbers;
  private final Files files;
  private final Collector out = new Collector();
  private final Map<Integer, byte[]> pictures = new HashMap<>();
  private final Map<Integer, String> materials = new HashMap<>();
  private final Set<Integer> above = new HashSet<>();
  private int visits;

  private GltfReader(JsonNode root, byte[] chunk, Files files) {
    this.root = root;
    numbers = new GltfNumbers(root, chunk, files);
    this.files = files;
  }

  static Model read(byte[] b, Files files) {
    try {
      if (!ModelReader.begins(b, "glTF")) {
        return new GltfReader(JSON.readTree(b), null, files).model();
      }
      ByteBuffer in = ByteBuffer.wrap(b).order(ByteOrder.LITTLE_ENDIAN);
      if (b.length < 20 || in.getInt(4) != 2) {
        throw new Refusal("The GLB file is cut off, or not of version 2.");
      }
      if ((in.getInt(8) & 0xFFFFFFFFL) > b.length) {
        throw new Refusal("The GLB file ends in the middle; fetch it anew.");
      }
      JsonNode json = null;
      byte[] bin = null;
      for (int at = 12; at + 8 <= b.length; ) {
        int length = in.getInt(at);
        if (length < 0 || at + 8L + length > b.length) {
          throw new Refusal("The GLB file ends in the middle; fetch it anew.");
        }
        int type = in.getInt(at + 4);
        if (type == 0x4E4F534A) {
          json = JSON.readTree(b, at + 8, length);
        } else if (type == 0x004E4942) {
          bin = java.util.Arrays.copyOfRange(b, at + 8, at + 8 + length);
        }
        at += 8 + length;
      }
      if (json == null) {
        throw new Refusal("The GLB file has no description in it.");
      }
      return new GltfReader(json, bin, files).model();
    } catch (IOException e) {
      throw new Refusal("The glTF file's description cannot be read; it may be cut off.");
    }
  }

  private Model model() {
    if (!root.path("asset").path("version").asText("").startsWith("2")) {
      throw new Refusal("The file is not glTF of version 2.");
    }
    root.path("extensionsRequired").forEach(e -> needs(e.asText()));
    JsonNode scenes = root.path("scenes");
    JsonNode top = scenes.path(root.path("scene").asInt(0)).path("nodes");
    if (top.isMissingNode()) { // without a scene, all nodes that no other has
      Set<Integer> below = new HashSet<>();
      root.path("nodes").forEach(n -> n.path("children").forEach(c -> below.add(c.asInt())));
      for (int i = 0; i < root.path("nodes").size(); i++) {
        if (!below.contains(i)) {
          node(i, new Matrix4d(), 0);
        }
      }
    } else {
      top.forEach(n -> node(n.asInt(), new Matrix4d(), 0));
    }
    return out.model(1.0, 'y');
  }

  private static void needs(String extension) {
    String packed = PACKED.get(extension);
    if (packed != null) {
      throw new Refusal(
          "The glTF file is compressed ({}), which Pied does not unpack; save it without.", packed);
    }
    if (!KNOWN.contains(extension)) {
      throw new Refusal(
          "The glTF file needs “{}”, which Pied does not know; save it without.",
          extension.substring(0, Math.min(60, extension.length())));
    }
  }

  private void node(int index, Matrix4d parent, int depth) {
    JsonNode n = root.path("nodes").path(index);
    if (++visits > MOST_VISITS) {
      throw new Refusal("The glTF file has more nodes, or copies of them, than a model can have.");
    }
    if (depth > DEEPEST || !above.add(index)) {
      throw new Refusal("The nodes of the glTF file hang in a circle.");
    }
    Matrix4d own = new Matrix4d(parent);
    if (n.path("matrix").size() == 16) {
      double[] m = new double[16];
      for (int i = 0; i < 16; i++) {
        m[i] = n.get("matrix").get(i).asDouble();
      }
      own.mul(new Matrix4d().set(m));
    } else {
      Vector3d t = vector(n.path("translation"), 0);
      Vector3d s = vector(n.path("scale"), 1);
      JsonNode r = n.path("rotation");
      Quaterniond q =
          r.size() == 4
              ? new Quaterniond(
                  r.get(0).asDouble(),
                  r.get(1).asDouble(),
                  r.get(2).asDouble(),
                  r.get(3).asDouble())
              : new Quaterniond();
      own.mul(new Matrix4d().translationRotateScale(t, q, s));
    }
    if (n.has("mesh")) {
      root.path("meshes")
          .path(n.get("mesh").asInt(-1))
          .path("primitives")
          .forEach(p -> primitive(p, own));
    }
    n.path("children").forEach(c -> node(c.asInt(), own, depth + 1));
    above.remove(index);
  }

  private static Vector3d vector(JsonNode n, double otherwise) {
    return n.size() == 3
        ? new Vector3d(n.get(0).asDouble(), n.get(1).asDouble(), n.get(2).asDouble())
        : new Vector3d(otherwise);
  }

  private void primitive(JsonNode p, Matrix4d at) {
    int mode = p.path("mode").asInt(4);
    if (mode < 4) {
      return; // points and lines
    }
    JsonNode position = p.path("attributes").path("POSITION");
    p.path("extensions").fieldNames().forEachRemaining(e -> packed(position, e));
    if (position.isMissingNode()) {
      return;
    }
    double[] xyz = numbers.accessor(position.asInt(), 3);
    ModelNumbers.move(xyz, at);
    int n = xyz.length / 3;
    int[] indices = p.has("indices") ? numbers.indices(p.get("indices").asInt()) : null;
    int count = indices == null ? n : indices.length;
    String material = material(p.path("material"));
    double[] on = pictured(p, n);
    float[] uv = on == null ? null : new float[6];
    boolean mirrored = at.determinant3x3() < 0;
    int first = out.points(material, xyz);
    int step = mode == 4 ? 3 : 1;
    int[] c = new int[3];
    for (int i = 0; i + 2 < count; i += step) {
      boolean turned = mirrored ^ (mode == 5 && i % 2 == 1);
      c[0] = mode == 6 ? 0 : i;
      c[1] = turned ? i + 2 : i + 1;
      c[2] = turned ? i + 1 : i + 2;
      for (int k = 0; k < 3; k++) {
        int index = indices == null ? c[k] : indices[c[k]];
        if (index < 0 || index >= n) {
          throw new Refusal("The glTF file has a face whose corner is not there.");
        }
        if (uv != null) {
          uv[2 * k] = (float) on[2 * index];
          uv[2 * k + 1] = (float) on[2 * index + 1];
        }
        c[k] = first + index;
      }
      out.triangle(material, c[0], c[1], c[2], uv);
    }
  }

  /** Compressed numbers may have others beside them for those who cannot unpack them. */
  private void packed(JsonNode position, String extension) {
    int view = root.path("accessors").path(position.asInt(-1)).path("bufferView").asInt(-1);
    if (PACKED.containsKey(extension) && view < 0) {
      needs(extension);
    }
  }

  /** Two of one name stay two. */
  private String material(JsonNode index) {
    return index.isMissingNode()
        ? null
        : materials.computeIfAbsent(
            index.asInt(),
            i -> {
              String name = Text.clean(root.path("materials").path(i).path("name").asText(""));
              String own = name.isBlank() ? "material " + (i + 1) : name;
              return material(i, Names.free(own, new HashSet<>(materials.values())));
            });
  }

  private String material(int index, String key) {
    JsonNode m = root.path("materials").path(index);
    JsonNode older = m.path("extensions").path(SPECULAR);
    JsonNode newer = m.path("pbrMetallicRoughness").path("baseColorFactor");
    JsonNode c = newer.isMissingNode() ? older.path("diffuseFactor") : newer;
    double[] rgb = new double[3];
    for (int k = 0; k < 3; k++) {
      double linear = c.size() >= 3 ? c.get(k).asDouble() : 1;
      // the file's colours are linear light, those of the screen are not (IEC 61966-2-1)
      rgb[k] = linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    }
    out.colour(key, ModelReader.colour(rgb));
    byte[] picture = picture(m);
    if (picture != null) {
      out.picture(key, picture);
      out.colour(key, Pictures.colour(picture, rgb));
    }
    return key;
  }

  private static JsonNode texture(JsonNode material) {
    JsonNode t = material.path("pbrMetallicRoughness").path("baseColorTexture");
    JsonNode older = material.path("extensions").path(SPECULAR).path("diffuseTexture");
    return t.isMissingNode() ? older : t;
  }

  /** The picture of a material, or null. */
  private byte[] picture(JsonNode material) {
    JsonNode t = texture(material);
    if (t.isMissingNode()) {
      return null;
    }
    int image = root.path("textures").path(t.path("index").asInt(-1)).path("source").asInt(-1);
    return pictures.computeIfAbsent(
        image,
        i -> {
          JsonNode n = root.path("images").path(i);
          byte[] bytes = null;
          if (n.has("bufferView")) {
            JsonNode view = root.path("bufferViews").path(n.get("bufferView").asInt(-1));
            ByteBuffer in = numbers.buffer(view.path("buffer").asInt(0));
            int from = view.path("byteOffset").asInt(0);
            int length = view.path("byteLength").asInt(0);
            if (from >= 0 && length >= 0 && from + (long) length <= in.capacity()) {
              bytes = new byte[length];
              in.get(from, bytes);
            }
          } else if (n.path("uri").asText("").startsWith("data:")) {
            bytes = GltfNumbers.decoded(n.get("uri").asText());
          } else if (n.has("uri")) {
            bytes = files.sibling(GltfNumbers.plain(n.get("uri").asText()));
          }
          if (bytes != null && Pictures.readable(bytes)) {
            return bytes;
          }
          // one that is missing or cannot be shown is no reason to refuse the model
          String name =
              n.path("name").asText(GltfNumbers.plain(n.path("uri").asText("picture " + (i + 1))));
          out.lost(name.startsWith("data:") ? "picture " + (i + 1) : name);
          return null;
        });
  }

  /** Where every vertex is on the picture, or null without one. */
  private double[] pictured(JsonNode primitive, int n) {
    JsonNode m = root.path("materials").path(primitive.path("material").asInt(-1));
    if (picture(m) == null) {
      return null;
    }
    JsonNode moved = texture(m).path("extensions").path("KHR_texture_transform");
    int set = moved.path("texCoord").asInt(texture(m).path("texCoord").asInt(0));
    String name = "TEXCOORD_" + set;
    JsonNode places = primitive.path("attributes").path(name);
    double[] uv = places.isMissingNode() ? new double[2 * n] : numbers.accessor(places.asInt(), 2);
    if (uv.length != 2 * n) {
      return new double[2 * n];
    }
    if (!moved.isMissingNode()) {
      move(uv, moved);
    }
    return uv;
  }

  /** Moves places on a picture: scaled, turned and shifted, as KHR_texture_transform has it. */
  private static void move(double[] uv, JsonNode how) {
    double turn = how.path("rotation").asDouble(0);
    double cos = Math.cos(turn);
    double sin = Math.sin(turn);
    double sx = how.path("scale").path(0).asDouble(1);
    double sy = how.path("scale").path(1).asDouble(1);
    double x = how.path("offset").path(0).asDouble(0);
    double y = how.path("offset").path(1).asDouble(0);
    for (int i = 0; i < uv.length; i += 2) {
      double u = sx * uv[i];
      double v = sy * uv[i + 1];
      uv[i] = cos * u + sin * v + x;
      uv[i + 1] = cos * v - sin * u + y;
    }
  }
}
