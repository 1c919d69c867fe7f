package pied.core.light;

import pied.core.units.Refusal;

/**
 * How the light of a source spreads about its axis: full at the axis, half of it at the edge of the
 * beam, a tenth at that of the field, as the trade measures lanterns; in between 2^−(θ/θb)^p, the p
 * of which is that with which it is so. What is less than a hundredth is nothing.
 *
 * @param beam full angle at which half of it is left, degrees
 * @param field full angle at which a tenth of it is left, degrees
 */
public record Beam(double beam, double field) {
  /** All round. */
  public static final Beam ROUND = new Beam(360, 360);

  /** Most of a cone, degrees. */
  public static final double WIDEST = 170;

  private static final double LEAST = 0.01;

  /** What is nearly all of it, where a cone that is drawn begins to fade. */
  private static final double NEARLY = 0.88;

  /** Rings in which it is summed up. */
  private static final int RINGS = 400;

  public Beam {
    boolean round = beam == 360 && field == 360;
    if (!round && !(beam > 0 && field > beam && field <= WIDEST)) {
      throw new Refusal("A field is wider than its beam, and at most {}°.", (int) WIDEST);
    }
  }

  public boolean isRound() {
    return field == 360;
  }

  private double power() {
    return Math.log(Math.log(10) / Math.log(2)) / Math.log(field / beam);
  }

  /** Where so much is left, degrees from the axis. */
  private double where(double share) {
    double a = beam / 2 * Math.pow(-Math.log(share) / Math.log(2), 1 / power());
    return Math.min(180, a);
  }

  /** Angle from the axis at which nothing is left, degrees. */
  public double edge() {
    return isRound() ? 180 : where(LEAST);
  }

  /** Angle from the axis within which it is nearly full, degrees. */
  public double full() {
    return isRound() ? 180 : where(NEARLY);
  }

  /**
   * What is left at an angle from the axis, of 1.
   *
   * @param away degrees
   */
  public double share(double away) {
    if (isRound()) {
      return 1;
    }
    double s = Math.pow(2, -Math.pow(2 * away / beam, power()));
    return s < LEAST ? 0 : s;
  }

  /**
   * How strong it is along the axis.
   *
   * @param lumens all of its light
   * @return candela: the light by the solid angle it would fill at full strength, summed up in
   *     rings
   */
  public double candela(double lumens) {
    if (isRound()) {
      return lumens / (4 * Math.PI);
    }
    double edge = Math.toRadians(edge());
    double solid = 0;
    for (int i = 0; i < RINGS; i++) {
      double a = edge * (i + 0.5) / RINGS;
      solid += share(Math.toDegrees(a)) * 2 * Math.PI * Math.sin(a) * edge / RINGS;
    }
    return lumens / solid;
  }
}
