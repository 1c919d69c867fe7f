package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.solid.Vec;
import pied.core.space.Carriers;

/** Moves pieces up or down so that the top of each is at a height read from the datum. */
@JsonTypeName("topAt")
@RecordBuilder
public record TopAt(List<String> pieces, Amount height) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    double datum = session.space().shell().datum().y();
    for (String id : Carriers.carriersFirst(session.space(), ids)) {
      double now = session.space().shapes().high(session.piece(id)) - datum;
      double by = need(height, "height").length(session.unit(), now) - now;
      session.shift(List.of(id), new Vec(0, by, 0));
    }
    session.carriers(ids);
    session.sayOverlaps(ids);
  }
}
