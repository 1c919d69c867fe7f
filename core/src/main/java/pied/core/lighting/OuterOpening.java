package pied.core.lighting;

import java.util.ArrayList;
import java.util.List;
import pied.core.space.Opening;
import pied.core.space.Opening.OpeningKind;
import pied.core.space.Shell;
import pied.core.space.Wall;

/** A window or a plain opening to the outside. */
public record OuterOpening(Wall wall, Opening opening) {
  /** What hangs nearer than this before one shades it, metres. */
  public static final double BEFORE = 0.6;

  /** Those of a shell; a stage has no day, and so none. */
  public static List<OuterOpening> of(Shell shell) {
    List<OuterOpening> all = new ArrayList<>();
    if (shell.stage() != null) {
      return all;
    }
    for (Opening o : shell.openings()) {
      boolean through = o.kind() == OpeningKind.window || o.kind() == OpeningKind.opening;
      Wall wall =
          shell.walls().stream().filter(w -> w.name().equals(o.wall())).findFirst().orElse(null);
      if (through && wall != null && !wall.open()) {
        all.add(new OuterOpening(wall, o));
      }
    }
    return all;
  }
}
