package pied.core.units;

import java.util.Locale;
import pied.core.Nullable;
import pied.core.Tolerance;

/** A unit of length and how numbers in it are written. The inch is 25.4 mm (ISO 31, 1959). */
public enum LengthUnit {
  M("m", 1, 2, "metres"),
  CM("cm", 0.01, 1, "centimetres"),
  MM("mm", 0.001, 0, "millimetres"),
  FT("ft-in", 0.3048, 0, "feet and inches");

  private static final int PARTS = 16;

  private final String sign;
  private final double metres;
  private final int decimals;
  private final String words;

  LengthUnit(String sign, double metres, int decimals, String words) {
    this.sign = sign;
    this.metres = metres;
    this.decimals = decimals;
    this.words = words;
  }

  public String sign() {
    return sign;
  }

  public String words() {
    return words;
  }

  /** Metres in one of this unit. */
  public double metres() {
    return metres;
  }

  /** The unit with this sign ("m", "cm", "mm", "ft-in"). */
  public static LengthUnit of(String sign) {
    for (LengthUnit u : values()) {
      if (u.sign.equals(sign)) {
        return u;
      }
    }
    throw new Refusal("“{}” is not a unit Pied knows; use m, cm, mm or ft-in.", sign);
  }

  /** The same; metres where none is said. */
  public static LengthUnit orMetres(@Nullable String sign) {
    return sign == null ? M : of(sign);
  }

  /**
   * A length as text without its unit (feet and inches carry their marks), with the usual
   * precision: the centimetre, the millimetre, or 1/16 inch.
   *
   * @param length metres
   */
  public String text(double length) {
    return text(length, decimals);
  }

  /**
   * As {@link #text(double)} with so many decimals; feet and inches go by sixteenths regardless.
   */
  public String text(double length, int decimals) {
    if (this == FT) {
      return feet(length);
    }
    String s = String.format(Locale.ROOT, "%." + decimals + "f", length / metres);
    return s.matches("-0(\\.0*)?") ? s.substring(1) : s;
  }

  /**
   * As {@link #text(double)}, with a third decimal of metres (the millimetre) where it is not 0.
   */
  public String fine(double length) {
    if (this == FT || this == MM) {
      return text(length);
    }
    String s = text(length, decimals + (this == M ? 1 : 0));
    return this == M && s.endsWith("0") ? s.substring(0, s.length() - 1) : s;
  }

  /**
   * A length without its unit as {@link #fine(double)}, but with as many decimals as it takes to be
   * read again as the same, to a billionth of a metre.
   */
  public String exact(double length) {
    if (this == FT) {
      double parts = length / 0.0254 * PARTS;
      return Math.abs(parts - Math.rint(parts)) < Tolerance.FINE
          ? feet(length)
          : String.format(Locale.ROOT, "%.9f ft", length / metres);
    }
    String s = fine(length);
    for (int n = decimals;
        Math.abs(Double.parseDouble(s) * metres - length) > Tolerance.NONE && n <= 9;
        n++) {
      s = text(length, n);
    }
    return s;
  }

  /**
   * An area with its unit, to a tenth: square metres, or square feet.
   *
   * @param area m²
   */
  public String area(double area) {
    return this == FT
        ? String.format(Locale.ROOT, "%.0f sq ft", area / FT.metres / FT.metres)
        : String.format(Locale.ROOT, "%.1f m²", area);
  }

  private static String feet(double length) {
    long parts = Math.round(Math.abs(length) / 0.0254 * PARTS);
    String sign = length < 0 && parts > 0 ? "-" : "";
    long feet = parts / (12 * PARTS);
    long inches = parts % (12 * PARTS) / PARTS;
    long rest = parts % PARTS;
    String fraction = "";
    if (rest > 0) {
      long g = Long.lowestOneBit(rest);
      fraction = rest / g + "/" + PARTS / g;
    }
    String in =
        rest == 0 ? inches + "\"" : inches == 0 ? fraction + "\"" : inches + " " + fraction + "\"";
    if (feet == 0) {
      return sign + in;
    }
    return sign + feet + "'" + (inches == 0 && rest == 0 ? "" : " " + in);
  }
}
