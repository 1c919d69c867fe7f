package pied.core.tool.move;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.units.Refusal;

/**
 * Says that pieces are meant to be held at their height, with nothing under them: that is no snag
 * then, until they come to rest or are given another height.
 */
@JsonTypeName("holdThere")
public record HoldThere(List<String> pieces) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    for (String id : session.chosen(pieces)) {
      Piece p = session.piece(id);
      if (!p.on().held()) {
        throw new Refusal(
            "{} is not held at a height; it is on {}.", p.name(), session.space().nameOf(p.on()));
      }
      session.set(p.withOn(On.HELD_SO));
    }
  }
}
