package pied.core.tool.size;

import org.joml.Matrix3d;
import org.joml.Vector3d;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * What a piece measures across, up and deep in the space, as it is turned and leans: the size of
 * the upright box about its own. That is |R| times its size, the absolute values of its rotation.
 */
final class SpaceSize {
  private static final double NONE = Tolerance.SAME;

  /** Row by row the part each own measure has in one of the space; both by {@link Measure}. */
  private final double[][] part = new double[3][3];

  private SpaceSize(Piece p) {
    for (Measure own : Measure.values()) {
      Vec way = p.pose().direct(way(own));
      part[Measure.width.ordinal()][own.ordinal()] = Math.abs(way.x());
      part[Measure.height.ordinal()][own.ordinal()] = Math.abs(way.y());
      part[Measure.depth.ordinal()][own.ordinal()] = Math.abs(way.z());
    }
  }

  static SpaceSize of(Piece p) {
    return new SpaceSize(p);
  }

  /** The own direction of a measure. */
  static Vec way(Measure m) {
    return switch (m) {
      case width -> new Vec(1, 0, 0);
      case depth -> new Vec(0, 0, 1);
      case height -> Vec.UP;
    };
  }

  Size extent(Size own) {
    double[] e = new double[3];
    for (Measure m : Measure.values()) {
      for (Measure o : Measure.values()) {
        e[m.ordinal()] += part[m.ordinal()][o.ordinal()] * o.of(own);
      }
    }
    return new Size(e[0], e[1], e[2]);
  }

  /**
   * The own measures that give what is asked for in the space; NaN where they stay.
   *
   * @param asked NaN where nothing was said
   * @throws Refusal if none give it
   */
  double[] own(double[] asked, Size now) {
    double[] own = {Double.NaN, Double.NaN, Double.NaN};
    Size extent = extent(now);
    int said = 0;
    boolean square = true;
    for (Measure m : Measure.values()) {
      said += Double.isNaN(asked[m.ordinal()]) ? 0 : 1;
      square &= parts(m) == 1;
    }
    for (Measure m : Measure.values()) {
      double factor = asked[m.ordinal()] / m.of(extent);
      for (Measure o : Measure.values()) {
        boolean counts = part[m.ordinal()][o.ordinal()] > NONE;
        if (counts && !Double.isNaN(factor) && (square || said == 1)) {
          own[o.ordinal()] = o.of(now) * factor;
        }
      }
    }
    return square || said <= 1 ? own : solved(asked, extent);
  }

  /** Whether factors that differ would skew it: two of them meet in one of its own directions. */
  boolean askew(double[] factors) {
    for (Measure o : Measure.values()) {
      double first = Double.NaN;
      for (Measure m : Measure.values()) {
        if (part[m.ordinal()][o.ordinal()] > NONE) {
          double f = factors[m.ordinal()];
          if (Math.abs(f - first) > NONE * f) {
            return true;
          }
          first = f;
        }
      }
    }
    return false;
  }

  private int parts(Measure m) {
    int n = 0;
    for (double v : part[m.ordinal()]) {
      n += v > NONE ? 1 : 0;
    }
    return n;
  }

  /** What is turned askew: the three own measures that give all three. */
  private double[] solved(double[] asked, Size extent) {
    Vector3d e = new Vector3d();
    for (Measure m : Measure.values()) {
      double v = asked[m.ordinal()];
      e.setComponent(m.ordinal(), Double.isNaN(v) ? m.of(extent) : v);
    }
    Matrix3d rows =
        new Matrix3d(
                part[0][0],
                part[0][1],
                part[0][2],
                part[1][0],
                part[1][1],
                part[1][2],
                part[2][0],
                part[2][1],
                part[2][2])
            .transpose();
    if (Math.abs(rows.determinant()) > Tolerance.FINE) {
      rows.invert().transform(e);
      if (e.x > 0 && e.y > 0 && e.z > 0) {
        return new double[] {e.x, e.y, e.z};
      }
    }
    throw new Refusal(
        "Turned as it is, it cannot measure that both ways; give one measure, or turn it square.");
  }
}
