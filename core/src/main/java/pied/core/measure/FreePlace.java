package pied.core.measure;

import pied.core.piece.Piece;
import pied.core.space.Opening;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * How large something may be that is to fit somewhere, metres; NaN where nothing bounds it.
 *
 * @param words what place that is
 */
public record FreePlace(double width, double depth, double height, String words) {

  /** The place of a piece, as far as it is free to all its sides: for something else instead. */
  public static FreePlace of(Space space, Piece p) {
    return new FreePlace(
        p.size().width() + free(space, p, Side.left) + free(space, p, Side.right),
        p.size().depth() + free(space, p, Side.front) + free(space, p, Side.back),
        p.size().height() + free(space, p, Side.top),
        "the place of " + p.name());
  }

  private static double free(Space space, Piece p, Side side) {
    Reach r = Reach.of(space, p, side);
    return r == null ? Double.NaN : Math.max(0, r.distance());
  }

  /**
   * An opening of the shell.
   *
   * @param part id of its body
   * @throws Refusal if it is none
   */
  public static FreePlace of(Space space, String part) {
    for (Opening o : space.shell().openings()) {
      if (part.equals(o.name().text())) {
        return new FreePlace(o.width(), Double.NaN, o.height(), "the " + o.words());
      }
    }
    throw new Refusal("Select a piece or an opening whose place is meant.");
  }
}
