package pied.core.space;

import pied.core.solid.Vec;

/** A point of the plan, metres: x across, z down the sheet. */
public record Spot(double x, double z) {
  public Vec at(double y) {
    return new Vec(x, y, z);
  }

  public Spot plus(double dx, double dz) {
    return new Spot(x + dx, z + dz);
  }

  public double distance(Spot o) {
    return Math.hypot(x - o.x, z - o.z);
  }
}
