package pied.core.tool.onto;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.say.Sentence;
import pied.core.tool.Tool;

/** Several come to rest on something. */
public final class OntoTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(SettleOnto.class, CopyOnto.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new OntoSentence());
  }
}
