package pied.core.tool.group;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;
import pied.core.space.Group;
import pied.core.space.KeptPart;
import pied.core.space.PartName;

/** Dissolves a group; what was in it is then in the group that it was in itself, or in none. */
@JsonTypeName("dissolve")
@RecordBuilder
public record Dissolve(String group) implements Edit {
  @Override
  public void make(EditSession session) {
    Group g = Groups.named(session, group);
    List<String> groups = new ArrayList<>();
    session.filing().within(g.id()).forEach(groups::add);
    List<String> own =
        session.space().members(g.id()).stream()
            .map(session::piece)
            .filter(p -> g.id().equals(p.keeping().group()))
            .map(Piece::id)
            .toList();
    if (!own.isEmpty()) {
      session.chosen(own);
    }
    List<PartName> parts =
        session.filing().parts().stream()
            .filter(k -> g.id().equals(k.keeping().group()))
            .map(KeptPart::part)
            .toList();
    Groups.put(session, new Groups.Members(groups, own, parts), g.in());
    session.leave(g.id());
  }
}
