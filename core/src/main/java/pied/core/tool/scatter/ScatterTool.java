package pied.core.tool.scatter;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.piece.Piece;
import pied.core.point.Click;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.tool.Beginning;
import pied.core.tool.Tool;
import pied.core.tool.repeat.Arrangement;
import pied.core.units.LengthUnit;

/** Many in an area. */
public final class ScatterTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(Scatter.class);
  }

  @Override
  public List<Class<? extends Rule>> rules() {
    return List.of(ScatterRule.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new ScatterSentence());
  }

  @Override
  public List<Click<?>> clicks() {
    return List.of(new ScatterClick());
  }

  /** Of what is selected those that carry are what the others lie on. */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    Scatter old = (Scatter) Arrangement.adjusting(space, pieces, ScatterRule.class);
    ScatterBuilder e = ScatterBuilder.builder().count(Amount.of(12)).seed(Amount.of(1));
    if (old != null || at != null) {
      Scatter now = old == null ? e.pieces(pieces).build() : old;
      return at == null ? now : new ScatterClick().at(space, unit, now, at);
    }
    List<String> carry = new ArrayList<>();
    for (String id : pieces) {
      Piece p = space.piece(id);
      if (space.article(p).carries()) {
        carry.add(id);
      }
    }
    boolean some = !carry.isEmpty() && carry.size() < pieces.size();
    return some
        ? e.onto(carry).pieces(Beginning.without(pieces, carry)).build()
        : e.pieces(pieces).build();
  }
}
