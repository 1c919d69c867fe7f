package pied.core.tool.size;

import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit.Measures;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.units.Entry;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Reads measures that are asked for. */
final class MeasureReader {
  private static final Pattern BY = Pattern.compile("\\s*(?:[x×]|\\bby\\b)\\s*");
  private static final Pattern SAYS = Pattern.compile("\\s*\\b(wide|deep|high|tall)\\b");
  private static final Pattern NATURAL = Pattern.compile("(.+?)\\s*(?:of )?(?:the )?natural");
  private static final Pattern SIGN = Pattern.compile("[\\d.,/\\s]+(m|cm|mm|ft|in|'|\")");

  /** A factor with no measure behind it, of what is or of the natural size. */
  private static final Pattern FACTOR =
      Pattern.compile("(?:[*x×]\\s*[\\d.,/\\s]+|[\\d.,/\\s]+%)(?:\\s*(?:of )?(?:the )?natural)?");

  private MeasureReader() {}

  /**
   * The measures meant, metres, by {@link Measure}; NaN where nothing is said.
   *
   * @param from what relative entries go by
   * @throws Refusal if one is no length, not more than zero, or absurd
   */
  static double[] read(Measures m, Size from, LengthUnit unit) {
    return read(m, from, from, unit);
  }

  /**
   * The same, where it may be said that a factor is of the natural size: "150% of natural".
   *
   * @param natural that size
   */
  static double[] read(Measures m, Size from, Size natural, LengthUnit unit) {
    Amount[] typed = spread(m);
    double[] asked = new double[3];
    for (Measure k : Measure.values()) {
      asked[k.ordinal()] = read(typed[k.ordinal()], k.of(from), k.of(natural), unit);
      sound(asked[k.ordinal()]);
    }
    return asked;
  }

  private static double read(Amount a, double from, double natural, LengthUnit unit) {
    if (a == null) {
      return Double.NaN;
    }
    Matcher of = a.text() == null ? null : NATURAL.matcher(low(a.text()));
    return of != null && of.matches()
        ? Amount.typed(of.group(1)).length(unit, natural)
        : a.length(unit, from);
  }

  /**
   * A measure something can have.
   *
   * @param v metres; NaN passes
   * @throws Refusal if it can not
   */
  static void sound(double v) {
    if (v <= 0) {
      throw new Refusal("A size must be more than zero; {} was asked for.", Message.length(v));
    }
    if (v < Size.LEAST) {
      throw new Refusal("Nothing here is smaller than {}.", Message.length(Size.LEAST));
    }
    if (v > Size.MOST) {
      throw new Refusal("Nothing here is larger than {}.", Message.length(Size.MOST));
    }
  }

  /**
   * One entry for all three in place of one of them: "0.42 x 0.42 x 0.66", width × depth × height.
   * A part left empty stays; a unit behind the last is that of all. Or with words: "3.2 high".
   */
  private static Amount[] spread(Measures m) {
    if (m.whole() != null) {
      boolean factor = m.whole().text() != null && FACTOR.matcher(low(m.whole().text())).matches();
      Amount others = factor ? m.whole() : null;
      return spread(new Measures(m.whole(), others, others));
    }
    Amount[] all = {m.width(), m.depth(), m.height()};
    for (Amount a : all) {
      if (a != null && a.text() != null && SAYS.matcher(low(a.text())).find()) {
        return said(low(a.text()));
      }
      if (a != null && a.text() != null && BY.matcher(low(a.text())).find()) {
        return parts(a.text());
      }
    }
    return all;
  }

  /** With words: "3.2 high", "0.4 wide, 0.66 high". */
  private static Amount[] said(String text) {
    Amount[] all = new Amount[3];
    Matcher m = SAYS.matcher(text);
    int from = 0;
    while (m.find()) {
      String number = text.substring(from, m.start()).replaceFirst("^\\s*(?:,|x|×|and)\\s*", "");
      int i =
          switch (m.group(1).charAt(0)) {
            case 'w' -> 0;
            case 'd' -> 1;
            default -> 2;
          };
      all[i] = Amount.typed(number);
      from = m.end();
    }
    boolean bare = Arrays.stream(all).anyMatch(a -> a != null && a.text().isBlank());
    if (bare || !text.substring(from).isBlank()) {
      throw new Refusal("“{}” is not a size. Type such as 3.2 high.", Entry.shown(text));
    }
    return all;
  }

  private static String low(String text) {
    return text.strip().toLowerCase(Locale.ROOT);
  }

  private static Amount[] parts(String text) {
    String[] parts = BY.split(low(text), -1);
    if (parts.length < 2 || parts.length > 3) {
      throw new Refusal(
          "“{}” is not a size. Type width × depth × height, such as 0.42 x 0.42 x 0.66.",
          Entry.shown(text));
    }
    String sign = sign(parts[parts.length - 1]);
    Amount[] all = new Amount[3];
    for (int i = 0; i < parts.length; i++) {
      String part = parts[i];
      boolean bare = sign != null && !part.isEmpty() && part.matches("[\\d.,/\\s]+");
      all[i] = part.isEmpty() ? null : Amount.typed(bare ? part + sign : part);
    }
    return all;
  }

  @Nullable
  private static String sign(String last) {
    Matcher m = SIGN.matcher(last);
    return m.matches() ? m.group(1) : null;
  }
}
