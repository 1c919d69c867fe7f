package pied.core.units;

/** Numbers for files: with a point, without zeros at the end. */
public final class Decimal {
  private Decimal() {}

  /**
   * A number, rounded.
   *
   * @param parts of one that are told apart, a power of ten
   */
  public static String text(double v, long parts) {
    StringBuilder out = new StringBuilder();
    append(out, v, parts);
    return out.toString();
  }

  /**
   * Appends a number, rounded.
   *
   * @param parts of one that are told apart, a power of ten: 1000 for three decimals
   */
  public static void append(StringBuilder out, double v, long parts) {
    long n = Math.round(Math.abs(v) * parts);
    if (v < 0 && n > 0) {
      out.append('-');
    }
    out.append(n / parts);
    long rest = n % parts;
    if (rest > 0) {
      out.append('.');
      for (long unit = parts / 10; rest > 0; unit /= 10) {
        out.append((char) ('0' + rest / unit));
        rest %= unit;
      }
    }
  }
}
