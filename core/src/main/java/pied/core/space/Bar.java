package pied.core.space;

import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * A bar across the space to hang things from.
 *
 * @param id its name, such as "bar 1"
 * @param x its middle across, metres
 * @param z how deep it hangs, metres
 * @param trim height of the middle of the tube, metres
 * @param length metres
 */
public record Bar(String id, double x, double z, double trim, double length) implements Part {
  /** Outer diameter of the tube, metres: the common scaffold tube of EN 39. */
  public static final double TUBE = 0.0483;

  @Override
  public Vec anchor() {
    return new Vec(x, trim, z);
  }

  @Override
  public Bar called(String other) {
    return new Bar(other, x, z, trim, length);
  }

  @Override
  public Bar moved(Vec by, Shell shell) {
    Spot to = Part.tidy(new Spot(x + by.x(), z + by.z()));
    return new Bar(id, to.x(), to.z(), Part.tidy(trim + by.y()), length);
  }

  @Override
  public Bar image(Twin by, Shell shell, String other) {
    if (!Part.square(by)) {
      throw new Refusal("The {} would not hang across any more as a twin about this line.", id);
    }
    Spot there = Part.image(by, new Spot(x, z));
    return new Bar(other, there.x(), there.z(), trim, length);
  }

  @Override
  public PartName name() {
    return new PartName(PartName.PartKind.bar, id);
  }

  @Override
  public void check(ShellCheck c) {
    ShellCheck.measure("The " + id + " is to be", length, 0.1, ShellCheck.MOST, "long");
    ShellCheck.measure(
        "The trim of " + id + " is to be", trim, 0.1, c.shell().height() - 0.03, "high");
    var e = c.shell().floor().getEnvelopeInternal();
    if (z < e.getMinY()
        || z > e.getMaxY()
        || x - length / 2 < e.getMinX() - Tolerance.FINE
        || x + length / 2 > e.getMaxX() + Tolerance.FINE) {
      throw new Refusal("The {} would reach beyond {}.", id, c.words());
    }
  }
}
