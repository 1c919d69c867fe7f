package pied.core.light;

import java.time.LocalDate;
import pied.core.Tolerance;

/**
 * The sky of the CIE Standard General Sky (ISO 15469:2004; S. Darula and R. Kittler, "CIE General
 * Sky Standard defining luminance distributions", 2002), and how much light there is under it after
 * the daylight availability of the IES (G. Gillette, W. Pierpoint and S. Treado, Lighting Research
 * and Technology 16, 1984).
 */
public enum Sky {
  /** Type 12: clear, low turbidity. */
  clear(-1, -0.32, 10, -3, 0.45, 0.21, 0.8, 15.5, 0.5),
  /** Type 9: partly cloudy, the sun veiled. */
  hazy(-1, -0.55, 2, -1.5, 0.15, 0.80, 0.3, 45, 1),
  /** Type 1: overcast, three times as bright above as at the horizon; no sun comes through. */
  overcast(4, -0.70, 0, -1, 0, Double.POSITIVE_INFINITY, 0.3, 21, 1);

  /** Lux square to the sun, outside the air, in the mean. */
  public static final double SOLAR_CONSTANT = 127_500;

  private final double a;
  private final double b;
  private final double c;
  private final double d;
  private final double e;
  private final double extinction;
  private final double dusk;
  private final double bright;
  private final double power;

  Sky(
      double a,
      double b,
      double c,
      double d,
      double e,
      double extinction,
      double dusk,
      double bright,
      double power) {
    this.a = a;
    this.b = b;
    this.c = c;
    this.d = d;
    this.e = e;
    this.extinction = extinction;
    this.dusk = dusk;
    this.bright = bright;
    this.power = power;
  }

  /**
   * How bright a place of the sky is, where right above is 1.
   *
   * @param altitude of the place, degrees, 0 to 90
   * @param away between the place and the sun, degrees
   * @param sunAltitude degrees, 0 to 90
   */
  public double luminance(double altitude, double away, double sunAltitude) {
    double above = 90 - sunAltitude;
    return gradation(90 - altitude) * scattering(away) / (gradation(0) * scattering(above));
  }

  private double gradation(double zenithAngle) {
    double cos = Math.cos(Math.toRadians(Math.min(90, zenithAngle)));
    return cos < Tolerance.SAME ? 1 : 1 + a * Math.exp(b / cos);
  }

  private double scattering(double away) {
    double x = Math.toRadians(away);
    double cos = Math.cos(x);
    return 1 + c * (Math.exp(d * x) - Math.exp(d * Math.PI / 2)) + e * cos * cos;
  }

  /**
   * Light of the sun on what is square to it, lux; none below the horizon.
   *
   * @param sunAltitude degrees
   */
  public double sunLux(double sunAltitude, LocalDate date) {
    if (sunAltitude <= 0 || Double.isInfinite(extinction)) {
      return 0;
    }
    double outside =
        SOLAR_CONSTANT * (1 + 0.034 * Math.cos(2 * Math.PI * (date.getDayOfYear() - 2) / 365));
    return outside * Math.exp(-extinction / Math.sin(Math.toRadians(sunAltitude)));
  }

  /**
   * Light of the whole sky on what lies level, without the sun, lux. Below the horizon it fades as
   * civil twilight does: by a factor of 100 in six degrees.
   *
   * @param sunAltitude degrees
   */
  public double skyLux(double sunAltitude) {
    double sin = Math.sin(Math.toRadians(Math.max(0, sunAltitude)));
    double klx = dusk + bright * Math.pow(sin, power);
    return 1000 * klx * (sunAltitude < 0 ? Math.pow(10, sunAltitude / 3) : 1);
  }

  /** Colour temperature of the sky's light, kelvin. */
  public double kelvin() {
    return switch (this) {
      case clear -> 10_000;
      case hazy -> 7_500;
      case overcast -> 6_500;
    };
  }

  /**
   * Colour temperature of the sun: 5500 K high up, warm when it is low.
   *
   * @param sunAltitude degrees
   */
  public static double sunKelvin(double sunAltitude) {
    double a = Math.max(0, sunAltitude);
    return 5500 - 3300 * Math.exp(-a / 9);
  }
}
