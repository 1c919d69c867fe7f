package pied.core.paper;

import java.util.List;
import pied.core.Nullable;

/** Something on a sheet; millimetres from its upper left corner, to the right and down. */
public sealed interface Mark {
  /** The same so far to the right and down. */
  Mark moved(double dx, double dy);

  private static double[] moved(double[] xy, double dx, double dy) {
    double[] out = new double[xy.length];
    for (int i = 0; i + 1 < xy.length; i += 2) {
      out[i] = xy[i] + dx;
      out[i + 1] = xy[i + 1] + dy;
    }
    return out;
  }

  /** A line from point to point: x, y, x, y… */
  record MarkLine(double[] xy, Pen pen) implements Mark {
    @Override
    public MarkLine moved(double dx, double dy) {
      return new MarkLine(Mark.moved(xy, dx, dy), pen);
    }
  }

  /**
   * A figure: closed rings, those within others are holes.
   *
   * @param fill #RRGGBB; null for none
   * @param pen of its outline; null for none
   */
  record MarkArea(List<double[]> rings, @Nullable String fill, @Nullable Pen pen) implements Mark {
    @Override
    public MarkArea moved(double dx, double dy) {
      return new MarkArea(rings.stream().map(r -> Mark.moved(r, dx, dy)).toList(), fill, pen);
    }
  }

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
      implements Mark {
    @Override
    public MarkText moved(double dx, double dy) {
      return new MarkText(text, x + dx, y + dy, size, anchor, turn, bold);
    }
  }

  /** Which end of a text is at its place. */
  enum Anchor {
    start,
    middle,
    end
  }
}
