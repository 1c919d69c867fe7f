package pied.core.tool.row;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.tool.Tool;
import pied.core.units.LengthUnit;

/** Many along a line. */
public final class RowTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(Row.class);
  }

  @Override
  public List<Class<? extends Rule>> rules() {
    return List.of(RowRule.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new RowSentence());
  }

  /** Four of them, a hand apart. */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    return RowBuilder.builder().pieces(pieces).count(Amount.of(4)).gap(Amount.of(0.1)).build();
  }
}
