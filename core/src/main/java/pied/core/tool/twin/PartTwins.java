package pied.core.tool.twin;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Paired;
import pied.core.piece.Partner;
import pied.core.units.Refusal;

/** Parts twins: both stay, and neither follows the other any more. */
@JsonTypeName("partTwins")
@RecordBuilder
public record PartTwins(List<String> pieces) implements Edit {
  @Override
  public void make(EditSession session) {
    Set<String> all = new LinkedHashSet<>();
    for (String id : session.chosen(pieces)) {
      Partner p = session.piece(id).keeping().twin();
      if (p != null) {
        all.add(id);
        all.add(p.piece());
      }
    }
    if (all.isEmpty()) {
      throw new Refusal("None of these has a twin.");
    }
    Paired.part(session, all);
  }
}
