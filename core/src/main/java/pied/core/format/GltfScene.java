package pied.core.format;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.material.Appearance;
import pied.core.material.Look;
import pied.core.material.PictureFiles;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Rotation;
import pied.core.solid.Vec;

/**
 * A binary glTF 2.0 file (Khronos, ISO/IEC 12113) as it is put together: meshes, each written once
 * however often it is there, nodes that stand in the scene, materials, lamps (KHR_lights_punctual)
 * and cameras. Metres, y up.
 */
public final class GltfScene {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int ARRAY = 34962;
  private static final int ELEMENTS = 34963;
  private static final int FLOAT = 5126;
  private static final int INT = 5125;
  private static final String LIGHTS = "KHR_lights_punctual";

  private final ObjectNode root = JSON.createObjectNode();
  private final ArrayNode scene;
  private final ArrayNode nodes;
  private final Bytes data = new Bytes();
  private final SceneMaterials materials;
  private final boolean shapes;
  private final Map<Mesh, Geometry> geometries = new IdentityHashMap<>();
  private final Map<Worn, Integer> meshes = new HashMap<>();

  /** A mesh in the looks of its parts. */
  private record Worn(int geometry, List<Look> looks) {}

  /** What of a mesh is written: its parts, as things lie on them. */
  private record Geometry(int number, Mesh mesh, Map<String, ScenePart> parts) {}

  private record ScenePart(@Nullable ObjectNode attributes, int indices) {}

  private static final class Bytes extends ByteArrayOutputStream {
    /** Where the next ones begin, at a whole number of four. */
    int next() {
      while (count % 4 != 0) {
        write(0);
      }
      return count;
    }

    void into(ByteBuffer out) {
      out.put(buf, 0, count);
    }
  }

  /**
   * An empty scene of a name.
   *
   * @param pictures where own pictures are had
   */
  public GltfScene(String name, PictureFiles pictures) {
    this(name, pictures, false);
  }

  /** A shape to be dressed by others: the ways things can lie on it, and pictures it came with. */
  static GltfScene ofShape() {
    return new GltfScene("Pied", PictureFiles.NONE, true);
  }

  private GltfScene(String name, PictureFiles pictures, boolean shapes) {
    this.shapes = shapes;
    materials = new SceneMaterials(root, pictures, this::view, shapes);
    root.putObject("asset").put("version", "2.0").put("generator", "Pied");
    root.put("scene", 0);
    ObjectNode only = root.putArray("scenes").addObject().put("name", name);
    scene = only.putArray("nodes");
    nodes = root.putArray("nodes");
  }

  /** What is said of all of it. */
  public ObjectNode about() {
    return ((ObjectNode) root.get("scenes").get(0)).withObject("/extras");
  }

  /**
   * A mesh at a place.
   *
   * @param looks by the parts of the mesh
   * @return the node, to which more can be said
   */
  public ObjectNode put(String name, Mesh mesh, Pose pose, Map<String, Look> looks) {
    ObjectNode node = node(name, pose);
    List<Look> own = mesh.parts().stream().map(looks::get).toList();
    Geometry g =
        geometries.computeIfAbsent(mesh, m -> new Geometry(geometries.size(), m, new HashMap<>()));
    node.put("mesh", meshes.computeIfAbsent(new Worn(g.number, own), w -> mesh(name, g, own)));
    return node;
  }

  /** Something at a place that has no mesh of its own. */
  private ObjectNode node(String name, Pose pose) {
    scene.add(nodes.size());
    ObjectNode node = nodes.addObject().put("name", name);
    Vec at = pose.at();
    if (!at.equals(Vec.ZERO)) {
      node.putArray("translation").add(at.x()).add(at.y()).add(at.z());
    }
    Rotation r = pose.rotation();
    if (Math.abs(r.w()) < 1) {
      node.putArray("rotation").add(r.x()).add(r.y()).add(r.z()).add(r.w());
    }
    return node;
  }

  /** Widest cone of a spot, degrees from its axis. */
  private static final double STEEPEST = 89;

  /**
   * What shines.
   *
   * @param way along which it shines, of length 1
   * @param candela along that
   * @param rgb its colour in linear light
   * @param full angle from its way within which it is full, degrees
   * @param edge angle from its way at which nothing is left, degrees; 0 for all round
   */
  public record SceneLamp(
      Vec at, Vec way, double candela, double[] rgb, double full, double edge) {}

