package pied.core.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.IntStream;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.place.Underlay;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
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
  private static final double FAR = Resting.ASIDE;

  /** A way aside must be so many times shorter than one back or ahead. */
  private static final double ASIDE = 2.5;

  /** What is more across the motion than this is aside: the cosine of the angle between. */
  private static final double ASIDE_FROM = 0.7;

  /** After so many obstacles one after the other it is looked for room round about. */
  private static final int TRIES = 6;

  /** Two pushes are against one another from this on: the cosine of the angle between. */
  private static final double OPPOSITE = 0.9;

  private static final int WAYS = 8;

  /**
   * A way that is so many times longer than the best, seen by the boxes, is not looked at: what one
   * question costs is bounded, and the answer is the best of those that looked likely.
   */
  private static final double HOPELESS = 1.6;

  /** Directions that differ by less are one: the cosine of the angle between. */
  private static final double SAME = 1 - Tolerance.SAME;

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
    this.motion = motion.length() < Tolerance.SAME ? Vec.ZERO : motion.unit();
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
    List<Vec> pushes = new ArrayList<>();
    while (pushes.size() < TRIES) {
      Hit hit = hit(at.apply(by), except, rests);
      if (hit == null) {
        return new Push(by, stopped, true);
      }
      stopped = hit.body;
      Vec way = shortest(hit);
      if (way == null || pushes.stream().anyMatch(p -> opposite(p, way))) {
        break; // one sends it where the other is
      }
      pushes.add(way);
      by = by.plus(way);
    }
    return around(at, except, rests, stopped);
  }

  private static boolean opposite(Vec a, Vec b) {
    return a.dot(b) < -OPPOSITE * a.length() * b.length();
  }

  /** Whether what is carried overlaps nothing; as for {@link #out}. */
  boolean isFree(List<Piece> pieces, Body except, String rests) {
    return hit(pieces, except, rests) == null;
  }

  /** What any of these overlaps that is not carried itself; null for nothing. */
  @Nullable
  Body met(List<Piece> pieces) {
    for (Piece p : pieces) {
      Body met =
          space
              .bodies()
              .overlapped(
                  space.shapes().mesh(p),
                  p.pose(),
                  Resting.CONTACT,
                  b -> !own.contains(b.id()) && !Underlay.lets(space, p, b));
      if (met != null) {
        return met;
      }
    }
    return null;
  }

  /** Between obstacles that leave no room: the nearest place round about that is free. */
  private Push around(Function<Vec, List<Piece>> at, Body except, String rests, Body stopped) {
    Push[] best = {new Push(Vec.ZERO, stopped, false)};
    double[] nearest = {FAR};
    Consumer<Vec> attempt =
        way -> {
          double d = free(at.apply(Vec.ZERO), way, except, rests, nearest[0]);
          List<Piece> there = at.apply(way.times(d));
          Vec lead = there.get(there.size() - 1).at();
          if (d < nearest[0] && inside(lead) && hit(there, except, rests) == null) {
            nearest[0] = d;
            best[0] = new Push(way.times(d), stopped, true);
          }
        };
    if (only != null) {
      only.forEach(attempt);
      return best[0];
    }
    // those that look the shortest first; the others are given up as soon as they are longer
    List<Piece> pieces = at.apply(Vec.ZERO);
    record Likely(Vec way, double far) {}
    IntStream.range(0, WAYS)
        .mapToObj(i -> heading(2 * Math.PI * i / WAYS))
        .map(way -> new Likely(way, clear(pieces, way, except, rests)))
        .sorted(Comparator.comparingDouble(Likely::far))
        .filter(l -> l.far < HOPELESS * nearest[0])
        .forEach(l -> attempt.accept(l.way));
    if (best[0].free) { // and a little to both sides of the best
      double a = Math.atan2(best[0].by.z(), best[0].by.x());
      attempt.accept(heading(a + Math.PI / WAYS));
      attempt.accept(heading(a - Math.PI / WAYS));
    }
    return best[0];
  }

  /** About how far it is that way until all are free. */
  private double clear(List<Piece> pieces, Vec way, Body except, String rests) {
    double most = 0;
    for (Piece p : pieces) {
      Box box = p.pose().box(mesh(p).box());
      most = Math.max(most, bodies.clear(box, way, b -> counts(b, p, except, rests), FAR));
    }
    return most;
  }

  private static Vec heading(double a) {
    return new Vec(round(Math.cos(a)), 0, round(Math.sin(a)));
  }

  private static double round(double v) {
    return Math.abs(v) < Tolerance.NONE ? 0 : v;
  }

  private double free(List<Piece> pieces, Vec way, Body except, String rests, double limit) {
    double d = 0;
    for (boolean again = true; again && d < limit; ) {
      double before = d;
      for (Piece p : pieces) {
        Pose pose = p.pose().moved(way.times(d));
        double more =
            bodies.toFree(mesh(p), pose, way, b -> counts(b, p, except, rests), limit - d);
        d += more;
      }
      again = pieces.size() > 1 && d > before; // another may be in the way now
    }
    return d;
  }

  private Mesh mesh(Piece p) {
    return space.shapes().mesh(p);
  }

  private boolean counts(Body b, Piece p, Body except, String rests) {
    return !own.contains(b.id())
        && !(b == except && p.id().equals(rests))
        && !Underlay.lets(space, p, b);
  }

  private Hit hit(List<Piece> pieces, Body except, String rests) {
    for (Piece p : pieces) {
      Body met =
          bodies.overlapped(mesh(p), p.pose(), Resting.CONTACT, b -> counts(b, p, except, rests));
      if (met != null) {
        return new Hit(p, met);
      }
    }
    return null;
  }

  private Vec shortest(Hit hit) {
    double best = FAR;
    Vec way = null;
    Box box = hit.piece.pose().box(mesh(hit.piece).box());
    List<Vec> ways = new ArrayList<>(directions(hit));
    // the boxes tell which way is likely the shortest; those after it are soon given up
    ways.sort(Comparator.comparingDouble(d -> clear(box, hit.body.box(), d) * weight(d)));
    for (Vec d : ways) {
      if (clear(box, hit.body.box(), d) * weight(d) > HOPELESS * best) {
        break;
      }
      double limit = best / weight(d);
      Mesh own = mesh(hit.piece);
      double t = Travel.toFree(own, hit.piece.pose(), hit.body.mesh(), hit.body.pose(), d, limit);
      if (t < limit && t > 0 && inside(box.centre().along(d, t))) {
        best = t * weight(d);
        way = d.times(t);
      }
    }
    return way;
  }

  private double weight(Vec d) {
    return motion == Vec.ZERO || Math.abs(d.dot(motion)) > ASIDE_FROM ? 1 : ASIDE;
  }

  /** How far a box must go in a direction to be clear of another. */
  private static double clear(Box a, Box b, Vec d) {
    double x =
        d.x() > 0 ? (b.max().x() - a.min().x()) / d.x() : (b.min().x() - a.max().x()) / d.x();
    double z =
        d.z() > 0 ? (b.max().z() - a.min().z()) / d.z() : (b.min().z() - a.max().z()) / d.z();
    return Math.min(d.x() == 0 ? FAR : x, d.z() == 0 ? FAR : z);
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
        if (Math.abs(own.y()) < Tolerance.SAME && all.stream().noneMatch(o -> o.dot(own) > SAME)) {
          all.add(own);
          all.add(own.times(-1));
        }
      }
    }
    Vec apart = hit.piece.pose().box(mesh(hit.piece).box()).centre().minus(hit.body.box().centre());
    Vec level = new Vec(apart.x(), 0, apart.z());
    if (level.length() > Tolerance.FINE) {
      all.add(level.unit());
    }
    return all;
  }

  /** The ways out of a wall, its skirting or what sits in it: into the room; empty for others. */
  private List<Vec> inward(Body body) {
    PartName part = PartName.of(body);
    String wall = null;
    if (PartName.is(body, PartKind.wall, PartKind.skirting)) {
      wall = part.id();
    } else if (PartName.is(body, PartKind.opening)) {
      Opening o = space.shell().opening(part.id());
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
