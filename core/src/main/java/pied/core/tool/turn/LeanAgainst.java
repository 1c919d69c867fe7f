package pied.core.tool.turn;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Bodies;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.PartName;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Angle;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Leans pieces against a wall with their backs: each turns its back to it, leans so far that it
 * makes the angle with the floor, stands on what is beneath, and goes up to the wall until it
 * touches.
 *
 * @param angle with the floor, degrees; for a ladder about 75 (1 out for 4 up)
 * @param wall name of it; null for the nearest to each
 */
@JsonTypeName("leanAgainst")
@RecordBuilder
public record LeanAgainst(List<String> pieces, Amount angle, @Nullable String wall)
    implements Edit {
  private static final double CLEAR = 0.01;

  @Override
  public String ofParts() {
    return WhyNot.TURNED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = Carriers.tops(session.space(), session.chosen(pieces));
    double steep = need(angle, "angle").angle(90);
    if (!(steep > 0 && steep < 90)) {
      throw new Refusal("It can lean at more than 0° and less than 90° to the floor.");
    }
    for (String id : ids) {
      one(session, session.piece(id), 90 - steep);
    }
    session.settle(session.space().carriedBy(ids), true);
    session.sayOverlaps(ids);
  }

  private void one(EditSession session, Piece p, double by) {
    Wall to = wall(session, p);
    Vec there = to.inward().times(-1);
    // its back is toward the wall, and it leans backward
    Piece q = p.withTurn(Swing.bearing(to.inward())).withLean(new Lean(180, by));
    Set<String> own = session.space().withCarried(List.of(p.id()));
    // free of the wall at first, so that it can go up to it
    double nearest = to.off(new Spot(q.at().x(), q.at().z())) - reach(q, there);
    q = q.moved(to.inward().times(Math.max(0, CLEAR - nearest)));
    q = q.withAt(Resting.of(session.space(), q).settle(q.at(), q.turn()).at());
    Bodies.Met met =
        session
            .space()
            .bodies()
            .travel(
                session.space().shapes().mesh(q), q.pose(), there, 1e3, b -> !own.contains(b.id()));
    if (!met.stop().meets()) {
      double foot = p.size().height() * Math.sin(Math.toRadians(by));
      throw new Refusal(
          "At {} the foot of {} stands {} from {}, but there is nothing there for its top to lean"
              + " against; move it along to where the wall is.",
          Angle.text(90 - by),
          p.name(),
          Message.length(Math.rint(foot * 1000) / 1000),
          session.space().nameOf(PartName.wall(to.name())));
    }
    session.set(q.moved(there.times(met.stop().distance())));
    session.settle(List.of(p.id()), false);
    if (!PartName.is(met.body(), PartName.PartKind.wall)) {
      session.say("{} leans against {}.", p.name(), session.space().nameOf(met.body().id()));
    }
  }

  /** How far its box reaches from its place in a direction. */
  private static double reach(Piece p, Vec way) {
    double most = 0;
    for (int i = 0; i < 8; i++) {
      Hold corner = new Hold((i & 1) * 2 - 1, (i & 2) - 1, (i & 4) / 2 - 1);
      most = Math.max(most, Swing.mark(p, corner).minus(p.at()).dot(way));
    }
    return most;
  }

  private Wall wall(EditSession session, Piece p) {
    if (wall != null) {
      Wall w = session.space().shell().wall(wall);
      if (w == null || w.open()) {
        throw new Refusal("There is no wall “{}” to lean against.", wall);
      }
      return w;
    }
    Spot here = new Spot(p.at().x(), p.at().z());
    return Wall.nearest(session.space().shell().faces(), here, "to lean against");
  }
}
