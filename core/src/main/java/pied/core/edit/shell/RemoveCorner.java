package pied.core.edit.shell;

import io.soabase.recordbuilder.core.RecordBuilder;

/** Takes a corner away; its two walls become one. */
@RecordBuilder
public record RemoveCorner(int corner) implements ShellEdit {
  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    return w.outline().removeCorner(corner);
  }
}
