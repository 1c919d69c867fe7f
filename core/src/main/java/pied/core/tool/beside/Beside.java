package pied.core.tool.beside;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Footprint;
import pied.core.place.Resting;
import pied.core.solid.Mesh;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * Sets pieces beside the lead, which is the last of them and stays; one after the other, with an
 * exact gap between the sides.
 *
 * @param side of the lead; top for above
 * @param gap between the sides; null for none
 * @param flush the sides that are in one line: front or back; null for the middles
 * @param stay true: in the other direction they stay where they are
 */
@JsonTypeName("beside")
@RecordBuilder
public record Beside(
    List<String> pieces,
    Side side,
    @Nullable Amount gap,
    @Nullable Side flush,
    @Nullable Boolean stay)
    implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    double apart = session.length(gap, 0);
    if (ids.size() < 2) {
      throw new Refusal("Select what is to stand beside it as well; the lead is picked last.");
    }
    if (side == null || side == Side.under) {
      throw new Refusal("Say on which side: left, right, front, back or top.");
    }
    if (apart < 0) {
      throw new Refusal("A gap is 0 or more.");
    }
    Piece lead = session.piece(ids.get(ids.size() - 1));
    Vec way = side == Side.top ? Vec.UP : lead.pose().direct(side.outward());
    Piece last = lead;
    for (String id : ids.subList(0, ids.size() - 1)) {
      session.deadline().check();
      Piece p = session.piece(id);
      Vec to = next(session.space(), last, lead, p, way, apart, flush, Boolean.TRUE.equals(stay));
      session.shift(List.of(id), to.minus(p.at()));
      Piece q = session.piece(id);
      session.set(q.withOn(Resting.of(session.space(), q, side == Side.top).carrier(q.pose())));
      last = session.piece(id);
    }
    session.sayOverlaps(ids);
  }

  private static Vec next(
      Space space, Piece last, Piece lead, Piece p, Vec way, double gap, Side flush, boolean stay) {
    // beside the middle of the last one, in line with the lead, and at the height it stands at
    Vec from = last.at().minus(p.at());
    Vec along = p.at().along(way, from.dot(way));
    boolean up = way.y() > 0.5;
    Vec at =
        up
            ? new Vec(last.at().x(), last.at().y() + last.size().height(), last.at().z())
            : new Vec(along.x(), sameHeight(space, last, p), along.z());
    if (!up && !stay) {
      Vec across = new Vec(way.z(), 0, -way.x());
      double off = lead.at().dot(across) - at.dot(across);
      if (flush == Side.front || flush == Side.back) {
        Vec out = lead.pose().direct(flush.outward());
        if (Math.abs(out.dot(across)) > 0.5) {
          double sign = Math.signum(out.dot(across));
          off += sign * (half(space, lead, out) - half(space, p, out));
        }
      }
      at = at.along(across, off);
    }
    Vec start = at.along(way, 2 * (half(space, last, way) + half(space, p, way)) + 1);
    Travel.Stop stop =
        Travel.of(
            space.shapes().mesh(p),
            Stance.pose(start, p.turn(), p.lean()),
            space.shapes().mesh(last),
            last.pose(),
            way.times(-1),
            1e4);
    if (stop.meets()) {
      return start.along(way, gap - stop.distance());
    }
    // they would pass each other: the boxes are set side by side
    double apart = half(space, last, way) + half(space, p, way) + gap;
    return at.along(way, apart - (up ? half(space, last, way) : 0));
  }

  /** What stands keeps to the floor it would have there: that of the one beside it. */
  private static double sameHeight(Space space, Piece last, Piece p) {
    boolean both =
        space.article(p).mounting() == Mounting.STANDS
            && space.article(last).mounting() == Mounting.STANDS;
    return both ? last.at().y() : p.at().y();
  }

  /** Half of what a piece measures in a direction. */
  private static double half(Space space, Piece p, Vec way) {
    Mesh mesh = space.shapes().mesh(p);
    return (Footprint.reach(mesh, p.pose(), way) + Footprint.reach(mesh, p.pose(), way.times(-1)))
        / 2;
  }
}
