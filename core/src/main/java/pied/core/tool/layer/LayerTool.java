package pied.core.tool.layer;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.tool.Tool;

/** Layers. */
public final class LayerTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(NewLayer.class, SetLayer.class, ToLayer.class, RemoveLayer.class);
  }
}
