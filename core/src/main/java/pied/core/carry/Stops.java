package pied.core.carry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;

/**
 * Stopping: what is carried is pushed out of what it overlaps by the shortest way, so that it stops
 * at contact and slides along; carried on beyond the middle of an obstacle, the shortest way is
 * that to its far side.
 */
final class Stops {
  /** Nothing is pushed farther than this, metres. */
  private static final double FAR = 3;

  /** A way aside must be so many times shorter than one back or ahead. */
  private static final double ASIDE = 2.5;

  /** What is more across the motion than this is aside: the cosine of the angle between. */
  private static final double ASIDE_FROM = 0.7;

  /** What pushes it more often than this sends it to and fro between itself and another. */
  private static final int TWICE = 2;

  private static final int WAYS = 16;

  /** Directions that differ by less are one: the cosine of the angle between. */
  private static final double SAME = 1 - 1e-9;

  private final Space space;
  private final Bodies bodies;
  private final Set<String> own;
  private final List<Vec> only;
  private final Vec motion;

  /**
   * @param own pieces that do not count
   * @param motion the way it has come: it is rather stopped than sent round an obstacle; may be
   *     zero
   * @param only the directions in which it may be pushed; null for any that is level
   */
  Stops(Space space, Set<String> own, Vec motion, List<Vec> only) {
    this.space = space;
    this.bodies = space.bodies();
    this.own = own;
    this.only = only;
    this.motion = motion.length() < 1e-9 ? Vec.ZERO : motion.unit();
  }

  /**
   * Where it is free.
   *
   * @param by from where it was wanted
   * @param stopped what it was pushed out of, the last of them; null for nothing
   * @param free whether it is free there
   */
  record Push(Vec by, Body stopped, boolean free) {}

  private record Hit(Piece piece, Body body) {}

  /**
   * Pushes what is carried out of everything.
   *
   * @param at the pieces, moved by a vector
   * @param except a body one of them may overlap, since it will rest on it; may be null
   * @param rests the piece that may
   */
  Push out(Function<Vec, List<Piece>> at, Body except, String rests) {
    Vec by = Vec.ZERO;
    Body stopped = null;
    List<Body> met = new ArrayList<>();
    while (true) {
      Hit hit = hit(at.apply(by), except, rests);
      if (hit == null) {
        return new Push(by, stopped, true);
      }
      boolean toAndFro = Collections.frequency(met, hit.body) >= TWICE;
      Vec way = toAndFro ? null : shortest(hit);
      if (way == null) {
        break;
      }
      met.add(hit.body);
      stopped = hit.body;
      by = by.plus(way);
    }
    return around(at, except, rests, stopped);
  }

  /** Whether what is carried overlaps nothing; as for {@link #out}. */
  boolean isFree(List<Piece> pieces, Body except, String rests) {
    return hit(pieces, except, rests) == null;
  }

  /** Between obstacles that leave no room: the nearest place round about that is free. */
  private Push around(Function<Vec, List<Piece>> at, Body except, String rests, Body stopped) {
    Push best = new Push(Vec.ZERO, stopped, false);
    double nearest = FAR;
    for (Vec way : ways()) {
      double d = free(at.apply(Vec.ZERO), way, except, rests, nearest);
      List<Piece> there = at.apply(way.times(d));
      Vec lead = there.get(there.size() - 1).at();
      if (d < nearest && inside(lead) && hit(there, except, rests) == null) {
        nearest = d;
        best = new Push(way.times(d), stopped, true);
      }
    }
    return best;
  }

  private List<Vec> ways() {
    if (only != null) {
      return only;
    }
    List<Vec> all = new ArrayList<>();
    for (int i = 0; i < WAYS; i++) {
      double a = 2 * Math.PI * i / WAYS;
      all.add(new Vec(round(Math.cos(a)), 0, round(Math.sin(a))));
    }
    return all;
  }

  private static double round(double v) {
    return Math.abs(v) < 1e-12 ? 0 : v;
  }

  private double free(List<Piece> pieces, Vec way, Body except, String rests, double limit) {
    double d = 0;
    for (boolean grown = true; grown && d < limit; ) {
      grown = false;
      for (Piece p : pieces) {
        Pose pose = p.pose().moved(way.times(d));
        double more =
            bodies.toFree(mesh(p), pose, way, b -> counts(b, p, except, rests), limit - d);
        grown |= more > 0;
        d += more;
      }
    }
    return d;
  }

  private Mesh mesh(Piece p) {
    return space.shapes().mesh(p);
  }

  private boolean counts(Body b, Piece p, Body except, String rests) {
    return !own.contains(b.id()) && !(b == except && p.id().equals(rests));
  }

  private Hit hit(List<Piece> pieces, Body except, String rests) {
    for (Piece p : pieces) {
      List<Body> met =
          bodies.overlapping(mesh(p), p.pose(), Resting.CONTACT, b -> counts(b, p, except, rests));
      if (!met.isEmpty()) {
        return new Hit(p, met.get(0));
      }
    }
    return null;
  }

  private Vec shortest(Hit hit) {
    double best = FAR;
    Vec way = null;
    Vec centre = hit.piece.pose().box(mesh(hit.piece).box()).centre();
    for (Vec d : directions(hit)) {
      double aside = motion == Vec.ZERO || Math.abs(d.dot(motion)) > ASIDE_FROM ? 1 : ASIDE;
      double t =
          Travel.toFree(mesh(hit.piece), hit.piece.pose(), List.of(hit.body), d, best / aside);
      if (t * aside < best && t > 0 && inside(centre.along(d, t))) {
        best = t * aside;
        way = d.times(t);
      }
    }
    return way;
  }

  private boolean inside(Vec p) {
    return !Double.isNaN(space.shell().floorAt(new Spot(p.x(), p.z())));
  }

  private List<Vec> directions(Hit hit) {
    if (only != null) {
      return only;
    }
    List<Vec> walls = inward(hit.body);
    if (!walls.isEmpty()) {
      return walls;
    }
    List<Vec> all = new ArrayList<>();
    for (Pose pose : new Pose[] {hit.piece.pose(), hit.body.pose()}) {
      for (Vec d : new Vec[] {new Vec(1, 0, 0), new Vec(0, 0, 1), new Vec(0, 1, 0)}) {
        Vec own = pose.direct(d);
        if (Math.abs(own.y()) < 1e-9 && all.stream().noneMatch(o -> o.dot(own) > SAME)) {
          all.add(own);
          all.add(own.times(-1));
        }
      }
    }
    Vec apart = hit.piece.pose().box(mesh(hit.piece).box()).centre().minus(hit.body.box().centre());
    Vec level = new Vec(apart.x(), 0, apart.z());
    if (level.length() > 1e-6) {
      all.add(level.unit());
    }
    return all;
  }

  /** The ways out of a wall, its skirting or what sits in it: into the room; empty for others. */
  private List<Vec> inward(Body body) {
    String id = body.id();
    String wall = null;
    if (id.startsWith(ShellBodies.WALL)) {
      wall = id.substring(ShellBodies.WALL.length());
    } else if (id.startsWith(ShellBodies.SKIRTING)) {
      wall = id.substring(ShellBodies.SKIRTING.length());
    } else if (id.startsWith(ShellBodies.OPENING)) {
      Opening o = space.shell().opening(id.substring(ShellBodies.OPENING.length()));
      wall = o == null ? null : o.wall();
    }
    List<Vec> all = new ArrayList<>();
    for (Wall w : space.shell().faces()) {
      if (w.name().equals(wall)) {
        all.add(w.inward());
      }
    }
    return all;
  }
}
