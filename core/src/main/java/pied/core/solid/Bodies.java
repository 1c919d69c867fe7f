package pied.core.solid;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import pied.core.Tolerance;

/**
 * Everything solid in a space, with a tree over it. Immutable; safe for many threads. Another with
 * a few bodies taken out and put in costs as much as they are; what is asked is answered the same,
 * whatever way it came about.
 */
public final class Bodies {
  private static final Comparator<Body> BY_ID = Comparator.comparing(Body::id);

  private static final Comparator<Ahead> NEAREST =
      Comparator.comparingDouble(Ahead::in).thenComparing(a -> a.body().id());

  private final BodyTree tree;

  public Bodies(List<Body> bodies) {
    this(BodyTree.of(bodies));
  }

  private Bodies(BodyTree tree) {
    this.tree = tree;
  }

  /** All bodies, by their ids. */
  public List<Body> all() {
    List<Body> all = new ArrayList<>();
    tree.visit(node -> true, all::add);
    all.sort(BY_ID);
    return all;
  }

  public int size() {
    return tree.size();
  }

  /** The body of this id, or null. */
  public Body body(String id) {
    return tree.body(id);
  }

  /** With some taken out, by id, and then others put in, in place of those of the same id. */
  public Bodies with(Collection<String> out, Collection<Body> in) {
    return new Bodies(tree.with(out, in));
  }

  /** What a moving mesh meets first: the body (null if none), and how. */
  public record Met(Body body, Travel.Stop stop) {}

  /**
   * How far a mesh can move before it touches any body that counts. A body that overlaps it at the
   * start is answered at once, at distance 0.
   *
   * @param direction of length 1
   * @param limit metres
   */
  public Met travel(Mesh mesh, Pose pose, Vec direction, double limit, Predicate<Body> counts) {
    double far = Math.min(limit, Travel.FAR);
    Met best = new Met(null, Travel.Stop.NONE);
    Box box = pose.box(mesh.box());
    Sweep sweep = new Sweep(mesh, pose, direction);
    for (Ahead c : ahead(box, direction, far, -Travel.TOUCH, counts)) {
      double reach = Math.min(far, best.stop().distance());
      if (c.in() > reach) {
        break;
      }
      Travel.Stop stop = Travel.of(sweep, c.body().mesh(), c.body().pose(), reach);
      if (stop.overlapping()) {
        return new Met(c.body(), stop);
      }
      if (stop.distance() < best.stop().distance()) {
        best = new Met(c.body(), stop);
      }
    }
    return best;
  }

  /** The bodies that count and share more than {@code depth} metres with the mesh, by their ids. */
  public List<Body> overlapping(Mesh mesh, Pose pose, double depth, Predicate<Body> counts) {
    return crossed(mesh, pose, depth, counts).toList();
  }

  /**
   * Some of these, by their ids: all, if there are no more than so many.
   *
   * @param most after so many no others are looked for
   */
  public List<Body> someOverlapping(
      Mesh mesh, Pose pose, double depth, Predicate<Body> counts, int most) {
    List<Body> found = new ArrayList<>();
    any(
        pose.box(mesh.box()),
        b -> {
          if (counts.test(b) && Nearness.overlap(mesh, pose, b.mesh(), b.pose(), depth)) {
            found.add(b);
          }
          return found.size() >= most;
        });
    found.sort(BY_ID);
    return found;
  }

  /** The first of these by its id, or null. */
  public Body overlapped(Mesh mesh, Pose pose, double depth, Predicate<Body> counts) {
    return crossed(mesh, pose, depth, counts).findFirst().orElse(null);
  }

  /** Any of these, or null: the nearest are looked at first, since they are the likeliest. */
  public Body anyOverlapped(Mesh mesh, Pose pose, double depth, Predicate<Body> counts) {
    Vec middle = pose.box(mesh.box()).centre();
    return near(pose.box(mesh.box())).stream()
        .filter(counts)
        .sorted(Comparator.comparingDouble(b -> b.box().centre().distance(middle)))
        .filter(b -> Nearness.overlap(mesh, pose, b.mesh(), b.pose(), depth))
        .findFirst()
        .orElse(null);
  }

  private Stream<Body> crossed(Mesh mesh, Pose pose, double depth, Predicate<Body> counts) {
    return near(pose.box(mesh.box())).stream()
        .filter(counts)
        .filter(b -> Nearness.overlap(mesh, pose, b.mesh(), b.pose(), depth));
  }

  /**
   * How far a mesh must move along the direction to be free of every body that counts, metres; 0 if
   * it is free.
   */
  public double toFree(Mesh mesh, Pose pose, Vec direction, Predicate<Body> counts) {
    return toFree(mesh, pose, direction, counts, Travel.FAR);
  }

  /**
   * As {@link #toFree(Mesh, Pose, Vec, Predicate)}.
   *
   * @param limit what is farther than this is of no interest: then some distance beyond it, metres
   */
  public double toFree(Mesh mesh, Pose pose, Vec direction, Predicate<Body> counts, double limit) {
    Box box = pose.box(mesh.box());
    List<Ahead> ahead = ahead(box, direction, limit, Double.MIN_VALUE, counts);
    return WayOut.of(new Sweep(mesh, pose, direction), ahead, limit);
  }

