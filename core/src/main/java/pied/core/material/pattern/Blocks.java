package pied.core.material.pattern;

/** What is laid of blocks of wood, each of its own. */
sealed interface Blocks extends Pattern permits Boards, Herringbone, Chevron, Basket {
  /** How much lighter and darker blocks are than others. */
  double vary();

  /** Their grain; its repeat is stretched over theirs. */
  Grain wood();

  /** Places along a block and across it, metres. */
  record InBlock(int number, double along, double up) {}

  @Override
  default boolean variesInRoughness() {
    return true;
  }

  /**
   * A place of a block, with the joints about it.
   *
   * @param end how far the nearest end of the block is away, metres
   * @param deep how far the joints lie back, metres
   */
  default void block(InBlock at, double end, double joint, double deep, Spot out) {
    out.clear();
    double s = at.along / wood().width() + Noise.of(at.number, 1, 51);
    double t = at.up / wood().height() + Noise.of(at.number, 2, 51);
    wood().wood(s, t, 7, out);
    out.light += vary() * (2 * Noise.of(at.number, 3, 51) - 1);
    out.joint(Math.min(Math.min(at.up, unit() - at.up), end), joint, deep);
  }
}
