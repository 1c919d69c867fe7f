package pied.core.still;

import pied.core.light.Beam;
import pied.core.lighting.LampSource;
import pied.core.solid.Vec;

/**
 * A lamp as paths find it: a ball that shines in each direction as the lamp does, everywhere alike,
 * so that from afar it is the lamp, and its shadows have soft edges.
 */
final class Emitter {
  /** Cosines for which the strength of a beam is kept. */
  private static final int TABLE = 512;

  /** No lamp is smaller: its shadows would be harder than any, metres. */
  private static final double SMALLEST = 0.004;

  final double[] at;
  final double radius;

  /** The number of the mesh that is the lamp itself; its own light neither meets nor lights it. */
  final int own;

  /** The most it has in any direction, candela. */
  final double most;

  final double[] colour;
  private final LampSource source;
  private final double[] byCosine;
  private final Vec way;

  /**
   * @param radius of the ball, metres
   * @param own number of a mesh; -1 for none
   */
  Emitter(LampSource source, double radius, int own) {
    this.source = source;
    this.own = own;
    this.radius = Math.max(SMALLEST, radius);
    at = new double[] {source.at().x(), source.at().y(), source.at().z()};
    colour = new double[] {source.colour().red(), source.colour().green(), source.colour().blue()};
    way = source.way();
    byCosine = table(source);
    most =
        source.measured() == null
            ? source.candela()
            : source.measured().share() * source.measured().curve().most();
  }

  /** A beam is the same all around: its strength is looked up. */
  private static double[] table(LampSource l) {
    Beam beam = l.beam();
    double[] all = new double[TABLE + 1];
    double candela = l.candela();
    for (int i = 0; i <= TABLE; i++) {
      // steps are finer toward the axis, where narrow beams are
      double s = (double) i / TABLE;
      all[i] = candela * beam.share(Math.toDegrees(Math.acos(1 - 2 * s * s)));
    }
    return all;
  }

  /**
   * How strong it is in a direction, candela.
   *
   * @param d from it, of length 1
   */
  double candela(double[] d) {
    if (source.measured() != null || source.cut() != null) {
      return source.candela(new Vec(d[0], d[1], d[2]));
    }
    if (source.beam().isRound()) {
      return byCosine[0];
    }
    double cos = d[0] * way.x() + d[1] * way.y() + d[2] * way.z();
    double s = Math.sqrt(Math.max(0, (1 - cos) / 2)) * TABLE;
    int i = Math.min(TABLE - 1, (int) s);
    return byCosine[i] + (byCosine[i + 1] - byCosine[i]) * (s - i);
  }

  /** How bright it looks from a direction, cd/m². */
  double luminance(double[] fromIt) {
    return candela(fromIt) / (Math.PI * radius * radius);
  }

  /** How much light it may throw on a point, lux, were nothing in between. */
  double reach(double[] point, double[] scratch) {
    double d2 = 0;
    for (int k = 0; k < 3; k++) {
      scratch[k] = point[k] - at[k];
      d2 += scratch[k] * scratch[k];
    }
    double l = 1 / Math.sqrt(Math.max(Double.MIN_NORMAL, d2));
    for (int k = 0; k < 3; k++) {
      scratch[k] *= l;
    }
    // the rim of the ball may be inside of a beam that its middle is not: nothing is left out
    return (candela(scratch) + RIM * most) / Math.max(d2, radius * radius);
  }

  private static final double RIM = 0.002;

  /** The solid angle under which it is seen from a distance of its middle, steradian. */
  double solid(double d2) {
    double sin2 = Math.min(1, radius * radius / d2);
    return 2 * Math.PI * sin2 / (1 + Math.sqrt(1 - sin2));
  }

  /** Where a ray comes to it, metres; infinite where it passes by or begins in it. */
  double meets(double[] from, double[] d) {
    double x = at[0] - from[0];
    double y = at[1] - from[1];
    double z = at[2] - from[2];
    double along = x * d[0] + y * d[1] + z * d[2];
    double c = x * x + y * y + z * z - radius * radius;
    double disc = along * along - c;
    return along > 0 && c > 0 && disc > 0 ? along - Math.sqrt(disc) : Double.POSITIVE_INFINITY;
  }
}
