package pied.core.tool.lineup;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.LineSegment;
import pied.core.Nullable;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.Walls;
import pied.core.point.Click;
import pied.core.point.Drawn;
import pied.core.point.Pointed;
import pied.core.solid.Vec;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.tool.lineup.LineUp.LineUpMeeting;
import pied.core.tool.lineup.LineUp.LineUpPart;
import pied.core.tool.lineup.LineUp.LineUpTo;
import pied.core.units.LengthUnit;

/** They are lined up with what is clicked: a piece, a wall, an edge, or a point. */
final class LineUpClick implements Click<LineUp> {
  @Override
  public Class<LineUp> of() {
    return LineUp.class;
  }

  @Override
  public String hint(LineUp e) {
    return "Click a piece, a wall, the edge of a platform or a point to line them up with that.";
  }

  @Override
  public LineUp at(Space space, LengthUnit unit, LineUp e, Pointed p) {
    Shell shell = space.shell();
    LineUp with = e.withWhat(null).withAt(null);
    String piece = p.piece(space, e.pieces());
    if (piece != null) {
      return sides(with).withTo(LineUpTo.piece).withWhat(piece);
    }
    Wall wall = p.wall(shell);
    if (wall != null) {
      return toward(with).withTo(LineUpTo.wall).withWhat("wall:" + wall.name());
    }
    String edge = edge(shell, p);
    if (edge != null) {
      return toward(with).withTo(LineUpTo.edge).withWhat(edge);
    }
    PlanPoint at = p.point(shell, null, unit);
    return sides(with).withTo(LineUpTo.point).withAt(new Vec(at.x().number(), 0, at.z().number()));
  }

  /** The platform whose edge is near enough. */
  private static @Nullable String edge(Shell shell, Pointed p) {
    for (Platform platform : shell.platforms()) {
      LineSegment side = Walls.edge(shell, platform.id(), p.at().at(0));
      if (side.distance(new Coordinate(p.at().x(), p.at().z())) <= p.reach()) {
        return "platform:" + platform.id();
      }
    }
    return null;
  }

  /** By sides in the directions of the space. */
  private static LineUp sides(LineUp e) {
    boolean some = e.across() != null || e.deep() != null || e.high() != null || e.mark() != null;
    LineUp sides = e.withNearness(null).withOff(null);
    return some ? sides : sides.withAcross(new LineUpMeeting(LineUpPart.left, null));
  }

  /** By sides toward it or away from it. */
  private static LineUp toward(LineUp e) {
    return e.withAcross(null)
        .withDeep(null)
        .withHigh(null)
        .withNearness(e.nearness() == null ? LineUpPart.near : e.nearness());
  }

  @Override
  public @Nullable Drawn drawn(LineUp e, LengthUnit unit) {
    return e.to() == LineUpTo.point && e.at() != null
        ? new Drawn(List.of(new Spot(e.at().x(), e.at().z())), false)
        : null;
  }
}
