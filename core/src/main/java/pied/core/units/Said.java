package pied.core.units;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Lengths in sentences that are written where nobody knows yet in which unit they will be read. A
 * length stands in them between two signs of no meaning elsewhere (of the private use area of
 * Unicode), until the sentence is read.
 */
public final class Said {
  private static final Pattern LENGTH =
      Pattern.compile("\uE000([bl])(-?\\d{1,9}(?:\\.\\d{1,20})?(?:E-?\\d{1,3})?)\uE001");

  private Said() {}

  /**
   * A length with its unit.
   *
   * @param metres the length
   */
  public static String length(double metres) {
    return "\uE000l" + metres + "\uE001";
  }

  /** A length without its unit, where one with it follows: "0.40 to 0.60 m". */
  public static String bare(double metres) {
    return "\uE000b" + metres + "\uE001";
  }

  /** The sentence as it is read in a unit. */
  public static String in(String sentence, LengthUnit unit) {
    if (sentence.indexOf('\uE000') < 0) {
      return sentence;
    }
    Matcher m = LENGTH.matcher(sentence);
    return m.replaceAll(
        r -> {
          String text = unit.fine(Double.parseDouble(r.group(2)));
          boolean sign = r.group(1).equals("l") && unit != LengthUnit.FT;
          return Matcher.quoteReplacement(sign ? text + " " + unit.sign() : text);
        });
  }
}