  /** A lamp. */
  public void lamp(String name, SceneLamp l) {
    materials.uses(LIGHTS);
    ArrayNode lamps = root.withObject("/extensions/" + LIGHTS).withArray("/lights");
    boolean round = l.edge == 0;
    ObjectNode lamp = lamps.addObject().put("name", name).put("type", round ? "point" : "spot");
    // a colour there is no more than 1, and what it would be more is strength
    double most = Math.max(l.rgb[0], Math.max(l.rgb[1], l.rgb[2]));
    lamp.put("intensity", l.candela * most);
    lamp.putArray("color").add(l.rgb[0] / most).add(l.rgb[1] / most).add(l.rgb[2] / most);
    if (!round) {
      double edge = Math.toRadians(Math.min(STEEPEST, l.edge));
      lamp.putObject("spot")
          .put("innerConeAngle", Math.min(Math.toRadians(l.full), 0.999 * edge))
          .put("outerConeAngle", edge);
    }
    node(name, looking(l.at, l.way.times(-1)))
        .putObject("extensions")
        .putObject(LIGHTS)
        .put("light", lamps.size() - 1);
  }

  /**
   * A camera.
   *
   * @param height of what it sees, as an angle, degrees
   * @param ratio width by height; 0 for as it is shown
   */
  public void camera(String name, Vec eye, Vec target, double height, double ratio) {
    ArrayNode cameras = root.withArray("/cameras");
    ObjectNode camera = cameras.addObject().put("name", name).put("type", "perspective");
    ObjectNode seen = camera.putObject("perspective");
    seen.put("yfov", Math.toRadians(height)).put("znear", 0.05);
    if (ratio > 0) {
      seen.put("aspectRatio", ratio);
    }
    node(name, looking(eye, eye.minus(target).unit())).put("camera", cameras.size() - 1);
  }

  /** What stands there and looks, or shines, along its -z, as cameras and lamps do. */
  private static Pose looking(Vec at, Vec back) {
    Vec side = Vec.UP.cross(back);
    Vec right = side.length() < Tolerance.SAME ? new Vec(1, 0, 0) : side.unit();
    return Pose.of(at, right, back.cross(right), back);
  }

  private int mesh(String name, Geometry g, List<Look> looks) {
    ArrayNode all = root.withArray("/meshes");
    ObjectNode mesh = all.addObject().put("name", name);
    ArrayNode primitives = mesh.putArray("primitives");
    for (int part = 0; part < looks.size(); part++) {
      Look look = looks.get(part);
      Appearance surface = Appearance.of(look.finish());
      ScenePart written = part(g, part, look, surface);
      if (written.attributes == null) {
        continue;
      }
      ObjectNode p = primitives.addObject();
      p.set("attributes", written.attributes);
      p.put("indices", written.indices);
      boolean pictured = TexturePlaces.pictured(g.mesh, look);
      p.put("material", materials.of(look, surface, pictured));
    }
    return all.size() - 1;
  }

  /** A part as it is worn: written once for all that lies on it in the same way. */
  private ScenePart part(Geometry g, int part, Look look, Appearance surface) {
    Appearance.Tiled tile = surface.tile();
    boolean pictured = TexturePlaces.pictured(g.mesh, look);
    String lies =
        pictured ? "picture" : tile == null ? "" : tile.along() + Arrays.toString(tile.matrix());
    return g.parts.computeIfAbsent(
        part + lies,
        k -> {
          int[] corners = corners(g.mesh, part);
          if (corners.length == 0) {
            return new ScenePart(null, 0);
          }
          float[] places = shapes ? null : TexturePlaces.of(g.mesh, corners, look, surface);
          boolean bumps = !pictured && tile != null && tile.normals() != null;
          return shapes
              ? shape(g.mesh, corners, pictured)
              : written(g.mesh, corners, bumps && g.mesh.normals() != null, places);
        });
  }

  private static int[] corners(Mesh mesh, int part) {
    return IntStream.range(0, mesh.corners().length)
        .filter(i -> mesh.partOf()[i / 3] == part)
        .toArray();
  }

