package pied.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
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
    return nearest(space, p, within, Set.of());
  }

  /** As {@link #nearest(Space, Spot, double)}, without some pieces. */
  public static Mark nearest(Space space, Spot p, double within, Set<String> without) {
    return of(space, without).stream()
        .filter(m -> distance(m, p) <= within)
        .min(Comparator.comparingDouble(m -> distance(m, p)))
        .orElse(null);
  }

  /** The mark nearest to a line of sight, or null if none is within so many metres of it. */
  public static Mark nearest(Space space, Vec from, Vec along, double within, Set<String> without) {
    return of(space, without).stream()
        .filter(m -> m.at().minus(from).dot(along) > 0 && off(m, from, along) <= within)
        .min(Comparator.comparingDouble(m -> off(m, from, along)))
        .orElse(null);
  }

  private static double off(Mark m, Vec from, Vec along) {
    Vec d = m.at().minus(from);
    return d.minus(along.times(d.dot(along))).length();
  }

  private static double distance(Mark m, Spot p) {
    return Math.hypot(m.at().x() - p.x(), m.at().z() - p.z());
  }

  private static List<Mark> of(Space space, Set<String> without) {
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
      if (without.contains(p.id())) {
        continue;
      }
      for (int x = -1; x <= 1; x++) {
        for (int z = -1; z <= 1; z++) {
          String where =
              x == 0 && z == 0
                  ? "the middle of "
                  : x == 0 || z == 0 ? "a side of " : "a corner of ";
          for (int y = 0; y <= 2; y++) {
            Vec own =
                new Vec(
                    x * p.size().width() / 2, y * p.size().height() / 2, z * p.size().depth() / 2);
            marks.add(new Mark(p.pose().apply(own), where + p.name()));
          }
        }
      }
    }
    return marks;
  }
}
