package pied.core.format;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;

/**
 * Writes binary glTF 2.0 (Khronos, ISO/IEC 12113): a node for every body, a primitive for every
 * finish part, its material named like the part.
 */
public final class Glb {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int ARRAY = 34962;
  private static final int ELEMENTS = 34963;

  private final ObjectNode root = JSON.createObjectNode();
  private final ArrayNode views = root.putArray("bufferViews");
  private final ArrayNode accessors = root.putArray("accessors");
  private final ArrayNode materials = root.putArray("materials");
  private final Map<String, Integer> material = new LinkedHashMap<>();
  private final List<byte[]> chunks = new ArrayList<>();
  private final Map<String, String> colours;
  private final Map<String, byte[]> pictures;
  private int length;

  private Glb(Map<String, String> colours, Map<String, byte[]> pictures) {
    this.colours = colours;
    this.pictures = pictures;
  }

  /**
   * Writes bodies; those with normals keep them.
   *
   * @param colours of finish parts, #RRGGBB; parts without one are card white
   */
  public static byte[] write(List<Body> bodies, Map<String, String> colours) {
    return new Glb(colours, Map.of()).all(bodies);
  }

  /** Writes one mesh where it is. */
  public static byte[] write(String name, Mesh mesh, Map<String, String> colours) {
    return write(name, mesh, colours, Map.of());
  }

  /**
   * Writes one mesh where it is.
   *
   * @param pictures on its parts, by their names: PNG or JPEG files
   */
  public static byte[] write(
      String name, Mesh mesh, Map<String, String> colours, Map<String, byte[]> pictures) {
    return new Glb(colours, pictures).all(List.of(new Body(name, mesh, Pose.HERE)));
  }

  private byte[] all(List<Body> bodies) {
    root.putObject("asset").put("version", "2.0").put("generator", "Pied");
    ArrayNode nodes = root.putArray("nodes");
    ArrayNode meshes = root.putArray("meshes");
    ArrayNode scene = root.putArray("scenes").addObject().putArray("nodes");
    root.put("scene", 0);
    for (Body body : bodies) {
      scene.add(nodes.size());
      nodes.addObject().put("name", body.id()).put("mesh", meshes.size());
      meshes
          .addObject()
          .put("name", body.id())
          .set("primitives", primitives(body.mesh().at(body.pose())));
    }
    root.putArray("buffers").addObject().put("byteLength", length);
    return assemble();
  }

  private ArrayNode primitives(Mesh mesh) {
    int[] every = IntStream.range(0, mesh.xyz().length / 3).toArray();
    ObjectNode plain = null;
    ArrayNode out = JSON.createArrayNode();
    for (int part = 0; part < mesh.parts().size(); part++) {
      int own = part;
      int[] at =
          IntStream.range(0, mesh.corners().length)
              .filter(i -> mesh.partOf()[i / 3] == own)
              .toArray();
      if (at.length == 0) {
        continue;
      }
      String name = mesh.parts().get(part);
      ObjectNode primitive = out.addObject();
      if (mesh.uv() != null && pictures.containsKey(name)) {
        // a corner may be at another place of the picture in every triangle
        int[] vertices = Arrays.stream(at).map(i -> mesh.corners()[i]).toArray();
        ObjectNode attributes = attributes(mesh, vertices);
        ByteBuffer places = bytes(8 * at.length);
        for (int i : at) {
          places.putFloat(mesh.uv()[2 * i]).putFloat(mesh.uv()[2 * i + 1]);
        }
        attributes.put("TEXCOORD_0", accessor(places, ARRAY, 5126, at.length, "VEC2"));
        primitive.set("attributes", attributes);
      } else {
        plain = plain == null ? attributes(mesh, every) : plain;
        ByteBuffer corners = bytes(4 * at.length);
        for (int i : at) {
          corners.putInt(mesh.corners()[i]);
        }
        primitive.set("attributes", plain);
        primitive.put("indices", accessor(corners, ELEMENTS, 5125, at.length, "SCALAR"));
      }
      primitive.put("material", material(name));
    }
    return out;
  }

