package pied.core.tool.turn;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.say.Sentence;
import pied.core.tool.Tool;

/** Turned, faced, leant. */
public final class TurnTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(
        Turn.class,
        TurnAs.class,
        TurnFrom.class,
        Along.class,
        Face.class,
        LeanAgainst.class,
        LeanOver.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new TurnSentence(), new LeanSentence());
  }
}
