package pied.core.place;

import java.util.Comparator;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.piece.On;
import pied.core.size.Size;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * What sits in openings: doors and windows of the catalog, which fill a plain opening from side to
 * side and from sill to head, in the middle of the wall.
 */
public final class Inset {
  /** On the plan an opening is meant from so far away, metres. */
  private static final double NEAR = 1;

  /** What sits in an opening has its middle no farther off that of the opening, metres. */
  private static final double OFF = 0.05;

  private Inset() {}

  private static List<Opening> plain(Shell shell) {
    return shell.openings().stream()
        .filter(o -> o.kind() == Opening.OpeningKind.opening && !o.id().equals(Opening.PROSCENIUM))
        .toList();
  }

  /**
   * The opening that is pointed at.
   *
   * @throws Refusal if there is none
   */
  public static Opening at(Shell shell, Target target) {
    Opening found = null;
    if (target instanceof Target.TargetSight sight) {
      double best = Double.POSITIVE_INFINITY;
      for (Opening o : plain(shell)) {
        double d = distance(shell.wall(o.wall()), o, sight);
        if (d < best) {
          best = d;
          found = o;
        }
      }
    } else {
      Spot spot = ((Target.OnPlan) target).spot();
      found =
          plain(shell).stream()
              .filter(o -> away(shell.wall(o.wall()), o, spot) < NEAR)
              .min(Comparator.comparingDouble(o -> away(shell.wall(o.wall()), o, spot)))
              .orElse(null);
    }
    if (found == null) {
      throw new Refusal(
          plain(shell).isEmpty()
              ? "It sits in a plain opening, and there is none here; put one into a wall first."
              : "It sits in a plain opening; point at one.");
    }
    return found;
  }

  /**
   * The plain opening nearest to a point of the plan.
   *
   * @throws Refusal if there is none
   */
  public static Opening nearest(Shell shell, Spot spot) {
    return plain(shell).stream()
        .min(Comparator.comparingDouble(o -> away(shell.wall(o.wall()), o, spot)))
        .orElseThrow(
            () -> new Refusal("There is no plain opening here; put one into a wall first."));
  }

  private static double away(Wall wall, Opening o, Spot spot) {
    double s = Math.max(o.from(), Math.min(o.to(), wall.station(spot)));
    return wall.spot(s, -wall.thickness() / 2).distance(spot);
  }

  /** How far along a sight an opening is crossed; infinite if it is not. */
  private static double distance(Wall wall, Opening o, Target.TargetSight sight) {
    Vec n = wall.inward();
    double rate = n.dot(sight.along());
    if (Math.abs(rate) < Tolerance.SAME) {
      return Double.POSITIVE_INFINITY;
    }
    double d = -wall.off(new Spot(sight.from().x(), sight.from().z())) / rate;
    Vec p = sight.from().along(sight.along(), d);
    double s = wall.station(new Spot(p.x(), p.z()));
    boolean in = d > 0 && s >= o.from() && s <= o.to() && p.y() >= o.sill() && p.y() <= o.head();
    return in ? d : Double.POSITIVE_INFINITY;
  }

  /**
   * The size in which an article fills an opening.
   *
   * @throws Refusal if it is not made in that size
   */
  public static Size size(Shell shell, Opening o, Article article) {
    double thick = shell.wall(o.wall()).thickness();
    double depth =
        Math.max(article.sizing().depth().least(), Math.min(thick, article.size().depth()));
    Size size = new Size(o.width(), depth, o.height());
    article.check(article.name(), size);
    return size;
  }

  /** Where something of a size sits in an opening. */
  public static Rest rest(Shell shell, Opening o) {
    Wall wall = shell.wall(o.wall());
    Vec at = wall.spot(o.from() + o.width() / 2, -wall.thickness() / 2).at(o.sill());
    return new Rest(at, wall.turn(), On.opening(o.id()), 0);
  }

  /**
   * The opening of a wall in which a place is, or null; what stands there stands on its sill.
   *
   * @param at the middle of a foot
   */
  @Nullable
  public static Opening holding(Shell shell, Vec at) {
    Spot spot = new Spot(at.x(), at.z());
    for (Opening o : shell.openings()) {
      Wall w = shell.wall(o.wall());
      double s = w.station(spot);
      double off = w.off(spot);
      double y = at.y() + Resting.CONTACT;
      boolean along = s >= o.from() && s <= o.to();
      boolean across = off <= 0 && off >= -w.thickness();
      if (along && across && y >= o.sill() && y <= o.head()) {
        return o;
      }
    }
    return null;
  }

  /** The opening something sits in, or null. */
  static Opening around(Shell shell, Pose pose) {
    return plain(shell).stream()
        .filter(o -> rest(shell, o).at().minus(pose.at()).length() < OFF)
        .findFirst()
        .orElse(null);
  }
}
