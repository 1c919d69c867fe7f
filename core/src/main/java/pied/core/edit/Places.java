package pied.core.edit;

import pied.core.solid.Vec;
import pied.core.units.LengthUnit;

/** Reads places as they are said: from a point of origin, on a stage in its words. */
public final class Places {
  private Places() {}

  /**
   * A place read from an origin; what is not said is as it was, to the last bit.
   *
   * @param now where it is, in the directions of the space
   */
  public static Vec read(Edit.Place3 to, Vec now, Vec origin, LengthUnit unit) {
    Vec from = now.minus(origin);
    double x = to.x() == null ? from.x() : to.x().length(unit, from.x());
    double y = to.y() == null ? from.y() : to.y().length(unit, from.y());
    double z = to.z() == null ? from.z() : to.z().length(unit, from.z());
    if (to.stageLeft() != null) {
      x = to.stageLeft().length(unit, from.x());
    } else if (to.stageRight() != null) {
      x = -to.stageRight().length(unit, -from.x());
    }
    if (to.downstage() != null) {
      z = to.downstage().length(unit, from.z());
    } else if (to.upstage() != null) {
      z = -to.upstage().length(unit, -from.z());
    }
    Vec read = new Vec(x, y, z).plus(origin);
    return new Vec(
        x == from.x() ? now.x() : read.x(),
        to.y() == null ? now.y() : read.y(),
        z == from.z() ? now.z() : read.z());
  }
}
