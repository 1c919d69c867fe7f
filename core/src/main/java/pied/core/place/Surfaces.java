package pied.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.piece.On;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * The surfaces that may carry what stands: floors, platforms, and the tops and boards of pieces.
 */
public final class Surfaces {
  /** A surface carries if it is not steeper than this: the cosine of its slope. */
  private static final double LEVEL = 0.5;

  /** Surfaces nearer to one another than this are one, metres. */
  private static final double APART = 0.01;

  /** So far in from an edge one that is pointed at from the side is meant, metres. */
  private static final double IN = 0.02;

  private static final int MOST = 40;

  private final Space space;
  private final Bodies bodies;
  private final Article article;
  private final boolean tops;
  private final Set<String> ignored;

  /**
   * @param article what is to stand there
   * @param ignored pieces that are not there for this question
   */
  public Surfaces(Space space, Article article, Set<String> ignored) {
    this(space, article, ignored, false);
  }

  /**
   * @param wished whether it is to stand on what carries, whatever its habit
   */
  public Surfaces(Space space, Article article, Set<String> ignored, boolean wished) {
    this.tops = wished || article.standsOnTops();
    this.space = space;
    this.bodies = space.bodies();
    this.article = article;
    this.ignored = ignored;
  }

  /** A point of a carrying surface. */
  public record Surface(Vec point, Body body) {
    public On on() {
      return Surfaces.on(body);
    }
  }

  public boolean mayCarry(Body body) {
    if (isFloor(body)) {
      return true;
    }
    return tops
        && space.has(body.id())
        && !ignored.contains(body.id())
        && space.article(space.piece(body.id())).carries();
  }

  /** The floor itself, or what is raised above it. */
  static boolean isFloor(Body body) {
    return PartName.is(body, PartKind.floor, PartKind.platform, PartKind.flight);
  }

  static On on(Body body) {
    PartName part = PartName.of(body);
    return part == null ? On.piece(body.id()) : part.carrier();
  }

  /** All that may carry it over a point of the plan, from the top down. */
  public List<Surface> levels(Spot spot) {
    List<Surface> all = new ArrayList<>();
    Vec from = spot.at(space.shell().height() - Tolerance.NEAR);
    while (all.size() < MOST) {
      Bodies.RayMet met = bodies.ray(from, Vec.DOWN, 1e4, this::mayCarry);
      if (met == null) {
        break;
      }
      boolean again =
          !all.isEmpty() && all.get(all.size() - 1).point().y() - met.point().y() < APART;
      if (met.normal().y() > LEVEL && !again) {
        all.add(new Surface(met.point(), met.body()));
      }
      from = met.point().along(Vec.DOWN, Tolerance.HAIR);
    }
    return all;
  }

  /**
   * The point of a carrying surface that is meant.
   *
   * @param depth of what is to stand there: pointing at a wall means the floor so far before it
   * @throws Refusal if there is nothing there that may carry it
   */
  public Surface at(Target target, double depth) {
    if (target instanceof Target.OnPlan plan) {
      return below(plan.spot().at(space.shell().height() - Tolerance.NEAR))
          .orElseThrow(
              () -> new Refusal("There is no floor under that point; choose one inside the room."));
    }
    Target.TargetSight sight = (Target.TargetSight) target;
    Bodies.RayMet seen =
        bodies.ray(sight.from(), sight.along(), 1e4, b -> mayCarry(b) && space.seen(b));
    Bodies.RayMet met = seen != null ? seen : foot(sight, depth);
    if (met == null) {
      throw new Refusal(
          "Nothing there can carry the {}; point at the floor or at a top.",
          article.name().toLowerCase(Locale.ROOT));
    }
    if (met.normal().y() > LEVEL) {
      return new Surface(met.point(), met.body());
    }
    return inside(met)
        .or(() -> top(met, sight))
        .or(() -> below(met.point()))
        .orElse(new Surface(met.point(), met.body()));
  }

  /** Pointing at the back of a shelf from inside it means the board beneath. */
  private Optional<Surface> inside(Bodies.RayMet met) {
    Vec before = met.point().along(met.normal(), IN);
    return below(before).filter(s -> s.body() == met.body());
  }

  /** Pointing at the side of a carrier means its top, a little way in. */
  private Optional<Surface> top(Bodies.RayMet met, Target.TargetSight sight) {
    Vec in = met.point().along(sight.along(), IN);
    return below(new Vec(in.x(), met.body().box().max().y() + Tolerance.NEAR, in.z()));
  }

  /** Pointing at a wall from inside means the floor before it. */
  private Bodies.RayMet foot(Target.TargetSight sight, double depth) {
    Bodies.RayMet wall = wall(sight);
    if (wall == null) {
      return null;
    }
    Vec inward = faceOf(wall.body(), sight.along()).inward();
    Vec before = wall.point().along(inward, depth / 2 + Resting.CONTACT);
    return bodies.ray(before, Vec.DOWN, 1e4, this::mayCarry);
  }

  private Optional<Surface> below(Vec from) {
    Bodies.RayMet met = bodies.ray(from, Vec.DOWN, 1e4, this::mayCarry);
    return Optional.ofNullable(met).map(m -> new Surface(m.point(), m.body()));
  }

  /** The wall that is seen, only such as one looks at from inside; or null. */
  Bodies.RayMet wall(Target.TargetSight sight) {
    return bodies.ray(
        sight.from(),
        sight.along(),
        1e4,
        b -> PartName.is(b, PartKind.wall) && faceOf(b, sight.along()) != null);
  }

  /** The face of a wall or a partition that one looks at, or null. */
  Wall faceOf(Body body, Vec along) {
    return space.shell().faceSeen(PartName.of(body).id(), along);
  }
}
