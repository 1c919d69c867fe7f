package pied.core.tool.spaceout;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.piece.On;
import pied.core.point.Click;
import pied.core.point.Pointed;
import pied.core.say.Sentence;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Wall;
import pied.core.tool.Beginning;
import pied.core.tool.Tool;
import pied.core.tool.spaceout.SpaceOut.SpaceOutHow;
import pied.core.tool.spaceout.SpaceOut.SpaceOutLine;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Gaps between several. */
public final class SpaceOutTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(SpaceOut.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new SpaceOutSentence());
  }

  @Override
  public List<Click<?>> clicks() {
    return List.of(new SpaceOutClick());
  }

  /** As they nearly are already: along a wall, or the direction in which they differ most. */
  public static Edit begin(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    Vec spread = Beginning.spread(space, pieces);
    SpaceOut e = SpaceOutBuilder.builder().pieces(pieces).build();
    On on = space.piece(pieces.get(0)).on();
    Wall wall = on.kind() == On.OnKind.wall ? space.shell().wall(on.id()) : null;
    boolean oneWall =
        wall != null && pieces.stream().allMatch(id -> space.piece(id).on().equals(on));
    e =
        oneWall
            ? e.withAlong(SpaceOutLine.wall).withWall("wall:" + wall.name())
            : e.withAlong(spread.x() >= spread.z() ? SpaceOutLine.across : SpaceOutLine.deep);
    if (pieces.size() < 3 && e.stays(space) != SpaceOut.SpaceOutFrom.beside) {
      return e.withHow(SpaceOutHow.gap).withBy(Amount.of(0.2));
    }
    return fits(space, e) ? e : e.withHow(SpaceOutHow.touching);
  }

  private static boolean fits(Space space, Edit e) {
    try {
      Edits.apply(space, List.of(e), LengthUnit.M, () -> "x");
      return true;
    } catch (Refusal r) {
      return false;
    }
  }
}
