package pied.core.solid;

/** How near two meshes are, and whether they overlap. */
public final class Nearness {
  private Nearness() {}

  /**
   * The shortest distance between the surfaces of two meshes, metres; 0 where they cross or touch.
   *
   * @param limit distances beyond this are answered as infinite
   */
  public static double distance(Mesh a, Pose pa, Mesh b, Pose pb, double limit) {
    Nearest walk = new Nearest(a, pa, b, pb, limit);
    walk.run();
    return walk.found ? walk.best : Double.POSITIVE_INFINITY;
  }

  /**
   * Whether two meshes share space: their surfaces cross by more than {@code depth} metres, or one
   * lies inside the other.
   */
  public static boolean overlap(Mesh a, Pose pa, Mesh b, Pose pb, double depth) {
    if (!pa.box(a.box()).overlaps(pb.box(b.box()), depth)) {
      return false;
    }
    // of two alike in one place no surface crosses another: every pair of triangles would be tried
    if (a == b && pa.equals(pb) && Travel.filled(a)) {
      return true;
    }
    Crossing walk = new Crossing(a, pa, b, pb, depth);
    walk.run();
    return walk.found || Travel.sunk(a, pa, b, pb);
  }

  private static double gap(double[] a, double[] b, int k) {
    return Math.max(0, Math.max(b[k] - a[k + 3], a[k] - b[k + 3]));
  }

  private static final class Nearest extends PairWalk {
    double best;
    boolean found;

    Nearest(Mesh a, Pose pa, Mesh b, Pose pb, double limit) {
      super(a, pa, b, pb);
      best = limit;
    }

    @Override
    double key(double[] a, double[] b) {
      double x = gap(a, b, 0);
      double y = gap(a, b, 1);
      double z = gap(a, b, 2);
      return Math.sqrt(x * x + y * y + z * z);
    }

    @Override
    double bound() {
      return best;
    }

    @Override
    boolean triangles(int a, int b) {
      double d = pair.distance();
      if (d <= best) {
        best = d;
        found = true;
      }
      return best > 0;
    }
  }

  private static final class Crossing extends PairWalk {
    final double depth;
    boolean found;

    Crossing(Mesh a, Pose pa, Mesh b, Pose pb, double depth) {
      super(a, pa, b, pb);
      this.depth = depth;
    }

    @Override
    double key(double[] a, double[] b) {
      for (int k = 0; k < 3; k++) {
        if (b[k] >= a[k + 3] || a[k] >= b[k + 3]) {
          return Double.POSITIVE_INFINITY;
        }
      }
      return 0;
    }

    @Override
    double bound() {
      return 1;
    }

    @Override
    boolean triangles(int a, int b) {
      found = pair.depth() > depth;
      return !found;
    }
  }
}
