package pied.core.paper;

import java.util.List;
import pied.core.Nullable;

/** Something on a sheet; millimetres from its upper left corner, to the right and down. */
public sealed interface Mark {
  /** A line from point to point: x, y, x, y… */
  record MarkLine(double[] xy, Pen pen) implements Mark {}

  /**
   * A figure: closed rings, those within others are holes.
   *
   * @param fill #RRGGBB; null for none
   * @param pen of its outline; null for none
   */
  record MarkArea(List<double[]> rings, @Nullable String fill, @Nullable Pen pen) implements Mark {}

  /**
   * A line of text.
   *
   * @param x and y of its base line where it is anchored
   * @param size height of the type, millimetres
   * @param turn degrees counter-clockwise
   * @param bold whether it is the heavy face
   */
  record MarkText(
      String text, double x, double y, double size, Anchor anchor, double turn, boolean bold)
      implements Mark {}

  /** Which end of a text is at its place. */
  enum Anchor {
    start,
    middle,
    end
  }
}
