package pied.core.solid;

import java.util.List;
import pied.core.Tolerance;

/**
 * How far one mesh can move in a direction until it touches another: the one question on which
 * settling, stopping, reach lines, butting and pushing out are built. Exact for triangle meshes.
 *
 * <p>What only slides past, sharing less than {@link #GRAZE} seen along the direction, is no
 * contact; neither is what touches at the start and moves apart. Two meshes that share more than
 * {@link #TOUCH} along the direction at the start overlap.
 */
public final class Travel {
  /** Sideways overlap that still counts as sliding past, metres: rounding of poses, no more. */
  public static final double GRAZE = Tolerance.FINE;

  /** Overlap along the direction that still counts as touching at the start, metres. */
  public static final double TOUCH = Tolerance.WIDE;

  /** No space is as wide as this, metres. */
  static final double FAR = 1e9;

  private Travel() {}

  /**
   * What a mesh meets on its way.
   *
   * @param distance metres it can move, 0 or more; infinite if it meets nothing within the limit
   * @param point where they touch then, in the frame of the space; null if they do not
   * @param normal of the touched surface there, against the direction; null likewise
   * @param overlapping the two overlap at the start; distance is then 0 and point and normal null
   */
  public record Stop(double distance, Vec point, Vec normal, boolean overlapping) {
    static final Stop NONE = new Stop(Double.POSITIVE_INFINITY, null, null, false);
    static final Stop OVERLAPPING = new Stop(0, null, null, true);

    public boolean meets() {
      return point != null;
    }
  }

  /**
   * How far a can move before it touches b.
   *
   * @param direction of length 1, in the frame of the space
   * @param limit contacts farther than this do not count, metres
   */
  public static Stop of(Mesh a, Pose pa, Mesh b, Pose pb, Vec direction, double limit) {
    return of(new Sweep(a, pa, direction), b, pb, limit);
  }

  static Stop of(Sweep a, Mesh b, Pose pb, double limit) {
    Forward walk = new Forward(a, b, pb, limit);
    walk.hinted();
    walk.run();
    if (walk.overlapping || contained(a.mesh, a.pose, b, pb)) {
      return Stop.OVERLAPPING;
    }
    return walk.stop(pb);
  }

  /**
   * How far a must move along the direction to be free of b, metres: 0 if it is free where it is.
   * The nearest free place counts, so a cup in a shelf board comes out above that board, not above
   * the shelf.
   */
  public static double toFree(Mesh a, Pose pa, Mesh b, Pose pb, Vec direction) {
    return toFree(a, pa, b, pb, direction, FAR);
  }

  /**
   * As {@link #toFree(Mesh, Pose, Mesh, Pose, Vec)}.
   *
   * @param limit what is farther than this is of no interest: then some distance beyond it
   */
  public static double toFree(Mesh a, Pose pa, Mesh b, Pose pb, Vec direction, double limit) {
    Body body = new Body("", b, pb);
    return WayOut.of(new Sweep(a, pa, direction), List.of(new Bodies.Ahead(body, 0, FAR)), limit);
  }

  /**
   * Whether one of the two, or a connected part of it, lies inside the other without crossing it.
   */
  static boolean contained(Mesh a, Pose pa, Mesh b, Pose pb) {
    return holds(b, pb, a, pa, a.representatives()) || holds(a, pa, b, pb, b.representatives());
  }

  /** Whether any corner of one lies inside the other; surfaces need not cross between corners. */
  static boolean sunk(Mesh a, Pose pa, Mesh b, Pose pb) {
    return holds(b, pb, a, pa, a.places()) || holds(a, pa, b, pb, b.places());
  }

  /** Whether a mesh has an inside at all: then another of it in the same place is sunk in it. */
  static boolean filled(Mesh mesh) {
    return mesh.isClosed() && mesh.insides().stream().anyMatch(p -> holds(mesh, p));
  }

