package pied.core.format;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
  private int length;

  private Glb(Map<String, String> colours) {
    this.colours = colours;
  }

  /**
   * Writes bodies; those with normals keep them.
   *
   * @param colours of finish parts, #RRGGBB; parts without one are card white
   */
  public static byte[] write(List<Body> bodies, Map<String, String> colours) {
    return new Glb(colours).all(bodies);
  }

  /** Writes one mesh where it is. */
  public static byte[] write(String name, Mesh mesh, Map<String, String> colours) {
    return write(List.of(new Body(name, mesh, Pose.HERE)), colours);
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
    ObjectNode attributes = JSON.createObjectNode();
    int n = mesh.xyz().length;
    ByteBuffer places = bytes(4 * n);
    for (double v : mesh.xyz()) {
      places.putFloat((float) v);
    }
    attributes.put("POSITION", accessor(places, ARRAY, 5126, n / 3, "VEC3"));
    ObjectNode position = (ObjectNode) accessors.get(accessors.size() - 1);
    var box = mesh.box();
    position
        .putArray("min")
        .add((float) box.min().x())
        .add((float) box.min().y())
        .add((float) box.min().z());
    position
        .putArray("max")
        .add((float) box.max().x())
        .add((float) box.max().y())
        .add((float) box.max().z());
    if (mesh.normals() != null) {
      ByteBuffer normals = bytes(4 * n);
      for (float v : mesh.normals()) {
        normals.putFloat(v);
      }
      attributes.put("NORMAL", accessor(normals, ARRAY, 5126, n / 3, "VEC3"));
    }
    ArrayNode out = JSON.createArrayNode();
    for (int part = 0; part < mesh.parts().size(); part++) {
      ByteBuffer corners = bytes(4 * mesh.corners().length);
      for (int t = 0; t < mesh.triangles(); t++) {
        if (mesh.partOf()[t] == part) {
          for (int k = 0; k < 3; k++) {
            corners.putInt(mesh.corners()[3 * t + k]);
          }
        }
      }
      corners.limit(corners.position());
      if (corners.limit() == 0) {
        continue;
      }
      ObjectNode primitive = out.addObject();
      primitive.set("attributes", attributes);
      primitive.put("indices", accessor(corners, ELEMENTS, 5125, corners.limit() / 4, "SCALAR"));
      primitive.put("material", material(mesh.parts().get(part)));
    }
    return out;
  }

  private static ByteBuffer bytes(int n) {
    return ByteBuffer.allocate(n).order(ByteOrder.LITTLE_ENDIAN);
  }

  private int accessor(ByteBuffer data, int target, int type, int count, String shape) {
    byte[] bytes = java.util.Arrays.copyOf(data.array(), data.position());
    views
        .addObject()
        .put("buffer", 0)
        .put("byteOffset", length)
        .put("byteLength", bytes.length)
        .put("target", target);
    chunks.add(bytes);
    length += bytes.length;
    accessors
        .addObject()
        .put("bufferView", views.size() - 1)
        .put("componentType", type)
        .put("count", count)
        .put("type", shape);
    return accessors.size() - 1;
  }

  private int material(String part) {
    return material.computeIfAbsent(
        part,
        p -> {
          int rgb = Integer.parseInt(colours.getOrDefault(p, "#F4EFE6").substring(1), 16);
          ObjectNode m = materials.addObject().put("name", p);
          ObjectNode look = m.putObject("pbrMetallicRoughness");
          look.put("metallicFactor", 0).put("roughnessFactor", 0.8);
          look.putArray("baseColorFactor")
              .add(linear(rgb >> 16))
              .add(linear(rgb >> 8))
              .add(linear(rgb))
              .add(1);
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
