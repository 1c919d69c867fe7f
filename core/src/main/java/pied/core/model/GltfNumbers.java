package pied.core.model;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import pied.core.Nullable;
import pied.core.units.Refusal;

/** The numbers of a glTF file, as they lie in its buffers. */
final class GltfNumbers {
  private final JsonNode root;
  private final @Nullable byte[] chunk;
  private final Files files;
  private final Map<Integer, ByteBuffer> buffers = new HashMap<>();

  /**
   * @param chunk the buffer inside a binary file; null for none
   */
  GltfNumbers(JsonNode root, @Nullable byte[] chunk, Files files) {
    this.root = root;
    this.chunk = chunk;
    this.files = files;
  }

  /** What a text holds; null if it cannot be read. */
  static @Nullable byte[] decoded(String uri) {
    try {
      return Base64.getDecoder().decode(uri.substring(uri.indexOf(',') + 1));
    } catch (IllegalArgumentException e) {
      return null;
    }
  }

  /** What is written as one, by the kind of number: glTF 2.0, 3.6.2.2. */
  private static final Map<Integer, Double> MOST_OF =
      Map.of(5120, 127.0, 5121, 255.0, 5122, 32767.0, 5123, 65535.0);

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
    double most = share ? MOST_OF.getOrDefault(type, 1.0) : 1;
    return new Numbered(in, count, type, (int) from, stride, most);
  }

  double[] accessor(int index, int width) {
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
        double w = whole(n, n.from + n.stride * i, k);
        v[i * width + k] = n.most == 1 ? w : Math.max(-1, w / n.most);
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

  int[] indices(int index) {
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

  ByteBuffer buffer(int index) {
    return buffers.computeIfAbsent(
        index,
        i -> {
          String uri = root.path("buffers").path(i).path("uri").asText("");
          byte[] bytes = chunk;
          if (uri.startsWith("data:")) {
            bytes = decoded(uri);
            if (bytes == null) {
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
  static String plain(String uri) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] b = uri.getBytes(StandardCharsets.UTF_8);
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
    return out.toString(StandardCharsets.UTF_8);
  }
}
