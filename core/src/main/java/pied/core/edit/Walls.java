package pied.core.edit;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.LineSegment;
import pied.core.Nullable;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/** Finds the walls and platforms that edits name. */
public final class Walls {
  private Walls() {}

  /**
   * A wall by its letter, or by its name as a part ("wall:A").
   *
   * @throws Refusal if there is none
   */
  public static Wall named(Shell shell, @Nullable String name) {
    PartName part = PartName.read(EditSession.need(name, "wall"));
    Wall w = shell.wall(part.kind() == PartName.PartKind.wall ? part.id() : name);
    if (w == null) {
      throw new Refusal("There is no wall “{}” here.", part.id());
    }
    return w;
  }

  /**
   * A platform by its name.
   *
   * @throws Refusal if there is none
   */
  public static Platform platform(Shell shell, String id) {
    return shell.platforms().stream()
        .filter(f -> f.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refusal("There is no {} here.", id));
  }

  /**
   * The edge of a platform that is next to a point, on the plan.
   *
   * @throws Refusal if there is no such platform
   */
  public static LineSegment edge(Shell shell, String id, Vec from) {
    List<Spot> outline = platform(shell, id).outline();
    Coordinate here = new Coordinate(from.x(), from.z());
    LineSegment best = null;
    for (int i = 0; i < outline.size(); i++) {
      Spot a = outline.get(i);
      Spot b = outline.get((i + 1) % outline.size());
      LineSegment edge = new LineSegment(a.x(), a.z(), b.x(), b.z());
      best = best == null || edge.distance(here) < best.distance(here) ? edge : best;
    }
    return best;
  }
}
