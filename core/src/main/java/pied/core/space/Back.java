package pied.core.space;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.solid.Vec;

/**
 * A body of the shell that one looks at from one side only: seen from behind, it hides what is
 * inside, and is left out of a picture.
 *
 * @param body its name
 * @param with the body it belongs to, and is shown and hidden with
 * @param point on its face; null if it is seen from all sides
 * @param inward direction from which it is seen
 */
public record Back(String body, String with, @Nullable Vec point, @Nullable Vec inward) {
  /** Of the walls of the outline, with what is in and on them, and of the ceiling. */
  public static List<Back> of(Shell shell) {
    List<Back> all = new ArrayList<>();
    for (Wall w : shell.walls()) {
      String wall = PartName.wall(w.name()).text();
      Vec point = w.from().at(0);
      all.add(new Back(wall, wall, point, w.inward()));
      all.add(new Back(PartName.skirting(w.name()).text(), wall, point, w.inward()));
      for (Opening o : shell.openings()) {
        if (o.wall().equals(w.name())) {
          all.add(new Back(o.name().text(), wall, point, w.inward()));
        }
      }
    }
    for (Partition p : shell.partitions()) {
      for (Opening o : shell.openings()) {
        if (o.wall().equals(p.id())) {
          all.add(new Back(o.name().text(), p.name().text(), null, null));
        }
      }
    }
    String ceiling = PartName.CEILING.text();
    all.add(new Back(ceiling, ceiling, new Vec(0, shell.height(), 0), Vec.DOWN));
    return all;
  }
}
