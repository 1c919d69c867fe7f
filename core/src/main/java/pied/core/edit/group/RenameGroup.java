package pied.core.edit.group;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Text;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.space.Group;

/** Names a group. */
@RecordBuilder
public record RenameGroup(String group, String name) implements Edit {
  @Override
  public void make(Bench bench) {
    Group g = Groups.named(bench, group);
    bench.file(bench.filing().with(g.withName(Text.name("A group", name))));
  }
}
