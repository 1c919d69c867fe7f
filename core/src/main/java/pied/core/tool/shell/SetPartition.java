package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.Partition;
import pied.core.space.Shell;
import pied.core.space.Spot;

/**
 * A free-standing wall between two points of its middle line.
 *
 * @param start the first point, read from the datum, instead of {@code from}
 * @param end the second one, likewise
 */
@JsonTypeName("partition")
@RecordBuilder
public record SetPartition(
    @Nullable String part,
    @Nullable PlanPoint from,
    @Nullable PlanPoint to,
    @Nullable Place3 start,
    @Nullable Place3 end,
    @Nullable Amount length,
    @Nullable Amount thickness,
    @Nullable Amount height)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Partition now = part == null ? null : ShellWork.find(shell.partitions(), part);
    Spot first = w.place(start, from, now == null ? null : now.from(), "from");
    Spot second = w.place(end, to, now == null ? null : now.to(), "to");
    if (length != null) {
      double l = first.distance(second);
      double f = w.length(length, l) / l;
      second = first.plus((second.x() - first.x()) * f, (second.z() - first.z()) * f);
    }
    Partition next =
        new Partition(
            now != null ? now.id() : shell.freeId("partition"),
            first,
            second,
            w.length(thickness, now == null ? 0.1 : now.thickness()),
            w.length(height, now == null ? shell.height() : now.height()));
    return w.done(shell.withPartitions(ShellWork.put(shell.partitions(), next)), next.name());
  }
}
