package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.Column;
import pied.core.space.Shell;

/**
 * A column.
 *
 * @param at its middle
 * @param to its middle read from the datum, instead
 */
@JsonTypeName("column")
@RecordBuilder
public record SetColumn(
    @Nullable String part,
    @Nullable PlanPoint at,
    @Nullable Place3 to,
    @Nullable Amount width,
    @Nullable Amount depth,
    @Nullable Boolean round)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Column now = part == null ? null : ShellWork.find(shell.columns(), part);
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
    return w.done(shell.withColumns(ShellWork.put(shell.columns(), next)), next.name());
  }
}
