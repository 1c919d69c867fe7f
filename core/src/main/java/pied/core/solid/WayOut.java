package pied.core.solid;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How far a mesh must move until it is free: the stretches on which it overlaps something, joined
 * as far as they adjoin one another, and the first gap after them.
 */
final class WayOut {
  private static final double TOUCH = Travel.TOUCH;
  private static final double GRAZE = Travel.GRAZE;

  private WayOut() {}

  /** A stretch of the way on which two meshes overlap, metres along the direction. */
  record WayStretch(double from, double to) {}

  /**
   * How far a must move along the direction to be free of all of several bodies at once, metres.
   *
   * @param ahead the bodies, sorted by how soon they are come to
   * @param limit what is farther than this is of no interest: then some distance beyond it
   */
  static double of(Mesh a, Pose pa, List<Bodies.Ahead> ahead, Vec direction, double limit) {
    double at = 0;
    List<Reached> walks = new ArrayList<>();
    boolean grown = true;
    while (grown) {
      grown = false;
      for (int i = 0; i < ahead.size(); i++) {
        if (ahead.get(i).in() > at + 2 * TOUCH) {
          break; // there is a gap before it, and before all others
        }
        if (i == walks.size()) {
          Body body = ahead.get(i).body();
          walks.add(new Reached(a, pa, body.mesh(), body.pose(), direction, limit));
        }
        double next = walks.get(i).from(at);
        grown |= next > at;
        at = next;
        if (at > limit) {
          return at;
        }
      }
    }
    double free = at;
    Pose there = pa.moved(direction.times(free));
    List<Body> bodies = ahead.stream().map(Bodies.Ahead::body).toList();
    if (bodies.stream().noneMatch(o -> Travel.sunk(a, there, o.mesh(), o.pose()))) {
      return free;
    }
    return outOf(a, pa, bodies, direction, free);
  }

  /** The nearest way out of what a lies inside of at a place where it crosses nothing. */
  private static double outOf(Mesh a, Pose pa, List<Body> bodies, Vec direction, double start) {
    List<WayStretch> blocked = new ArrayList<>();
    for (Body body : bodies) {
      new Stretches(a, pa, body.mesh(), body.pose(), direction, blocked).run();
    }
    blocked.sort(Comparator.comparingDouble(WayStretch::from));
    double at = start;
    while (true) {
      double from = at;
      double next =
          blocked.stream()
              .mapToDouble(WayStretch::to)
              .filter(t -> t > from + TOUCH)
              .min()
              .orElse(at);
      if (next == at) {
        return at; // not closed after all: there is no way out to be found
      }
      for (double before = at; before != next; ) {
        before = next;
        for (WayStretch s : blocked) {
          if (s.from < next + TOUCH && s.to > next + TOUCH) {
            next = s.to;
          }
        }
      }
      at = next;
      Pose there = pa.moved(direction.times(at));
      if (bodies.stream().noneMatch(o -> Travel.sunk(a, there, o.mesh(), o.pose()))) {
        return at;
      }
    }
  }

  /**
   * How far the stretches that adjoin one another reach from the start. Stretches that end before
   * what is reached already are passed over, so that little is looked at; those that begin beyond
   * it wait, and the walk goes on with them once it is known to reach so far.
   */
  private static final class Reached extends PairWalk {
    final double dx;
    final double dy;
    final double dz;
    final double[] leave = new double[1];
    final double limit;
    double reached;

    Reached(Mesh a, Pose pa, Mesh b, Pose pb, Vec direction, double limit) {
      super(a, pa, b, pb);
      this.limit = limit;
      Vec d = pb.undirect(direction);
      dx = d.x();
      dy = d.y();
      dz = d.z();
      sweeping(dx, dy, dz);
      begin();
    }

    /** How far it overlaps without a gap, from where it is known to by others. */
    double from(double at) {
      reached = Math.max(reached, at);
      go();
      return reached;
    }

    @Override
    boolean grows() {
      return true;
    }

    @Override
    double last() {
      return leave[0];
    }

    @Override
    double key(double[] a, double[] b) {
      double in = Travel.enters(a, b, dx, dy, dz, leave);
      return leave[0] <= reached + TOUCH ? Double.POSITIVE_INFINITY : in;
    }

    @Override
    double bound() {
      // stretches that adjoin leave no room between them: a corner passes through a surface there
      return reached == 0 ? -TOUCH : reached + TOUCH;
    }

    @Override
    boolean triangles(int a, int b) {
      if (pair.sweep(dx, dy, dz, GRAZE)
          && pair.out > reached + TOUCH
          && pair.out - pair.in > TOUCH) {
        if (pair.in < bound()) {
          reached = pair.out;
        } else {
          later(pair.in);
        }
      }
      return reached <= limit;
    }
  }

  /** Collects where along the way pairs of triangles overlap. */
  private static final class Stretches extends PairWalk {
    final double dx;
    final double dy;
    final double dz;
    final double[] leave = new double[1];
    final List<WayStretch> found;

    Stretches(Mesh a, Pose pa, Mesh b, Pose pb, Vec direction, List<WayStretch> found) {
      super(a, pa, b, pb);
      Vec d = pb.undirect(direction);
      dx = d.x();
      dy = d.y();
      dz = d.z();
      sweeping(dx, dy, dz);
      this.found = found;
    }

    @Override
    double key(double[] a, double[] b) {
      double in = Travel.enters(a, b, dx, dy, dz, leave);
      return leave[0] < TOUCH ? Double.POSITIVE_INFINITY : in;
    }

    @Override
    double bound() {
      return Double.MAX_VALUE;
    }

    @Override
    boolean triangles(int a, int b) {
      if (pair.sweep(dx, dy, dz, GRAZE) && pair.out > TOUCH && pair.out - pair.in > TOUCH) {
        found.add(new WayStretch(pair.in, pair.out));
      }
      return true;
    }
  }
}
