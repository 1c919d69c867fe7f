package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.edit.Amount;
import pied.core.space.PartName;

/** Moves a wall out, or with a minus in; its neighbours grow or shrink. */
@JsonTypeName("moveWall")
@RecordBuilder
public record MoveWall(String wall, Amount by) implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    double out = w.length(need(by, "by"), 0); // a typed minus means here what it says
    return w.outline().moveWall(need(wall, "wall"), out).of(PartName.wall(wall));
  }
}
