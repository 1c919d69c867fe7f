package pied.core.tool.size;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.units.Refusal;

/**
 * Gives pieces measures of the lead, which is the last of them and stays as it is.
 *
 * @param measures which; null for all three
 * @param hold as in {@link Resize}
 */
@JsonTypeName("sizeAs")
@RecordBuilder
public record SizeAs(
    List<String> pieces,
    @Nullable List<Measure> measures,
    @Nullable Together together,
    @Nullable String hold,
    @Nullable OutOfRange beyond)
    implements Edit, SizeAsBuilder.With {
  @Override
  public String ofParts() {
    return WhyNot.SIZED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    if (ids.size() < 2) {
      throw new Refusal("Select what is to be as large as another, and that one last.");
    }
    List<Measure> taken =
        measures == null || measures.isEmpty() ? List.of(Measure.values()) : measures;
    Size as = session.piece(ids.get(ids.size() - 1)).size();
    Hold stays = Hold.read(hold);
    List<String> others = ids.subList(0, ids.size() - 1);
    for (String id : others) {
      Piece p = session.piece(id);
      double[] asked = {Double.NaN, Double.NaN, Double.NaN};
      taken.forEach(m -> asked[m.ordinal()] = m.of(as));
      Size wanted =
          session
              .article(id)
              .sizing()
              .follow(p.size(), Together.of(together, session.article(id)).follow(p.size(), asked));
      Fitting.give(session, p, Fitting.form(session, p, wanted, beyond, this::withBeyond), stays);
    }
    session.sayOverlaps(others);
  }
}
