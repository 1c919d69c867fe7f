package pied.core.tool.turn;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.LineSegment;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Walls;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * Turns pieces so that a side of each runs along a wall, the nearest edge of a platform, or a side
 * of another piece.
 *
 * @param to a wall ("wall:A") or a platform of the shell, or a piece
 * @param side of the pieces: it comes to face the wall; null for whichever needs the least turning
 * @param about as in {@link Turn}
 */
@JsonTypeName("along")
@RecordBuilder
public record Along(List<String> pieces, String to, @Nullable Side side, @Nullable String about)
    implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.TURNED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = Carriers.tops(session.space(), session.chosen(pieces));
    if (side == Side.top || side == Side.under) {
      throw new Refusal("Say which upright side is to run along it: left, right, front or back.");
    }
    Hold mark = Hold.pivot(about);
    for (String id : ids) {
      Piece p = session.piece(id);
      double toward = toward(session.space(), p, need(to, "to"));
      double more = side == null ? least(toward - p.turn(), 90) : toward - own(side) - p.turn();
      Swing.upright(session, p, Swing.mark(p, mark), least(more, 360));
    }
    Swing.rest(session, ids);
  }

  /** The direction out of a side, degrees from its front. */
  private static double own(Side s) {
    return Swing.bearing(s.outward());
  }

  /** Where the wall is, or the side of the other piece that is nearest, degrees as a turn. */
  private double toward(Space space, Piece p, String what) {
    if (space.has(what)) {
      Piece other = space.piece(what);
      double there = Swing.bearing(p.at(), other.at());
      double off = Double.isNaN(there) ? 0 : there - other.turn();
      return other.turn() + Math.rint(off / 90) * 90;
    }
    PartName part = PartName.read(what);
    if (part.kind() == PartName.PartKind.platform) {
      return edge(space.shell(), part.id(), p.at());
    }
    Wall wall = part.kind() == PartName.PartKind.wall ? space.shell().wall(part.id()) : null;
    if (wall == null) {
      throw new Refusal("It runs along a wall, a platform or a piece; click one.");
    }
    boolean behind = wall.inward().dot(p.at().minus(wall.from().at(0))) < 0;
    Vec way = behind ? wall.inward() : wall.inward().times(-1);
    return Swing.bearing(way);
  }

  /** Toward the edge of a platform that is nearest. */
  private static double edge(Shell shell, String id, Vec from) {
    Coordinate here = new Coordinate(from.x(), from.z());
    LineSegment best = Walls.edge(shell, id, from);
    Vec way = new Vec(best.p1.y - best.p0.y, 0, best.p0.x - best.p1.x);
    double side = way.x() * (best.p0.x - here.x) + way.z() * (best.p0.y - here.y);
    return Swing.bearing(side < 0 ? way.times(-1) : way);
  }

  /** The same turn but for whole ones of a kind, as little as it can be. */
  private static double least(double degrees, double whole) {
    double t = degrees - Math.rint(degrees / whole) * whole;
    return Math.abs(t) < Tolerance.ANGLE ? 0 : t;
  }
}
