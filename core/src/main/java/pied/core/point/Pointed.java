package pied.core.point;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.Edit.Sight;
import pied.core.edit.Walls;
import pied.core.solid.Bodies;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * What was clicked on a drawing.
 *
 * @param at the point of the plan; null where a line of sight says it
 * @param ray a line of sight to the floor; null where the point is given
 * @param piece id of the piece there
 * @param part name of the part of the shell there, such as "platform:platform 1"
 * @param near so near to something it is meant, metres; null: the nearest wall is, however far
 */
public record Pointed(
    @Nullable Spot at,
    @Nullable Sight ray,
    @Nullable String piece,
    @Nullable String part,
    @Nullable Double near) {
  /** Points that are clicked are whole steps of this from the zero of the space, metres. */
  private static final double STEP = 0.01;

  /** As far as one looks, metres. */
  private static final double FAR = 1e4;

  /** A point is level with the one before it within this share of what is near. */
  private static final double LEVEL = 1 / 3.0;

  /** At a point of the plan. */
  public static Pointed at(Spot at, @Nullable String piece, @Nullable String part, Double near) {
    return new Pointed(at, null, piece, part, near);
  }

  /**
   * The same with the point of the floor that is seen: of a platform or a flight of steps where one
   * is in the way, and else of the floor, as far as that would go on.
   *
   * @throws Refusal if it looks past any floor
   */
  public Pointed seen(Space space) {
    if (at != null) {
      return this;
    }
    if (ray == null) {
      throw new Refusal("Say what was clicked: a point of the plan, or a line of sight.");
    }
    Vec along = Validity.sight(ray.from(), ray.along());
    Bodies.RayMet met =
        space
            .bodies()
            .ray(
                ray.from(),
                along,
                FAR,
                b ->
                    PartName.is(b, PartKind.floor, PartKind.platform, PartKind.flight)
                        && !space.has(b.id()));
    if (met != null) {
      return at(new Spot(met.point().x(), met.point().z()), piece, part, near);
    }
    double far = -ray.from().y() / along.y();
    if (!(far > 0 && far < FAR)) {
      throw new Refusal("Click points of the floor on the plan or in the set view.");
    }
    Vec there = ray.from().along(along, far);
    return at(new Spot(there.x(), there.z()), piece, part, near);
  }

  /** A piece of the space that was clicked, unless it is one of these. */
  @Nullable
  public String piece(Space space, @Nullable List<String> others) {
    boolean there = piece != null && space.has(piece);
    return there && (others == null || !others.contains(piece)) ? piece : null;
  }

  /** The platform that was clicked, as "platform:…"; null for none. */
  @Nullable
  public String platform() {
    return part != null && PartName.read(part).kind() == PartKind.platform ? part : null;
  }

  /** The wall that was clicked, or is near enough; null for none. */
  @Nullable
  public Wall wall(Shell shell) {
    if (part != null && PartName.read(part).kind() == PartKind.wall) {
      return Walls.named(shell, part);
    }
    Wall next = Wall.nearest(shell.walls(), at, "to click");
    return near == null || next.distance(at) <= near ? next : null;
  }

  public double reach() {
    return near == null ? 0 : near;
  }

  /**
   * The point that is meant: a corner of the room that is near enough, else one that is level with
   * the point before it, else what was clicked in whole centimetres.
   */
  public PlanPoint point(Shell shell, @Nullable PlanPoint before, LengthUnit unit) {
    for (Spot corner : shell.outline()) {
      if (corner.distance(at) <= reach()) {
        return plan(corner.x(), corner.z());
      }
    }
    double x = step(at.x());
    double z = step(at.z());
    if (before != null) {
      Spot was = spot(before, unit);
      double dx = Math.abs(x - was.x());
      double dz = Math.abs(z - was.z());
      boolean up = dx <= reach() * LEVEL && dx < dz;
      boolean level = dz <= reach() * LEVEL && dz < dx;
      return plan(up ? was.x() : x, level ? was.z() : z);
    }
    return plan(x, z);
  }

  /** Whether it is this point, or near enough to it. */
  public boolean is(PlanPoint p, LengthUnit unit) {
    return spot(p, unit).distance(at) <= reach();
  }

  static Spot spot(PlanPoint p, LengthUnit unit) {
    return new Spot(metres(p.x(), unit), metres(p.z(), unit));
  }

  private static double metres(@Nullable Amount a, LengthUnit unit) {
    return a == null ? 0 : a.metres(unit);
  }

  private static double step(double v) {
    return Math.round(v / STEP) * STEP;
  }

  private static PlanPoint plan(double x, double z) {
    return new PlanPoint(amount(x), amount(z));
  }

  /** Without what adding up leaves in the last digits. */
  public static Amount amount(double v) {
    return Amount.of(Math.round(v * 1e6) / 1e6);
  }
}
