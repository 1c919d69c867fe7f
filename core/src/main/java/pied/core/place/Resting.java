package pied.core.place;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.piece.Form;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.size.Size;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * Finds where a piece of some article and size comes to rest in a space, by its mounting. What
 * stands settles on the highest surface that may carry it; what is fixed to a wall goes with its
 * back flat on the wall; what hangs goes up to the ceiling. All by {@link Travel} of true meshes.
 */
public final class Resting {
  /** A gap or an overlap smaller than this is contact, metres: a tenth of a millimetre. */
  public static final double CONTACT = Tolerance.HAIR;

  /**
   * Nothing is moved farther aside than this to find a free place, metres, placed or carried: out
   * of the deepest furniture there is, and not to the other end of the room.
   */
  public static final double ASIDE = 3;

  private static final int WAYS = 16;

  private final Space space;
  private final Bodies bodies;
  private final Article article;
  private final Size size;
  private final Mesh mesh;
  private final Set<String> ignored;
  private final Lean lean;
  private final Surfaces surfaces;
  private final Standing standing;
  private final Hanging hanging;

  /** What carries it by being attached to it; null for nothing. */
  private On held;

  public Resting(Space space, Article article, Size size, Set<String> ignored) {
    this(space, new Form(article.id(), size), Lean.NONE, ignored, false);
  }

  /**
   * @param ignored pieces that are not there for this question: the piece itself and what it
   *     carries
   * @param wished whether it is to stand on whatever carries: what an article stands on by itself
   *     is a habit, no prohibition
   */
  public Resting(Space space, Form form, Lean lean, Set<String> ignored, boolean wished) {
    this.space = space;
    this.lean = lean;
    this.bodies = space.bodies();
    this.article = space.shapes().catalog().article(form.article());
    this.size = form.size();
    this.mesh = space.shapes().mesh(form);
    this.ignored = ignored;
    this.surfaces = new Surfaces(space, article, ignored, wished);
    this.standing = new Standing(space, bodies, surfaces, mesh);
    this.hanging = new Hanging(space, size, mesh, lean, ignored);
  }

  /** For a piece that is in the space already; what stands on something may go on doing so. */
  public static Resting of(Space space, Piece piece) {
    return of(space, piece, piece.on().kind() == On.OnKind.piece);
  }

  /**
   * @param wished whether it is to stand on whatever carries
   */
  public static Resting of(Space space, Piece piece, boolean wished) {
    Set<String> own = space.withCarried(List.of(piece.id()));
    Resting r = new Resting(space, piece.form(), piece.lean(), own, wished);
    r.held = piece.attached() ? piece.on() : null;
    return r;
  }

  /**
   * Where a new piece comes to rest.
   *
   * @param turn asked for, or null to face the foot of the plan (on a wall: into the room)
   * @throws Refusal if there is nothing there that may carry it
   */
  public Rest at(Target target, Double turn) {
    return switch (article.mounting()) {
      case STANDS -> stand(target, turn == null ? 0 : turn);
      case WALL -> fix(target);
      case HANGS -> hangAt(hangs(target), turn == null ? 0 : turn);
      case OPENING -> Inset.rest(space.shell(), Inset.at(space.shell(), target));
    };
  }

  private Pose pose(Vec at, double turn) {
    return Stance.pose(at, turn, lean);
  }

  // ---- standing

  private Rest stand(Target target, double turn) {
    Vec from = surfaces.at(target, size.depth()).point();
    Rest rest = settle(from, turn);
    return cleared(rest);
  }

  /**
   * Comes to rest from a place: up out of what it is sunk in, or down onto what is beneath.
   *
   * @param from where the middle of its underside would be
   */
  public Rest settle(Vec from, double turn) {
    return settle(from, turn, surfaces::mayCarry);
  }

