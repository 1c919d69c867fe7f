package pied.core.still;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pied.core.space.Spot;

/**
 * A line of equal lux on plan: marching squares (Lorensen and Cline 1987, in two dimensions),
 * joined into runs. Within a cell light changes evenly from corner to corner.
 *
 * @param runs its pieces; one that comes back to its beginning ends with that
 */
public record LuxLine(double lux, List<List<Spot>> runs) {
  /** Steps that are easily told apart, for one power of ten. */
  private static final double[] STEPS = {1, 1.5, 2, 3, 5, 7.5};

  private static final int MOST = 8;
  private static final int NONE = -1;

  /** The lines of a field: of round values between its least and its most, some eight at most. */
  public static List<LuxLine> of(LuxField field) {
    List<LuxLine> all = new ArrayList<>();
    for (double lux : values(field.least(), field.most())) {
      List<List<Spot>> runs = new LuxRuns(field, lux).runs();
      if (!runs.isEmpty()) {
        all.add(new LuxLine(lux, runs));
      }
    }
    return all;
  }

  /** Round values between two; where there are too many every other one is left out. */
  static List<Double> values(double least, double most) {
    List<Double> all = new ArrayList<>();
    for (double ten = 0.1; ten <= 1e5; ten *= 10) {
      for (double step : STEPS) {
        double v = Math.round(step * ten * 1000) / 1000.0;
        if (v > least && v < most) {
          all.add(v);
        }
      }
    }
    while (all.size() > MOST) {
      List<Double> fewer = new ArrayList<>();
      for (int i = (all.size() - 1) % 2; i < all.size(); i += 2) {
        fewer.add(all.get(i)); // the brightest stays
      }
      all = fewer;
    }
    return all;
  }

  /**
   * One line's way through the cells. Its points lie on the edges of cells, each known by a number.
   */
  private static final class LuxRuns {
    private final LuxField field;
    private final double lux;
    private final Map<Integer, int[]> next = new HashMap<>();

    LuxRuns(LuxField field, double lux) {
      this.field = field;
      this.lux = lux;
      for (int z = 0; z + 1 < field.high(); z++) {
        for (int x = 0; x + 1 < field.wide(); x++) {
          cell(x, z);
        }
      }
    }

    /** The edge from a point to the next of its row, or to that of the next row. */
    private int edge(int x, int z, boolean down) {
      return 2 * (z * field.wide() + x) + (down ? 1 : 0);
    }

    private void cell(int x, int z) {
      double a = field.at(x, z);
      double b = field.at(x + 1, z);
      double c = field.at(x + 1, z + 1);
      double d = field.at(x, z + 1);
      double mean = (a + b + c + d) / 4;
      if (Double.isNaN(mean)) {
        return;
      }
      int[] edges = {
        edge(x, z, false), edge(x + 1, z, true), edge(x, z + 1, false), edge(x, z, true)
      };
      boolean[] crossed = {over(a, b), over(b, c), over(d, c), over(a, d)};
      int n = 0;
      int[] on = new int[4];
      for (int k = 0; k < 4; k++) {
        if (crossed[k]) {
          on[n++] = edges[k];
        }
      }
      if (n == 2) {
        join(on[0], on[1]);
      } else if (n == 4) { // a saddle: what is as its middle hangs together
        boolean likeA = mean >= lux == a >= lux;
        join(edges[0], edges[likeA ? 1 : 3]);
        join(edges[2], edges[likeA ? 3 : 1]);
      }
    }

    private boolean over(double a, double b) {
      return a >= lux != b >= lux;
    }

    private void join(int a, int b) {
      put(a, b);
      put(b, a);
    }

    private void put(int a, int b) {
      int[] n = next.computeIfAbsent(a, k -> new int[] {NONE, NONE});
      n[n[0] == NONE ? 0 : 1] = b;
    }

    /** First those that end somewhere, then those that come back. */
    List<List<Spot>> runs() {
      List<List<Spot>> all = new ArrayList<>();
      int[] edges = next.keySet().stream().mapToInt(Integer::intValue).sorted().toArray();
      for (int ends = 1; ends >= 0; ends--) {
        for (int e : edges) {
          int[] n = next.get(e);
          if (n != null && (ends == 0 || n[1] == NONE)) {
            all.add(run(e));
          }
        }
      }
      return all;
    }

    private List<Spot> run(int from) {
      List<Spot> run = new ArrayList<>();
      int before = NONE;
      int at = from;
      while (at != NONE) {
        run.add(spot(at));
        int[] n = next.remove(at);
        if (n == null) {
          return run; // it has come back
        }
        int to = Arrays.stream(n).filter(k -> k != NONE).findFirst().orElse(NONE);
        to = to == before ? n[1] : to;
        before = at;
        at = to;
      }
      return run;
    }

    private Spot spot(int edge) {
      int x = edge / 2 % field.wide();
      int z = edge / 2 / field.wide();
      boolean down = edge % 2 == 1;
      double a = field.at(x, z);
      double b = down ? field.at(x, z + 1) : field.at(x + 1, z);
      double t = (lux - a) / (b - a);
      return down ? field.spot(x, z + t) : field.spot(x + t, z);
    }
  }
}
