package pied.core.lighting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pied.core.light.Beam;
import pied.core.light.LinearColour;
import pied.core.solid.Vec;

/**
 * Many sources as few, for who draws them: the strongest as they are, of the others always the two
 * that lie nearest to one another as one between them, as strong as both. Whatever there are, light
 * is neither lost nor won. Quadratic in the number of those that are joined, of which there are 256
 * at most: of more, every so many next to one another count as one first.
 */
public final class FewSources {
  private static final int MOST_JOINED = 256;

  private FewSources() {}

  /**
   * @param most at least 1
   */
  public static List<LampSource> of(List<LampSource> all, int most) {
    if (all.size() <= most) {
      return all;
    }
    List<LampSource> sorted = new ArrayList<>(all);
    sorted.sort(
        Comparator.comparingDouble((LampSource s) -> -s.leaving())
            .thenComparing(LampSource::piece));
    int own = most / 2;
    List<LampSource> few = new ArrayList<>(sorted.subList(0, own));
    List<LampSource> rest = new ArrayList<>(sorted.subList(own, sorted.size()));
    if (rest.size() > MOST_JOINED) {
      rest.sort(Comparator.comparingDouble((LampSource s) -> s.at().x() + 2 * s.at().z()));
      List<LampSource> fewer = new ArrayList<>();
      for (int i = 0; i < MOST_JOINED; i++) {
        rest.subList(i * rest.size() / MOST_JOINED, (i + 1) * rest.size() / MOST_JOINED).stream()
            .reduce(FewSources::joined)
            .ifPresent(fewer::add);
      }
      rest = fewer;
    }
    while (rest.size() > most - own) {
      joinNearest(rest);
    }
    few.addAll(rest);
    return few;
  }

  private static void joinNearest(List<LampSource> rest) {
    int a = 0;
    int b = 1;
    double best = Double.POSITIVE_INFINITY;
    for (int i = 0; i < rest.size(); i++) {
      for (int j = i + 1; j < rest.size(); j++) {
        double d = rest.get(i).at().distance(rest.get(j).at());
        if (d < best) {
          best = d;
          a = i;
          b = j;
        }
      }
    }
    LampSource other = rest.remove(b);
    rest.set(a, joined(rest.get(a), other));
  }

  /** Two as one: it shines as both do where they shine alike, and else all round. */
  static LampSource joined(LampSource a, LampSource b) {
    double sum = a.leaving() + b.leaving();
    double share = sum > 0 ? a.leaving() / sum : 0.5;
    Vec at = a.at().times(share).plus(b.at().times(1 - share));
    Vec way = a.way().times(share).plus(b.way().times(1 - share));
    boolean alike = a.beam().equals(b.beam()) && way.length() > 0.9;
    LinearColour colour =
        new LinearColour(
            a.colour().red() * share + b.colour().red() * (1 - share),
            a.colour().green() * share + b.colour().green() * (1 - share),
            a.colour().blue() * share + b.colour().blue() * (1 - share));
    return new LampSource(
        a.piece(), at, alike ? way.unit() : a.way(), alike ? a.beam() : Beam.ROUND, sum, colour);
  }
}
