package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * An opening.
 *
 * @param at a point near the wall it goes to, instead of wall and from
 * @param from from the wall's first corner to its near side
 * @param toEnd from its far side to the wall's second corner
 * @param gap from the far side of the opening before it to its near side
 */
@JsonTypeName("opening")
@RecordBuilder
public record SetOpening(
    @Nullable String part,
    @Nullable Opening.OpeningKind kind,
    @Nullable PlanPoint at,
    @Nullable String wall,
    @Nullable Amount from,
    @Nullable Amount toEnd,
    @Nullable Amount gap,
    @Nullable Amount width,
    @Nullable Amount sill,
    @Nullable Amount height,
    @Nullable Opening.Hand hinge,
    @Nullable Opening.OpeningWay opens,
    @Nullable Amount depth)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Opening now = part == null ? null : ShellWork.find(shell.openings(), part);
    Opening sized = sized(w, now);
    if (wall == null && at == null && now == null) {
      throw new Refusal("Say which wall the {} goes into, or where.", sized.kind().words());
    }
    Spot pointed = at == null ? null : w.spot(at, null);
    String name = wall != null ? wall : now != null ? now.wall() : null;
    Wall in = pointed != null ? nearest(shell, pointed) : shell.wall(name);
    if (in == null) {
      throw new Refusal("There is no wall “{}”.", name);
    }
    double start = station(shell, in, now, sized, pointed);
    if (toEnd != null) {
      double rest = in.length() - start - sized.width();
      start = in.length() - w.length(toEnd, rest) - sized.width();
    }
    if (gap != null) {
      double before = before(shell, in, now);
      start = before + w.length(gap, start - before);
    }
    Opening next = sized.at(in.name(), ShellWork.tidy(w.length(from, start)));
    return w.done(shell.withOpenings(ShellWork.put(shell.openings(), next)), next.name());
  }

  /** The opening with all but its place. */
  private Opening sized(ShellWork w, Opening now) {
    Opening.OpeningKind what = kind != null ? kind : now != null ? now.kind() : need(kind, "kind");
    boolean anew = now == null || what != now.kind() && now.kind() == Opening.OpeningKind.window;
    return new Opening(
        now != null ? now.id() : w.shell().freeId(what.words()),
        what,
        now == null ? "" : now.wall(),
        now == null ? Double.NaN : now.from(),
        w.length(width, now == null ? what.width() : now.width()),
        w.length(sill, anew ? what.sill() : now.sill()),
        w.length(height, anew ? what.height() : now.height()),
        hinge != null ? hinge : now == null ? null : now.hinge(),
        opens != null ? opens : now == null ? null : now.opens(),
        w.length(depth, now == null ? 0 : now.depth()));
  }

  /** Where on its wall it begins, if nothing more is said. */
  private double station(Shell shell, Wall in, Opening now, Opening sized, Spot pointed) {
    if (pointed != null) {
      double wanted = ShellWork.byHand(in.station(pointed) - sized.width() / 2);
      return free(shell, in, now, wanted, sized);
    }
    if (now == null) {
      return free(shell, in, null, (in.length() - sized.width()) / 2, sized);
    }
    // it keeps its middle
    return width == null ? now.from() : now.from() + (now.width() - sized.width()) / 2;
  }

  /** Where the opening before this one ends along the wall, or 0. */
  private static double before(Shell shell, Wall wall, Opening now) {
    return shell.openings().stream()
        .filter(o -> now != null && o.wall().equals(wall.name()) && o.from() < now.from())
        .mapToDouble(Opening::to)
        .max()
        .orElse(0);
  }

  /** The wall or partition nearest to a point; of a partition the face that has the stations. */
  private static Wall nearest(Shell shell, Spot p) {
    Wall w =
        shell.faces().stream()
            .min(Comparator.comparingDouble(f -> f.distance(p)))
            .orElseThrow(() -> new Refusal("There is no wall here."));
    return shell.wall(w.name());
  }

  /** The place on a wall nearest to the one wanted where an opening overlaps no other. */
  private static double free(Shell shell, Wall wall, Opening self, double wanted, Opening next) {
    double width = next.width();
    double last = wall.length() - width;
    double best = Math.max(0, Math.min(last, wanted));
    List<Opening> others =
        shell.openings().stream()
            .filter(
                o ->
                    o.wall().equals(wall.name())
                        && !o.equals(self)
                        && o.sill() < next.head()
                        && next.sill() < o.head())
            .toList();
    List<Double> tries = new ArrayList<>(List.of(best));
    others.forEach(
        o -> {
          tries.add(o.to());
          tries.add(o.from() - width);
        });
    return tries.stream()
        .filter(s -> s >= -Tolerance.SAME && s <= last + Tolerance.SAME)
        .filter(
            s ->
                others.stream()
                    .noneMatch(
                        o -> o.from() < s + width - Tolerance.SAME && s < o.to() - Tolerance.SAME))
        .min(Comparator.comparingDouble(s -> Math.abs(s - wanted)))
        .orElse(best);
  }
}
