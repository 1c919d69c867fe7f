package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.space.PartName;
import pied.core.space.Spot;

/**
 * Moves a corner.
 *
 * @param corner its number, from 0
 * @param place where to, read from the datum, instead of {@code to}
 * @param square whether the walls at it keep their directions; true if missing
 */
@JsonTypeName("moveCorner")
@RecordBuilder
public record MoveCorner(
    int corner, @Nullable PlanPoint to, @Nullable Place3 place, @Nullable Boolean square)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    int n = w.shell().outline().size();
    Spot now = corner >= 0 && corner < n ? w.shell().outline().get(corner) : null;
    Spot target = w.place(place, to, now, "to");
    return w.outline()
        .moveCorner(corner, target, !Boolean.FALSE.equals(square))
        .of(PartName.corner(corner));
  }
}
