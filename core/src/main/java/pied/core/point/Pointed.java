package pied.core.point;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.Walls;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;

/**
 * What was clicked on a drawing.
 *
 * @param at the point of the plan
 * @param piece id of the piece there
 * @param part name of the part of the shell there, such as "platform:platform 1"
 * @param near so near to something it is meant, metres; null: the nearest wall is, however far
 */
public record Pointed(
    Spot at, @Nullable String piece, @Nullable String part, @Nullable Double near) {
  /** Points that are clicked are whole steps of this from the zero of the space, metres. */
  private static final double STEP = 0.01;

  /** A point is level with the one before it within this share of what is near. */
  private static final double LEVEL = 1 / 3.0;

  /** A piece of the space that was clicked, unless it is one of these. */
  @Nullable
  String piece(Space space, @Nullable List<String> others) {
    boolean there = piece != null && space.has(piece);
    return there && (others == null || !others.contains(piece)) ? piece : null;
  }

  /** The platform that was clicked, as "platform:…"; null for none. */
  @Nullable
  String platform() {
    return part != null && PartName.read(part).kind() == PartName.Kind.platform ? part : null;
  }

  /** The wall that was clicked, or is near enough; null for none. */
  @Nullable
  Wall wall(Shell shell) {
    if (part != null && PartName.read(part).kind() == PartName.Kind.wall) {
      return Walls.named(shell, part);
    }
    Wall next = Wall.nearest(shell.walls(), at, "to click");
    return near == null || next.distance(at) <= near ? next : null;
  }

  double reach() {
    return near == null ? 0 : near;
  }

  /**
   * The point that is meant: a corner of the room that is near enough, else one that is level with
   * the point before it, else what was clicked in whole centimetres.
   */
  PlanPoint point(Shell shell, @Nullable PlanPoint before, LengthUnit unit) {
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
  boolean is(PlanPoint p, LengthUnit unit) {
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
  static Amount amount(double v) {
    return Amount.of(Math.round(v * 1e6) / 1e6);
  }
}
