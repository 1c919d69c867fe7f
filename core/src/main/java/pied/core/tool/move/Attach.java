package pied.core.tool.move;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.units.Refusal;

/**
 * Attaches pieces to another where they are, so that they go where it goes; null: takes them off.
 */
@JsonTypeName("attach")
@RecordBuilder
public record Attach(List<String> pieces, @Nullable String to) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    for (String id : session.chosen(pieces)) {
      Piece p = session.piece(id);
      if (to == null) {
        session.set(p.withAttached(false));
        session.carriers(List.of(id));
        continue;
      }
      Piece carrier = session.piece(to);
      if (to.equals(id) || session.space().carriedBy(id).contains(to)) {
        throw new Refusal(
            "{} is carried by {}; it cannot carry it as well.", carrier.name(), p.name());
      }
      session.set(p.withOn(On.piece(to)).withAttached(true));
      session.say("{} goes where {} goes.", p.name(), carrier.name());
    }
  }
}
