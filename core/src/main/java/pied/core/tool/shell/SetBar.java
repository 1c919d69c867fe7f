package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.locationtech.jts.geom.Envelope;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.Bar;
import pied.core.space.Shell;
import pied.core.space.Spot;

/**
 * A bar to hang things from.
 *
 * @param at its middle
 * @param to its middle read from the datum, instead; its height is the trim
 */
@JsonTypeName("bar")
@RecordBuilder
public record SetBar(
    @Nullable String part,
    @Nullable PlanPoint at,
    @Nullable Place3 to,
    @Nullable Amount trim,
    @Nullable Amount length)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Bar now = part == null ? null : ShellWork.find(shell.bars(), part);
    Envelope box = shell.within().getEnvelopeInternal();
    Spot middle =
        now == null
            ? new Spot((box.getMinX() + box.getMaxX()) / 2, (box.getMinY() + box.getMaxY()) / 2)
            : new Spot(now.x(), now.z());
    Spot place = w.place(to, at, middle, "at");
    double usual = Math.max(0.3, box.getWidth() - 1);
    Bar next =
        new Bar(
            now != null ? now.id() : shell.freeId("bar"),
            now == null ? middle.x() : place.x(), // a new one hangs in the middle of the space
            place.z(),
            w.length(trim, now == null ? Math.max(0.5, shell.height() - 0.5) : now.trim()),
            w.length(length, now == null ? usual : now.length()));
    return w.done(shell.withBars(ShellWork.put(shell.bars(), next)), next.name());
  }
}
