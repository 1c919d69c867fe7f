package pied.core.tool.repeat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Footprint;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Sample;
import pied.core.space.Space;

/** What is repeated, as a body that can be set anywhere: all its parts together. */
public final class Shape {
  private record ShapePart(Mesh mesh, Pose pose) {}

  private record TouchAsk(Shape before, Vec way, double turnBefore, double turn) {}

  private final Sample sample;
  private final List<ShapePart> parts = new ArrayList<>();
  private final Geometry outline;
  private final Map<TouchAsk, Double> known = new HashMap<>();
  private final double radius;

  public Shape(Space space, Sample sample) {
    this.sample = sample;
    List<Geometry> figures = new ArrayList<>();
    for (Piece p : sample.parts()) {
      Mesh mesh = space.shapes().mesh(p);
      parts.add(new ShapePart(mesh, p.pose()));
      figures.add(Footprint.of(mesh, p.pose()));
    }
    outline = figures.size() == 1 ? figures.get(0) : UnaryUnionOp.union(figures);
    double far = 0;
    for (Coordinate c : outline.getCoordinates()) {
      far = Math.max(far, Math.hypot(c.x, c.y));
    }
    radius = far;
  }

  public Sample sample() {
    return sample;
  }

  /** What it covers of the plan, unturned at zero. */
  public Geometry outline() {
    return outline;
  }

  /** What it covers of the plan where it stands. */
  public Geometry outline(Vec at, double turn) {
    return Footprint.moved(outline, Pose.of(at, turn));
  }

  /** All of it is within this of its place, on the plan, metres. */
  public double radius() {
    return radius;
  }

  /** How far it reaches in a direction from its place when it is turned so, metres. */
  public double reach(Vec way, double turn) {
    Vec own = Pose.of(Vec.ZERO, turn).undirect(way);
    double most = Double.NEGATIVE_INFINITY;
    for (ShapePart p : parts) {
      most = Math.max(most, Footprint.reach(p.mesh, p.pose, own) + p.pose.at().dot(own));
    }
    return most;
  }

  /**
   * How far its place is ahead of that of another, along a direction of length 1, when they touch;
   * by their boxes if they would pass each other.
   */
  public double touching(Shape before, Vec way, double turnBefore, double turn) {
    return known.computeIfAbsent(new TouchAsk(before, way, turnBefore, turn), this::found);
  }

  private double found(TouchAsk a) {
    double boxes = a.before.reach(a.way, a.turnBefore) + reach(a.way.times(-1), a.turn);
    double start = boxes + 1;
    double nearest = Double.POSITIVE_INFINITY;
    Stance here = new Stance(a.way.times(start), a.turn);
    for (ShapePart p : parts) {
      for (ShapePart q : a.before.parts) {
        Travel.Stop stop =
            Travel.of(
                p.mesh,
                placed(p.pose, here),
                q.mesh,
                placed(q.pose, new Stance(Vec.ZERO, a.turnBefore)),
                a.way.times(-1),
                1e4);
        if (stop.meets()) {
          nearest = Math.min(nearest, stop.distance());
        }
      }
    }
    return Double.isInfinite(nearest) ? boxes : start - nearest;
  }

  private static Pose placed(Pose own, Stance there) {
    Pose turned = Pose.of(Vec.ZERO, there.turn());
    Vec right = turned.direct(own.direct(new Vec(1, 0, 0)));
    Vec up = turned.direct(own.direct(Vec.UP));
    Vec front = turned.direct(own.direct(new Vec(0, 0, 1)));
    return Pose.of(turned.direct(own.at()).plus(there.at()), right, up, front);
  }
}
