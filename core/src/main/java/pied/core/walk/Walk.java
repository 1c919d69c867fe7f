package pied.core.walk;

import java.util.function.Predicate;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Bodies.RayMet;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.MeshMaker;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.space.Spot;

/**
 * Somebody who walks: the feet stay on what there is to walk on, a body of eight sides stops at
 * what it meets and slides along it, and nobody goes over an edge that is higher than a step. Doors
 * open before whoever walks. It costs a ray and a look for contact every {@link #PACE}.
 */
public final class Walk {
  /** Highest step, up or down, metres: that of stairs, and a little. */
  public static final double STEP = 0.22;

  /** Half as wide as somebody with their elbows in, metres. */
  static final double RADIUS = 0.2;

  /** As tall as somebody, metres. */
  private static final double TALL = 1.75;

  /** Farthest at once, metres. */
  private static final double FARTHEST = 10;

  private static final double PACE = 0.05;

  /** What is looked for around where one cannot stand, metres. */
  private static final double AROUND = 3;

  /** Ways to slide where it does not go straight on, degrees. */
  private static final int[] SLIDES = {25, -25, 50, -50, 75, -75};

  private static final Mesh BODY = body();

  private final Space space;

  public Walk(Space space) {
    this.space = space;
  }

  /** A prism of eight sides, from a step above the ground to the head. */
  private static Mesh body() {
    MeshMaker maker = new MeshMaker();
    int[] foot = new int[8];
    int[] head = new int[8];
    for (int i = 0; i < 8; i++) {
      double a = Math.PI * (i + 0.5) / 4;
      foot[i] = maker.point(RADIUS * Math.sin(a), STEP, RADIUS * Math.cos(a));
      head[i] = maker.point(RADIUS * Math.sin(a), TALL, RADIUS * Math.cos(a));
    }
    for (int i = 0; i < 8; i++) {
      int j = (i + 1) % 8;
      maker.triangle(foot[i], foot[j], head[j]);
      maker.triangle(foot[i], head[j], head[i]);
      if (i > 1) {
        maker.triangle(head[0], head[i - 1], head[i]);
        maker.triangle(foot[0], foot[i], foot[i - 1]);
      }
    }
    return maker.mesh("body");
  }

  /** Doors open, and what is hidden is not met. */
  private Predicate<Body> counts() {
    return b -> space.seen(b) && !PartName.is(b, PartKind.opening);
  }

  /** Whether somebody can be there without being in anything. */
  public boolean isFree(Vec feet) {
    return space.bodies().anyOverlapped(BODY, Pose.of(feet, 0), Tolerance.NEAR, counts()) == null;
  }

  /**
   * The ground at a point of the plan, no more than a step above or below a height; null for none.
   */
  private @Nullable Vec ground(double x, double y, double z) {
    Vec from = new Vec(x, y + STEP + Tolerance.NEAR, z);
    double reach = 2 * (STEP + Tolerance.NEAR);
    RayMet met = space.bodies().ray(from, new Vec(0, -1, 0), reach, counts());
    return met == null ? null : new Vec(x, met.point().y(), z);
  }

  /**
   * Where one stands who wants to stand at a point of the plan: there, on what is highest, or the
   * nearest place around where there is room; null if there is none.
   */
  public @Nullable Vec stand(double x, double z) {
    for (double out = 0; out <= AROUND; out += 0.15) {
      int n = out == 0 ? 1 : (int) Math.ceil(2 * Math.PI * out / 0.2);
      for (int i = 0; i < n; i++) {
        double a = 2 * Math.PI * i / n;
        Vec feet = top(x + out * Math.sin(a), z + out * Math.cos(a));
        if (feet != null && isFree(feet)) {
          return feet;
        }
      }
    }
    return null;
  }

  /** The floor of the shell there, not what stands on it. */
  private @Nullable Vec top(double x, double z) {
    double y = space.shell().floorAt(new Spot(x, z));
    return Double.isNaN(y) ? null : new Vec(x, y, z);
  }

  /**
   * Where one comes to.
   *
   * @param feet where one stands
   * @param by a way on the plan, metres
   */
  public Vec go(Vec feet, Vec by) {
    double far = Math.min(FARTHEST, Math.hypot(by.x(), by.z()));
    if (far < Tolerance.NEAR) {
      return feet;
    }
    Vec way = new Vec(by.x(), 0, by.z()).unit();
    int paces = (int) Math.ceil(far / PACE);
    Vec at = feet;
    for (int i = 0; i < paces; i++) {
      Vec next = pace(at, way.times(far / paces));
      if (next == null) {
        return at;
      }
      at = next;
    }
    return at;
  }

  /** A pace straight on, or else along what is in the way; null where there is none. */
  private @Nullable Vec pace(Vec at, Vec by) {
    Vec next = to(at, by);
    for (int i = 0; next == null && i < SLIDES.length; i++) {
      double a = Math.toRadians(SLIDES[i]);
      double share = Math.cos(a);
      next =
          to(
              at,
              new Vec(
                  share * (by.x() * Math.cos(a) + by.z() * Math.sin(a)),
                  0,
                  share * (by.z() * Math.cos(a) - by.x() * Math.sin(a))));
    }
    return next;
  }

  private @Nullable Vec to(Vec at, Vec by) {
    Vec feet = ground(at.x() + by.x(), at.y(), at.z() + by.z());
    return feet != null && isFree(feet) ? feet : null;
  }
}