  private static boolean holds(Mesh outer, Pose po, Mesh inner, Pose pi, int[] vertices) {
    if (!po.box(outer.box()).overlaps(pi.box(inner.box()), TOUCH) || !outer.isClosed()) {
      return false;
    }
    Pose rel = pi.within(po);
    double[] p = inner.xyz();
    Vec at = rel.at();
    for (int v : vertices) {
      double x = p[3 * v];
      double y = p[3 * v + 1];
      double z = p[3 * v + 2];
      double ox = rel.m00 * x + rel.m01 * y + rel.m02 * z + at.x();
      double oy = rel.m10 * x + rel.m11 * y + rel.m12 * z + at.y();
      double oz = rel.m20 * x + rel.m21 * y + rel.m22 * z + at.z();
      if (outer.mayHold(ox, oy, oz, TOUCH) && holds(outer, new Vec(ox, oy, oz))) {
        return true;
      }
    }
    // two that fill the very same place have all their corners on each other's surface
    for (Vec inside : inner.insides()) {
      if (holds(outer, rel.apply(inside))) {
        return true;
      }
    }
    return false;
  }

  private static boolean holds(Mesh outer, Vec p) {
    return outer.mayHold(p.x(), p.y(), p.z(), TOUCH)
        && outer.tree().winding(p) > 0
        && clear(outer, p);
  }

  /** A point on the surface is neither inside nor outside; only what is well inside counts. */
  private static boolean clear(Mesh outer, Vec p) {
    Mesh dot =
        Mesh.of(
            new double[] {
              p.x(),
              p.y(),
              p.z(),
              p.x() + Tolerance.SAME,
              p.y(),
              p.z(),
              p.x(),
              p.y(),
              p.z() + Tolerance.SAME
            },
            new int[] {0, 1, 2});
    return Nearness.distance(dot, Pose.HERE, outer, Pose.HERE, 2 * TOUCH) > TOUCH;
  }

  /** When the moving box first shares something with the resting one; infinite for never. */
  static double enters(double[] a, double[] b, double dx, double dy, double dz, double[] out) {
    double in = Double.NEGATIVE_INFINITY;
    double leave = Double.POSITIVE_INFINITY;
    for (int k = 0; k < 3; k++) {
      double d = k == 0 ? dx : k == 1 ? dy : dz;
      double lo = b[k] - a[k + 3];
      double hi = b[k + 3] - a[k];
      if (Math.abs(d) < Tolerance.NONE) {
        if (lo >= -GRAZE || hi <= GRAZE) {
          return Double.POSITIVE_INFINITY;
        }
      } else if (d > 0) {
        in = Math.max(in, lo / d);
        leave = Math.min(leave, hi / d);
      } else {
        in = Math.max(in, hi / d);
        leave = Math.min(leave, lo / d);
      }
    }
    out[0] = leave;
    return in <= leave + Tolerance.SAME ? in : Double.POSITIVE_INFINITY;
  }

  private static final class Forward extends SweepWalk {
    private static final int NONE = -1;

    double best = Double.POSITIVE_INFINITY;
    Vec axis;
    int triA = NONE;
    int triB = NONE;
    boolean overlapping;

    Forward(Sweep a, Mesh b, Pose pb, double limit) {
      super(a, b, pb, a.facing(b, pb), false);
      left = -TOUCH;
      bound = Math.min(limit, FAR);
    }

    @Override
    boolean triangles(int a, int b) {
      if (!pair.sweep(GRAZE, bound, left)) {
        return true;
      }
      double in = pair.in;
      if (in < -TOUCH) {
        overlapping = pair.out > TOUCH;
        return !overlapping;
      }
      if (in <= TOUCH) {
        boolean flat = pair.out - in < TOUCH;
        if (flat ? !pair.facesMeet() : pair.out <= TOUCH) {
          return true; // touching, and moving apart
        }
        in = Math.max(in, 0);
      }
      if (in <= bound) {
        best = in;
        bound = in - SAME; // of what is met at once one is enough
        axis = pair.axis();
        triA = a;
        triB = b;
      }
      return true;
    }

    Stop stop(Pose pb) {
      if (triA == NONE) {
        return Stop.NONE;
      }
      hint(triA, triB);
      cornersOfA(triA);
      cornersOfB(triB);
      for (int k = 2; k < 9; k += 3) {
        pair.a[k] += best;
      }
      pair.edges();
      pair.distance();
      double[] p = pair.nearest;
      Vec at = pb.at().plus(sweep.unseen(p[3], p[4], p[5]));
      return new Stop(best, at, sweep.unseen(axis.x(), axis.y(), axis.z()), false);
    }
  }
}
