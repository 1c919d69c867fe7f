package pied.core.tool.trail;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.point.Click;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.tool.Tool;
import pied.core.tool.repeat.Arrangement;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Many along a path. */
public final class TrailTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(Trail.class);
  }

  @Override
  public List<Class<? extends Rule>> rules() {
    return List.of(TrailRule.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new TrailSentence());
  }

  @Override
  public List<Click<?>> clicks() {
    return List.of(new TrailClick());
  }

  /** Along what was pointed at. */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    Trail e = (Trail) Arrangement.adjusting(space, pieces, TrailRule.class);
    if (e == null) {
      e = TrailBuilder.builder().pieces(pieces).count(Amount.of(5)).build();
    }
    if (at == null) {
      throw new Refusal("Click a wall, a corner of two walls, a platform, a piece or the floor.");
    }
    return new TrailClick().at(space, unit, e, at);
  }
}
