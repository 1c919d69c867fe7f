package pied.core.material.pattern;

/**
 * A small sprig, again and again, every other one half a repeat higher.
 *
 * @param unit from sprig to sprig to the right, metres
 * @param tall from sprig to sprig upward, metres
 */
public record Sprigs(double unit, double tall) implements Pattern {
  private static final int LEAVES = 3;

  @Override
  public double width() {
    return 2 * unit;
  }

  @Override
  public double height() {
    return tall;
  }

  @Override
  public double unit() {
    return unit;
  }

  @Override
  public boolean uneven() {
    return false;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    boolean right = x >= unit;
    double inX = (right ? x - unit : x) / unit - 0.5;
    double inY = Noise.part(y / tall + (right ? 0.5 : 0)) - 0.5;
    double side = right ? -inX : inX;
    double v = inY * tall / unit;
    boolean drawn = Math.abs(side - 0.12 * v) < 0.012 && Math.abs(v) < 0.36; // its stem
    for (int k = 0; k < LEAVES && !drawn; k++) {
      double foot = -0.22 + 0.2 * k;
      drawn = leaf(side, v, foot, 0.75) || leaf(-side, v, foot + 0.07, 0.85);
    }
    drawn |= Math.hypot(side - 0.05, v - 0.4) < 0.055; // its flower
    out.mix = drawn ? 1 : 0;
  }

  private static boolean leaf(double u, double v, double foot, double rise) {
    double du = u - 0.02;
    double dv = v - foot;
    double along = (du + dv * rise) / Math.hypot(1, rise);
    double across = (dv - du * rise) / Math.hypot(1, rise);
    double t = along / 0.2;
    return t > 0 && t < 1 && Math.abs(across) < 0.045 * Math.sin(Math.PI * t);
  }
}
