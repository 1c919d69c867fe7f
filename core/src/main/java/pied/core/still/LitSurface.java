package pied.core.still;

import pied.core.Nullable;
import pied.core.material.Appearance;
import pied.core.material.pattern.Tint;

/**
 * What a part is to light: a complete finish in numbers that need no more thought.
 *
 * @param colour linear light, of 1
 * @param open how much of it is not there, of 1, at each of its faces
 * @param through what gets through what is there, of 1, at each of its faces
 * @param glow what it shines with by itself, cd/m², red, green and blue
 * @param tiled null for nothing
 */
record LitSurface(
    double[] colour,
    double rough,
    double metal,
    double coat,
    double sheen,
    double open,
    double through,
    double[] glow,
    @Nullable TiledSurface tiled) {
  /** What is smoother than this lets light pass straight, and mirrors as a mirror does. */
  static final double STRAIGHT = 0.2;

  static final double MIRROR = 0.1;

  private static final double[] DARK = {0, 0, 0};

  /**
   * What repeats on it.
   *
   * @param matrix from metres on the part to repeats, as in {@link Appearance.Tiled}
   * @param pictured whether the mesh itself says where it lies, in repeats
   * @param dots of one repeat
   * @param width of one repeat, metres
   */
  record TiledSurface(
      Texture colours,
      @Nullable Texture normals,
      @Nullable Texture roughs,
      double[] matrix,
      boolean along,
      boolean pictured,
      boolean holes,
      double dots,
      double width) {}

  /** Paper of a grey, for tests and where nothing is known. */
  static LitSurface matt(double grey) {
    return new LitSurface(new double[] {grey, grey, grey}, 1, 0, 0, 0, 0, 0, DARK, null);
  }

  /** As a part looks, without what it shines with. */
  static LitSurface of(Appearance a, @Nullable TiledSurface tiled) {
    return new LitSurface(
        Tint.linear(a.colour()),
        a.roughness(),
        a.metal(),
        a.clearCoat(),
        a.sheen(),
        Math.sqrt(a.transparency()), // whoever looks through a thing looks through two faces
        Math.sqrt(a.transmission()),
        DARK,
        tiled);
  }

  LitSurface glowing(double[] candela) {
    return new LitSurface(colour, rough, metal, coat, sheen, open, through, candela, tiled);
  }

  /** Light that a pane gives back at each of its faces, straight on. */
  private static final double BACK = 0.04;

  /**
   * A pane of a window.
   *
   * @param left what both its faces let through, of 1
   */
  static LitSurface pane(double left) {
    double tint = left / ((1 - BACK) * (1 - BACK));
    return new LitSurface(new double[] {tint, tint, tint}, 0.02, 0, 0, 0, 0, 1, DARK, null);
  }

  /** Whether light may pass it without being turned. */
  boolean isSeenThrough() {
    return open > 0 || passesStraight() || tiled != null && tiled.holes;
  }

  boolean passesStraight() {
    return through > 0 && rough < STRAIGHT;
  }

  boolean isGlowing() {
    return glow[0] + glow[1] + glow[2] > 0;
  }
}
