package pied.core.drawing;

import org.locationtech.jts.geom.Envelope;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Bodies;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Where an elevation or a section is seen from.
 *
 * @param look as it was asked for, with the place that is usual where none was said
 * @param wall that is looked at; null for a section
 * @param zero the point of the space that lies at 0 of the drawing
 * @param cut its depth toward the eye, metres: what is nearer is taken away
 * @param ground depth of the wall; infinitely far for a section
 * @param frame what the drawing shows, metres on it
 */
record Standpoint(
    Elevation.ElevationLook look,
    @Nullable Wall wall,
    String title,
    Eye eye,
    Vec zero,
    double cut,
    double ground,
    Envelope frame) {
  /** One stands no farther from a wall than this to look at it, metres. */
  private static final double STEP_BACK = 2;

  /** From so near to so far before a wall, metres. */
  private static final double NEAREST = 0.01, FARTHEST = 400;

  /** So much above the ceiling and under the floor is shown, metres. */
  private static final double MARGIN = 0.2;

  /**
   * @throws Refusal if there is no such wall, or the cut lies outside the space
   */
  static Standpoint of(Space space, Elevation.ElevationLook asked, LengthUnit unit) {
    return asked.way() == Elevation.LookWay.wall
        ? before(space, asked)
        : section(space, asked, unit);
  }

  private static Standpoint before(Space space, Elevation.ElevationLook asked) {
    Shell shell = space.shell();
    Wall wall = asked.wall() == null ? null : shell.wall(asked.wall());
    if (wall == null || wall.open()) {
      throw new Refusal("There is no wall “{}” to look at.", asked.wall());
    }
    double at = asked.at() == null ? Math.min(STEP_BACK, free(space, wall) / 2) : asked.at();
    if (!(at > NEAREST && at <= FARTHEST)) {
      throw new Refusal(
          "One looks at a wall from {} to {} before it.",
          Message.bare(NEAREST),
          Message.length(FARTHEST));
    }
    Vec toEye = wall.inward();
    Vec zero = wall.from().at(0);
    double ground = toEye.dot(zero);
    return new Standpoint(
        new Elevation.ElevationLook(Elevation.LookWay.wall, wall.name(), at),
        wall,
        "Elevation of " + shell.wallName(wall.name()),
        Eye.level(toEye),
        zero,
        ground + at,
        ground,
        frame(shell, 0, wall.length()));
  }

  private static Standpoint section(Space space, Elevation.ElevationLook asked, LengthUnit unit) {
    Shell shell = space.shell();
    Envelope floor = shell.floor().getEnvelopeInternal();
    boolean along = asked.way().along();
    double least = along ? floor.getMinX() : floor.getMinY();
    double most = along ? floor.getMaxX() : floor.getMaxY();
    // a stage is looked into from just behind its setting line
    double usual =
        shell.stage() != null && asked.way() == Elevation.LookWay.back ? -0.05 : (least + most) / 2;
    double at = asked.at() == null ? usual : asked.at();
    if (!(at > least && at < most)) {
      throw new Refusal(
          "The cut lies outside; it can be from {} to {}{}",
          unit.fine(least),
          unit.fine(most),
          along ? " across." : " deep.");
    }
    Vec toEye = asked.way().toEye();
    Eye eye = Eye.level(toEye);
    double side = along ? eye.right().z() : eye.right().x();
    double a = side * (along ? floor.getMinY() : floor.getMinX());
    double b = side * (along ? floor.getMaxY() : floor.getMaxX());
    return new Standpoint(
        new Elevation.ElevationLook(asked.way(), null, at),
        null,
        "Section at "
            + unit.fine(at)
            + (along ? " across" : " deep")
            + ", looking "
            + asked.way().words(shell.stage() != null),
        eye,
        Vec.ZERO,
        (along ? toEye.x() : toEye.z()) * at,
        Double.NEGATIVE_INFINITY,
        frame(shell, Math.min(a, b), Math.max(a, b)));
  }

  /** From one side to the other with the walls there, from under the floor to over the ceiling. */
  private static Envelope frame(Shell shell, double from, double to) {
    double under = shell.stage() == null ? 0 : -shell.stage().level();
    double thick =
        shell.walls().stream().mapToDouble(Wall::thickness).max().orElse(shell.thickness());
    return new Envelope(from - thick, to + thick, -shell.height() - MARGIN, MARGIN - under);
  }

  /** How far it is free before the middle of a wall, metres. */
  private static double free(Space space, Wall w) {
    Spot from = w.spot(w.length() / 2, Tolerance.NEAR);
    Bodies.RayMet met =
        space
            .bodies()
            .ray(
                from.at(Math.min(1.5, space.shell().height() / 2)),
                w.inward(),
                1e4,
                b -> PartName.is(b, PartKind.wall));
    return met == null ? STEP_BACK * 2 : met.distance();
  }
}
