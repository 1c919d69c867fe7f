package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** Hangs pieces so far below what is above them, on lines of their own; 0: right under it. */
@JsonTypeName("hang")
@RecordBuilder
public record Hang(List<String> pieces, Amount below) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    for (String id : ids) {
      hang(session, session.piece(id));
    }
    session.sayOverlaps(ids);
  }

  private void hang(EditSession session, Piece p) {
    if (session.article(p.id()).mounting() != Mounting.HANGS) {
      throw new Refusal("{} does not hang; say how high its top is to be instead.", p.name());
    }
    Hung hung = Hung.of(session.space(), p);
    if (hung.from().equals(On.NOTHING)) {
      throw new Refusal("There is nothing above {} that it could hang from.", p.name());
    }
    double wanted = need(below, "below").length(session.unit(), hung.below());
    double most = hung.below() + p.at().y();
    if (wanted < 0 || wanted > most) {
      throw new Refusal(
          "{} can hang from 0 to {} below {}, not {}.",
          p.name(),
          session.unit().fine(most),
          session.space().nameOf(hung.from()),
          session.unit().fine(wanted));
    }
    session.shift(List.of(p.id()), new Vec(0, hung.below() - wanted, 0));
    session.set(session.piece(p.id()).withOn(hung.from()));
  }
}
