package pied.core.say;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.units.Entry;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Text;

/**
 * Reads a sentence from its beginning, and keeps in mind what could have stood at the place up to
 * which it could be read.
 */
public final class Reading {
  private static final String NUMBER = "(?:\\d+(?:\\.\\d+)?|\\.\\d+|\\d+,\\d+)";
  private static final Pattern LENGTH =
      Pattern.compile(
          "-?(?:\\d+\\s*'(?:\\s*\\d+(?:\\s+\\d+/\\d+|/\\d+)?\\s*\")?"
              + "|\\d+(?:\\s+\\d+/\\d+|/\\d+)?\\s*\""
              + "|"
              + NUMBER
              + "(?:\\s*(?:mm|cm|m|ft|in(?!\\s+[a-z]))(?![a-zA-Z]))?)");
  private static final Pattern WHOLE = Pattern.compile("\\d+(?![\\d.,]*\\d)");
  private static final Pattern ANGLE = Pattern.compile("[-+]?" + NUMBER + "(?:\\s*°)?");

  private final String text;
  private final String low;
  private final LengthUnit unit;
  private int at;
  private int furthest;
  private int begun = -1;
  private ReadingSort begunSort = ReadingSort.words;
  private final Set<Expected> expected = new LinkedHashSet<>();

  /** Sorts of what could stand somewhere. */
  public enum ReadingSort {
    words,
    piece,
    article,
    wall,
    value
  }

  /** What could stand somewhere: words as they are, or what is to be named. */
  public record Expected(ReadingSort sort, String text) {}

  /** In which numbers are that have none of their own. */
  public LengthUnit unit() {
    return unit;
  }

  public Reading(String text, LengthUnit unit) {
    this.text = text.replace('\u2212', '-').replace('\u00d7', 'x').replace('\u00a0', ' ');
    low = this.text.toLowerCase(Locale.ROOT);
    this.unit = unit;
  }

  // ---- where it is

  public int at() {
    return at;
  }

  public void back(int to) {
    at = to;
  }

  public boolean done() {
    space();
    return at >= text.length();
  }

  /** Up to where it could be read, and what could stand there. */
  public int furthest() {
    return Math.min(furthest, text.length());
  }

  public Set<Expected> expected() {
    return expected;
  }

  public String rest() {
    space();
    return text.substring(at);
  }

