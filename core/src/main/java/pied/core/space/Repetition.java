package pied.core.space;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * How the pieces of a group go on being kept by a rule: each fills a place that the rule numbers.
 *
 * @param rule where the places are
 * @param mix what fills them
 * @param out places that were taken out and stay empty
 */
@RecordBuilder
public record Repetition(Rule rule, List<Sample> mix, SortedSet<Long> out)
    implements RepetitionBuilder.With {
  /** Most places one may have. */
  public static final int MOST_PLACES = 5_000;

  /** Most pieces of what is repeated. */
  public static final int MOST_PARTS = 1_000;

  public Repetition {
    mix = List.copyOf(mix);
    out = new TreeSet<>(out);
  }

  /** With one more place that stays empty. */
  public Repetition without(long place) {
    SortedSet<Long> more = new TreeSet<>(out);
    more.add(place);
    return withOut(more);
  }

  /** Moved and turned as a whole. */
  public Repetition moved(Motion m) {
    return withRule(rule.moved(m));
  }
}
