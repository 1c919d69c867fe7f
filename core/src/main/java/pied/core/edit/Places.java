package pied.core.edit;

import pied.core.Nullable;
import pied.core.solid.Vec;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.space.Shell;
import pied.core.units.LengthUnit;

/** Reads places as they are said: from a point of origin, on a stage in its words. */
public final class Places {
  private Places() {}

  /**
   * A way to go; what is not said is zero.
   *
   * @param to what was said
   */
  public static Vec way(Edit.Place3 to, LengthUnit unit) {
    return read(to, Vec.ZERO, Vec.ZERO, unit, null);
  }

  /**
   * A place read from the datum of a shell; what is not said is as it was, to the last bit.
   *
   * @param now where it is, in the directions of the space
   */
  public static Vec read(Edit.Place3 to, Vec now, Shell shell, LengthUnit unit) {
    return read(to, now, shell.datum(), unit, shell);
  }

  private static Vec read(
      Edit.Place3 to, Vec now, Vec origin, LengthUnit unit, @Nullable Shell shell) {
    Vec from = now.minus(origin);
    double x = along(Direction.across, to.x(), 1, from.x(), unit, shell);
    double y = to.y() == null ? from.y() : to.y().length(unit, from.y());
    double z = along(Direction.deep, to.z(), 1, from.z(), unit, shell);
    if (to.stageLeft() != null) {
      x = along(Direction.across, to.stageLeft(), 1, from.x(), unit, shell);
    } else if (to.stageRight() != null) {
      x = along(Direction.across, to.stageRight(), -1, from.x(), unit, shell);
    }
    if (to.downstage() != null) {
      z = along(Direction.deep, to.downstage(), 1, from.z(), unit, shell);
    } else if (to.upstage() != null) {
      z = along(Direction.deep, to.upstage(), -1, from.z(), unit, shell);
    }
    Vec read = new Vec(x, y, z).plus(origin);
    return new Vec(
        x == from.x() ? now.x() : read.x(),
        to.y() == null ? now.y() : read.y(),
        z == from.z() ? now.z() : read.z());
  }

  /**
   * What a number that was typed beside a word means: on a stage it has no sign, and is on the side
   * that the word names.
   *
   * @param now the position there is, from the datum, metres
   */
  public static double beside(
      Direction d, @Nullable Amount typed, double now, LengthUnit unit, Shell shell) {
    if (typed == null) {
      return now;
    }
    return typed.text() == null
        ? typed.number()
        : Positions.typed(d, typed.text(), now, unit, shell);
  }

  private static double along(
      Direction d, @Nullable Amount to, int sign, double from, LengthUnit unit, Shell shell) {
    if (to == null) {
      return from;
    }
    return to.text() == null || shell == null
        ? sign * to.length(unit, sign * from)
        : Positions.typed(d, to.text(), sign, from, unit, shell);
  }
}
