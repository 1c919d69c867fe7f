package pied.core.drawing;

import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * How a drawing is looked at, all lines of sight parallel. Coordinates of the drawing: first to the
 * right, second down the sheet.
 *
 * @param right direction that runs to the right on the sheet
 * @param down direction that runs down the sheet
 * @param toEye direction to the one who looks
 */
public record Eye(Vec right, Vec down, Vec toEye) {
  /** From above: x to the right, z down the sheet. */
  public static final Eye PLAN = new Eye(new Vec(1, 0, 0), new Vec(0, 0, 1), new Vec(0, 1, 0));

  /** From the front: x to the right, height up, so that the second is minus the height. */
  public static final Eye FRONT = level(new Vec(0, 0, 1));

  /** Looking level; {@code toEye} is level and of length 1. */
  public static Eye level(Vec toEye) {
    return new Eye(Vec.UP.cross(toEye), Vec.DOWN, toEye);
  }

  public double u(Vec p) {
    return right.dot(p);
  }

  public double v(Vec p) {
    return down.dot(p);
  }

  /** The same look from within the frame of something that stands at a pose. */
  public Eye within(Pose pose) {
    return new Eye(pose.undirect(right), pose.undirect(down), pose.undirect(toEye));
  }
}
