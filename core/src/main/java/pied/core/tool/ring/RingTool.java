package pied.core.tool.ring;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.point.Click;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.tool.Beginning;
import pied.core.tool.Tool;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Many around something. */
public final class RingTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(Ring.class);
  }

  @Override
  public List<Class<? extends Rule>> rules() {
    return List.of(RingRule.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new RingSentence());
  }

  @Override
  public List<Click<?>> clicks() {
    return List.of(new RingClick());
  }

  /** Around what was picked last, or pointed at. */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    RingBuilder e = RingBuilder.builder().count(Amount.of(6)).gap(Amount.of(0.1));
    if (at == null && pieces.size() > 1) {
      String around = pieces.get(pieces.size() - 1);
      return e.around(around).pieces(Beginning.without(pieces, List.of(around))).build();
    }
    if (at == null) {
      throw new Refusal("Click what it goes around.");
    }
    return new RingClick().at(space, unit, e.pieces(pieces).build(), at);
  }
}
