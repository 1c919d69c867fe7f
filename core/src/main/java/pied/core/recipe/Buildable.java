package pied.core.recipe;

import java.util.Map;
import pied.core.Nullable;
import pied.core.size.Size;
import pied.core.solid.Mesh;

/** What can be built at a size: a recipe, or a model that was brought in. */
@FunctionalInterface
public interface Buildable {
  /** The mesh, the middle of its underside at zero; it fills its box. */
  Mesh build(Size size);

  /**
   * The same with fewer triangles where it is round, to be drawn quickly.
   *
   * @param detail how many of the facets round things have are kept, more than 0 to 1
   */
  default Mesh build(Size size, double detail) {
    return build(size);
  }

  /**
   * The same with its head turned.
   *
   * @param head null for straight ahead
   */
  default Mesh build(Size size, double detail, @Nullable Head head) {
    return build(size, detail);
  }

  /** Pictures on its parts, by their names: PNG or JPEG files. */
  default Map<String, byte[]> pictures() {
    return Map.of();
  }
}
