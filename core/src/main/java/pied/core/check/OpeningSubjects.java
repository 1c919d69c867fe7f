package pied.core.check;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.BiConsumer;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Subjects;
import pied.core.space.Wall;

/**
 * Doors, windows and plain openings, each with what is within a distance of it.
 *
 * @param reach metres, all around
 */
record OpeningSubjects(double reach) implements Subjects<Opening> {
  @Override
  public void all(Space space, BiConsumer<String, Opening> each) {
    space.shell().openings().forEach(o -> each.accept(o.id(), o));
  }

  @Override
  public Set<String> altered(Space before, Space now, Collection<String> touched) {
    Set<String> stale = new LinkedHashSet<>();
    Subjects.regions(
        before,
        now,
        touched,
        reach,
        near ->
            now.shell().openings().stream()
                .filter(o -> near.overlaps(box(now.shell(), o), 0))
                .forEach(o -> stale.add(o.id())));
    return stale;
  }

  /** The hole in its wall. */
  static Box box(Shell shell, Opening o) {
    Wall w = shell.wall(o.wall());
    Vec a = w.spot(o.from(), 0).at(o.sill());
    Vec b = w.spot(o.from() + o.width(), -w.thickness()).at(o.sill() + o.height());
    return new Box(
        new Vec(Math.min(a.x(), b.x()), a.y(), Math.min(a.z(), b.z())),
        new Vec(Math.max(a.x(), b.x()), b.y(), Math.max(a.z(), b.z())));
  }
}
