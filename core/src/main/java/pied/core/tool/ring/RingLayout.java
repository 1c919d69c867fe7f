package pied.core.tool.ring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.distance.DistanceOp;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.piece.Stance;
import pied.core.solid.Vec;
import pied.core.space.Outlines;
import pied.core.space.Rule;
import pied.core.space.Spot;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.tool.repeat.PlanPath;
import pied.core.tool.repeat.Shape;
import pied.core.units.Deadline;
import pied.core.units.Refusal;

/**
 * The places around something: evenly about what is round; of what has long straight sides each
 * side has its share, in the middle of it, and nobody sits at a corner. The gap is that on the plan
 * between true outlines.
 */
public final class RingLayout {
  private static final GeometryFactory PLANE = new GeometryFactory();

  /** Of its outline so much is to be long sides for it to have sides at all. */
  private static final double STRAIGHT = 0.7;

  /** A side is long if it has room for so much of a piece. */
  private static final double LONG = 0.6;

  /** How exactly the gap is kept, metres. */
  private static final double EXACT = Tolerance.SAME;

  private final RingRule rule;
  private final Mixed mix;
  private final Deadline deadline;
  private final Geometry outline;
  private final List<Integer> order = new ArrayList<>();

  RingLayout(RingRule rule, Mixed mix, Deadline deadline) {
    this.rule = rule;
    this.mix = mix;
    this.deadline = deadline;
    boolean point = rule.outline().size() < 3 || rule.radius() != null;
    outline = point ? null : hull(rule.outline());
  }

  private static Geometry hull(List<Spot> corners) {
    Coordinate[] c =
        corners.stream().map(s -> new Coordinate(s.x(), s.z())).toArray(Coordinate[]::new);
    return PLANE.createMultiPointFromCoords(c).convexHull();
  }

  LaidOut laid() {
    int n = Arrangement.checked(rule.count());
    if (rule.gap() < 0) {
      throw new Refusal("The distance is 0 or more.");
    }
    if (!(rule.arc() > 0 && rule.arc() <= 360)) {
      throw new Refusal("An arc has more than 0 and up to 360 degrees.");
    }
    List<LaidOut.LaidPlace> places = tried(n);
    if (places == null) {
      int most = n - 1;
      while (most > 0 && tried(most) == null) {
        most = most > 40 ? most * 3 / 4 : most - 1;
      }
      throw new Refusal(
          "{} have no room around it at that distance; {}",
          n,
          most == 0 ? "none has." : most + (most == 1 ? " has." : " have."));
    }
    return new LaidOut(places, List.of());
  }

