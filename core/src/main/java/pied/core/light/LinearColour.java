package pied.core.light;

/**
 * The colour of light: red, green and blue of the primaries of sRGB, linear, so that a lumen of it
 * is a lumen: 0.2126 red + 0.7152 green + 0.0722 blue is 1.
 */
public record LinearColour(double red, double green, double blue) {
  private static final double USED = 0.75;

  /** What glows at a temperature, kelvin. */
  public static LinearColour of(double kelvin) {
    double[] c = Kelvin.linear(kelvin);
    return of(c[0], c[1], c[2]);
  }

  /** Of any brightness, but black. */
  public static LinearColour of(double red, double green, double blue) {
    double y = luminance(red, green, blue);
    return new LinearColour(red / y, green / y, blue / y);
  }

  /**
   * How it looks to an eye that is used to a light, each of the three by itself (J. von Kries,
   * 1902); an eye gets used to nearly all of a colour (CIECAM02 has 0.6 to 1 of it, the more the
   * brighter).
   */
  public LinearColour seenIn(LinearColour used) {
    return of(
        red / Math.pow(used.red, USED),
        green / Math.pow(used.green, USED),
        blue / Math.pow(used.blue, USED));
  }

  /** What the light is that looks so to an eye that is used to that light itself. */
  public LinearColour beforeUse() {
    double back = 1 / (1 - USED);
    return of(Math.pow(red, back), Math.pow(green, back), Math.pow(blue, back));
  }

  /** By what an eye that is used to this light multiplies each of the three. */
  public double[] used() {
    double r = Math.pow(red, -USED);
    double g = Math.pow(green, -USED);
    double b = Math.pow(blue, -USED);
    double y = luminance(r * red, g * green, b * blue);
    return new double[] {r / y, g / y, b / y};
  }

  /** How bright a colour is, of 1 (IEC 61966-2-1). */
  public static double luminance(double red, double green, double blue) {
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  }
}
