package pied.core.tool.place;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.operation.distance.DistanceOp;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.piece.Piece;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Target;
import pied.core.space.Carriers;
import pied.core.space.Spot;

/**
 * Brings pieces here, wherever they are.
 *
 * @param at point of the plan; null for the nearest free place inside to where each is
 */
@JsonTypeName("bringIn")
@RecordBuilder
public record BringIn(List<String> pieces, @Nullable PlanPoint at) implements Edit {
  /** To the nearest free place inside. */
  public BringIn(List<String> pieces) {
    this(pieces, null);
  }

  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    Carriers.tops(session.space(), session.chosen(pieces))
        .forEach(id -> one(session, session.piece(id)));
  }

  private void one(EditSession session, Piece p) {
    Target target = new Target.OnPlan(at == null ? inside(session, p) : point(session));
    Rest rest = Resting.of(session.space(), p).at(target, p.turn());
    List<String> own = List.of(p.id());
    session.shift(own, rest.at().minus(p.at()));
    session.set(session.piece(p.id()).withTurn(rest.turn()).withOn(rest.on()));
    session.say("{} stands on {} again.", p.name(), session.space().nameOf(rest.on()));
    session.sayOverlaps(own);
  }

  private Spot point(EditSession session) {
    return new Spot(
        EditSession.need(at.x(), "at.x").length(session.unit(), 0),
        EditSession.need(at.z(), "at.z").length(session.unit(), 0));
  }

  /** The nearest place at which all of it is inside. */
  private static Spot inside(EditSession session, Piece p) {
    double round = Math.hypot(p.size().width(), p.size().depth()) / 2;
    Coordinate near = null;
    for (double margin = round + 0.01; near == null; margin = margin > 0.02 ? margin / 2 : 0) {
      var free = session.space().shell().floor().buffer(-margin);
      if (!free.isEmpty()) {
        var here = free.getFactory().createPoint(new Coordinate(p.at().x(), p.at().z()));
        near = DistanceOp.nearestPoints(free, here)[0];
      }
    }
    return new Spot(near.x, near.y);
  }
}
