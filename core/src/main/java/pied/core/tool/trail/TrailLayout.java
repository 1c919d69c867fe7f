package pied.core.tool.trail;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoublePredicate;
import org.locationtech.jts.geom.Geometry;
import pied.core.Tolerance;
import pied.core.piece.Stance;
import pied.core.solid.Vec;
import pied.core.space.Rule;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.tool.repeat.PlanPath;
import pied.core.tool.repeat.Shape;
import pied.core.units.Deadline;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * The places along a path: one after the other, each so far from the last as it shall be, also
 * around corners, where the distance between their true outlines counts. For a number of them the
 * distance is found at which just so many fill the path.
 */
final class TrailLayout {
  /** How exactly the distance is found, metres. */
  private static final double EXACT = Tolerance.SAME;

  private static final int MOST_STEPS = 60;

  private final TrailRule rule;
  private final Mixed mix;
  private final Deadline deadline;
  private final PlanPath way;
  private final List<Integer> order = new ArrayList<>();

  TrailLayout(TrailRule rule, Mixed mix, Deadline deadline) {
    this.rule = rule;
    this.mix = mix;
    this.deadline = deadline;
    PlanPath path = PlanPath.of(rule.path(), rule.closed());
    way = rule.offset() == null ? path : path.offset(rule.offset() + beside(path));
  }

  /** How far the pieces reach from their places toward the path. */
  private double beside(PlanPath path) {
    double most = 0;
    int legs = rule.facing() == Rule.RepeatFacing.fixed ? rule.path().size() : 1;
    for (int i = 0; i < legs; i++) {
      double s = path.length() * (i + 0.5) / legs;
      Vec right = right(path.direction(s));
      for (Shape shape : mix.shapes) {
        most = Math.max(most, shape.reach(right.times(-1), turn(path.direction(s))));
      }
    }
    return most;
  }

  /** To the right of a way as one sees the plan: x to the right, z down the sheet. */
  private static Vec right(Vec d) {
    return new Vec(-d.z() + 0.0, 0, d.x());
  }

  private double turn(Vec d) {
    if (rule.facing() == Rule.RepeatFacing.fixed) {
      return rule.turn();
    }
    Vec front =
        switch (rule.facing()) {
          case along -> d;
          case inward -> right(d);
          default -> right(d).times(-1);
        };
    return PlanPath.bearing(front) + rule.turn();
  }

  private int sample(int i) {
    while (order.size() <= i) {
      order.add(mix.next());
    }
    return order.get(i);
  }

  private Shape shape(int i) {
    return mix.shapes.get(sample(i));
  }

  LaidOut laid() {
    List<Message> said = new ArrayList<>();
    // along a wall or an edge the first and the last stay within it
    boolean within = rule.along() != null && !way.closed();
    double from = within ? shape(0).reach(way.direction(0).times(-1), turn(way.direction(0))) : 0;
    List<Double> stations;
    if (rule.spaced() && rule.count() != null && rule.apart() != null) {
      stations = exactly(Arrangement.checked(rule.count()), from, within);
    } else if (rule.count() != null) {
      int n = Arrangement.checked(rule.count());
      stations = evenly(n, from, within);
    } else {
      if (rule.apart() == null) {
        throw new Refusal("Say how many there are to be, or how far apart.");
      }
      double ends = within ? last(0) : 0;
      stations = apart(from, way.length() - ends, rule.apart());
      said.add(Message.of("{} stand along it.", stations.size()));
    }
    List<LaidOut.LaidPlace> places = new ArrayList<>();
    for (int i = 0; i < stations.size(); i++) {
      Vec at = way.point(stations.get(i));
      double turn = turn(way.direction(stations.get(i)));
      places.add(
          new LaidOut.LaidPlace(
              i, sample(i), new Stance(new Vec(at.x(), rule.high(), at.z()), turn)));
    }
    return new LaidOut(places, said);
  }

  private double last(int i) {
    Vec d = way.direction(way.length());
    return shape(i).reach(d, turn(d));
  }

  // ---- so far apart

  private List<Double> apart(double from, double to, Rule.Apart apart) {
    if (apart.by() < 0 || apart.middles() && apart.by() < Tolerance.NEAR) {
      throw new Refusal("The distance between them is to be more than that.");
    }
    List<Double> all = new ArrayList<>();
    double s = from;
    while (s <= to + EXACT) {
      Arrangement.checked(all.size() + 1L);
      all.add(s);
      s = next(all.size() - 1, s, apart);
    }
    if (way.closed() && all.size() > 1) { // the last must not be too near to the first
      double first = all.get(0) + way.length();
      while (all.size() > 1
          && next(all.size() - 1, all.get(all.size() - 1), apart) > first + EXACT) {
        all.remove(all.size() - 1);
      }
    }
    if (all.isEmpty()) {
      throw new Refusal("The path is too short for one of them.");
    }
    return all;
  }

