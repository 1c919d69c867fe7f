package pied.core.edit.shell;

import pied.core.edit.Amount;
import pied.core.space.Column;
import pied.core.space.Shell;

/**
 * A column.
 *
 * @param at its middle
 * @param to its middle read from the datum, instead
 */
public record SetColumn(
    String part, PlanPoint at, Place3 to, Amount width, Amount depth, Boolean round)
    implements ShellEdit {
  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    Shell shell = w.shell();
    Column now = part == null ? null : ShellWork.find(shell.columns(), Column::id, part);
    boolean circle = round != null ? round : now != null && now.round();
    double wide = w.length(width, now == null ? 0.3 : now.width());
    double deep = circle ? wide : w.length(depth, now == null ? wide : now.depth());
    Column next =
        new Column(
            now != null ? now.id() : shell.freeId("column"),
            w.place(to, at, now == null ? null : now.at(), "at"),
            wide,
            deep,
            circle);
    return w.done(
        shell.withColumns(ShellWork.put(shell.columns(), Column::id, next)), "column:" + next.id());
  }
}
