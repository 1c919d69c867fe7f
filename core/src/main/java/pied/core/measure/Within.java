package pied.core.measure;

import java.util.List;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.space.Spot;

/** Which pieces a figure of the plan takes. */
public final class Within {
  private Within() {}

  /**
   * Pieces whose middle lies within a rectangle of the plan, or on its edge, in their order.
   *
   * @param a one of its corners
   * @param b the one across
   */
  public static List<String> rectangle(Space space, Spot a, Spot b) {
    return space.pieces().stream()
        .filter(p -> between(p.at().x(), a.x(), b.x()) && between(p.at().z(), a.z(), b.z()))
        .map(Piece::id)
        .toList();
  }

  private static boolean between(double v, double a, double b) {
    return v >= Math.min(a, b) && v <= Math.max(a, b);
  }
}
