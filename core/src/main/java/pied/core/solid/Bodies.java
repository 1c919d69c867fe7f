package pied.core.solid;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;

/** Everything solid in a space, with a tree over it. Immutable; safe for many threads. */
public final class Bodies {
  private final List<Body> bodies;
  private final BoxTree tree;

  public Bodies(List<Body> bodies) {
    this.bodies = List.copyOf(bodies);
    int n = this.bodies.size();
    float[] items = new float[6 * n];
    for (int i = 0; i < n; i++) {
      Box b = this.bodies.get(i).box();
      items[6 * i] = BoxTree.down(b.min().x());
      items[6 * i + 1] = BoxTree.down(b.min().y());
      items[6 * i + 2] = BoxTree.down(b.min().z());
      items[6 * i + 3] = BoxTree.up(b.max().x());
      items[6 * i + 4] = BoxTree.up(b.max().y());
      items[6 * i + 5] = BoxTree.up(b.max().z());
    }
    tree = n == 0 ? null : new BoxTree(items, n, 2);
  }

  public List<Body> all() {
    return bodies;
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
    double[] moving = corners(box);
    double[] leave = new double[1];
    record Candidate(Body body, double in) {}
    List<Candidate> candidates = new ArrayList<>();
    visit(
        node -> {
          double in =
              Travel.enters(moving, node, direction.x(), direction.y(), direction.z(), leave);
          return in <= far && leave[0] >= -Travel.TOUCH;
        },
        body -> {
          double in =
              Travel.enters(
                  moving, corners(body.box()), direction.x(), direction.y(), direction.z(), leave);
          if (in <= far && leave[0] >= -Travel.TOUCH && counts.test(body)) {
            candidates.add(new Candidate(body, in));
          }
        });
    candidates.sort(Comparator.comparingDouble(Candidate::in));
    for (Candidate c : candidates) {
      double reach = Math.min(far, best.stop().distance());
      if (c.in() > reach) {
        break;
      }
      Travel.Stop stop = Travel.of(mesh, pose, c.body().mesh(), c.body().pose(), direction, reach);
      if (stop.overlapping()) {
        return new Met(c.body(), stop);
      }
      if (stop.distance() < best.stop().distance()) {
        best = new Met(c.body(), stop);
      }
    }
    return best;
  }

  /** The bodies that count and share more than {@code depth} metres with the mesh. */
  public List<Body> overlapping(Mesh mesh, Pose pose, double depth, Predicate<Body> counts) {
    List<Body> found = new ArrayList<>();
    for (Body body : near(pose.box(mesh.box()))) {
      if (counts.test(body) && Nearness.overlap(mesh, pose, body.mesh(), body.pose(), depth)) {
        found.add(body);
      }
    }
    return found;
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
    double[] moving = corners(box);
    double[] leave = new double[1];
    List<Body> ahead = new ArrayList<>();
    visit(
        node ->
            Travel.enters(moving, node, direction.x(), direction.y(), direction.z(), leave) <= limit
                && leave[0] > 0,
        body -> {
          double in =
              Travel.enters(
                  moving, corners(body.box()), direction.x(), direction.y(), direction.z(), leave);
          if (in <= limit && leave[0] > 0 && counts.test(body)) {
            ahead.add(body);
          }
        });
    return Travel.toFree(mesh, pose, ahead, direction, limit);
  }

  /** What a ray meets first: the body, how far along, and the outward normal there. */
  public record RayMet(Body body, double distance, Vec point, Vec normal) {}

  /** The nearest body along a ray that counts, or null. */
  public RayMet ray(Vec from, Vec direction, double limit, Predicate<Body> counts) {
    MeshTree.RayHit hit = new MeshTree.RayHit();
    double[] best = {Math.min(limit, Travel.FAR)};
    RayMet[] met = new RayMet[1];
    double[] point = {from.x(), from.y(), from.z(), from.x(), from.y(), from.z()};
    double[] leave = new double[1];
    visit(
        node -> {
          double[] wide = node.clone();
          for (int k = 0; k < 3; k++) {
            wide[k] -= 1e-5;
            wide[k + 3] += 1e-5;
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
          if (body.mesh().tree().nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), best[0], hit)) {
            best[0] = hit.distance;
            int[] c = body.mesh().corners();
            Vec a = body.mesh().vertex(c[3 * hit.triangle]);
            Vec n =
                body.mesh()
                    .vertex(c[3 * hit.triangle + 1])
                    .minus(a)
                    .cross(body.mesh().vertex(c[3 * hit.triangle + 2]).minus(a));
            met[0] =
                new RayMet(
                    body,
                    hit.distance,
                    from.along(direction, hit.distance),
                    body.pose().direct(n.unit()));
          }
        });
    return met[0];
  }

  /** All bodies whose boxes share something with this one. */
  public List<Body> near(Box box) {
    double[] q = corners(box);
    List<Body> found = new ArrayList<>();
    visit(
        node ->
            node[0] <= q[3]
                && node[3] >= q[0]
                && node[1] <= q[4]
                && node[4] >= q[1]
                && node[2] <= q[5]
                && node[5] >= q[2],
        found::add);
    return found;
  }

  private static double[] corners(Box b) {
    return new double[] {
      b.min().x(), b.min().y(), b.min().z(), b.max().x(), b.max().y(), b.max().z()
    };
  }

  private void visit(Predicate<double[]> opens, java.util.function.Consumer<Body> at) {
    if (tree == null) {
      return;
    }
    int[] stack = new int[128];
    double[] node = new double[6];
    int top = 1;
    while (top > 0) {
      int n = stack[--top];
      for (int k = 0; k < 6; k++) {
        node[k] = tree.bounds[6 * n + k];
      }
      if (!opens.test(node)) {
        continue;
      }
      if (tree.count[n] == 0) {
        stack[top++] = tree.link[n];
        stack[top++] = tree.link[n] + 1;
      } else {
        int first = ~tree.link[n];
        for (int i = first; i < first + tree.count[n]; i++) {
          at.accept(bodies.get(tree.order[i]));
        }
      }
    }
  }
}
