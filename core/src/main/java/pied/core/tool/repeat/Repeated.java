package pied.core.tool.repeat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.RepeatedArticle;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.space.Rule.RepeatFacing;

/**
 * How many of what, at the beginning of a sentence that repeats something.
 *
 * @param count null if it was not said
 * @param of articles; null for what is selected
 */
public record Repeated(@Nullable Amount count, @Nullable List<RepeatedArticle> of) {
  public static final Map<RepeatFacing, String> FACING = new EnumMap<>(RepeatFacing.class);

  static {
    FACING.put(RepeatFacing.inward, "facing in");
    FACING.put(RepeatFacing.outward, "facing out");
    FACING.put(RepeatFacing.along, "facing along it");
    FACING.put(RepeatFacing.fixed, "facing the same way");
  }

  /** Reads "8", "8 theatre seats", "books and cups", or nothing. */
  public static Repeated read(Reading r, Nouns n) {
    Amount count = r.maybe(() -> whole(r));
    if (r.quietly("of these|of them|these|them")) {
      return new Repeated(count, null);
    }
    r.quietly("of");
    List<RepeatedArticle> of =
        r.maybe(() -> r.ahead("in a row|rows of|along|around|over|on|within") ? null : n.kinds());
    return new Repeated(count, of);
  }

  /**
   * What is said of a repetition that is selected as a whole, without saying again what it is: "10
   * of them", "0.3 apart".
   *
   * @param now the edit that leaves it as it is
   * @return null if nothing of that is said here
   */
  public static <E extends Edit> @Nullable List<Edit> adjusted(
      Reading r, Nouns n, E now, BiFunction<E, Amount, E> counted, List<Clause<E>> clauses) {
    int before = r.at();
    Amount count = r.maybe(() -> whole(r));
    if (count != null && (r.quietly("of them|of these") || r.done() || r.comma())) {
      return List.of(Clause.all(r, n, counted.apply(now, count), clauses));
    }
    r.back(before);
    for (Clause<E> c : clauses) {
      E next = r.maybe(() -> c.read(r, n, now));
      if (next != null) {
        return List.of(Clause.all(r, n, next, clauses));
      }
    }
    return null;
  }

  /** A number, and not the beginning of a length. */
  private static @Nullable Amount whole(Reading r) {
    Amount n = r.whole("how many");
    return r.ahead("x|m|cm|mm|ft") ? null : n;
  }

  /** The pieces the edit is for: what is selected unless an article was named. */
  @Nullable
  public List<String> pieces(Nouns n) {
    return of == null ? n.selected() : null;
  }

  /** "8 Theatre seat and Stool ", as it is read again. */
  public static void write(Writer w, @Nullable List<RepeatedArticle> of) {
    if (of == null || of.isEmpty()) {
      return;
    }
    List<String> names = new ArrayList<>();
    for (RepeatedArticle k : of) {
      names.add(w.space.shapes().catalog().article(k.article()).name());
    }
    w.text(" " + String.join(" and ", names));
  }
}
