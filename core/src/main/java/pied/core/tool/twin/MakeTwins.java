package pied.core.tool.twin;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Paired;
import pied.core.edit.Picked;
import pied.core.piece.Keeping;
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
    Picked picked = others(session.picked(pieces));
    Set<String> chosen = new LinkedHashSet<>(picked.pieces());
    List<String> on = Picked.carriedBy(session.space(), picked.parts());
    on.forEach(session::follows);
    chosen.addAll(on);
    List<String> all = new ArrayList<>(session.space().withCarried(chosen));
    all.forEach(id -> single(session.piece(id).name(), session.piece(id).keeping()));
    picked
        .parts()
        .forEach(p -> single(session.space().nameOf(p), session.filing().part(p).keeping()));
    Twin line = EditSession.need(about, "about").line(session, session.newId(), picked);
    session.rules(line.id());
    session.file(session.filing().with(line));
    Paired.make(session, line, all, picked.parts());
  }

  /** Without the piece that they are twins about. */
  private Picked others(Picked all) {
    List<String> ids = new ArrayList<>(all.pieces());
    if (ids.remove(about == null ? null : about.of()) && ids.isEmpty() && all.onlyPieces()) {
      throw new Refusal("Select what shall be on its other side, and it last.");
    }
    return new Picked(ids, all.parts());
  }

  private static void single(String name, Keeping k) {
    if (k.twin() != null) {
      throw new Refusal("{} has a twin already; part them first, or move their line.", name);
    }
  }
}