  /**
   * As {@link #settle(Vec, double)}.
   *
   * @param sunk what it may be sunk in, and comes up out of
   */
  public Rest settle(Vec from, double turn, Predicate<Body> sunk) {
    Pose pose = pose(from, turn);
    double up = bodies.toFree(mesh, pose, Vec.UP, b -> sunk.test(b) && surfaces.mayCarry(b));
    if (up > 0) {
      pose = pose.moved(Vec.UP.times(up));
    }
    // from a hair above, so that it comes down exactly onto what it only nearly touches
    Pose above = pose.moved(Vec.UP.times(CONTACT));
    Bodies.Met met = bodies.travel(mesh, above, Vec.DOWN, 1e4, surfaces::mayCarry);
    if (met.stop().meets()) {
      pose = above;
    } else {
      met = bodies.travel(mesh, pose, Vec.DOWN, 1e4, surfaces::mayCarry);
    }
    if (!met.stop().meets()) {
      Opening o = Inset.holding(space.shell(), pose.at());
      Vec at = pose.at();
      return o == null
          ? new Rest(at, turn, On.NOTHING, 0)
          : new Rest(new Vec(at.x(), o.sill(), at.z()), turn, On.opening(o.id()), 0);
    }
    Vec at = pose.at().along(Vec.DOWN, met.stop().distance());
    if (PartName.is(met.body(), PartKind.floor)) {
      at = new Vec(at.x(), Math.abs(at.y()) < Tolerance.SAME ? 0 : at.y(), at.z());
    }
    return new Rest(at, turn, Surfaces.on(met.body()), 0);
  }

  /**
   * Moved aside, at the same height, if it overlaps something there; unmoved if nothing is free.
   */
  private Rest cleared(Rest rest) {
    Pose pose = pose(rest.at(), rest.turn());
    if (bodies.overlapped(mesh, pose, CONTACT, this::isThere) == null) {
      return rest;
    }
    return java.util.stream.IntStream.range(0, WAYS)
        .mapToObj(i -> aside(rest, pose, new Vec(cos(i), 0, sin(i)), true))
        .flatMap(Optional::stream)
        .min(Comparator.comparingDouble(Rest::aside))
        .orElse(rest);
  }

  private static double cos(int i) {
    return i % (WAYS / 2) == WAYS / 4 ? 0 : Math.cos(2 * Math.PI * i / WAYS);
  }

  private static double sin(int i) {
    return i % (WAYS / 2) == 0 ? 0 : Math.sin(2 * Math.PI * i / WAYS);
  }

  private Optional<Rest> aside(Rest rest, Pose pose, Vec way, boolean mustBeCarried) {
    double distance = bodies.toFree(mesh, pose, way, this::isThere, ASIDE);
    if (distance > ASIDE) {
      return Optional.empty();
    }
    Vec at = rest.at().along(way, distance);
    if (!space.shell().holds(new Spot(at.x(), at.z()))) {
      return Optional.empty();
    }
    if (mustBeCarried) {
      Bodies.Met met =
          bodies.travel(mesh, pose(at, rest.turn()), Vec.DOWN, CONTACT, surfaces::mayCarry);
      if (!met.stop().meets()) {
        return Optional.empty();
      }
      return Optional.of(new Rest(at, rest.turn(), Surfaces.on(met.body()), distance));
    }
    return Optional.of(new Rest(at, rest.turn(), rest.on(), distance));
  }

  private boolean isThere(Body body) {
    return !ignored.contains(body.id()) && !Underlay.lets(space, article, body);
  }

  // ---- fixed to a wall

