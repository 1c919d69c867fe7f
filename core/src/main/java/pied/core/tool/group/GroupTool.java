package pied.core.tool.group;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.tool.Tool;

/** Groups. */
public final class GroupTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(MakeGroup.class, IntoGroup.class, RenameGroup.class, Dissolve.class);
  }
}
