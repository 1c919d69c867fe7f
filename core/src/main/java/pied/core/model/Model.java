package pied.core.model;

import java.util.List;
import pied.core.Nullable;

/**
 * What a model file holds, as it was built: triangles by material.
 *
 * @param unit metres a unit of the file, or null if the file does not say
 * @param up the direction that is up: 'x', 'y' or 'z', or null if the file does not say
 * @param skipped triangles that were left out since they had no area or a corner nowhere
 */
public record Model(List<Part> parts, @Nullable Double unit, @Nullable Character up, int skipped) {
  /**
   * Triangles of one material.
   *
   * @param name of the material
   * @param colour #RRGGBB
   * @param xyz corners, x, y, z, x, y, z…
   * @param corners three vertices a triangle, counter-clockwise seen from outside
   */
  public record Part(String name, String colour, double[] xyz, int[] corners) {}

  public int triangles() {
    return parts.stream().mapToInt(p -> p.corners.length / 3).sum();
  }
}
