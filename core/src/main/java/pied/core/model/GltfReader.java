package pied.core.model;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Base64;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.joml.Matrix4d;
import org.joml.Quaterniond;
import org.joml.Vector3d;
import pied.core.units.Refusal;

/**
 * Reads glTF 2.0 (Khronos, ISO/IEC 12113), in one binary file or with its buffers beside it. It is
 * in metres with y up. Shapes, plain colours and the pictures on them are taken; bones and
 * movements are not.
 */
final class GltfReader {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int DEEPEST = 100;

  private final JsonNode root;
  private final byte[] chunk;
  private final Files files;
  private final Collector out = new Collector();
  private final Map<Integer, ByteBuffer> buffers = new HashMap<>();
  private final Map<Integer, byte[]> pictures = new HashMap<>();
  private final Set<Integer> above = new HashSet<>();

  private GltfReader(JsonNode root, byte[] chunk, Files files) {
    this.root = root;
    this.chunk = chunk;
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

  private void node(int index, Matrix4d parent, int depth) {
    JsonNode n = root.path("nodes").path(index);
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
    boolean packed = p.path("extensions").has("KHR_draco_mesh_compression");
    if (packed || position.isMissingNode() && p.path("extensions").size() > 0) {
      throw new Refusal(
          "The glTF file is packed in a way that Pied does not unpack; save it plain.");
    }
    if (position.isMissingNode()) {
      return;
    }
    double[] xyz = accessor(position.asInt(), 3);
    ModelNumbers.move(xyz, at);
    int n = xyz.length / 3;
    int[] indices = p.has("indices") ? indices(p.get("indices").asInt()) : null;
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

  private String material(JsonNode index) {
    if (index.isMissingNode()) {
      return null;
    }
    JsonNode m = root.path("materials").path(index.asInt());
    String name = m.path("name").asText("");
    String key = name.isBlank() ? "material " + (index.asInt() + 1) : name;
    JsonNode c = m.path("pbrMetallicRoughness").path("baseColorFactor");
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
    return material.path("pbrMetallicRoughness").path("baseColorTexture");
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
            ByteBuffer in = buffer(view.path("buffer").asInt(0));
            int from = view.path("byteOffset").asInt(0);
            int length = view.path("byteLength").asInt(0);
            if (from >= 0 && length >= 0 && from + (long) length <= in.capacity()) {
              bytes = new byte[length];
              in.get(from, bytes);
            }
          } else if (n.path("uri").asText("").startsWith("data:")) {
            String uri = n.get("uri").asText();
            bytes = Base64.getDecoder().decode(uri.substring(uri.indexOf(',') + 1));
          } else if (n.has("uri")) {
            bytes = files.sibling(plain(n.get("uri").asText()));
          }
          // one that is missing or cannot be shown is no reason to refuse the model
          return bytes != null && Pictures.readable(bytes) ? bytes : null;
        });
  }

  /** Where every vertex is on the picture, or null without one. */
  private double[] pictured(JsonNode primitive, int n) {
    JsonNode m = root.path("materials").path(primitive.path("material").asInt(-1));
    if (picture(m) == null) {
      return null;
    }
    String name = "TEXCOORD_" + texture(m).path("texCoord").asInt(0);
    JsonNode places = primitive.path("attributes").path(name);
    double[] uv = places.isMissingNode() ? new double[2 * n] : accessor(places.asInt(), 2);
    return uv.length == 2 * n ? uv : new double[2 * n];
  }

  /** Numbers as they lie in a buffer. */
  private record Numbered(ByteBuffer in, int count, int type, int from, int stride, double most) {}

  private Numbered numbers(int index, int width) {
    JsonNode a = root.path("accessors").path(index);
    int count = a.path("count").asInt(-1);
    int type = a.path("componentType").asInt();
    String shape = a.path("type").asText();
    int has = shape.equals("SCALAR") ? 1 : shape.equals("VEC3") ? 3 : shape.equals("VEC2") ? 2 : 4;
    if (count < 0 || has < width || a.has("sparse")) {
      throw new Refusal("The glTF file has numbers written in a way that is not known.");
    }
    JsonNode view = root.path("bufferViews").path(a.path("bufferView").asInt(-1));
    ByteBuffer in = buffer(view.path("buffer").asInt(0));
    int size = type == 5126 || type == 5125 ? 4 : type == 5122 || type == 5123 ? 2 : 1;
    int stride = view.path("byteStride").asInt(has * size);
    long from = view.path("byteOffset").asLong(0) + a.path("byteOffset").asLong(0);
    if (from < 0
        || stride < 0
        || count > 0 && from + (long) stride * (count - 1) + (long) has * size > in.capacity()) {
      throw new Refusal("The glTF file's numbers end in the middle; fetch it anew.");
    }
    boolean share = a.path("normalized").asBoolean();
    double most = !share ? 1 : type == 5121 ? 255 : type == 5123 ? 65535 : 1;
    return new Numbered(in, count, type, (int) from, stride, most);
  }

  private double[] accessor(int index, int width) {
    Numbered n = numbers(index, width);
    ByteBuffer in = n.in;
    double[] v = new double[n.count * width];
    if (n.type == 5126) { // nearly always
      for (int i = 0; i < n.count; i++) {
        int at = n.from + n.stride * i;
        for (int k = 0; k < width; k++) {
          v[i * width + k] = in.getFloat(at + 4 * k);
        }
      }
      return v;
    }
    for (int i = 0; i < n.count; i++) {
      for (int k = 0; k < width; k++) {
        v[i * width + k] = whole(n, n.from + n.stride * i, k) / n.most;
      }
    }
    return v;
  }

  private static double whole(Numbered n, int at, int k) {
    return switch (n.type) {
      case 5125 -> n.in.getInt(at + 4 * k) & 0xFFFFFFFFL;
      case 5123 -> n.in.getShort(at + 2 * k) & 0xFFFF;
      case 5122 -> n.in.getShort(at + 2 * k);
      case 5121 -> n.in.get(at + k) & 0xFF;
      default -> n.in.get(at + k);
    };
  }

  private int[] indices(int index) {
    Numbered n = numbers(index, 1);
    int[] v = new int[n.count];
    for (int i = 0; i < v.length; i++) {
      int at = n.from + n.stride * i;
      v[i] =
          n.type == 5125
              ? n.in.getInt(at)
              : n.type == 5123 ? n.in.getShort(at) & 0xFFFF : (int) whole(n, at, 0);
    }
    return v;
  }

  private ByteBuffer buffer(int index) {
    return buffers.computeIfAbsent(
        index,
        i -> {
          String uri = root.path("buffers").path(i).path("uri").asText("");
          byte[] bytes = chunk;
          if (uri.startsWith("data:")) {
            try {
              bytes = Base64.getDecoder().decode(uri.substring(uri.indexOf(',') + 1));
            } catch (IllegalArgumentException e) {
              throw new Refusal("The numbers inside the glTF file cannot be read.");
            }
          } else if (!uri.isEmpty()) {
            bytes = files.sibling(plain(uri));
          }
          if (bytes == null) {
            throw new Refusal(
                "The glTF file needs “{}”, which did not come with it; drop both together, or"
                    + " a zip.",
                uri);
          }
          return ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
        });
  }

  /** A name without its percent signs (RFC 3986). */
  private static String plain(String uri) {
    java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
    byte[] b = uri.getBytes(java.nio.charset.StandardCharsets.UTF_8);
    for (int i = 0; i < b.length; i++) {
      int high = i + 2 < b.length ? Character.digit(b[i + 1], 16) : -1;
      int low = i + 2 < b.length ? Character.digit(b[i + 2], 16) : -1;
      if (b[i] == '%' && high >= 0 && low >= 0) {
        out.write(16 * high + low);
        i += 2;
      } else {
        out.write(b[i]);
      }
    }
    return out.toString(java.nio.charset.StandardCharsets.UTF_8);
  }
}
