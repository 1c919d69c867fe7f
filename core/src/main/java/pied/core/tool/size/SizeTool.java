package pied.core.tool.size;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.say.Sentence;
import pied.core.tool.Tool;

/** How large a piece is. */
public final class SizeTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(
        Resize.class,
        SizeAsOne.class,
        SizeAs.class,
        KnownLength.class,
        Fill.class,
        PullSide.class,
        Mirror.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new SizeSentence());
  }
}
