package pied.core.still;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import pied.core.Tolerance;

/**
 * All lamps of a space, from which one is picked for a point: first some that are together, by what
 * they might throw on it together, then one of them by what it throws on it, were nothing between.
 * What is picked costs little, however many there are.
 */
final class Emitters {
  private static final int TOGETHER = 16;

  private final List<Emitter[]> groups = new ArrayList<>();
  private final List<double[]> balls = new ArrayList<>();
  private final List<Emitter> all;

  /** Scratch of who picks, one a thread. */
  static final class Picking {
    private double[] ofGroups = new double[4];
    private final double[] ofOne = new double[TOGETHER];
    private final double[] way = new double[3];
    private double sum;

    /** How likely the one is that was picked last. */
    double likely;
  }

  Emitters(List<Emitter> all) {
    this.all = List.copyOf(all);
    gather(new ArrayList<>(all));
  }

  List<Emitter> all() {
    return all;
  }

  /** Halves them where they are farthest apart until few are left. */
  private void gather(List<Emitter> some) {
    if (some.isEmpty()) {
      return;
    }
    if (some.size() > TOGETHER) {
      int axis = longest(some);
      some.sort(Comparator.comparingDouble(e -> e.at[axis]));
      int half = some.size() / 2;
      gather(new ArrayList<>(some.subList(0, half)));
      gather(new ArrayList<>(some.subList(half, some.size())));
      return;
    }
    double[] ball = new double[5];
    for (Emitter e : some) {
      for (int k = 0; k < 3; k++) {
        ball[k] += e.at[k] / some.size();
      }
      ball[4] += e.most;
    }
    for (Emitter e : some) {
      ball[3] = Math.max(ball[3], square(e.at, ball));
    }
    groups.add(some.toArray(Emitter[]::new));
    balls.add(ball);
  }

  private static int longest(List<Emitter> some) {
    int axis = 0;
    double most = -1;
    for (int k = 0; k < 3; k++) {
      int a = k;
      double lo = some.stream().mapToDouble(e -> e.at[a]).min().orElse(0);
      double hi = some.stream().mapToDouble(e -> e.at[a]).max().orElse(0);
      if (hi - lo > most) {
        most = hi - lo;
        axis = k;
      }
    }
    return axis;
  }

  private static double square(double[] a, double[] b) {
    double x = a[0] - b[0];
    double y = a[1] - b[1];
    double z = a[2] - b[2];
    return x * x + y * y + z * z;
  }

  /**
   * Picks one for a point.
   *
   * @param u 0 up to 1
   * @return null if there is none
   */
  Emitter pick(double[] point, double u, Picking p) {
    if (groups.isEmpty()) {
      return null;
    }
    double rest = u * weigh(point, p);
    int g = 0;
    while (g < groups.size() - 1 && rest >= p.ofGroups[g]) {
      rest -= p.ofGroups[g++];
    }
    Emitter[] some = groups.get(g);
    double sum = weigh(point, some, p);
    double left = Math.min(1, rest / p.ofGroups[g]) * sum;
    int i = 0;
    while (i < some.length - 1 && left >= p.ofOne[i]) {
      left -= p.ofOne[i++];
    }
    p.likely = p.ofGroups[g] / p.sum * p.ofOne[i] / sum;
    return some[i];
  }

  /** How likely one would be picked for a point. */
  double likely(double[] point, Emitter e, Picking p) {
    weigh(point, p);
    for (int g = 0; g < groups.size(); g++) {
      int i = Arrays.asList(groups.get(g)).indexOf(e);
      if (i >= 0) {
        double sum = weigh(point, groups.get(g), p);
        return p.ofGroups[g] / p.sum * p.ofOne[i] / sum;
      }
    }
    return 0;
  }

  private double weigh(double[] point, Picking p) {
    if (p.ofGroups.length < groups.size()) {
      p.ofGroups = new double[groups.size()];
    }
    p.sum = 0;
    for (int g = 0; g < groups.size(); g++) {
      double[] ball = balls.get(g);
      p.ofGroups[g] = ball[4] / Math.max(square(point, ball), Math.max(ball[3], Tolerance.HAIR));
      p.sum += p.ofGroups[g];
    }
    return p.sum;
  }

  private static double weigh(double[] point, Emitter[] some, Picking p) {
    double sum = 0;
    for (int i = 0; i < some.length; i++) {
      p.ofOne[i] = some[i].reach(point, p.way);
      sum += p.ofOne[i];
    }
    return sum;
  }
}
