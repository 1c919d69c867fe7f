package pied.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.place.Underlay;
import pied.core.solid.Bodies;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Space;

/**
 * The free distance from one side of a piece to the next surface: how far it can travel that way.
 *
 * @param distance metres; negative where the piece overlaps something: so far it must go back
 * @param to id of the body met
 * @param toName its name in a sentence
 * @param fromPoint where the line of the measure begins, on the piece
 * @param toPoint where it ends, on the body met
 */
public record Reach(
    Side side, double distance, String to, String toName, Vec fromPoint, Vec toPoint) {

  /** The reach of all sides of a piece that have something before them. */
  public static List<Reach> of(Space space, Piece piece) {
    List<Reach> all = new ArrayList<>();
    for (Side side : Side.values()) {
      Reach r = of(space, piece, side);
      if (r != null) {
        all.add(r);
      }
    }
    return all;
  }

  /** The reach of one side, or null if there is nothing that way. */
  public static Reach of(Space space, Piece piece, Side side) {
    Set<String> own = space.withCarried(List.of(piece.id()));
    return of(space, piece, side, own, 1e4);
  }

  /**
   * The reach of one side of a piece that need not be where the space has it.
   *
   * @param own pieces that do not count
   * @param limit metres; what is farther counts as nothing
   */
  public static Reach of(Space space, Piece piece, Side side, Set<String> own, double limit) {
    return of(space, piece, side, piece.pose().direct(side.outward()), own, limit);
  }

  /**
   * How far a piece can travel in any direction.
   *
   * @param side what the direction is called
   * @param way the direction, of length 1
   */
  public static Reach of(
      Space space, Piece piece, Side side, Vec way, Set<String> own, double limit) {
    Mesh mesh = space.shapes().mesh(piece);
    Pose pose = piece.pose();
    Bodies.Met met =
        space
            .bodies()
            .travel(
                mesh,
                pose,
                way,
                limit,
                b -> !own.contains(b.id()) && !Underlay.lets(space, piece, b));
    if (met.body() == null) {
      return null;
    }
    String to = met.body().id();
    Vec middle = pose.apply(facing(piece, way).middle(piece.size()));
    if (met.stop().overlapping()) {
      double back = space.bodies().toFree(mesh, pose, way.times(-1), b -> b.id().equals(to));
      return new Reach(side, -back, to, space.nameOf(to), middle, middle.along(way, -back));
    }
    double d = met.stop().distance();
    Vec end = middle.along(way, d);
    Vec touch = met.stop().point();
    // the line is drawn from the middle of the side if the surface is met there just as soon
    Bodies.RayMet ray =
        space
            .bodies()
            .ray(
                middle.along(way, -Tolerance.FINE),
                way,
                d + Tolerance.NEAR,
                b -> b.id().equals(to));
    if (ray == null || Math.abs(ray.distance() - Tolerance.FINE - d) > Travel.TOUCH) {
      return new Reach(side, d, to, space.nameOf(to), touch.along(way, -d), touch);
    }
    return new Reach(side, d, to, space.nameOf(to), middle, end);
  }

  /** The side of a piece that looks that way most. */
  private static Side facing(Piece piece, Vec way) {
    Vec own = piece.pose().undirect(way);
    Side best = Side.left;
    for (Side s : Side.values()) {
      best = s.outward().dot(own) > best.outward().dot(own) + Tolerance.SAME ? s : best;
    }
    return best;
  }
}
