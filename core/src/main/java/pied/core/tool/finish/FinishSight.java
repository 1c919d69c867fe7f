package pied.core.tool.finish;

import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.solid.Bodies;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Refusal;

/** Which part one points at. */
public final class FinishSight {
  private static final double FAR = 1_000;

  private FinishSight() {}

  /**
   * The first part along a line of sight.
   *
   * @param without names of bodies that are not drawn
   * @return null if nothing is there
   * @throws Refusal if the line goes nowhere
   */
  public static @Nullable FinishTarget at(Space space, Vec from, Vec along, Set<String> without) {
    if (!(along.length() > 0) || !Double.isFinite(from.length() + along.length())) {
      throw new Refusal("A line of sight has a point and a direction.");
    }
    Bodies.RayMet met =
        space
            .bodies()
            .ray(from, along.unit(), FAR, b -> space.seen(b) && !without.contains(b.id()));
    if (met == null) {
      return null;
    }
    Mesh mesh = met.body().mesh();
    String part = mesh.parts().get(mesh.partOf()[met.triangle()]);
    String id = met.body().id();
    return new FinishTarget(space.has(id) ? List.of(id) : null, part);
  }
}
