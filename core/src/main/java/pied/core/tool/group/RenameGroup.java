package pied.core.tool.group;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.space.Group;
import pied.core.units.Text;

/** Names a group. */
@JsonTypeName("renameGroup")
@RecordBuilder
public record RenameGroup(String group, String name) implements Edit {
  @Override
  public void make(EditSession session) {
    Group g = Groups.named(session, group);
    session.file(session.filing().with(g.withName(Text.name("A group", name))));
  }
}
