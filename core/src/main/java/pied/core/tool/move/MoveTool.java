package pied.core.tool.move;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.say.ShortSentence;
import pied.core.tool.Tool;

/** Where a piece is. */
public final class MoveTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(
        PutDown.class,
        MoveBy.class,
        MoveTo.class,
        TopAt.class,
        Hang.class,
        SetDistance.class,
        Settle.class,
        HoldThere.class,
        Attach.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new MoveSentence(), new ShortSentence(MoveTool::read));
  }

  private static @Nullable Edit read(Reading r, List<String> ids) {
    if (r.is("settle")) {
      return new Settle(ids);
    }
    if (r.is("tops at|top at")) {
      return new TopAt(ids, length(r));
    }
    if (!r.is("hang")) {
      return null;
    }
    Amount below = length(r);
    if (!r.is("below")) {
      throw r.unread();
    }
    return new Hang(ids, below);
  }

  private static Amount length(Reading r) {
    Amount by = r.length("a length");
    if (by == null) {
      throw r.unread();
    }
    return by;
  }
}
