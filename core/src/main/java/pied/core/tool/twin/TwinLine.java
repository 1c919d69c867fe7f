package pied.core.tool.twin;

import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.edit.Walls;
import pied.core.edit.Wanting;
import pied.core.piece.Piece;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.space.Twin;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * What twins are twins by.
 *
 * @param by the sort of line
 * @param wall of {@link TwinBy#wall}: the line is at a right angle to it, through its middle
 * @param at a point of the line, or the point they are turned about; of {@link TwinBy#across} only
 *     x counts and of {@link TwinBy#deep} only z
 * @param to another point of a line that was drawn
 * @param of id of the piece whose middle it is, for {@link TwinBy#piece}
 */
public record TwinLine(
    TwinBy by,
    @Nullable String wall,
    @Nullable PlanPoint at,
    @Nullable PlanPoint to,
    @Nullable String of) {
  /** Of all but {@link TwinBy#piece}. */
  public TwinLine(
      TwinBy by, @Nullable String wall, @Nullable PlanPoint at, @Nullable PlanPoint to) {
    this(by, wall, at, to, null);
  }

  /** Through the middle of a piece. */
  static TwinLine ofPiece(String id) {
    return new TwinLine(TwinBy.piece, null, null, null, id);
  }

  /** Sorts of lines. */
  public enum TwinBy {
    /** The centre line of a stage; of a room the one through its middle, from back to front. */
    centre,
    /** Through the middle of a wall. */
    wall,
    /** From back to front, so far across from the datum. */
    across,
    /** From side to side, so far deep from the datum. */
    deep,
    /** Through two points. */
    drawn,
    /** Turned half round a point. */
    point,
    /** Through the middle of a piece, from its back to its front. */
    piece,
    /** Through the middle of what is picked, from back to front. */
    middle
  }

  /**
   * @param picked what becomes twins; null where that is known already
   */
  Twin line(EditSession session, String id, @Nullable Picked picked) {
    Shell shell = session.space().shell();
    Vec down = new Vec(0, 0, 1);
    return switch (EditSession.need(by, "by")) {
      case centre -> {
        var e = Shell.envelope(shell.outline());
        double x = shell.stage() != null ? 0 : (e.getMinX() + e.getMaxX()) / 2;
        yield new Twin(id, new Vec(x, 0, 0), down, false);
      }
      case wall -> {
        Wall w = Walls.named(shell, wall);
        Spot mid = w.spot(w.length() / 2, 0);
        yield new Twin(id, mid.at(0), w.inward(), false);
      }
      case across -> new Twin(id, new Vec(shell.datum().x() + x(session), 0, 0), down, false);
      case deep ->
          new Twin(id, new Vec(0, 0, shell.datum().z() + z(session)), new Vec(1, 0, 0), false);
      case drawn -> {
        Vec a = point(session, at);
        Vec b = point(session, to);
        if (a.distance(b) < Tolerance.NEAR) {
          throw new Refusal("The line leads nowhere; click two points that are apart.");
        }
        yield new Twin(id, a, b.minus(a).unit(), false);
      }
      case point -> new Twin(id, point(session, at), down, true);
      case piece -> {
        Piece p = session.piece(EditSession.need(of, "of"));
        yield new Twin(id, p.at(), Pose.of(Vec.ZERO, p.turn()).direct(down), false);
      }
      case middle -> {
        if (picked == null) {
          throw new Refusal("Say which line they are twins by.");
        }
        yield new Twin(id, picked.box(session.space()).centre(), down, false);
      }
    };
  }

  private double x(EditSession session) {
    return session.length(EditSession.need(at, "at").x(), 0);
  }

  private double z(EditSession session) {
    return session.length(EditSession.need(at, "at").z(), 0);
  }

  private static Vec point(EditSession session, @Nullable PlanPoint p) {
    if (p == null) {
      throw new Wanting("Click where it is.");
    }
    Amount x = p.x();
    return new Vec(session.length(x, 0), 0, session.length(p.z(), 0));
  }
}
