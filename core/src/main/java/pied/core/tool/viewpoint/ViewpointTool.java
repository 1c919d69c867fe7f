package pied.core.tool.viewpoint;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.say.Sentence;
import pied.core.tool.Tool;

/** Places to look from that are kept. */
public final class ViewpointTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(KeepViewpoint.class, SetViewpoint.class, RemoveViewpoint.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new ViewpointSentence());
  }
}
