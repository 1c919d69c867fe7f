package pied.core.tool.repeat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import pied.core.Tolerance;
import pied.core.space.Repetition;
import pied.core.space.Space;

/** Which of a mix comes next: by their shares, as evenly as it can be. */
public final class Mixed {
  public final List<Shape> shapes;
  private final double[] shares;
  private final int[] had;
  private int all;

  Mixed(Space space, Repetition r) {
    shapes = r.mix().stream().map(s -> new Shape(space, s)).toList();
    shares = r.mix().stream().mapToDouble(s -> s.share()).toArray();
    had = new int[shares.length];
    double sum = 0;
    for (double s : shares) {
      sum += s;
    }
    for (int i = 0; i < shares.length; i++) {
      shares[i] /= sum;
    }
  }

  /** The one that is the farthest behind its share. */
  public int next() {
    int best = 0;
    for (int i = 1; i < shares.length; i++) {
      if (behind(i) > behind(best) + Tolerance.NONE) {
        best = i;
      }
    }
    had[best]++;
    all++;
    return best;
  }

  private double behind(int i) {
    return shares[i] * (all + 1) - had[i];
  }

  /** The same for so many, in an order by chance. */
  public List<Integer> shuffled(int n, SplittableRandom random) {
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      order.add(next());
    }
    for (int i = n - 1; i > 0; i--) {
      int j = random.nextInt(i + 1);
      int k = order.get(i);
      order.set(i, order.get(j));
      order.set(j, k);
    }
    return order;
  }

  public int size() {
    return shares.length;
  }
}
