package pied.core.tool.lineup;

import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Mounting;
import pied.core.edit.Edit;
import pied.core.point.Click;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.tool.Beginning;
import pied.core.tool.Tool;
import pied.core.tool.lineup.LineUp.LineUpMeeting;
import pied.core.tool.lineup.LineUp.LineUpPart;
import pied.core.units.LengthUnit;

/** Sides and middles of several in one line or plane. */
public final class LineUpTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(LineUp.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new LineUpSentence());
  }

  @Override
  public List<Click<?>> clicks() {
    return List.of(new LineUpClick());
  }

  /**
   * What stands is lined up as it nearly is already: along the direction in which they differ
   * least.
   */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    LineUp e = LineUpBuilder.builder().pieces(pieces).build();
    Vec spread = Beginning.spread(space, pieces);
    if (pieces.stream()
        .allMatch(id -> space.article(space.piece(id)).mounting() == Mounting.WALL)) {
      return e.withHigh(new LineUpMeeting(LineUpPart.under, null));
    }
    return spread.x() < spread.z()
        ? e.withAcross(new LineUpMeeting(LineUpPart.left, null))
        : e.withDeep(new LineUpMeeting(LineUpPart.back, null));
  }
}
