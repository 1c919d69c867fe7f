package pied.core.catalog;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pied.core.Refusal;
import pied.core.size.Size;

/**
 * What sizes an article comes in, each direction free between limits.
 *
 * @param tied directions that are always the same as each other, such as width and depth of what is
 *     round
 */
public record Sizing(Range width, Range depth, Range height, Set<String> tied) {
  /** From least to most, metres. */
  public record Range(double least, double most) {
    boolean holds(double v) {
      return v >= least - 1e-9 && v <= most + 1e-9;
    }
  }

  /**
   * Whether the article can be made this size.
   *
   * @throws Refusal if not, with the limits
   */
  public void check(String article, Size size) {
    List<String> wrong = new ArrayList<>();
    check(wrong, "wide", size.width(), width);
    check(wrong, "deep", size.depth(), depth);
    check(wrong, "high", size.height(), height);
    if (!wrong.isEmpty()) {
      throw new Refusal(article + " comes " + String.join(" and ", wrong) + ".");
    }
  }

  private static void check(List<String> wrong, String word, double v, Range range) {
    if (!(v > 0)) {
      throw new Refusal(
          "A size must be more than zero; " + text(v) + " m " + word + " was asked for.");
    }
    if (!range.holds(v)) {
      wrong.add(text(range.least) + " to " + text(range.most) + " m " + word + ", not " + text(v));
    }
  }

  private static String text(double v) {
    return String.format(java.util.Locale.ROOT, Math.abs(v) < 0.3 ? "%.3f" : "%.2f", v);
  }
}
