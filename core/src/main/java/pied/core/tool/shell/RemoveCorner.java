package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;

/** Takes a corner away; its two walls become one. */
@JsonTypeName("removeCorner")
@RecordBuilder
public record RemoveCorner(int corner) implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    return w.outline().removeCorner(corner);
  }
}
