package pied.core.edit.shell;

/** Takes a corner away; its two walls become one. */
public record RemoveCorner(int corner) implements ShellEdit {
  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    return w.outline().removeCorner(corner);
  }
}