  /**
   * How far a box must move along the direction until it shares nothing with the box of any body
   * that counts, metres: about what the mesh in it would have to, and quickly found.
   */
  public double clear(Box box, Vec direction, Predicate<Body> counts, double limit) {
    double at = 0;
    for (Ahead a : ahead(box, direction, limit, Double.MIN_VALUE, counts)) {
      if (a.in > at) {
        break;
      }
      at = Math.max(at, a.out);
    }
    return at;
  }

  /**
   * A body on the way of a box.
   *
   * @param in how far one can go at least before one shares anything with it, metres
   * @param out where one is clear of its box again, metres
   */
  record Ahead(Body body, double in, double out) {}

  /**
   * The bodies that count whose boxes a moving box comes to, the nearest first.
   *
   * @param limit metres; what is come to later is left out
   * @param least metres; what is left behind before that is left out
   */
  private List<Ahead> ahead(
      Box box, Vec direction, double limit, double least, Predicate<Body> counts) {
    double[] moving = corners(box);
    double[] leave = new double[1];
    double[] entered = new double[1];
    List<Ahead> all = new ArrayList<>();
    tree.visit(
        node -> {
          entered[0] =
              Travel.enters(moving, node, direction.x(), direction.y(), direction.z(), leave);
          return entered[0] <= limit && leave[0] >= least;
        },
        body -> {
          if (counts.test(body)) {
            all.add(new Ahead(body, entered[0], leave[0]));
          }
        });
    all.sort(NEAREST);
    return all;
  }

  /** What a ray meets first: the body, how far along, and the outward normal there. */
  public record RayMet(Body body, double distance, Vec point, Vec normal, int triangle) {}

  /** The nearest body along a ray that counts, or null. */
  public RayMet ray(Vec from, Vec direction, double limit, Predicate<Body> counts) {
    MeshTree.RayHit hit = new MeshTree.RayHit();
    double[] best = {Math.min(limit, Travel.FAR)};
    RayMet[] met = new RayMet[1];
    double[] point = {from.x(), from.y(), from.z(), from.x(), from.y(), from.z()};
    double[] leave = new double[1];
    double[] wide = new double[6];
    tree.visit(
        node -> {
          for (int k = 0; k < 3; k++) {
            wide[k] = node[k] - Tolerance.WIDE;
            wide[k + 3] = node[k + 3] + Tolerance.WIDE;
          }
          double in =
              Travel.enters(point, wide, direction.x(), direction.y(), direction.z(), leave);
          return in <= best[0] && leave[0] >= 0;
        },
        body -> {
          if (!counts.test(body)) {
            return;
          }
          Vec o = body.pose().unapply(from);
          Vec d = body.pose().undirect(direction);
          // one as near as the best is found too, and the first by its id is taken
          double within = Math.nextUp(best[0]);
          boolean hits =
              body.mesh().tree().nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), within, hit);
          boolean tie = hits && met[0] != null && hit.distance == best[0];
          if (hits && !(tie && met[0].body().id().compareTo(body.id()) < 0)) {
            best[0] = hit.distance;
            Vec at = from.along(direction, hit.distance);
            Vec normal = body.pose().direct(normal(body, hit));
            met[0] = new RayMet(body, hit.distance, at, normal, hit.triangle);
          }
        });
    return met[0];
  }

  /** Of the triangle that was hit, in the directions of its mesh. */
  private static Vec normal(Body body, MeshTree.RayHit hit) {
    Mesh m = body.mesh();
    int[] c = m.corners();
    Vec a = m.vertex(c[3 * hit.triangle]);
    Vec along = m.vertex(c[3 * hit.triangle + 1]).minus(a);
    return along.cross(m.vertex(c[3 * hit.triangle + 2]).minus(a)).unit();
  }

  /** All bodies whose boxes share something with this one, by their ids. */
  public List<Body> near(Box box) {
    double[] q = corners(box);
    List<Body> found = new ArrayList<>();
    tree.visit(node -> shares(node, q), found::add);
    found.sort(BY_ID);
    return found;
  }

  /** Whether the box of any body that counts shares something with this one. */
  public boolean any(Box box, Predicate<Body> counts) {
    double[] q = corners(box);
    boolean[] found = {false};
    tree.visit(node -> !found[0] && shares(node, q), body -> found[0] = counts.test(body));
    return found[0];
  }

  private static boolean shares(double[] a, double[] b) {
    return a[0] <= b[3]
        && a[3] >= b[0]
        && a[1] <= b[4]
        && a[4] >= b[1]
        && a[2] <= b[5]
        && a[5] >= b[2];
  }

  static double[] corners(Box b) {
    return new double[] {
      b.min().x(), b.min().y(), b.min().z(), b.max().x(), b.max().y(), b.max().z()
    };
  }
}
