package pied.core.tool.exchange;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.space.Space;
import pied.core.tool.Tool;
import pied.core.units.LengthUnit;

/** Another article in the place of one. */
public final class ExchangeTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(Exchange.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new ExchangeSentence());
  }

  /** What is proposed first: the article is chosen then. */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    return new Exchange(pieces, null);
  }
}
