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
import pied.core.Refusal;

/**
 * Reads glTF 2.0 (Khronos, ISO/IEC 12113), in one binary file or with its buffers beside it. It is
 * in metres with y up. Only shapes and plain colours are taken; pictures on them, bones and
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
    if (position.isMissingNode()) {
      if (p.path("extensions").size() > 0) {
        throw new Refusal(
            "The glTF file is packed in a way that Pied does not unpack; save it plain.");
      }
      return;
    }
    if (p.path("extensions").has("KHR_draco_mesh_compression")) {
      throw new Refusal(
          "The glTF file is packed in a way that Pied does not unpack; save it plain.");
    }
    double[] xyz = accessor(position.asInt(), 3);
    Numbers.move(xyz, at);
    int n = xyz.length / 3;
    double[] indices = p.has("indices") ? accessor(p.get("indices").asInt(), 1) : null;
    int count = indices == null ? n : indices.length;
    String material = material(p.path("material"));
    boolean mirrored = at.determinant3x3() < 0;
    double[] t = new double[9];
    int step = mode == 4 ? 3 : 1;
    for (int i = 0; i + 2 < count; i += step) {
      int[] c = mode == 6 ? new int[] {0, i + 1, i + 2} : new int[] {i, i + 1, i + 2};
      boolean turned = mirrored ^ (mode == 5 && i % 2 == 1);
      for (int k = 0; k < 3; k++) {
        int corner = c[turned && k > 0 ? 3 - k : k];
        double index = indices == null ? corner : indices[corner];
        if (!(index >= 0 && index < n)) {
          throw new Refusal("The glTF file has a face whose corner is not there.");
        }
        System.arraycopy(xyz, 3 * (int) index, t, 3 * k, 3);
      }
      out.triangle(material, t);
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
    return key;
  }

  private double[] accessor(int index, int width) {
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
    if (count > 0 && from + (long) stride * (count - 1) + (long) has * size > in.capacity()) {
      throw new Refusal("The glTF file's numbers end in the middle; fetch it anew.");
    }
    double[] v = new double[count * width];
    for (int i = 0; i < count; i++) {
      int at = (int) (from + (long) stride * i);
      for (int k = 0; k < width; k++, at += size) {
        v[i * width + k] =
            switch (type) {
              case 5126 -> in.getFloat(at);
              case 5125 -> in.getInt(at) & 0xFFFFFFFFL;
              case 5123 -> in.getShort(at) & 0xFFFF;
              case 5122 -> in.getShort(at);
              case 5121 -> in.get(at) & 0xFF;
              default -> in.get(at);
            };
      }
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
                "The glTF file needs “"
                    + uri
                    + "”, which did not come with it; drop both together, or a zip.");
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
