package pied.core.tool.twin;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.Single;
import pied.core.point.Click;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.say.ShortSentence;
import pied.core.space.Space;
import pied.core.tool.Tool;
import pied.core.units.LengthUnit;

/** Mirrored partners that follow. */
public final class TwinTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(MakeTwins.class, MoveTwins.class, PartTwins.class, Single.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(
        new TwinSentence(),
        new ShortSentence((r, ids) -> r.is("part twins") ? new PartTwins(ids) : null));
  }

  @Override
  public List<Click<?>> clicks() {
    return List.of(new TwinClick());
  }

  /** About the centre line. */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    return new MakeTwins(pieces, new TwinLine(TwinLine.TwinBy.centre, null, null, null));
  }
}
