package pied.core.recipe;

import org.joml.Quaterniond;
import pied.core.solid.Vec;

/**
 * How the head of a lantern is turned in its yoke.
 *
 * @param pan about the vertical, counter-clockwise seen from above, degrees
 * @param tilt down from the level, degrees
 */
public record Head(double pan, double tilt) {
  /** A yoke lets a head look up so far above the level, degrees; straight down it always may. */
  public static final double HIGHEST = 45;

  /** The nearest to a direction that a yoke lets it look in. */
  public static Head toward(Vec way) {
    double level = Math.hypot(way.x(), way.z());
    double pan = level == 0 ? 0 : Math.toDegrees(Math.atan2(way.x(), way.z()));
    return new Head(pan, Math.max(-HIGHEST, Math.toDegrees(Math.atan2(-way.y(), level))));
  }

  /** A direction that is straight ahead where it is not turned, as it is. */
  public Vec turned(Vec v) {
    org.joml.Vector3d t =
        new Quaterniond()
            .rotateY(Math.toRadians(pan))
            .rotateX(Math.toRadians(tilt))
            .transform(new org.joml.Vector3d(v.x(), v.y(), v.z()));
    return new Vec(t.x, t.y, t.z);
  }

  /** Where it looks, of length 1. */
  public Vec way() {
    return turned(new Vec(0, 0, 1));
  }

  /** As it is on what is mirrored left to right. */
  public Head mirrored() {
    return new Head(-pan, tilt);
  }
}
