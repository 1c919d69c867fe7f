package pied.core.tool.finish;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.say.Sentence;
import pied.core.tool.Tool;

/** Finishes. */
public final class FinishTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(GiveFinish.class, Decorate.class, Lay.class, Recolour.class, Paint.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new DecorateSentence(), new GiveFinishSentence());
  }
}