  /** So many of them; null if they overlap one another. */
  private List<LaidOut.LaidPlace> tried(int n) {
    deadline.check();
    while (order.size() < n) {
      order.add(mix.next());
    }
    List<Vec> outward = new ArrayList<>();
    List<Vec> edge = edge(n, outward);
    if (edge == null) {
      return null;
    }
    List<LaidOut.LaidPlace> places = new ArrayList<>();
    List<Geometry> taken = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      Shape shape = mix.shapes.get(order.get(i));
      Vec out = outward.get(i);
      double turn = turn(out);
      Vec at = clear(shape, edge.get(i), out, turn);
      Geometry own = shape.outline(at, turn);
      for (Geometry other : taken) {
        if (own.getEnvelopeInternal().intersects(other.getEnvelopeInternal())
            && PlanPath.share(own, other)) {
          return null;
        }
      }
      taken.add(own);
      places.add(
          new LaidOut.LaidPlace(
              i, order.get(i), new Stance(new Vec(at.x(), rule.high(), at.z()), turn)));
    }
    return places;
  }

  private double turn(Vec out) {
    return switch (rule.facing()) {
      case inward -> PlanPath.bearing(out.times(-1)) + rule.turn();
      case outward -> PlanPath.bearing(out) + rule.turn();
      case along -> PlanPath.bearing(new Vec(-out.z(), 0, out.x())) + rule.turn();
      case fixed -> rule.turn();
    };
  }

  /**
   * Moved outward from a point of the edge until the gap between the outlines is what it is to be.
   */
  private Vec clear(Shape shape, Vec edge, Vec out, double turn) {
    double reach = shape.reach(out.times(-1), turn);
    if (outline == null) {
      return edge.along(out, rule.radius() != null ? rule.radius() : reach + rule.gap());
    }
    double by = reach + rule.gap();
    // what is nearest need not be in the middle; along its way out the distance only grows
    for (int i = 0; i < 40; i++) {
      Geometry own = shape.outline(edge.along(out, by), turn);
      double off = DistanceOp.distance(own, outline);
      double lacking = rule.gap() - off;
      if (off == 0 && PlanPath.share(own, outline)) {
        lacking = Math.max(lacking, 0.01);
      }
      if (Math.abs(lacking) <= EXACT) {
        break;
      }
      by += lacking;
    }
    return edge.along(out, by);
  }

  // ---- where on the edge

  /**
   * Points of the edge, and the ways out there.
   *
   * @return null if there is no room
   */
  private List<Vec> edge(int n, List<Vec> outward) {
    if (outline == null) {
      return round(n, outward);
    }
    List<Vec> sides = rule.arc() < 360 ? null : sides(n, outward);
    if (sides != null) {
      return sides.isEmpty() ? null : sides;
    }
    return about(n, outward);
  }

  private List<Vec> round(int n, List<Vec> outward) {
    List<Vec> all = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double a = Math.toRadians(rule.from() + angle(i, n));
      outward.add(new Vec(Math.sin(a), 0, Math.cos(a)));
      all.add(rule.at().at(0));
    }
    return all;
  }

  private double angle(int i, int n) {
    if (rule.arc() == 360) {
      return 360.0 * i / n;
    }
    return n == 1 ? rule.arc() / 2 : rule.arc() * i / (n - 1);
  }

  /** Evenly along the edge of something round, counter-clockwise from where it begins. */
  private List<Vec> about(int n, List<Vec> outward) {
    // the way on which the pieces stand, so that they and not only their points are even
    Geometry line = outline.buffer(Math.max(rule.gap() + depth(), Tolerance.NEAR), 32);
    List<Spot> spots = new ArrayList<>();
    for (Coordinate c : line.getCoordinates()) {
      spots.add(new Spot(c.x, c.y));
    }
    PlanPath way = PlanPath.of(counter(spots), true);
    double start = station(way, rule.from());
    double length = way.length();
    double over = length;
    if (rule.arc() < 360) {
      double end = station(way, rule.from() + rule.arc());
      over = (end - start) % length;
      over = over <= 0 ? over + length : over;
    }
    List<Vec> all = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double share = rule.arc() == 360 ? (double) i / n : n == 1 ? 0.5 : (double) i / (n - 1);
      Vec p = way.point(start + over * share);
      Coordinate[] near =
          DistanceOp.nearestPoints(outline, PLANE.createPoint(new Coordinate(p.x(), p.z())));
      Vec e = new Vec(near[0].x, 0, near[0].y);
      all.add(e);
      outward.add(p.minus(e).unit());
    }
    return all;
  }

  /** As a turn goes, seen from above. */
  private static List<Spot> counter(List<Spot> ring) {
    List<Spot> all = new ArrayList<>(ring);
    if (Outlines.area(ring) > 0) { // clockwise on the sheet
      Collections.reverse(all);
    }
    return all;
  }

  /** How far along a way it is what is seen from the middle in a direction. */
  private double station(PlanPath way, double degrees) {
    double a = Math.toRadians(degrees);
    Vec out = new Vec(Math.sin(a), 0, Math.cos(a));
    return way.nearest(rule.at().at(0).along(out, crossed(way, out)));
  }

  /** How far out a way is crossed. */
  private double crossed(PlanPath way, Vec out) {
    double lo = 0;
    double hi = way.length();
    Vec c = rule.at().at(0);
    double best = 0;
    int steps = 720;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < steps; i++) {
      Vec p = way.point(lo + (hi - lo) * i / steps).minus(c);
      double side = Math.abs(p.x() * out.z() - p.z() * out.x());
      if (p.dot(out) > 0 && side < least) {
        least = side;
        best = p.dot(out);
      }
    }
    return best;
  }

  private double depth() {
    double most = 0;
    for (Shape s : mix.shapes) {
      double t = rule.facing() == Rule.RepeatFacing.outward ? 0 : 180;
      most =
          Math.max(
              most,
              s.reach(
                  new Vec(0, 0, -1), rule.facing() == Rule.RepeatFacing.fixed ? rule.turn() : t));
    }
    return most;
  }

  private double wide() {
    double most = 0;
    for (Shape s : mix.shapes) {
      most = Math.max(most, s.reach(new Vec(1, 0, 0), 0) + s.reach(new Vec(-1, 0, 0), 0));
    }
    return most;
  }

  private record RingSide(Coordinate a, Coordinate b) {
    double length() {
      return a.distance(b);
    }
  }

  /**
   * Shared out over its long sides.
   *
   * @return null if it has none to speak of; nothing if they have no room
   */
  private List<Vec> sides(int n, List<Vec> outward) {
    double wide = wide();
    Coordinate[] ring = DouglasPeuckerSimplifier.simplify(outline, 0.002).getCoordinates();
    List<RingSide> sides = new ArrayList<>();
    double all = 0;
    double straight = 0;
    for (int i = 0; i + 1 < ring.length; i++) {
      RingSide s = new RingSide(ring[i], ring[i + 1]);
      all += s.length();
      if (s.length() >= LONG * wide) {
        sides.add(s);
        straight += s.length();
      }
    }
    if (straight < STRAIGHT * all || sides.isEmpty() || sides.size() > 8) {
      return null;
    }
    int[] had = shares(n, sides);
    return had == null ? List.of() : along(sides, had, outward);
  }

  /** How many each side takes of so many; null if they have no room. */
  private @Nullable int[] shares(int n, List<RingSide> sides) {
    double wide = wide();
    int[] had = new int[sides.size()];
    for (int i = 0; i < n; i++) {
      int best = -1;
      for (int k = 0; k < had.length; k++) {
        boolean room =
            (had[k] + 1) * wide <= sides.get(k).length() + 2 * rule.gap() + Tolerance.SAME;
        if (room && (best < 0 || better(sides, had, k, best))) {
          best = k;
        }
      }
      if (best < 0) {
        return null;
      }
      had[best]++;
    }
    return had;
  }

  /** Places evened out along the sides; the side toward where it begins comes first. */
  private List<Vec> along(List<RingSide> sides, int[] had, List<Vec> outward) {
    double a = Math.toRadians(rule.from());
    Vec first = new Vec(Math.sin(a), 0, Math.cos(a));
    Integer[] order = new Integer[had.length];
    Arrays.setAll(order, i -> i);
    Arrays.sort(
        order, (p, q) -> Double.compare(behind(first, sides.get(p)), behind(first, sides.get(q))));
    List<Vec> points = new ArrayList<>();
    for (int k : order) {
      RingSide s = sides.get(k);
      for (int i = 0; i < had[k]; i++) {
        double t = (i + 0.5) / had[k];
        points.add(new Vec(s.a.x + (s.b.x - s.a.x) * t, 0, s.a.y + (s.b.y - s.a.y) * t));
        outward.add(out(s));
      }
    }
    return points;
  }

  private static boolean better(List<RingSide> sides, int[] had, int k, int best) {
    double a = sides.get(k).length() / (had[k] + 1);
    double b = sides.get(best).length() / (had[best] + 1);
    return a > b + Tolerance.FINE
        || Math.abs(a - b) <= Tolerance.FINE
            && sides.get(k).length() > sides.get(best).length() + Tolerance.FINE;
  }

  private Vec out(RingSide s) {
    Vec d = new Vec(s.b.x - s.a.x, 0, s.b.y - s.a.y).unit();
    Vec n = new Vec(-d.z() + 0.0, 0, d.x());
    Vec mid = new Vec((s.a.x + s.b.x) / 2, 0, (s.a.y + s.b.y) / 2);
    return n.dot(mid.minus(rule.at().at(0))) < 0 ? n.times(-1) : n;
  }

  /** How far counter-clockwise from a direction a side is, from 0 to 1. */
  private double behind(Vec first, RingSide s) {
    Vec o = out(s);
    double t = (PlanPath.bearing(o) - PlanPath.bearing(first)) % 360;
    return (t < -Tolerance.FINE ? t + 360 : t) / 360;
  }
}
