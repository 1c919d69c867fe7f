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
   * How far a must move on its way to be free of all of several bodies at once, metres.
   *
   * @param ahead the bodies, sorted by how soon they are come to
   * @param limit what is farther than this is of no interest: then some distance beyond it
   */
  static double of(Sweep a, List<Bodies.Ahead> ahead, double limit) {
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
          walks.add(new Reached(a, body, limit));
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
    List<Body> bodies = ahead.stream().map(Bodies.Ahead::body).toList();
    return sunk(a, free, bodies) ? outOf(a, bodies, free) : free;
  }

  /** Whether a is sunk in any of these, moved so far. */
  private static boolean sunk(Sweep a, double by, List<Body> bodies) {
    Pose there = a.pose.moved(a.way.times(by));
    return bodies.stream().anyMatch(o -> Travel.sunk(a.mesh, there, o.mesh(), o.pose()));
  }

  /** The nearest way out of what a lies inside of at a place where it crosses nothing. */
  private static double outOf(Sweep a, List<Body> bodies, double start) {
    List<WayStretch> blocked = new ArrayList<>();
    for (Body body : bodies) {
      new Stretches(a, body, blocked).run();
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
      if (!sunk(a, at, bodies)) {
        return at;
      }
    }
  }

  /**
   * How far the stretches that adjoin one another reach from the start. Stretches that end before
   * what is reached already are passed over, so that little is looked at; those that begin beyond
   * it wait, and the walk goes on with them once it is known to reach so far.
   */
  private static final class Reached extends SweepWalk {
    final double limit;
    double reached;

    Reached(Sweep a, Body b, double limit) {
      super(a, b.mesh(), b.pose(), false, true);
      this.limit = limit;
      farthest = limit + TOUCH;
      reached(0);
      begin();
    }

    /** Stretches that adjoin leave no room: a corner passes through a surface there. */
    private void reached(double at) {
      reached = at;
      left = at + TOUCH;
      bound = at == 0 ? -TOUCH : at + TOUCH;
    }

    /** How far it overlaps without a gap, from where it is known to by others. */
    double from(double at) {
      reached(Math.max(reached, at));
      go();
      return reached;
    }

    @Override
    boolean triangles(int a, int b) {
      if (!pair.sweep(GRAZE, bound, left)) {
        if (pair.in > bound && pair.out > left) {
          later(pair.in);
        }
      } else if (pair.out - pair.in > TOUCH) {
        if (pair.in < bound) {
          reached(pair.out);
        } else {
          later(pair.in);
        }
      }
      return reached <= limit;
    }
  }

  /** Collects where along the way pairs of triangles overlap. */
  private static final class Stretches extends SweepWalk {
    final List<WayStretch> found;

    Stretches(Sweep a, Body b, List<WayStretch> found) {
      super(a, b.mesh(), b.pose(), false, false);
      left = TOUCH;
      this.found = found;
    }

    @Override
    boolean triangles(int a, int b) {
      if (pair.sweep(GRAZE, bound, left) && pair.out - pair.in > TOUCH) {
        found.add(new WayStretch(pair.in, pair.out));
      }
      return true;
    }
  }
}
