package pied.core.catalog;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import pied.core.Refusal;
import pied.core.size.Size;
import pied.core.units.Said;

/**
 * What sizes an article comes in.
 *
 * @param tied directions that are always the same as each other, such as width and depth of what is
 *     round
 * @param proportional whether all three directions grow and shrink together
 * @param length the direction in which it is built to length ("width"), or null: for words only
 */
public record Sizing(
    Rule width, Rule depth, Rule height, Set<String> tied, boolean proportional, String length) {

  /** What a direction of an article can measure, metres. */
  public sealed interface Rule permits Free, Listed, Steps {
    double least();

    double most();

    boolean holds(double v);

    /** In words: "0.40 to 0.60 m", "0.60 m only". */
    String words();
  }

  /** Anything from least to most. */
  public record Free(double least, double most) implements Rule {
    @Override
    public boolean holds(double v) {
      return v >= least - SLACK && v <= most + SLACK;
    }

    @Override
    public String words() {
      return Said.bare(least) + " to " + Said.length(most);
    }
  }

  /** One of several measures; one alone is fixed. */
  public record Listed(List<Double> values) implements Rule {
    public Listed {
      values = List.copyOf(new TreeSet<>(values));
    }

    @Override
    public double least() {
      return values.get(0);
    }

    @Override
    public double most() {
      return values.get(values.size() - 1);
    }

    @Override
    public boolean holds(double v) {
      return values.stream().anyMatch(x -> Math.abs(x - v) < SLACK);
    }

    @Override
    public String words() {
      String all =
          values.stream()
              .map(Said::bare)
              .limit(values.size() - 1)
              .collect(Collectors.joining(", "));
      String last = Said.length(most());
      return values.size() == 1 ? last + " only" : all + ", " + last;
    }
  }

  /** From least to most in steps. */
  public record Steps(double least, double most, double by) implements Rule {
    @Override
    public boolean holds(double v) {
      double n = (v - least) / by;
      return v >= least - SLACK && v <= most + SLACK && Math.abs(n - Math.rint(n)) * by < SLACK;
    }

    @Override
    public String words() {
      return Said.bare(least) + " to " + Said.bare(most) + " in steps of " + Said.length(by);
    }
  }

  private static final double SLACK = 1e-9;

  public Sizing(Rule width, Rule depth, Rule height, Set<String> tied) {
    this(width, depth, height, tied, false, null);
  }

  /** Whether there is only one size. */
  public boolean fixed() {
    return width.least() == width.most()
        && depth.least() == depth.most()
        && height.least() == height.most();
  }

  /**
   * The size that comes of measures that were asked for: what is tied follows, and what is
   * proportional follows the direction that was asked for.
   *
   * @param now the size it has
   * @param asked measures wanted, NaN where nothing was said
   */
  public Size follow(Size now, double[] asked) {
    double w = asked[0];
    double d = asked[1];
    double h = asked[2];
    if (proportional) {
      double factor =
          !Double.isNaN(w)
              ? w / now.width()
              : !Double.isNaN(d) ? d / now.depth() : !Double.isNaN(h) ? h / now.height() : 1;
      return new Size(
          or(w, now.width() * factor), or(d, now.depth() * factor), or(h, now.height() * factor));
    }
    if (tied.contains("width") && tied.contains("depth")) {
      if (!Double.isNaN(w)) {
        d = w;
      } else if (!Double.isNaN(d)) {
        w = d;
      }
    }
    return new Size(or(w, now.width()), or(d, now.depth()), or(h, now.height()));
  }

  private static double or(double asked, double otherwise) {
    return Double.isNaN(asked) ? otherwise : asked;
  }

  /**
   * Whether the article can be made this size.
   *
   * @param natural the size it has by nature, to whose proportions it keeps if they are fixed
   * @throws Refusal if not, with what it comes in
   */
  public void check(String article, Size size, Size natural) {
    if (fixed() && !holds(size)) {
      throw new Refusal(
          article
              + " comes in one size only: "
              + Said.bare(width.least())
              + " × "
              + Said.bare(depth.least())
              + " × "
              + Said.length(height.least())
              + ".");
    }
    List<String> wrong = new ArrayList<>();
    check(wrong, "wide", size.width(), width);
    check(wrong, "deep", size.depth(), depth);
    check(wrong, "high", size.height(), height);
    if (!wrong.isEmpty()) {
      throw new Refusal(article + " comes " + String.join(" and ", wrong) + ".");
    }
    double f = size.width() / natural.width();
    if (proportional
        && (Math.abs(size.depth() / natural.depth() / f - 1) > 1e-6
            || Math.abs(size.height() / natural.height() / f - 1) > 1e-6)) {
      throw new Refusal(
          article + " keeps its proportions; give one measure and the others follow.");
    }
  }

  private boolean holds(Size s) {
    return width.holds(s.width()) && depth.holds(s.depth()) && height.holds(s.height());
  }

  private static void check(List<String> wrong, String word, double v, Rule rule) {
    if (!(v > 0)) {
      throw new Refusal(
          "A size must be more than zero; " + Said.length(v) + " " + word + " was asked for.");
    }
    if (!rule.holds(v)) {
      wrong.add(rule.words().replace(" only", "") + " " + word + ", not " + Said.bare(v));
    }
  }

  /**
   * In words, lengths by {@link Said}, for a card: which directions are free, fixed or in steps.
   */
  public String words() {
    if (fixed()) {
      return "one size only";
    }
    if (proportional) {
      return "keeps its proportions; " + width.words() + " wide";
    }
    String all = width.words() + " wide, " + depth.words() + " deep, " + height.words() + " high";
    return length == null ? all : all + "; built to length";
  }
}
