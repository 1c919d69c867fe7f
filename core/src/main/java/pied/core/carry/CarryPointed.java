package pied.core.carry;

import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;

/** The face that the pointer is on. */
final class CarryPointed {
  private static final double FAR = 1e4;

  private CarryPointed() {}

  /**
   * The first face that is seen, or on the plan the topmost; null for none.
   *
   * @param own pieces that are seen through
   */
  @Nullable
  static Bodies.RayMet at(Space space, CarryAsk q, Set<String> own) {
    if (q.at() != null) {
      Vec from = q.at().at(space.shell().height() - Tolerance.NEAR);
      return space.bodies().ray(from, Vec.DOWN, FAR, b -> !own.contains(b.id()) && space.seen(b));
    }
    Vec along = q.ray().along().unit();
    return space
        .bodies()
        .ray(
            q.ray().from(),
            along,
            FAR,
            b -> !own.contains(b.id()) && space.seen(b) && faces(space, b, along));
  }

  /** Walls and ceilings one looks at from behind are not in the way. */
  private static boolean faces(Space space, Body b, Vec along) {
    if (PartName.is(b, PartKind.ceiling)) {
      return along.y() > 0;
    }
    if (!PartName.is(b, PartKind.wall)) {
      return true;
    }
    return space.shell().faceSeen(PartName.of(b).id(), along) != null;
  }
}