  private ObjectNode attributes(Mesh mesh, int[] vertices) {
    ObjectNode attributes = JSON.createObjectNode();
    float[] min = {Float.MAX_VALUE, Float.MAX_VALUE, Float.MAX_VALUE};
    float[] max = {-Float.MAX_VALUE, -Float.MAX_VALUE, -Float.MAX_VALUE};
    ByteBuffer places = bytes(12 * vertices.length);
    for (int v : vertices) {
      for (int k = 0; k < 3; k++) {
        float c = (float) mesh.xyz()[3 * v + k];
        min[k] = Math.min(min[k], c);
        max[k] = Math.max(max[k], c);
        places.putFloat(c);
      }
    }
    attributes.put("POSITION", accessor(places, ARRAY, 5126, vertices.length, "VEC3"));
    ObjectNode position = (ObjectNode) accessors.get(accessors.size() - 1);
    position.putArray("min").add(min[0]).add(min[1]).add(min[2]);
    position.putArray("max").add(max[0]).add(max[1]).add(max[2]);
    if (mesh.normals() != null) {
      ByteBuffer normals = bytes(12 * vertices.length);
      for (int v : vertices) {
        for (int k = 0; k < 3; k++) {
          normals.putFloat(mesh.normals()[3 * v + k]);
        }
      }
      attributes.put("NORMAL", accessor(normals, ARRAY, 5126, vertices.length, "VEC3"));
    }
    return attributes;
  }

  private static ByteBuffer bytes(int n) {
    return ByteBuffer.allocate(n).order(ByteOrder.LITTLE_ENDIAN);
  }

  private int accessor(ByteBuffer data, int target, int type, int count, String shape) {
    view(Arrays.copyOf(data.array(), data.position())).put("target", target);
    accessors
        .addObject()
        .put("bufferView", views.size() - 1)
        .put("componentType", type)
        .put("count", count)
        .put("type", shape);
    return accessors.size() - 1;
  }

  private ObjectNode view(byte[] bytes) {
    ObjectNode v =
        views
            .addObject()
            .put("buffer", 0)
            .put("byteOffset", length)
            .put("byteLength", bytes.length);
    byte[] whole = Arrays.copyOf(bytes, (bytes.length + 3) & ~3);
    chunks.add(whole);
    length += whole.length;
    return v;
  }

  /** A picture as a texture of its own; the number of it. */
  private int texture(byte[] file) {
    boolean png = file.length > 0 && (file[0] & 255) == 0x89;
    view(file);
    ArrayNode images = root.withArray("images");
    images
        .addObject()
        .put("bufferView", views.size() - 1)
        .put("mimeType", png ? "image/png" : "image/jpeg");
    ArrayNode textures = root.withArray("textures");
    textures.addObject().put("source", images.size() - 1);
    return textures.size() - 1;
  }

  private int material(String part) {
    return material.computeIfAbsent(
        part,
        p -> {
          int rgb = Integer.parseInt(colours.getOrDefault(p, "#F4EFE6").substring(1), 16);
          ObjectNode m = materials.addObject().put("name", p);
          ObjectNode look = m.putObject("pbrMetallicRoughness");
          look.put("metallicFactor", 0).put("roughnessFactor", 0.8);
          if (pictures.containsKey(p)) {
            look.putObject("baseColorTexture").put("index", texture(pictures.get(p)));
          } else {
            look.putArray("baseColorFactor")
                .add(linear(rgb >> 16))
                .add(linear(rgb >> 8))
                .add(linear(rgb))
                .add(1);
          }
          return materials.size() - 1;
        });
  }

  /** sRGB to linear light (IEC 61966-2-1), as glTF wants it. */
  private static double linear(int channel) {
    double c = (channel & 255) / 255.0;
    return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
  }

  private byte[] assemble() {
    byte[] json;
    try {
      json = JSON.writeValueAsBytes(root);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    int padded = (json.length + 3) & ~3;
    ByteBuffer out = bytes(12 + 8 + padded + 8 + length);
    out.putInt(0x46546C67).putInt(2).putInt(out.capacity());
    out.putInt(padded).putInt(0x4E4F534A).put(json);
    while (out.position() < 20 + padded) {
      out.put((byte) ' ');
    }
    out.putInt(length).putInt(0x004E4942);
    chunks.forEach(out::put);
    return out.array();
  }
}
