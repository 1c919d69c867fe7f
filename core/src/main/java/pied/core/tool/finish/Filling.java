package pied.core.tool.finish;

import pied.core.Nullable;
import pied.core.material.Finish;
import pied.core.material.Laying;
import pied.core.material.OwnPicture;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/**
 * How a picture lies that is to fill a part of a piece: just large enough to cover the side of it
 * that one sees most of, its middle in the middle of that.
 */
final class Filling {
  /** What faces within so much of a side belongs to it: the cosine of 25 degrees. */
  private static final double FACING = Math.cos(Math.toRadians(25));

  /** Sides in the order in which one looks at them: of two alike the first counts. */
  private static final Vec[] SIDES = {
    new Vec(0, 0, 1),
    new Vec(0, 1, 0),
    new Vec(1, 0, 0),
    new Vec(-1, 0, 0),
    new Vec(0, 0, -1),
    new Vec(0, -1, 0)
  };

  /** A side must be so much larger to count before an earlier one. */
  private static final double LARGER = 1.01;

  private Filling() {}

  /**
   * A finish as it is given to a part: a picture of which nobody said how wide it is fills it.
   *
   * @param given null for the natural one
   */
  static @Nullable Finish of(@Nullable Finish given, Piece piece, String part, Shapes shapes) {
    OwnPicture picture = given == null ? null : OwnPicture.named(given.material());
    if (picture == null || given.laying().width() != null) {
      return given;
    }
    Mesh mesh = shapes.mesh(piece);
    int number = mesh.parts().indexOf(part);
    return number < 0 ? given : given.withLaid(filling(mesh, number, picture, given.laying()));
  }

  private static Laying filling(Mesh mesh, int part, OwnPicture picture, Laying as) {
    Vec side = side(mesh, part);
    float[] at = mesh.mapping().upright();
    double[] low = {Double.MAX_VALUE, Double.MAX_VALUE};
    double[] high = {-Double.MAX_VALUE, -Double.MAX_VALUE};
    for (int t = 0; t < mesh.triangles(); t++) {
      if (mesh.partOf()[t] == part && (side == null || area(mesh, t, side) > 0)) {
        for (int k = 0; k < 6; k++) {
          low[k % 2] = Math.min(low[k % 2], at[6 * t + k]);
          high[k % 2] = Math.max(high[k % 2], at[6 * t + k]);
        }
      }
    }
    double tall = (double) picture.high() / picture.wide();
    double width = Laying.possible(Math.max(high[0] - low[0], (high[1] - low[1]) / tall));
    return as.withWidth(width)
        .withAcross((low[0] + high[0] - width) / 2)
        .withUp((width * tall - low[1] - high[1]) / 2);
  }

  /** The side of which there is most; null if it is round all about. */
  private static @Nullable Vec side(Mesh mesh, int part) {
    Vec best = null;
    double most = 0;
    for (Vec side : SIDES) {
      double sum = 0;
      for (int t = 0; t < mesh.triangles(); t++) {
        sum += mesh.partOf()[t] == part ? area(mesh, t, side) : 0;
      }
      if (sum > LARGER * most) {
        best = side;
        most = sum;
      }
    }
    return best;
  }

  /** How much a triangle has of a side, square metres. */
  private static double area(Mesh mesh, int t, Vec side) {
    Vec a = mesh.vertex(mesh.corners()[3 * t]);
    Vec b = mesh.vertex(mesh.corners()[3 * t + 1]);
    Vec c = mesh.vertex(mesh.corners()[3 * t + 2]);
    Vec n = b.minus(a).cross(c.minus(a));
    return n.dot(side) > FACING * n.length() ? n.length() / 2 : 0;
  }
}