  /** That many, so far apart, from where the path begins. */
  private List<Double> exactly(int n, double from, boolean within) {
    double to = way.length() - (within ? last(0) : 0);
    List<Double> fit = apart(from, to, rule.apart());
    if (fit.size() < n) {
      String room = fit.size() + (fit.size() == 1 ? " has." : " have.");
      throw new Refusal("{} so far apart have no room along it; {}", n, room);
    }
    return fit.subList(0, n);
  }

  /** Where the one after the i-th is. */
  private double next(int i, double s, Rule.Apart apart) {
    Vec d = way.direction(s);
    double step =
        apart.middles()
            ? apart.by()
            : shape(i + 1).touching(shape(i), d, turn(d), turn(d)) + apart.by();
    if (!way.turns(s, step)) {
      return s + Math.max(step, Tolerance.HAIR);
    }
    if (apart.middles()) {
      return around(s, t -> way.point(t).distance(way.point(s)) >= apart.by(), apart.by());
    }
    Geometry outline = shape(i).outline(way.point(s), turn(d));
    // as near as they would be to one another on a straight way
    double wanted = shape(i + 1).outline(way.point(s).along(d, step), turn(d)).distance(outline);
    return around(
        s,
        t -> {
          double turn = turn(way.direction(t));
          Geometry next = shape(i + 1).outline(way.point(t), turn);
          return wanted > 0 ? next.distance(outline) >= wanted : !PlanPath.share(next, outline);
        },
        step);
  }

  /** The first place from s on that is far enough, around a corner. */
  private double around(double s, DoublePredicate far, double step) {
    deadline.check();
    double lo = s + Math.min(step, Tolerance.HAIR);
    double hi = s + step;
    int grown = 0;
    while (!far.test(hi) && grown++ < 24) {
      lo = hi;
      hi = hi + Math.max(step, 0.05) / 4;
    }
    while (hi - lo > EXACT) {
      double mid = (lo + hi) / 2;
      if (far.test(mid)) {
        hi = mid;
      } else {
        lo = mid;
      }
    }
    return hi;
  }

  // ---- so many

  private List<Double> evenly(int n, double from, boolean within) {
    double to = way.length() - (within ? last(n - 1) : 0);
    if (n == 1) {
      return List.of(way.closed() ? 0 : (from + to) / 2);
    }
    double least = way.closed() ? from + way.length() : to;
    if (end(n, from, 0) > least + Tolerance.FINE) {
      int fit = fitting(n, from, least);
      throw new Refusal("{} have no room along it; {}{}", n, fit, fit == 1 ? " has." : " have.");
    }
    // the end grows with the gap: found by halving, and then exactly
    double lo = 0;
    double hi = way.length();
    for (int i = 0; i < MOST_STEPS && hi - lo > EXACT / n; i++) {
      deadline.check();
      double mid = (lo + hi) / 2;
      if (end(n, from, mid) > least) {
        hi = mid;
      } else {
        lo = mid;
      }
    }
    List<Double> all = new ArrayList<>();
    double s = from;
    for (int i = 0; i < n; i++) {
      all.add(s);
      s = next(i, s, new Rule.Apart(lo, false));
    }
    if (!way.closed()) {
      // what halving left over is spread, so that the ends are exact
      double over = to - all.get(n - 1);
      for (int i = 1; i < n; i++) {
        all.set(i, i == n - 1 ? to : all.get(i) + over * i / (n - 1));
      }
    }
    return all;
  }

  /** Where the last of so many ends up; of a closed path, where the first would come again. */
  private double end(int n, double from, double gap) {
    double s = from;
    int steps = way.closed() ? n : n - 1;
    for (int i = 0; i < steps; i++) {
      s = next(i, s, new Rule.Apart(gap, false));
      if (s > 3 * way.length() + 1) {
        return s;
      }
    }
    return s;
  }

  private int fitting(int n, double from, double least) {
    int lo = 1;
    int hi = n;
    while (hi - lo > 1) {
      int mid = (lo + hi) / 2;
      if (end(mid, from, 0) > least + Tolerance.FINE) {
        hi = mid;
      } else {
        lo = mid;
      }
    }
    return lo;
  }
}
