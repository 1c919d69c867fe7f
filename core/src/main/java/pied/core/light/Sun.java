package pied.core.light;

import java.time.LocalDate;

/**
 * Where the sun stands.
 *
 * @param azimuth clockwise from north, degrees, 0 up to 360
 * @param altitude above the horizon, degrees, as one sees it: lifted by refraction
 */
public record Sun(double azimuth, double altitude) {
  /** 1 January 2000, noon. */
  private static final double EPOCH = LocalDate.of(2000, 1, 1).toEpochDay();

  /**
   * The low-precision formulas of the Astronomical Almanac (as J. Michalsky gives them in Solar
   * Energy 40, 1988, with the correction of 1988/41), good to 0.01° from 1950 to 2050; refraction
   * after G. G. Bennett (Journal of Navigation 35, 1982), in the form for true altitudes of T.
   * Saemundsson (1986). Looked at at the middle of the earth: parallax is below 0.0025°.
   *
   * @param latitude degrees, north is positive
   * @param longitude degrees, east is positive
   * @param hour of that date in UTC; may be below 0 or above 24
   */
  public static Sun at(double latitude, double longitude, LocalDate date, double hour) {
    double n = date.toEpochDay() - EPOCH - 0.5 + hour / 24;
    double eclipticLongitude = Math.toRadians(eclipticLongitude(n));
    double tilt = Math.toRadians(23.439 - 0.0000004 * n);
    double ascension =
        Math.atan2(Math.cos(tilt) * Math.sin(eclipticLongitude), Math.cos(eclipticLongitude));
    double declination = Math.asin(Math.sin(tilt) * Math.sin(eclipticLongitude));
    double siderealHours = 6.697375 + 0.0657098242 * n + universal(n);
    double hourAngle = Math.toRadians(siderealHours * 15 + longitude) - ascension;
    double phi = Math.toRadians(latitude);
    double up =
        Math.sin(declination) * Math.sin(phi)
            + Math.cos(declination) * Math.cos(phi) * Math.cos(hourAngle);
    double east = -Math.cos(declination) * Math.sin(hourAngle);
    double north =
        Math.sin(declination) * Math.cos(phi)
            - Math.cos(declination) * Math.sin(phi) * Math.cos(hourAngle);
    double azimuth = Math.toDegrees(Math.atan2(east, north));
    double altitude = Math.toDegrees(Math.atan2(up, Math.hypot(east, north)));
    return new Sun(azimuth < 0 ? azimuth + 360 : azimuth, altitude + refraction(altitude));
  }

  /**
   * How far along its yearly way the sun is, degrees from the equinox of March.
   *
   * @param n days since noon of 1 January 2000, UTC
   */
  static double eclipticLongitude(double n) {
    double mean = 280.460 + 0.9856474 * n;
    double anomaly = Math.toRadians(357.528 + 0.9856003 * n);
    double l = mean + 1.915 * Math.sin(anomaly) + 0.020 * Math.sin(2 * anomaly);
    return l - 360 * Math.floor(l / 360);
  }

  /** Hours since midnight. */
  private static double universal(double n) {
    double days = n + 0.5;
    return 24 * (days - Math.floor(days));
  }

  /**
   * By how much air lifts what stands at a true altitude, degrees; nothing far below the horizon.
   */
  private static double refraction(double altitude) {
    if (altitude < -1) {
      return 0;
    }
    double minutes = 1.02 / Math.tan(Math.toRadians(altitude + 10.3 / (altitude + 5.11)));
    return Math.max(0, minutes) / 60;
  }

  /** Whether any of it is above the horizon. */
  public boolean isUp() {
    return altitude > 0;
  }
}
