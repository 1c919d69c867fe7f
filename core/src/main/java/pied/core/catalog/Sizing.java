package pied.core.catalog;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import pied.core.Tolerance;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * What sizes an article comes in.
 *
 * @param tied directions that are always the same as each other, such as width and depth of what is
 *     round
 * @param proportional whether all three directions grow and shrink together
 * @param length the direction in which it is built to length ("width"), or null: for words only
 */
public record Sizing(
    SizingRule width,
    SizingRule depth,
    SizingRule height,
    Set<String> tied,
    boolean proportional,
    String length) {

  /** What a direction of an article can measure, metres. */
  public sealed interface SizingRule permits Free, Listed, SizingSteps {
    double least();

    double most();

    boolean holds(double v);

    /** The nearest that it can measure. */
    double nearest(double v);

    /** What it can measure: "0.40 to 0.60 m". */
    Message range();

    /** In words: "0.40 to 0.60 m", "0.60 m only". */
    default Message words() {
      return range();
    }
  }

  /** Anything from least to most. */
  public record Free(double least, double most) implements SizingRule {
    @Override
    public boolean holds(double v) {
      return v >= least - SLACK && v <= most + SLACK;
    }

    @Override
    public double nearest(double v) {
      return Math.max(least, Math.min(most, v));
    }

    @Override
    public Message range() {
      return Message.of("{} to {}", Message.bare(least), Message.length(most));
    }
  }

  /** One of several measures; one alone is fixed. */
  public record Listed(List<Double> values) implements SizingRule {
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
    public double nearest(double v) {
      return values.stream().min(Comparator.comparingDouble(x -> Math.abs(x - v))).orElseThrow();
    }

    @Override
    public Message range() {
      int last = values.size() - 1;
      return Message.join(
          ", ",
          IntStream.rangeClosed(0, last)
              .mapToObj(i -> new Message.MessageLength(values.get(i), i == last))
              .toList());
    }

    @Override
    public Message words() {
      return values.size() == 1 ? Message.of("{} only", range()) : range();
    }
  }

  /** From least to most in steps. */
  public record SizingSteps(double least, double most, double by) implements SizingRule {
    @Override
    public boolean holds(double v) {
      double n = (v - least) / by;
      return v >= least - SLACK && v <= most + SLACK && Math.abs(n - Math.rint(n)) * by < SLACK;
    }

    @Override
    public double nearest(double v) {
      double all = Math.floor((most - least) / by + SLACK);
      double n = Math.max(0, Math.min(all, Math.rint((v - least) / by)));
      return least + n * by;
    }

    @Override
    public Message range() {
      return Message.of(
          "{} to {} in steps of {}", Message.bare(least), Message.bare(most), Message.length(by));
    }
  }

  private static final double SLACK = Tolerance.SAME;

  public Sizing(SizingRule width, SizingRule depth, SizingRule height, Set<String> tied) {
    this(width, depth, height, tied, false, null);
  }

  /** Whether there is only one size. */
  public boolean fixed() {
    return width.least() == width.most()
        && depth.least() == depth.most()
        && height.least() == height.most();
  }

  /** The measures that are always the same as each other. */
  private List<Measure> same() {
    return Arrays.stream(Measure.values()).filter(m -> tied.contains(m.name())).toList();
  }

  private String alike() {
    return "always as " + same().get(1).words() + " as it is " + same().get(0).words();
  }

  /** What it can measure in a direction. */
  public SizingRule rule(Measure m) {
    return switch (m) {
      case width -> width;
      case depth -> depth;
      case height -> height;
    };
  }

  /**
   * A size as it comes in steps: within its limits each measure goes to the nearest there is; what
   * lies beyond them stays.
   */
  public Size stepped(Size wanted) {
    Size s = wanted;
    for (Measure m : Measure.values()) {
      SizingRule rule = rule(m);
      double v = m.of(s);
      boolean within = v >= rule.least() - SLACK && v <= rule.most() + SLACK;
      if (within && rule.least() < rule.most()) {
        s = m.with(s, rule.nearest(v));
      }
    }
    return s;
  }

  /**
   * The nearest size it comes in.
   *
   * @param natural to whose proportions it keeps if they are fixed
   */
  public Size nearest(Size wanted, Size natural) {
    if (proportional) {
      double most = Double.POSITIVE_INFINITY;
      double least = 0;
      for (Measure m : Measure.values()) {
        most = Math.min(most, rule(m).most() / m.of(natural));
        least = Math.max(least, rule(m).least() / m.of(natural));
      }
      double factor = Math.cbrt(volume(wanted) / volume(natural));
      return natural.times(Math.max(least, Math.min(most, factor)));
    }
    Size s = wanted;
    double mean = same().stream().mapToDouble(m -> m.of(wanted)).average().orElse(0);
    for (Measure m : same()) {
      s = m.with(s, mean);
    }
    for (Measure m : Measure.values()) {
      s = m.with(s, rule(m).nearest(m.of(s)));
    }
    return s;
  }

  private static double volume(Size s) {
    return s.width() * s.depth() * s.height();
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
    double[] all = asked.clone();
    double same = Double.NaN;
    for (Measure m : same()) {
      double v = asked[m.ordinal()];
      if (!Double.isNaN(v) && Math.abs(v - same) > SLACK) {
        throw new Refusal("It is {}; give one of the two.", alike());
      }
      same = Double.isNaN(v) ? same : v;
    }
    for (Measure m : same()) {
      all[m.ordinal()] = same;
    }
    return new Size(or(all[0], now.width()), or(all[1], now.depth()), or(all[2], now.height()));
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
          "{} comes in one size only: {} × {} × {}.",
          article,
          Message.bare(width.least()),
          Message.bare(depth.least()),
          Message.length(height.least()));
    }
    List<Message> wrong = new ArrayList<>();
    check(wrong, "wide", size.width(), width);
    check(wrong, "deep", size.depth(), depth);
    check(wrong, "high", size.height(), height);
    if (!wrong.isEmpty()) {
      throw new Refusal("{} comes {}.", article, Message.join(" and ", wrong));
    }
    List<Measure> same = same();
    if (same.stream().anyMatch(m -> Math.abs(m.of(size) - same.get(0).of(size)) > Tolerance.SIZE)) {
      throw new Refusal("{} is {}.", article, alike());
    }
    double f = size.width() / natural.width();
    if (proportional
        && (Math.abs(size.depth() / natural.depth() / f - 1) > Tolerance.FINE
            || Math.abs(size.height() / natural.height() / f - 1) > Tolerance.FINE)) {
      throw new Refusal(
          "{} keeps its proportions; give one measure and the others follow.", article);
    }
  }

  private boolean holds(Size s) {
    return width.holds(s.width()) && depth.holds(s.depth()) && height.holds(s.height());
  }

  private static void check(List<Message> wrong, String word, double v, SizingRule rule) {
    if (!(v > 0)) {
      throw new Refusal(
          "A size must be more than zero; {} {} was asked for.", Message.length(v), word);
    }
    if (!rule.holds(v)) {
      wrong.add(Message.of("{} {}, not {}", rule.range(), word, Message.bare(v)));
    }
  }

  /**
   * In words, lengths by {@link Message}, for a card: which directions are free, fixed or in steps.
   */
  public Message words() {
    if (fixed()) {
      return Message.of("one size only");
    }
    if (proportional) {
      return Message.of("keeps its proportions; {} wide", width.words());
    }
    return Message.of(
        "{} wide, {} deep, {} high{}",
        width.words(),
        depth.words(),
        height.words(),
        length == null ? "" : "; built to length");
  }
}
