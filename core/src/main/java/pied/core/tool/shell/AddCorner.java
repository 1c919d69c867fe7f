package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.PartName;

/** Puts a corner into a wall, so far from its first corner; null for its middle. */
@JsonTypeName("addCorner")
@RecordBuilder
public record AddCorner(String wall, @Nullable Amount at) implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Double where = at == null ? null : w.length(at, 0);
    return w.outline()
        .addCorner(need(wall, "wall"), where)
        .of(PartName.corner(OutlineWork.edge(w.shell(), wall) + 1));
  }
}
