package pied.core.tool.twin;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Paired;
import pied.core.edit.Picked;
import pied.core.piece.Partner;
import pied.core.space.PartName;
import pied.core.units.Refusal;

/** Parts twins: both stay, and neither follows the other any more. */
@JsonTypeName("partTwins")
@RecordBuilder
public record PartTwins(List<String> pieces) implements Edit {
  @Override
  public void make(EditSession session) {
    Set<String> all = new LinkedHashSet<>();
    Picked picked = session.picked(pieces);
    for (String id : picked.pieces()) {
      Partner p = session.piece(id).keeping().twin();
      if (p != null) {
        all.add(id);
        all.add(p.piece());
      }
    }
    Set<PartName> parts = new LinkedHashSet<>();
    for (PartName part : picked.parts()) {
      Partner p = session.filing().part(part).keeping().twin();
      if (p != null) {
        parts.add(part);
        parts.add(PartName.read(p.piece()));
      }
    }
    if (all.isEmpty() && parts.isEmpty()) {
      throw new Refusal("None of these has a twin.");
    }
    Paired.part(session, all, parts);
  }
}
