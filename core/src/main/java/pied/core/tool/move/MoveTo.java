package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Places;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Carriers;

/**
 * Moves pieces to a place read from the datum; each keeps what is not said. Its height is that of
 * its lowest point.
 *
 * @param absolute whether a typed minus is a sign: 0.20 m before the datum, not 0.20 m less than
 *     now
 */
@JsonTypeName("moveTo")
@RecordBuilder
public record MoveTo(List<String> pieces, Place3 to, @Nullable Boolean absolute) implements Edit {
  public MoveTo(List<String> pieces, Place3 to) {
    this(pieces, to, null);
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    Place3 place = Boolean.TRUE.equals(absolute) ? need(to, "to").absolute() : need(to, "to");
    for (String id : Carriers.carriersFirst(session.space(), ids)) {
      Piece p = session.piece(id);
      Vec low = new Vec(0, p.at().y() - session.space().shapes().low(p), 0);
      Vec at = p.at().minus(low);
      Vec next = Places.read(place, at, session.space().shell(), session.unit());
      session.shift(List.of(id), next.minus(at));
    }
    if (to.y() == null) {
      session.settle(Carriers.tops(session.space(), ids), false);
    } else {
      session.carriers(ids);
    }
    session.sayOverlaps(ids);
  }
}
