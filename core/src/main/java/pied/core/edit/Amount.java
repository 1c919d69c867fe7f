package pied.core.edit;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.databind.JsonNode;
import pied.core.Nullable;
import pied.core.units.Entry;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * A length or an angle in an edit: a number (metres, degrees), or a text as a person typed it.
 *
 * @param text what was typed, or null
 * @param number otherwise
 */
public record Amount(String text, double number) {
  public static Amount of(double number) {
    return new Amount(null, number);
  }

  @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
  static Amount read(JsonNode node) {
    if (node.isNumber()) {
      return of(node.doubleValue());
    }
    if (node.isTextual()) {
      return new Amount(node.textValue(), 0);
    }
    throw new Refusal(
        "A measure is a number in metres or a text such as \"140cm\", not {}", node.getNodeType());
  }

  @JsonValue
  Object write() {
    return text == null ? (Object) number : text;
  }

  /** A text as a person typed it. */
  public static Amount typed(String text) {
    return new Amount(text, 0);
  }

  /** The same, where a minus is a sign and takes nothing away from what stands there. */
  public static @Nullable Amount absolute(@Nullable Amount a) {
    return a == null || a.text == null || !a.text.strip().startsWith("-")
        ? a
        : typed("=" + a.text.strip());
  }

  /** The length meant, metres, where none stands yet. */
  public double metres(LengthUnit unit) {
    return length(unit, 0);
  }

  /** The length meant, metres, given the one that stands there. */
  public double length(LengthUnit unit, double current) {
    return finite(text == null ? number : Entry.length(text, unit).from(current));
  }

  /** The angle meant, degrees, given the one that stands there. */
  public double angle(double current) {
    return finite(text == null ? number : Entry.angle(text).from(current));
  }

  /** The whole number meant, given the one that stands there. */
  public int whole(int current) {
    double v = number;
    if (text != null) {
      try {
        v = Entry.length(text, LengthUnit.M).from(current);
      } catch (Refusal e) {
        throw new Refusal("“{}” is not a number. Type one such as 3.", Entry.shown(text));
      }
    }
    if (v != Math.rint(v) || Math.abs(v) > 1e6) {
      throw new Refusal("A whole number is needed here, such as 3.");
    }
    return (int) v;
  }

  private static double finite(double v) {
    if (!Double.isFinite(v) || Math.abs(v) > 1e5) {
      throw new Refusal("That number is out of all measure.");
    }
    return v;
  }
}
