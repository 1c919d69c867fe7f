package pied.core.tool.beside;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * Brings pieces to the height of the lead, the last of them.
 *
 * @param side top, or under, which is to be level
 */
@JsonTypeName("level")
@RecordBuilder
public record Level(List<String> pieces, Side side) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    if (ids.size() < 2 || side != Side.top && side != Side.under) {
      throw new Refusal(
          "Select several, the lead last, and say whether top or underside is meant.");
    }
    Piece lead = session.piece(ids.get(ids.size() - 1));
    for (String id : ids.subList(0, ids.size() - 1)) {
      Piece p = session.piece(id);
      double y =
          side == Side.under
              ? lead.at().y()
              : lead.at().y() + lead.size().height() - p.size().height();
      session.shift(List.of(id), new Vec(0, y - p.at().y(), 0));
      Piece q = session.piece(id);
      session.set(q.withOn(Resting.of(session.space(), q).carrier(q.pose())));
    }
    session.sayOverlaps(ids);
  }
}
