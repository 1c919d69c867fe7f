package pied.core.show;

import java.util.List;
import pied.core.solid.Vec;

/**
 * A viewpoint as it is drawn on the plan: where one stands, and the two sides of what one sees.
 *
 * @param at where the eye is
 * @param toward the middle of what is looked at
 * @param left end of the left side of the angle, as far away as what is looked at
 * @param right end of the right one
 */
public record ViewMark(String id, String name, Vec at, Vec toward, Vec left, Vec right) {
  /** A side is drawn so long at least, metres. */
  private static final double SHORTEST = 0.8;

  /** Those of some viewpoints; one that looks straight up or down has none. */
  public static List<ViewMark> of(List<Viewpoint> all) {
    return all.stream().filter(v -> level(v).length() > 0.01).map(ViewMark::of).toList();
  }

  private static Vec level(Viewpoint v) {
    Vec way = v.target().minus(v.eye());
    return new Vec(way.x(), 0, way.z());
  }

  private static ViewMark of(Viewpoint v) {
    Vec way = level(v);
    double far = Math.max(SHORTEST, way.length());
    double half = Math.toRadians(v.across() / 2);
    double side = far * Math.tan(half);
    Vec ahead = way.unit().times(far);
    Vec right = new Vec(-way.z(), 0, way.x()).unit().times(side);
    Vec at = v.eye();
    return new ViewMark(
        v.id(), v.name(), at, v.target(), at.plus(ahead).minus(right), at.plus(ahead).plus(right));
  }
}
