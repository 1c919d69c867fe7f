package pied.core.tool.twin;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Paired;
import pied.core.piece.Partner;
import pied.core.space.Twin;
import pied.core.units.Refusal;

/**
 * Makes a mirrored partner of each piece, with all it carries, or one that is turned half round a
 * point; from then on the two go together.
 *
 * @param about what they are twins by
 */
@JsonTypeName("twin")
@RecordBuilder
public record MakeTwins(List<String> pieces, TwinLine about)
    implements Edit, MakeTwinsBuilder.With {
  @Override
  public void make(EditSession session) {
    List<String> all = new ArrayList<>(session.space().withCarried(session.chosen(pieces)));
    for (String id : all) {
      Partner had = session.piece(id).keeping().twin();
      if (had != null) {
        throw new Refusal(
            "{} has a twin already; part them first, or move their line.",
            session.piece(id).name());
      }
    }
    Twin line = EditSession.need(about, "about").line(session, session.newId());
    session.rules(line.id());
    session.file(session.filing().with(line));
    Paired.make(session, line, all);
  }
}
