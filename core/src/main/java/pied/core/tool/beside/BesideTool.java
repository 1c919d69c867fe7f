package pied.core.tool.beside;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.tool.Tool;

/** Beside another, and level with it. */
public final class BesideTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(Beside.class, Level.class);
  }
}
