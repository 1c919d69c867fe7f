package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * Moves a part as far as a hand moves it; what comes out goes by whole centimetres.
 *
 * @param part "wall:A", "opening:door 1"…, or a corner, "corner:0"
 * @param up how far up, for an opening
 * @param free lets the walls at a corner turn
 */
@JsonTypeName("shift")
@RecordBuilder
public record ShiftPart(
    PartName part, @Nullable PlanPoint by, @Nullable Amount up, @Nullable Boolean free)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Spot way = by == null ? new Spot(0, 0) : w.spot(by, new Spot(0, 0));
    String id = need(part, "part").id();
    Shell shell = w.shell();
    return switch (part.kind()) {
      case corner -> {
        int i = OutlineWork.corner(shell, id);
        Spot to = moved(shell.outline().get(i), way);
        yield new MoveCorner(i, point(to), null, !Boolean.TRUE.equals(free)).rebuild(w);
      }
      case wall -> wall(w, id, way);
      case opening -> opening(w, id, way);
      case column -> {
        Column c = ShellWork.find(shell.columns(), id);
        yield new SetColumn(id, point(moved(c.at(), way)), null, null, null, null).rebuild(w);
      }
      case platform -> platform(w, id, way);
      case flight -> {
        Flight f = ShellWork.find(shell.flights(), id);
        Edit.PlanPoint to = point(moved(f.at(), way));
        yield new SetFlight(id, null, to, null, null, null, null, null, null, null).rebuild(w);
      }
      case bar -> {
        Bar b = ShellWork.find(shell.bars(), id);
        Spot to = moved(new Spot(b.x(), b.z()), way);
        yield new SetBar(id, point(to), null, null, null).rebuild(w);
      }
      default -> throw new Refusal("“{}” cannot be moved.", part);
    };
  }

  private ShellWork.ShellResult opening(ShellWork w, String id, Spot way) {
    Opening o = ShellWork.find(w.shell().openings(), id);
    Spot middle = w.shell().wall(o.wall()).spot(o.from() + o.width() / 2, 0);
    double raised = w.length(up, 0);
    boolean aside = way.x() != 0 || way.z() != 0;
    Edit.PlanPoint to = aside ? point(middle.plus(way.x(), way.z())) : null;
    Amount foot = raised == 0 ? null : Amount.of(Math.max(0, ShellWork.byHand(o.sill() + raised)));
    return new SetOpening(id, null, to, null, null, null, null, null, foot, null, null, null, null)
        .rebuild(w);
  }

  private static ShellWork.ShellResult platform(ShellWork w, String id, Spot way) {
    Platform p = ShellWork.find(w.shell().platforms(), id);
    Spot first = moved(p.outline().get(0), way);
    double dx = first.x() - p.outline().get(0).x();
    double dz = first.z() - p.outline().get(0).z();
    Platform next =
        p.withOutline(p.outline().stream().map(c -> ShellWork.tidy(c.plus(dx, dz))).toList());
    return w.done(w.shell().withPlatforms(ShellWork.put(w.shell().platforms(), next)), next.name());
  }

  private static ShellWork.ShellResult wall(ShellWork w, String name, Spot way) {
    Shell shell = w.shell();
    for (Partition p : shell.partitions()) {
      if (p.id().equals(name)) {
        Spot from = moved(p.from(), way);
        Spot to = ShellWork.tidy(p.to().plus(from.x() - p.from().x(), from.z() - p.from().z()));
        Partition next = new Partition(name, from, to, p.thickness(), p.height());
        return w.done(shell.withPartitions(ShellWork.put(shell.partitions(), next)), next.name());
      }
    }
    Wall wall = shell.walls().get(OutlineWork.edge(shell, name));
    double out = -(way.x() * wall.inward().x() + way.z() * wall.inward().z());
    return new MoveWall(name, Amount.of(ShellWork.byHand(out))).rebuild(w);
  }

  private static Spot moved(Spot p, Spot by) {
    // a direction in which the hand did not move stays to the last bit
    return new Spot(
        by.x() == 0 ? p.x() : ShellWork.byHand(p.x() + by.x()),
        by.z() == 0 ? p.z() : ShellWork.byHand(p.z() + by.z()));
  }

  private static Edit.PlanPoint point(Spot p) {
    return new Edit.PlanPoint(Amount.of(p.x()), Amount.of(p.z()));
  }
}
