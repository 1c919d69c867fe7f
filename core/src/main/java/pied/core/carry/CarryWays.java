package pied.core.carry;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.carry.CarryResult.CarriedWay;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;

/** The directions of a carry: the one it is kept to, and the one it goes. */
final class CarryWays {
  private final Space space;
  private final CarryAsk q;
  private final CarriedPieces load;

  CarryWays(Space space, CarryAsk q, CarriedPieces load) {
    this.space = space;
    this.q = q;
    this.load = load;
  }

  /** The one direction it is kept to; null for any. */
  @Nullable
  Vec kept() {
    if (q.keep() == null || load.fresh()) {
      return null;
    }
    Wall wall = wallBy(load.lead().at());
    return switch (q.keep()) {
      case across -> new Vec(1, 0, 0);
      case deep -> new Vec(0, 0, 1);
      case height -> Vec.UP;
      case along -> wall == null ? new Vec(1, 0, 0) : wall.along();
      case away -> wall == null ? new Vec(0, 0, 1) : wall.inward();
    };
  }

  /** The ways one may choose from, in the words of the space. */
  List<CarriedWay> asked() {
    boolean stage = space.shell().stage() != null;
    return List.of(
        new CarriedWay(stage ? "to stage left" : "to the right", new Vec(1, 0, 0)),
        new CarriedWay(stage ? "to stage right" : "to the left", new Vec(-1, 0, 0)),
        new CarriedWay(stage ? "upstage" : "to the back", new Vec(0, 0, -1)),
        new CarriedWay(stage ? "downstage" : "to the front", new Vec(0, 0, 1)),
        new CarriedWay("up", Vec.UP),
        new CarriedWay("down", Vec.DOWN));
  }

  /** The one direction it is kept to, in words that name the wall; null for any. */
  @Nullable
  String keptInWords() {
    if (q.keep() == null) {
      return null;
    }
    Wall wall = wallBy(load.lead().at());
    String name = wall == null ? "the wall" : space.nameOf(PartName.wall(wall.name()));
    return switch (q.keep()) {
      case along -> "along " + name;
      case away -> "away from " + name;
      default -> q.keep().words();
    };
  }

  private @Nullable Wall wallBy(Vec p) {
    Spot here = new Spot(p.x(), p.z());
    Wall best = null;
    for (Wall w : space.shell().faces()) {
      best = best == null || w.distance(here) < best.distance(here) ? w : best;
    }
    return best;
  }

  /**
   * The direction in which it is moved, the nearest of the room's and its own; null if it is not.
   */
  @Nullable
  Vec way(Footing now) {
    Vec moved = now.at().minus(load.lead().at());
    if (load.fresh() || moved.length() < Tolerance.FINE) {
      return null;
    }
    List<Vec> ways = new ArrayList<>();
    Vec kept = kept();
    if (kept != null) {
      ways.add(kept);
    } else {
      ways.addAll(List.of(new Vec(1, 0, 0), new Vec(0, 0, 1), Vec.UP));
      Wall wall = wallBy(load.lead().at());
      if (wall != null) {
        ways.addAll(List.of(wall.along(), wall.inward()));
      }
    }
    Vec best = null;
    for (Vec w : ways) {
      for (double sign : new double[] {1, -1}) {
        Vec d = w.times(sign);
        best = best == null || moved.dot(d) > moved.dot(best) + Tolerance.SAME ? d : best;
      }
    }
    return best;
  }
}
