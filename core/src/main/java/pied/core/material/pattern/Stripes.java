package pied.core.material.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Stripes upright, or crossing each other as a check.
 *
 * @param unit from stripe to stripe, metres
 * @param share which part of it is of the second colour
 * @param check whether they run level as well
 */
public record Stripes(double unit, double share, boolean check) implements Pattern {
  @Override
  public double width() {
    return unit;
  }

  @Override
  public double height() {
    return unit;
  }

  @Override
  public boolean uneven() {
    return false;
  }

  @Override
  public int dots() {
    return 128;
  }

  @Override
  public List<double[]> lines() {
    List<double[]> all = new ArrayList<>();
    for (double at : new double[] {unit * share / 2, unit - unit * share / 2}) {
      all.add(new double[] {at, 0, at, unit});
      if (check) {
        all.add(new double[] {0, at, unit, at});
      }
    }
    return all;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    // no stripe ends where a repeat does
    boolean one = Noise.part(x / unit + share / 2) < share;
    boolean other = Noise.part(y / unit + share / 2) < share;
    out.mix = check ? (one ? 0.5 : 0) + (other ? 0.5 : 0) : one ? 1 : 0;
  }
}
