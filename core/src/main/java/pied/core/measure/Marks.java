package pied.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;

/** The marks of a space: points of its shell and its pieces that one can measure from. */
public final class Marks {
  /** A mark, and what it is, in words. */
  public record Mark(Vec at, String words) {}

  private Marks() {}

  /** The mark nearest to a point of the plan, or null if none is within so many metres. */
  public static Mark nearest(Space space, Spot p, double within) {
    return of(space).stream()
        .filter(m -> distance(m, p) <= within)
        .min(Comparator.comparingDouble(m -> distance(m, p)))
        .orElse(null);
  }

  private static double distance(Mark m, Spot p) {
    return Math.hypot(m.at().x() - p.x(), m.at().z() - p.z());
  }

  private static List<Mark> of(Space space) {
    List<Mark> marks = new ArrayList<>();
    Shell shell = space.shell();
    if (shell.stage() != null) {
      marks.add(new Mark(Vec.ZERO, "the centre line and the setting line"));
    }
    List<Wall> walls = shell.walls();
    for (int i = 0; i < walls.size(); i++) {
      Wall w = walls.get(i);
      Wall before = walls.get((i + walls.size() - 1) % walls.size());
      marks.add(
          new Mark(w.from().at(0), "the corner of walls " + before.name() + " and " + w.name()));
      marks.add(new Mark(w.spot(w.length() / 2, 0).at(0), "the middle of wall " + w.name()));
    }
    for (Opening o : shell.openings()) {
      Wall w = shell.wall(o.wall());
      marks.add(
          new Mark(w.spot(o.from() + o.width() / 2, 0).at(0), "the middle of the " + o.words()));
      marks.add(new Mark(w.spot(o.from(), 0).at(0), "the near side of the " + o.words()));
      marks.add(new Mark(w.spot(o.to(), 0).at(0), "the far side of the " + o.words()));
    }
    for (Platform f : shell.platforms()) {
      f.outline().forEach(c -> marks.add(new Mark(c.at(f.height()), "a corner of the " + f.id())));
    }
    for (Piece p : space.pieces()) {
      for (int x = -1; x <= 1; x++) {
        for (int z = -1; z <= 1; z++) {
          Vec v = p.pose().apply(new Vec(x * p.size().width() / 2, 0, z * p.size().depth() / 2));
          String where =
              x == 0 && z == 0
                  ? "the middle of "
                  : x == 0 || z == 0 ? "a side of " : "a corner of ";
          marks.add(new Mark(v, where + p.name()));
        }
      }
    }
    return marks;
  }
}
