package pied.core.select;

import java.util.List;
import org.joml.Matrix4d;
import org.joml.Vector4d;
import pied.core.Tolerance;
import pied.core.drawing.Eye;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** Where a point of the space is in a drawing. */
interface Lens {
  /** Nearer to the eye than this, of what lies in the picture, nothing is seen. */
  double NEAR = Tolerance.FINE;

  /**
   * @return to the right and down (or up, as the drawing has it); null for what lies behind the eye
   */
  double[] at(Vec p);

  /**
   * All lines of sight parallel.
   *
   * @param zero the point at 0, 0
   */
  static Lens level(Eye eye, Vec zero) {
    return p -> {
      Vec d = p.minus(zero);
      return new double[] {eye.u(d), eye.v(d)};
    };
  }

  /**
   * In perspective.
   *
   * @param columns of the matrix from metres to the picture
   * @throws Refusal if these are none
   */
  static Lens perspective(List<Double> columns) {
    boolean sound =
        columns.size() == 16 && columns.stream().allMatch(c -> c != null && Double.isFinite(c));
    if (!sound) {
      throw new Refusal("How one looks at it is said by 16 numbers.");
    }
    Matrix4d m = new Matrix4d();
    m.set(columns.stream().mapToDouble(Double::doubleValue).toArray());
    Vector4d v = new Vector4d();
    return p -> {
      m.transform(v.set(p.x(), p.y(), p.z(), 1));
      return v.w <= NEAR ? null : new double[] {v.x / v.w, v.y / v.w};
    };
  }
}
