package pied.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;

/**
 * Writes bodies as binary glTF 2.0: a node for every body, a primitive for every finish part, its
 * material named like the part.
 */
public final class Glb {
  private static final String CARD = "#F4EFE6";
  private static final double ROUGH = 0.8;

  private Glb() {}

  /**
   * Writes bodies; those with normals keep them.
   *
   * @param colours of finish parts, #RRGGBB; parts without one are card white
   */
  public static byte[] write(List<Body> bodies, Map<String, String> colours) {
    return all(bodies, colours, Map.of());
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
    return all(List.of(new Body(name, mesh, Pose.HERE)), colours, pictures);
  }

  private static byte[] all(
      List<Body> bodies, Map<String, String> colours, Map<String, byte[]> pictures) {
    GltfScene scene = new GltfScene("Pied");
    for (Body body : bodies) {
      Map<String, Look> looks = new LinkedHashMap<>();
      for (String part : body.mesh().parts()) {
        String colour = colours.getOrDefault(part, CARD);
        looks.put(part, new Look(part, colour, ROUGH, 0, pictures.get(part)));
      }
      scene.put(body.id(), body.mesh().at(body.pose()), Pose.HERE, looks);
    }
    return scene.bytes();
  }
}