  /**
   * A part whose corners share the vertices that are the same in all.
   *
   * @param bumps whether light falls on it by its texture
   */
  private ScenePart written(Mesh mesh, int[] at, boolean bumps, float[]... places) {
    Shared shared = Shared.of(mesh, at, places);
    ByteBuffer corners = bytes(4 * at.length);
    for (int i : shared.indices()) {
      corners.putInt(i);
    }
    int[] first = shared.corners();
    int[] vertices = Arrays.stream(first).map(i -> mesh.corners()[at[i]]).toArray();
    ObjectNode attributes = attributes(mesh, vertices);
    for (int k = 0; k < places.length && places[k] != null; k++) {
      ByteBuffer out = bytes(8 * first.length);
      for (int i : first) {
        out.putFloat(places[k][2 * i]).putFloat(places[k][2 * i + 1]);
      }
      attributes.put("TEXCOORD_" + k, accessor(out, ARRAY, FLOAT, first.length, "VEC2"));
    }
    if (bumps) {
      ByteBuffer out = bytes(16 * first.length);
      for (Vec t : Tangents.of(mesh, at, shared, places[0])) {
        out.putFloat((float) t.x()).putFloat((float) t.y()).putFloat((float) t.z()).putFloat(1);
      }
      attributes.put("TANGENT", accessor(out, ARRAY, FLOAT, first.length, "VEC4"));
    }
    return new ScenePart(attributes, accessor(corners, ELEMENTS, INT, at.length, "SCALAR"));
  }

  /** All the ways in which something can lie on a part, for whoever dresses it. */
  private ScenePart shape(Mesh mesh, int[] at, boolean pictured) {
    float[] upright = picked(mesh.mapping().upright(), at);
    float[] along = picked(mesh.mapping().along(), at);
    return pictured
        ? written(mesh, at, false, upright, along, picked(mesh.uv(), at))
        : written(mesh, at, false, upright, along);
  }

  private static float[] picked(float[] all, int[] at) {
    float[] out = new float[2 * at.length];
    for (int i = 0; i < at.length; i++) {
      System.arraycopy(all, 2 * at[i], out, 2 * i, 2);
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
    int position = accessor(places, ARRAY, FLOAT, vertices.length, "VEC3");
    attributes.put("POSITION", position);
    ObjectNode own = (ObjectNode) root.get("accessors").get(position);
    own.putArray("min").add(min[0]).add(min[1]).add(min[2]);
    own.putArray("max").add(max[0]).add(max[1]).add(max[2]);
    if (mesh.normals() != null) {
      ByteBuffer normals = bytes(12 * vertices.length);
      for (int v : vertices) {
        normal(mesh, v, normals);
      }
      attributes.put("NORMAL", accessor(normals, ARRAY, FLOAT, vertices.length, "VEC3"));
    }
    return attributes;
  }

  /** Of length 1 to the last digit; where there is none, up. */
  private static void normal(Mesh mesh, int v, ByteBuffer out) {
    double x = mesh.normals()[3 * v];
    double y = mesh.normals()[3 * v + 1];
    double z = mesh.normals()[3 * v + 2];
    double l = Math.sqrt(x * x + y * y + z * z);
    boolean none = !(l > Tolerance.FINE);
    out.putFloat(none ? 0 : (float) (x / l));
    out.putFloat(none ? 1 : (float) (y / l));
    out.putFloat(none ? 0 : (float) (z / l));
  }

  private static ByteBuffer bytes(int n) {
    return ByteBuffer.allocate(n).order(ByteOrder.LITTLE_ENDIAN);
  }

  private int accessor(ByteBuffer bytes, int target, int type, int count, String shape) {
    int view = view(bytes.array());
    ((ObjectNode) root.get("bufferViews").get(view)).put("target", target);
    ArrayNode all = root.withArray("/accessors");
    all.addObject()
        .put("bufferView", view)
        .put("componentType", type)
        .put("count", count)
        .put("type", shape);
    return all.size() - 1;
  }

  private int view(byte[] bytes) {
    ArrayNode all = root.withArray("/bufferViews");
    all.addObject().put("buffer", 0).put("byteOffset", data.next()).put("byteLength", bytes.length);
    data.writeBytes(bytes);
    return all.size() - 1;
  }

  /** The file. */
  public byte[] bytes() {
    int length = data.next();
    if (length > 0) {
      root.putArray("buffers").addObject().put("byteLength", length);
    }
    byte[] json;
    try {
      json = JSON.writeValueAsBytes(root);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    int padded = (json.length + 3) & ~3;
    ByteBuffer out = bytes(12 + 8 + padded + (length > 0 ? 8 + length : 0));
    out.putInt(0x46546C67).putInt(2).putInt(out.capacity());
    out.putInt(padded).putInt(0x4E4F534A).put(json);
    while (out.position() < 20 + padded) {
      out.put((byte) ' ');
    }
    if (length > 0) {
      out.putInt(length).putInt(0x004E4942);
      data.into(out);
    }
    return out.array();
  }
}
