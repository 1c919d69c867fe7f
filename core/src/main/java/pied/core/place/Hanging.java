package pied.core.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import pied.core.Tolerance;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.size.Size;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/** Where what hangs goes up to: a bar, the tube of a truss, or the ceiling. */
final class Hanging {
  /** Kinds from which something may hang. */
  static final Set<String> RIGGED = Set.of("stage structure/truss", "stage structure/bars");

  /** Something that hangs goes to a bar no farther from it on the plan, metres. */
  private static final double NEAR_BAR = 0.25;

  private final Space space;
  private final Bodies bodies;
  private final Size size;
  private final Mesh mesh;
  private final Lean lean;
  private final Set<String> ignored;

  Hanging(Space space, Size size, Mesh mesh, Lean lean, Set<String> ignored) {
    this.space = space;
    this.bodies = space.bodies();
    this.size = size;
    this.mesh = mesh;
    this.lean = lean;
    this.ignored = ignored;
  }

  /**
   * The point of the plan that something that hangs is to hang over.
   *
   * @throws Refusal if there is nothing
   */
  Spot over(Target target) {
    if (!(target instanceof Target.TargetSight sight)) {
      return ((Target.OnPlan) target).spot();
    }
    Bodies.RayMet met =
        bodies.ray(
            sight.from(),
            sight.along(),
            1e4,
            b ->
                Surfaces.isFloor(b)
                    || PartName.is(b, PartKind.bar)
                    || space.has(b.id()) && !ignored.contains(b.id()));
    if (met == null) {
      throw new Refusal("Point at a place in the room; it goes up to the ceiling above that.");
    }
    return new Spot(met.point().x(), met.point().z());
  }

  /**
   * Hanging over a point of the plan: from the bar or the truss there, or else from the ceiling.
   *
   * @throws Refusal if it is too long, or there is none
   */
  Rest at(Spot spot, double turn) {
    if (!space.shell().holds(spot)) {
      throw new Refusal("There is no ceiling above that point; choose one inside the room.");
    }
    Bar bar = bar(spot);
    if (bar != null) {
      double under = bar.trim() - Bar.TUBE / 2 - size.height();
      if (under < 0) {
        throw new Refusal("It is longer than the {} hangs high.", bar.id());
      }
      Vec at = new Vec(spot.x(), under, bar.z());
      return new Rest(at, turn, On.bar(bar.id()), 0);
    }
    Rest chord = chord(spot, turn);
    if (chord != null) {
      return chord;
    }
    double y = space.shell().height() - size.height();
    if (y < 0) {
      throw new Refusal("It is longer than the room is high.");
    }
    return new Rest(spot.at(y), turn, On.CEILING, 0);
  }

  /**
   * How it hangs at a place, without moving it: from what is next above it, touching that or on
   * lines of its own.
   */
  Hung under(Pose pose) {
    Bodies.Met met =
        bodies.travel(
            mesh,
            pose,
            Vec.UP,
            1e4,
            b -> PartName.is(b, PartKind.ceiling, PartKind.bar) || mayHold(b));
    if (!met.stop().meets()) {
      return Hung.NOWHERE;
    }
    PartName part = PartName.of(met.body());
    On from = part == null ? On.piece(met.body().id()) : part.carrier();
    double below = met.stop().distance();
    return new Hung(from, below > Resting.CONTACT ? below : 0);
  }

  /** Whether something may be hung from a piece: what is rigged on a stage. */
  boolean mayHold(Body body) {
    return space.has(body.id())
        && !ignored.contains(body.id())
        && RIGGED.contains(space.article(space.piece(body.id())).kind());
  }

  /** Under the nearest tube of what is rigged over a point of the plan, or null. */
  private Rest chord(Spot spot, double turn) {
    Bodies.RayMet met =
        bodies.ray(spot.at(Tolerance.NEAR), Vec.UP, space.shell().height(), this::mayHold);
    Rest best = null;
    double nearest = NEAR_BAR;
    for (Body body : met != null ? List.of(met.body()) : rigged(spot)) {
      for (Vec tube : tubes(body, spot)) {
        Vec low = new Vec(tube.x(), body.box().min().y() - size.height() - 0.05, tube.z());
        Bodies.Met up =
            bodies.travel(mesh, Stance.pose(low, turn, lean), Vec.UP, 2, b -> b == body);
        double off = Math.hypot(tube.x() - spot.x(), tube.z() - spot.z());
        if (up.stop().meets() && off < nearest) {
          nearest = off;
          best = new Rest(low.along(Vec.UP, up.stop().distance()), turn, On.piece(body.id()), 0);
        }
      }
    }
    return best != null && best.at().y() >= 0 ? best : null;
  }

  private List<Body> rigged(Spot spot) {
    Vec reach = new Vec(NEAR_BAR, 0, NEAR_BAR);
    Box column = new Box(spot.at(0.5).minus(reach), spot.at(space.shell().height()).plus(reach));
    return bodies.near(column).stream().filter(this::mayHold).toList();
  }

  /**
   * Where on the plan the long tubes of a rigged piece run by a point: at its edges and its middle.
   */
  private List<Vec> tubes(Body body, Spot spot) {
    Piece p = space.piece(body.id());
    Vec own = body.pose().unapply(spot.at(0));
    boolean lengthwise = p.size().width() >= p.size().depth();
    double half = (lengthwise ? p.size().depth() : p.size().width()) / 2;
    List<Vec> all = new ArrayList<>();
    for (double side : new double[] {0, half - Bar.TUBE / 2, Bar.TUBE / 2 - half}) {
      all.add(
          body.pose().apply(lengthwise ? new Vec(own.x(), 0, side) : new Vec(side, 0, own.z())));
    }
    return all;
  }

  /** The bar one points at: the nearest within a hand's breadth on the plan, or null. */
  private Bar bar(Spot spot) {
    return space.shell().bars().stream()
        .filter(
            b ->
                Math.abs(spot.z() - b.z()) < NEAR_BAR
                    && Math.abs(spot.x() - b.x()) <= b.length() / 2)
        .min(Comparator.comparingDouble(b -> Math.abs(spot.z() - b.z())))
        .orElse(null);
  }
}
