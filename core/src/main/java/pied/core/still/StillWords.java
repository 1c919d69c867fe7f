package pied.core.still;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;
import pied.core.units.Decimal;
import pied.core.units.Refusal;

/** What is asked of a picture, as people write and read it. */
public final class StillWords {
  private static final Pattern SIZE =
      Pattern.compile("(\\d{1,5})\\s*(?:[x×*,]|by)\\s*(\\d{1,5})", Pattern.CASE_INSENSITIVE);

  private static final Pattern LIMIT =
      Pattern.compile("(\\d{1,6}(?:[.,]\\d{1,3})?)\\s*(%|s|sec|seconds?|m|min|minutes?|h|hours?)");

  private StillWords() {}

  /** Width and height in dots of "1920 × 1080". */
  public static int[] size(String typed) {
    Matcher m = SIZE.matcher(typed.strip());
    if (!m.matches()) {
      throw new Refusal("A size is width by height in dots, such as 1920 × 1080.");
    }
    return new int[] {Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2))};
  }

  /**
   * The wish with a limit that was typed: "5 min" for so long, "2 %" for so little noise.
   *
   * @param typed null or empty for none
   */
  public static StillWish limited(StillWish wish, @Nullable String typed) {
    if (typed == null || typed.isBlank()) {
      return wish;
    }
    Matcher m = LIMIT.matcher(typed.strip().toLowerCase(Locale.ROOT));
    if (!m.matches()) {
      throw new Refusal("Until when is a time or a noise, such as 5 min or 2 %.");
    }
    double v = Double.parseDouble(m.group(1).replace(',', '.'));
    return switch (m.group(2).charAt(0)) {
      case '%' -> wish.withNoise(v / 100);
      case 's' -> wish.withSeconds(v);
      case 'm' -> wish.withSeconds(60 * v);
      default -> wish.withSeconds(3600 * v);
    };
  }

  /**
   * What was asked for: "from the door, 1920 × 1080, good, in the look Evening".
   *
   * @param from name of the viewpoint; null for the set view
   * @param look name of the look; null for as it was lit
   */
  public static String said(StillWish w, @Nullable String from, @Nullable String look) {
    String s = where(from, null);
    if (w.around()) {
      s += ", all around";
    }
    s += ", %d × %d, ".formatted(w.width(), w.height());
    if (w.ink() == StillInk.alone) {
      return s + "ink lines alone";
    }
    if (w.seconds() != null) {
      s += "in " + time(w.seconds());
    } else if (w.noise() != null) {
      s += "until " + Decimal.text(100 * w.noise(), 10) + " % noise";
    } else {
      s += w.grade().name();
    }
    if (w.card()) {
      s += ", in white card";
    }
    if (w.ink() == StillInk.over) {
      s += ", with ink lines";
    }
    return look == null ? s : s + ", in the look " + look;
  }

  /** From where a picture is, and in which look. */
  public static String where(@Nullable String from, @Nullable String look) {
    String s =
        from == null
            ? "from the set view"
            : from.startsWith("From ") ? small(from) : "from " + from;
    return look == null ? s : s + ", in the look " + look;
  }

  private static String small(String s) {
    return Character.toLowerCase(s.charAt(0)) + s.substring(1);
  }

  /**
   * How far a picture is: "45 %, 12 s left".
   *
   * @param share of 1
   * @param seconds it has taken
   */
  public static String progress(double share, double seconds) {
    String s = Math.round(100 * share) + " %";
    return share < SURE ? s : s + ", " + time(Math.max(1, seconds / share * (1 - share))) + " left";
  }

  /** From here on it can be said how long it takes. */
  private static final double SURE = 0.02;

  /** Light as people say it: 142 lx. */
  public static String lux(double lux) {
    return Decimal.text(lux, lux < 100 ? 10 : 1) + " lx";
  }

  /** The same with what it may be off by. */
  public static String lux(LuxMeter.LuxReading r) {
    return lux(r.lux()) + (r.off() > 0.05 ? " (to " + Decimal.text(r.off(), 10) + ")" : "");
  }

  /** A time as people say it: 45 s, 3 min, 1.5 h. */
  public static String time(double seconds) {
    if (seconds < 90) {
      return Math.round(seconds) + " s";
    }
    return seconds < 5400
        ? Math.round(seconds / 60) + " min"
        : Decimal.text(seconds / 3600, 10) + " h";
  }
}
