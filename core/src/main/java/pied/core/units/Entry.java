package pied.core.units;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a person typed where a length or an angle stands: either a value, or a change of the value
 * that stands there.
 */
public sealed interface Entry {
  /** The new value, given the one that stands there; metres or degrees. */
  double from(double current);

  /** The value itself; not relative. */
  record EntryValue(double value) implements Entry {
    @Override
    public double from(double current) {
      return value;
    }
  }

  /** So much more or less. */
  record EntryMore(double by) implements Entry {
    @Override
    public double from(double current) {
      return current + by;
    }
  }

  /** So many times. */
  record Times(double factor) implements Entry {
    @Override
    public double from(double current) {
      return current * factor;
    }
  }

  /** Longest text that is looked at. */
  int LONGEST = 60;

  /**
   * Reads a length: {@code 1.4}, {@code 1,4 m}, {@code 140cm}, {@code 4' 7 1/2"}, {@code 4-7 1/2},
   * {@code 3/4"}, or relative: {@code +0.1}, {@code -2"}, {@code *1.5}, {@code 150%}. A minus sign
   * means "less by so much", so a negative position is typed as {@code =-0.5}.
   *
   * @param unit what a bare number means
   * @throws Refusal if it cannot be read
   */
  static Entry length(String text, LengthUnit unit) {
    String t = tidy(text);
    Entry factor = factor(t);
    if (factor != null) {
      return factor;
    }
    if (t.startsWith("=")) {
      String rest = t.substring(1).trim();
      return rest.startsWith("-")
          ? new EntryValue(-Lengths.read(rest.substring(1), unit, text))
          : new EntryValue(Lengths.read(rest, unit, text));
    }
    if (t.startsWith("+")) {
      return new EntryMore(Lengths.read(t.substring(1), unit, text));
    }
    if (t.startsWith("-")) {
      return new EntryMore(-Lengths.read(t.substring(1), unit, text));
    }
    return new EntryValue(Lengths.read(t, unit, text));
  }

  /**
   * Reads an angle in degrees: {@code 45}, {@code 45°}, {@code -90}; {@code +15} adds and {@code
   * *2} multiplies. A minus sign is part of the angle: turning is read from a fixed zero.
   *
   * @throws Refusal if it cannot be read
   */
  static Entry angle(String text) {
    String t = tidy(text);
    Entry factor = factor(t);
    if (factor != null) {
      return factor;
    }
    Matcher m = Lengths.ANGLE.matcher(t);
    if (!m.matches()) {
      throw new Refusal("“{}” is not an angle. Type degrees, such as 45, -90 or +15.", shown(text));
    }
    double v = Lengths.number(m.group(2));
    return switch (m.group(1)) {
      case "+" -> new EntryMore(v);
      case "-" -> new EntryValue(-v);
      default -> new EntryValue(v);
    };
  }

  private static Entry factor(String t) {
    Matcher m = Lengths.FACTOR.matcher(t);
    if (m.matches()) {
      return new Times(
          m.group(1) != null ? Lengths.number(m.group(1)) : Lengths.number(m.group(2)) / 100);
    }
    return null;
  }

  private static String tidy(String text) {
    if (text == null || text.isBlank()) {
      throw new Refusal("Nothing was typed. Type a number, such as 1.4 or 140cm.");
    }
    if (text.length() > LONGEST) {
      throw new Refusal("That is too long to be a number: “{}”.", shown(text));
    }
    return text.strip()
        .replace('\u2212', '-')
        .replace('\u2013', '-')
        .replace('\u2019', '\'')
        .replace('\u2032', '\'')
        .replace('\u201d', '"')
        .replace('\u2033', '"')
        .replace('\u00d7', '*')
        .replace('\u00a0', ' ');
  }

  /** The text as far as it can be repeated in a sentence. */
  static String shown(String text) {
    return Text.clean(text.length() <= 30 ? text : text.substring(0, 27) + "…");
  }

  /** The grammar of lengths. */
  final class Lengths {
    private static final String NUMBER = "(?:\\d+(?:[.,]\\d*)?|[.,]\\d+)";
    private static final String FRACTION = "(?:\\d+\\s*/\\s*\\d+)";
    private static final String MIXED =
        "(?:\\d+\\s+" + FRACTION + "|" + FRACTION + "|" + NUMBER + ")";
    private static final Pattern METRIC =
        Pattern.compile("(" + NUMBER + "|" + FRACTION + ")\\s*(m|cm|mm|ft|in|'|\")?");
    private static final Pattern FEET_INCHES =
        Pattern.compile(
            "(?:("
                + NUMBER
                + ")\\s*(?:'|ft\\.?|feet|foot)\\s*-?\\s*)?(?:("
                + MIXED
                + ")\\s*(?:\"|''|in\\.?|inches|inch)?)?");
    private static final Pattern DASHED = Pattern.compile("(\\d+)-(" + MIXED + ")\\s*\"?");
    private static final Pattern INCHES =
        Pattern.compile("(" + MIXED + ")\\s*(?:\"|''|in\\.?|inches|inch)");
    static final Pattern FACTOR = Pattern.compile("\\*\\s*(" + NUMBER + ")|(" + NUMBER + ")\\s*%");
    static final Pattern ANGLE =
        Pattern.compile("([+-]?)\\s*(" + NUMBER + ")\\s*(?:°|deg|degrees)?");

    private Lengths() {}

    static double read(String part, LengthUnit unit, String whole) {
      String t = part.strip().toLowerCase(java.util.Locale.ROOT);
      Matcher m = METRIC.matcher(t);
      if (m.matches()) {
        double v = mixed(m.group(1), whole);
        String u = m.group(2) == null ? unit.sign() : m.group(2);
        return v
            * switch (u) {
              case "m" -> 1;
              case "cm" -> 0.01;
              case "mm" -> 0.001;
              case "in", "\"" -> 0.0254;
              case "ft", "'" -> 0.3048;
              default -> 0.3048; // a bare number in feet and inches is feet
            };
      }
      m = DASHED.matcher(t);
      if (m.matches()) {
        return inches(Double.parseDouble(m.group(1)), mixed(m.group(2), whole));
      }
      m = INCHES.matcher(t);
      if (m.matches()) {
        return inches(0, mixed(m.group(1), whole));
      }
      m = FEET_INCHES.matcher(t);
      if (m.matches() && m.group(1) != null) {
        return inches(number(m.group(1)), m.group(2) == null ? 0 : mixed(m.group(2), whole));
      }
      if (unit == LengthUnit.FT && t.matches("\\d+\\s+" + FRACTION)) {
        return inches(0, mixed(t, whole));
      }
      throw new Refusal(
          "“{}” is not a length. Type a number, with a unit if you like: 1.4, 140cm,"
              + " 1400 mm, 4' 7 1/2\"; or a change: +0.1, -2\", *1.5, 150%.",
          shown(whole));
    }

    private static double inches(double feet, double inches) {
      return (feet * 12 + inches) * 0.0254;
    }

    static double number(String s) {
      return Double.parseDouble(s.replace(',', '.'));
    }

    private static double mixed(String s, String whole) {
      int slash = s.indexOf('/');
      if (slash < 0) {
        return number(s);
      }
      double under = Double.parseDouble(s.substring(slash + 1).strip());
      if (under == 0) {
        throw new Refusal("“{}” divides by zero.", shown(whole));
      }
      String left = s.substring(0, slash).strip();
      int space = left.lastIndexOf(' ');
      double n = space < 0 ? 0 : Double.parseDouble(left.substring(0, space).strip());
      return n + Double.parseDouble(left.substring(space + 1)) / under;
    }
  }
}
