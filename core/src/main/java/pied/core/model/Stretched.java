package pied.core.model;

import java.util.Map;
import pied.core.recipe.Buildable;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/**
 * A model that was brought in: sized by stretching it.
 *
 * @param mesh at its natural size, the middle of its underside at zero
 * @param pictures on its parts, by their names
 */
public record Stretched(Mesh mesh, Size natural, Map<String, byte[]> pictures)
    implements Buildable {
  /** At its natural size. */
  public static Stretched of(Mesh mesh, Map<String, byte[]> pictures) {
    return new Stretched(mesh, Arrival.size(mesh), pictures);
  }

  @Override
  public Mesh build(Size size) {
    if (size.equals(natural)) {
      return mesh;
    }
    return mesh.stretched(
        new Vec(
            size.width() / natural.width(),
            size.height() / natural.height(),
            size.depth() / natural.depth()));
  }
}
