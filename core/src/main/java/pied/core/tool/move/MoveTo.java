package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Places;
import pied.core.piece.Piece;
import pied.core.solid.Vec;

/**
 * Moves pieces to a place read from the datum; each keeps what is not said. Its height is that of
 * its lowest point.
 */
@JsonTypeName("moveTo")
@RecordBuilder
public record MoveTo(List<String> pieces, Place3 to) implements Edit {
  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    for (String id : session.carriersFirst(ids)) {
      Piece p = session.piece(id);
      Vec low = new Vec(0, p.at().y() - session.space().low(p), 0);
      Vec at = p.at().minus(low);
      Vec next = Places.read(need(to, "to"), at, session.space().shell(), session.unit());
      session.shift(List.of(id), next.minus(at));
    }
    if (to.y() == null) {
      session.settle(session.tops(ids), false);
    } else {
      session.carriers(ids);
    }
    session.sayOverlaps(ids);
  }
}
