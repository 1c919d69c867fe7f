package pied.core.tool.turn;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.space.Carriers;
import pied.core.units.Refusal;

/**
 * Turns pieces as the lead is turned, which is the last of them.
 *
 * @param about as in {@link Turn}
 */
@JsonTypeName("turnAs")
@RecordBuilder
public record TurnAs(List<String> pieces, @Nullable String about) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.TURNED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    if (ids.size() < 2) {
      throw new Refusal("Select what is to be turned as another, and that one last.");
    }
    double turn = session.piece(ids.get(ids.size() - 1)).turn();
    Hold mark = Hold.pivot(about);
    List<String> others = Carriers.tops(session.space(), ids.subList(0, ids.size() - 1));
    for (String id : others) {
      Piece p = session.piece(id);
      Swing.upright(session, p, Swing.mark(p, mark), turn - p.turn());
    }
    Swing.rest(session, others);
  }
}
