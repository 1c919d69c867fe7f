package pied.core.still;

import java.util.ArrayList;
import java.util.List;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Back;
import pied.core.space.ReadyViewpoints;
import pied.core.space.Space;
import pied.core.units.Refusal;

/** From where pictures are taken, and what is out of the way then. */
public final class StillViews {
  private StillViews() {}

  /**
   * A viewpoint that is kept, by its id or its name, or a ready one by its name.
   *
   * @param ratio width of the picture by its height
   */
  public static Viewpoint named(Space space, String name, double ratio) {
    List<Viewpoint> all = new ArrayList<>(space.showing().viewpoints());
    all.addAll(ReadyViewpoints.of(space.shell()));
    Viewpoint v =
        all.stream()
            .filter(x -> x.id().equals(name) || x.name().equalsIgnoreCase(name))
            .findFirst()
            .orElseThrow(() -> new Refusal("There is no viewpoint “{}” in this space.", name));
    return v.fits() ? without(space, v, StillCamera.of(v, ratio, space.shell()).eye()) : v;
  }

  /**
   * What an eye sees now.
   *
   * @param high the angle over its height, degrees
   * @param ratio width of the picture by its height
   * @param lifted bodies of the shell that are left out
   * @param orbit whether walls that hide what is inside are left out, too
   */
  public static Viewpoint seen(
      Space space,
      Vec eye,
      Vec target,
      double high,
      double ratio,
      boolean upright,
      List<String> lifted,
      boolean orbit) {
    if (!eye.finite() || !target.finite() || eye.distance(target) < 0.01) {
      throw new Refusal("An eye looks from one point to another.");
    }
    double angle = Math.max(1, Math.min(150, high));
    double lens =
        Viewpoint.FULL_FRAME / 2 / Math.tan(Math.toRadians(angle) / 2) / Math.max(1, ratio);
    Viewpoint v =
        Viewpoint.ready("", "seen", eye, target, false)
            .withLens(lens)
            .withUpright(upright)
            .withLifted(lifted);
    return orbit ? without(space, v, eye) : v;
  }

  /** The same without what one looks at from behind. */
  private static Viewpoint without(Space space, Viewpoint v, Vec eye) {
    List<String> lifted = new ArrayList<>(v.lifted());
    for (Back b : Back.of(space.shell())) {
      if (b.point() != null && eye.minus(b.point()).dot(b.inward()) <= 0) {
        lifted.add(b.body());
      }
    }
    return v.withLifted(lifted);
  }
}