  private Rest fix(Target target) {
    Wall wall = wall(target);
    Vec t = wall.along();
    Spot spot = spot(target, wall);
    double half = Math.min(size.width(), wall.length()) / 2;
    double s = Math.max(half, Math.min(wall.length() - half, wall.station(spot)));
    double floor = space.shell().floorAt(wall.spot(s, 0.05));
    double y =
        (Double.isNaN(floor) ? 0 : floor)
            + Math.max(
                0, Math.min(article.usualHeight(size.height()), wall.height() - size.height()));
    Vec at = wall.from().at(y).along(t, s).along(wall.inward(), size.depth() / 2);
    Rest rest = new Rest(at, wall.turn(), On.wall(wall.name()), 0);
    Pose pose = pose(at, wall.turn());
    if (bodies.overlapped(mesh, pose, CONTACT, this::isThere) == null) {
      return rest;
    }
    return java.util.stream.Stream.of(t, t.times(-1))
        .map(way -> aside(rest, pose, way, false))
        .flatMap(Optional::stream)
        .min(Comparator.comparingDouble(Rest::aside))
        .orElse(rest);
  }

  /** The wall that is pointed at, or else the nearest. */
  public Wall wall(Target target) {
    if (target instanceof Target.TargetSight sight) {
      Bodies.RayMet met = surfaces.wall(sight);
      if (met != null) {
        return surfaces.faceOf(met.body(), sight.along());
      }
    }
    Spot spot = spot(target, null);
    return Wall.nearest(space.shell().faces(), spot, "to fix it to");
  }

  /** The point of the plan that is meant: on the wall, or where the sight meets the floor. */
  public Spot spot(Target target, Wall wall) {
    if (target instanceof Target.OnPlan plan) {
      return plan.spot();
    }
    Target.TargetSight sight = (Target.TargetSight) target;
    Vec d = sight.along();
    double distance;
    if (wall != null) {
      Vec n = wall.inward();
      double rate = n.dot(d);
      distance =
          Math.abs(rate) < Tolerance.SAME
              ? 0
              : -wall.off(new Spot(sight.from().x(), sight.from().z())) / rate;
    } else {
      distance = Math.abs(d.y()) < Tolerance.SAME ? 0 : -sight.from().y() / d.y();
    }
    Vec p = sight.from().along(d, distance);
    return new Spot(p.x(), p.z());
  }

  // ---- hanging

  /**
   * The point of the plan that something that hangs is to hang over.
   *
   * @throws Refusal if there is nothing
   */
  public Spot hangs(Target target) {
    return hanging.over(target);
  }

  /**
   * Hanging over a point of the plan: from the bar or the truss there, or else from the ceiling.
   *
   * @throws Refusal if it is too long, or there is none
   */
  public Rest hangAt(Spot spot, double turn) {
    return hanging.at(spot, turn);
  }

  /** How something that hangs would hang at a place, without moving it. */
  public Hung hung(Pose pose) {
    return hanging.under(pose);
  }

  /**
   * What carries a piece at a place, without moving it: the floor or the piece it touches from
   * above, the wall at its back, what it hangs from over it, or nothing.
   */
  public On carrier(Pose pose) {
    if (held != null) {
      return Validity.there(space, held) ? held : On.NOTHING;
    }
    if (article.mounting() == Mounting.STANDS) {
      return standing.on(pose);
    }
    if (article.mounting() == Mounting.OPENING) {
      Opening o = Inset.around(space.shell(), pose);
      return o == null ? On.NOTHING : On.opening(o.id());
    }
    if (article.mounting() == Mounting.HANGS) {
      return hung(pose).from();
    }
    Vec back = pose.direct(new Vec(0, 0, -1));
    Bodies.Met met = bodies.travel(mesh, pose, back, CONTACT, b -> PartName.is(b, PartKind.wall));
    return met.stop().meets() ? PartName.of(met.body()).carrier() : On.NOTHING;
  }

  /**
   * What it stands on where that is seen at once: a level face of it lies on the level top of the
   * only thing near that could carry it. Null for all else.
   */
  public @Nullable On plainly(Pose pose) {
    Body flat =
        article.mounting() == Mounting.STANDS && held == null ? standing.flatUnder(pose) : null;
    return flat == null ? null : Surfaces.on(flat);
  }
}
