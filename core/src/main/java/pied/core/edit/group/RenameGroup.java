package pied.core.edit.group;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Text;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.space.Group;

/** Names a group. */
@RecordBuilder
public record RenameGroup(String group, String name) implements Edit {
  @Override
  public void make(EditSession session) {
    Group g = Groups.named(session, group);
    session.file(session.filing().with(g.withName(Text.name("A group", name))));
  }
}
