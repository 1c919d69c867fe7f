package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Moves one piece so that a side of it is so far from what is next that way. */
@JsonTypeName("setDistance")
@RecordBuilder
public record SetDistance(String piece, Side side, Amount distance) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    Piece p = session.chosen(piece);
    Reach reach = Reach.of(session.space(), p, need(side, "side"));
    if (reach == null) {
      throw new Refusal(
          "For {} there is nothing {} to be at a distance from.", p.name(), side.words());
    }
    LengthUnit unit = session.unit();
    double wanted = need(distance, "distance").length(unit, reach.distance());
    if (wanted < 0) {
      throw new Refusal(
          "A distance is 0 or more; {} would push {} into {}.",
          unit.fine(wanted),
          p.name(),
          reach.toName());
    }
    double by = reach.distance() - wanted;
    if (by < 0) {
      fits(session.space(), p, reach, wanted, unit);
    }
    List<String> own = List.of(p.id());
    session.shift(own, p.pose().direct(side.outward()).times(by));
    if (side == Side.top || side == Side.under) {
      session.carriers(own);
    } else {
      session.settle(own, false);
    }
    session.sayOverlaps(own);
  }

  /** Whether there is room behind it to go back so far. */
  private void fits(Space space, Piece p, Reach reach, double wanted, LengthUnit unit) {
    Reach behind = Reach.of(space, p, side.opposite());
    double back = wanted - reach.distance();
    if (behind != null && behind.distance() >= 0 && behind.distance() < back - Tolerance.SAME) {
      throw new Refusal(
          "Only {} is free between {} and {}; {} does not fit.",
          unit.fine(reach.distance() + behind.distance()),
          reach.toName(),
          behind.toName(),
          unit.fine(wanted));
    }
  }
}