  private void space() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
  }

  public void expect(ReadingSort sort, String what) {
    space();
    if (at > furthest) {
      furthest = at;
      expected.clear();
    }
    if (at == furthest) {
      expected.add(new Expected(sort, what));
    }
  }

  /** It could be read up to here: what could have stood before is no more of interest. */
  private void passed() {
    if (at > furthest) {
      furthest = at;
      expected.clear();
    }
  }

  // ---- words

  /**
   * Words, whatever their case.
   *
   * @param ways with bars between those that mean the same; only the first is shown
   */
  public boolean is(String ways) {
    String[] all = ways.split("\\|");
    for (String w : all) {
      if (matches(w)) {
        return true;
      }
    }
    expect(ReadingSort.words, all[0]);
    return false;
  }

  /** The same, not told as something that could stand here. */
  public boolean quietly(String ways) {
    for (String w : ways.split("\\|")) {
      if (matches(w)) {
        return true;
      }
    }
    return false;
  }

  /** Whether words follow, without reading on. */
  public boolean ahead(String ways) {
    space();
    for (String w : ways.split("\\|")) {
      if (end(w) >= 0) {
        return true;
      }
    }
    return false;
  }

  private boolean matches(String words) {
    space();
    int end = end(words);
    if (end < 0) {
      return false;
    }
    at = end;
    passed();
    return true;
  }

  /** Where words end that begin here; -1 if they do not. */
  private int end(String words) {
    int i = at;
    for (String w : words.split(" ")) {
      while (i < low.length() && i > at && Character.isWhitespace(low.charAt(i))) {
        i++;
      }
      if (!low.startsWith(w, i)) {
        return -1;
      }
      i += w.length();
      boolean letters = Character.isLetterOrDigit(w.charAt(w.length() - 1));
      if (letters && i < low.length() && Character.isLetterOrDigit(low.charAt(i))) {
        return -1;
      }
    }
    return i;
  }

  /** Whether another sentence follows. */
  public boolean then() {
    return ahead("then");
  }

  /** What separates one thing said from the next. */
  public boolean comma() {
    space();
    boolean any = false;
    while (at < text.length() && ",;.".indexOf(text.charAt(at)) >= 0) {
      if (text.charAt(at) == '.' && !stop(at)) {
        break;
      }
      at++;
      any = true;
      space();
    }
    if (any) {
      passed();
    }
    return any;
  }

  // ---- values

  /** A length as it was typed; null for none. */
  @Nullable
  public Amount length(String what) {
    String typed = typed(LENGTH);
    if (typed == null) {
      expect(ReadingSort.value, what);
      return null;
    }
    String plain = typed.startsWith("-") ? "=" + typed : typed;
    return Amount.of(Entry.length(plain, unit).from(0));
  }

  /** The first numbers, in words. */
  private static final List<String> NUMBERS =
      List.of(
          "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven",
          "twelve");

  /** A whole number, in figures or in words; null for none. */
  @Nullable
  public Amount whole(String what) {
    for (int i = 0; i < NUMBERS.size(); i++) {
      if (quietly(NUMBERS.get(i))) {
        return Amount.of(i + 1);
      }
    }
    String typed = typed(WHOLE);
    if (typed == null || typed.length() > 9) {
      expect(ReadingSort.value, what);
      return null;
    }
    return Amount.of(Integer.parseInt(typed));
  }

  /** An angle in degrees; null for none. */
  @Nullable
  public Amount angle(String what) {
    String typed = typed(ANGLE);
    if (typed == null) {
      expect(ReadingSort.value, what);
      return null;
    }
    return Amount.of(Entry.angle(typed.startsWith("+") ? typed.substring(1) : typed).from(0));
  }

  /** Whether a length follows, without reading on. */
  public boolean length() {
    int before = at;
    boolean is = typed(LENGTH) != null;
    at = before;
    return is;
  }

  private @Nullable String typed(Pattern p) {
    space();
    Matcher m = p.matcher(text).region(at, text.length());
    if (!m.lookingAt()) {
      return null;
    }
    at = m.end();
    passed();
    return m.group();
  }

  /** What stands between quotes; null for none. */
  @Nullable
  public String quoted() {
    space();
    if (at >= text.length() || "\"“".indexOf(text.charAt(at)) < 0) {
      return null;
    }
    char close = text.charAt(at) == '"' ? '"' : '”';
    int end = text.indexOf(close, at + 1);
    if (end < 0) {
      return null;
    }
    String inside = text.substring(at + 1, end);
    at = end + 1;
    passed();
    return inside;
  }

  /** The next words up to a comma, from so many down to one; each with where it ends. */
  public List<Span> spans(int most) {
    space();
    List<Span> all = new ArrayList<>();
    int i = at;
    for (int n = 0; n < most && i < text.length(); n++) {
      while (i < text.length() && Character.isWhitespace(text.charAt(i))) {
        i++;
      }
      int begin = i;
      while (i < text.length()
          && !Character.isWhitespace(text.charAt(i))
          && ",;:".indexOf(text.charAt(i)) < 0
          && !stop(i)) {
        i++;
      }
      if (i == begin) {
        break;
      }
      all.add(0, new Span(text.substring(at, i), i));
    }
    return all;
  }

  /** Whether a sentence ends there. */
  private boolean stop(int i) {
    return text.charAt(i) == '.'
        && (i + 1 == text.length() || Character.isWhitespace(text.charAt(i + 1)));
  }

  /**
   * Some of the next words.
   *
   * @param end where they end
   */
  public record Span(String text, int end) {}

  public void take(Span span) {
    at = span.end();
    passed();
  }

  /** The same of a name that may not be typed to its end yet. */
  public void takePart(Span span, ReadingSort sort) {
    begun = span.end() == text.length() ? at : -1;
    begunSort = sort;
    take(span);
  }

  /** Where a name begins that goes to the end of the text and may go on; -1 for none. */
  public int begun() {
    return begun;
  }

  public ReadingSort begunSort() {
    return begunSort;
  }

  /** Tries to read something; if that gives null it is as if nothing had been read. */
  public <T> @Nullable T maybe(Supplier<T> what) {
    int before = at;
    T found = what.get();
    if (found == null) {
      at = before;
    }
    return found;
  }

  // ---- what is wrong

  /** That it cannot be read on, at the word. */
  public Unread unread() {
    int from = furthest();
    int end = from;
    while (end < text.length()
        && !Character.isWhitespace(text.charAt(end))
        && text.charAt(end) != ',') {
      end++;
    }
    String word = text.substring(from, end);
    List<String> could = expected.stream().map(Expected::text).distinct().limit(12).toList();
    String here = could.isEmpty() ? "" : " Here could stand: " + String.join(", ", could) + ".";
    return new Unread(
        from,
        word.isEmpty()
            ? Message.of("The sentence is not complete.{}", here)
            : Message.of("“{}” cannot be read here.{}", shown(word), here));
  }

  /** As much of a text as can be repeated in a sentence. */
  public static String shown(String text) {
    return Text.clean(text.length() <= 40 ? text : text.substring(0, 37) + "…");
  }
}
