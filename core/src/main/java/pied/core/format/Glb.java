package pied.core.format;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.material.Finish;
import pied.core.material.Look;
import pied.core.material.PictureFiles;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;

/**
 * Writes bodies as binary glTF 2.0: a node for every body, a primitive for every finish part, its
 * material named like the part.
 */
public final class Glb {
  private Glb() {}

  /**
   * Writes bodies; those with normals keep them.
   *
   * @param finishes of its parts; parts without one are of card
   */
  public static byte[] write(List<Body> bodies, Map<String, Finish> finishes) {
    return all(bodies, finishes, Map.of());
  }

  /** Writes one mesh where it is. */
  public static byte[] write(String name, Mesh mesh, Map<String, Finish> finishes) {
    return write(name, mesh, finishes, Map.of());
  }

  /**
   * Writes one mesh where it is.
   *
   * @param pictures on its parts, by their names: PNG or JPEG files
   */
  public static byte[] write(
      String name, Mesh mesh, Map<String, Finish> finishes, Map<String, byte[]> pictures) {
    return all(List.of(new Body(name, mesh, Pose.HERE)), finishes, pictures);
  }

  /**
   * Writes bodies to be dressed by others: TEXCOORD_0 is in metres to the right and down as one
   * looks at the part, TEXCOORD_1 the same along its length, TEXCOORD_2 its place on the picture it
   * came with.
   *
   * @param pictures they came with, by the names of their parts
   */
  public static byte[] shape(List<Body> bodies, Map<String, byte[]> pictures) {
    return all(GltfScene.ofShape(), bodies, Map.of(), pictures);
  }

  private static byte[] all(
      List<Body> bodies, Map<String, Finish> finishes, Map<String, byte[]> pictures) {
    return all(new GltfScene("Pied", PictureFiles.NONE), bodies, finishes, pictures);
  }

  private static byte[] all(
      GltfScene scene,
      List<Body> bodies,
      Map<String, Finish> finishes,
      Map<String, byte[]> pictures) {
    for (Body body : bodies) {
      Map<String, Look> looks = new LinkedHashMap<>();
      for (String part : body.mesh().parts()) {
        looks.put(
            part, new Look(part, finishes.getOrDefault(part, Finish.CARD), pictures.get(part)));
      }
      scene.put(body.id(), body.mesh().at(body.pose()), Pose.HERE, looks);
    }
    return scene.bytes();
  }
}
