package pied.core.tool.turn;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.joml.Quaterniond;
import pied.core.Tolerance;
import pied.core.catalog.Mounting;
import pied.core.edit.EditSession;
import pied.core.measure.Hold;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.FloorLean;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Carriers;

/** Turns pieces on the bench about points. */
final class Swing {
  private Swing() {}

  /** Where a mark of a piece is in the space. */
  static Vec mark(Piece p, Hold mark) {
    return p.pose().apply(mark.on(p.size()));
  }

  /**
   * Turns a piece and all it carries about the vertical through a point; what stands square on a
   * sloping floor goes on doing so.
   *
   * @param more degrees, counter-clockwise seen from above
   */
  static void upright(EditSession session, Piece p, Vec about, double more) {
    Pose by = Pose.of(Vec.ZERO, more);
    session.alter(
        session.space().withCarried(List.of(p.id())),
        q -> q.withAt(about.plus(by.direct(q.at().minus(about)))).withTurn(q.turn() + more));
    if (!p.lean().equals(Lean.NONE) && FloorLean.same(p.lean(), FloorLean.of(session.space(), p))) {
      Piece turned = session.piece(p.id()); // it stays square on a sloping floor
      session.set(turned.withLean(FloorLean.of(session.space(), turned)));
    }
  }

  /**
   * Turns a piece about any direction through a mark of its own, which stays; what is attached to
   * it goes along.
   *
   * @param way of length 1
   * @param more degrees, counter-clockwise as it comes toward one
   */
  static void about(EditSession session, Piece p, Vec way, Hold mark, double more) {
    Pose by = turned(way, more);
    Vec stays = mark(p, mark);
    Set<String> along = Carriers.attachedTo(session.space(), p.id());
    session.alter(along, q -> turned(q, by, stays));
    Piece next = turned(p, by, stays);
    // the mark stays to the last bit, whatever the angles were rounded to
    session.set(next.withAt(stays.minus(next.pose().direct(mark.on(p.size())))));
  }

  private static Pose turned(Vec way, double degrees) {
    return Pose.of(
        Vec.ZERO, new Quaterniond().rotateAxis(Math.toRadians(degrees), way.x(), way.y(), way.z()));
  }

  private static Piece turned(Piece p, Pose by, Vec about) {
    Vec at = about.plus(by.direct(p.at().minus(about)));
    Pose now = p.pose();
    Pose next =
        Pose.of(
            Vec.ZERO,
            by.direct(now.direct(new Vec(1, 0, 0))),
            by.direct(now.direct(Vec.UP)),
            by.direct(now.direct(new Vec(0, 0, 1))));
    return p.withStance(Stance.of(at, next));
  }

  /**
   * After a turn about the vertical: what stands comes to rest, all else is said what carries it.
   */
  static void rest(EditSession session, Collection<String> ids) {
    if (ids.stream().allMatch(id -> session.article(id).mounting() == Mounting.STANDS)) {
      session.settle(ids, false);
    } else {
      session.carriers(ids);
    }
    session.sayOverlaps(ids);
  }

  /** The direction from one point to another on the plan, degrees as a turn; NaN for none. */
  static double bearing(Vec from, Vec to) {
    double x = to.x() - from.x();
    double z = to.z() - from.z();
    return Math.hypot(x, z) < Tolerance.FINE ? Double.NaN : bearing(new Vec(x, 0, z));
  }

  static double bearing(Vec way) {
    double t = Math.toDegrees(Math.atan2(way.x(), way.z()));
    double quarter = Math.rint(t / 90) * 90;
    return Math.abs(t - quarter) < Tolerance.ANGLE ? quarter : t; // quarter turns are exact
  }
}
