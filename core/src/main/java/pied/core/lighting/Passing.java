package pied.core.lighting;

import java.util.function.Predicate;
import pied.core.Tolerance;
import pied.core.material.Finish;
import pied.core.solid.Bodies.RayMet;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.ShellBodies;
import pied.core.space.Space;

/** How much light gets from one point along a way: through panes, past curtains as they let it. */
public final class Passing {
  /** Light through a window pane, double glazing (CIBSE Guide A: 0.76 to 0.8). */
  public static final double PANE = 0.78;

  /** Through no more than this is looked. */
  private static final int MOST = 16;

  private final Space space;

  Passing(Space space) {
    this.space = space;
  }

  /**
   * What is left of 1.
   *
   * @param way of length 1
   * @param limit how far, metres
   */
  double share(Vec from, Vec way, double limit, Predicate<Body> counts) {
    double left = 1;
    Vec at = from;
    double to = limit;
    for (int i = 0; i < MOST && left > Tolerance.NEAR; i++) {
      RayMet met = space.bodies().ray(at, way, to, counts.and(space::seen));
      if (met == null) {
        return left;
      }
      left *= through(met);
      // a pane has two faces: half of it at each
      double on = met.distance() + Tolerance.HAIR;
      at = at.along(way, on);
      to -= on;
    }
    return left <= Tolerance.NEAR ? 0 : left;
  }

  /** What one face of what was met lets through. */
  private double through(RayMet met) {
    Body b = met.body();
    String part = b.mesh().parts().get(b.mesh().partOf()[met.triangle()]);
    if (space.has(b.id())) {
      Finish f =
          space.article(space.piece(b.id())).look(part, space.piece(b.id()).finishes()).finish();
      return Math.sqrt(passes(f));
    }
    if (PartName.is(b, PartName.PartKind.opening)) {
      Finish f = ShellBodies.looks(space.shell()).get(part);
      return f != null && passes(f) > 0.2 ? Math.sqrt(PANE) : 0;
    }
    return 0;
  }

  /** What a finish lets through: what is not there, and of what is there what shines through. */
  public static double passes(Finish f) {
    double open = f.transparency();
    return Math.min(1, open + (1 - open) * f.transmission());
  }
}
