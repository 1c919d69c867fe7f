package pied.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import pied.core.Nullable;
import pied.core.solid.Mesh;

/**
 * What a model file holds, as it was built: triangles by material.
 *
 * @param unit metres a unit of the file, or null if the file does not say
 * @param up the direction that is up: 'x', 'y' or 'z', or null if the file does not say
 * @param skipped triangles that were left out since they had no area or a corner nowhere
 * @param lost pictures that the file names, but that did not come along or cannot be shown
 */
public record Model(
    List<ModelPart> parts,
    @Nullable Double unit,
    @Nullable Character up,
    int skipped,
    List<String> lost) {
  /**
   * Triangles of one material.
   *
   * @param name of the material
   * @param colour #RRGGBB
   * @param xyz corners, x, y, z, x, y, z…
   * @param corners three vertices a triangle, counter-clockwise seen from outside
   * @param uv where the corners are on the picture, two numbers each; null without a picture
   * @param picture a PNG or JPEG file, or null
   */
  public record ModelPart(
      String name,
      String colour,
      double[] xyz,
      int[] corners,
      @Nullable float[] uv,
      @Nullable byte[] picture) {}

  public int triangles() {
    return parts.stream().mapToInt(p -> p.corners.length / 3).sum();
  }

  /** The same, where a single part has no name of its own. */
  Model withOneBody() {
    if (parts.size() != 1) {
      return this;
    }
    ModelPart p = parts.get(0);
    ModelPart body = new ModelPart("body", p.colour, p.xyz, p.corners, p.uv, p.picture);
    return new Model(List.of(body), unit, up, skipped, lost);
  }

  /** All of it as one mesh without normals, a finish part for each material. */
  Mesh mesh() {
    return Mesh.join(
        parts.stream()
            .map(p -> new Mesh(p.xyz, null, p.corners, null, List.of(p.name), p.uv))
            .toList());
  }

  /** The same model in another form, a mesh of the same parts, without pictures. */
  Model with(Mesh mesh) {
    List<ModelPart> own = new ArrayList<>();
    for (ModelPart p : parts) {
      int part = mesh.parts().indexOf(p.name);
      int[] corners =
          IntStream.range(0, mesh.corners().length)
              .filter(i -> mesh.partOf()[i / 3] == part)
              .map(i -> mesh.corners()[i])
              .toArray();
      if (corners.length > 0) {
        int[] used = Arrays.stream(corners).distinct().sorted().toArray();
        double[] xyz = new double[3 * used.length];
        for (int i = 0; i < used.length; i++) {
          System.arraycopy(mesh.xyz(), 3 * used[i], xyz, 3 * i, 3);
        }
        int[] renumbered = Arrays.stream(corners).map(c -> Arrays.binarySearch(used, c)).toArray();
        own.add(new ModelPart(p.name, p.colour, xyz, renumbered, null, null));
      }
    }
    return new Model(own, unit, up, skipped, lost);
  }
}
