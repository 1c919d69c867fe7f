package pied.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.show.Day;
import pied.core.solid.Vec;

/** Where the sun stands, against tables made by others. */
class SunTest {
  private static final double TENTH = 0.1;

  private static double hour(LocalDateTime t) {
    return t.getHour() + t.getMinute() / 60.0;
  }

  /**
   * Latitude, longitude, UTC, azimuth and altitude: the ephemeris of the IAU's SOFA library
   * (apparent place, refraction at 1010 hPa and 10 °C), both hemispheres, 1976 to 2040.
   */
  @ParameterizedTest
  @CsvSource({
    "52.3, 1.6, 2026-03-21T08:00, 114.213, 17.977",
    "0, 0, 2026-03-21T08:00, 89.678, 28.230",
    "-1.29, 36.82, 2026-03-21T08:00, 86.563, 64.981",
    "78.2, 15.6, 2026-03-21T08:00, 133.149, 8.518",
    "52.3, 1.6, 2026-06-21T12:00, 182.177, 61.132",
    "0, 0, 2026-06-21T12:00, 1.048, 66.564",
    "64.15, -21.94, 2026-06-21T12:00, 149.355, 46.718",
    "-1.29, 36.82, 2026-06-21T12:00, 307.290, 46.872",
    "78.2, 15.6, 2026-06-21T12:00, 196.970, 34.803",
    "52.3, 1.6, 1999-08-11T11:00, 156.979, 51.235",
    "0, 0, 1999-08-11T11:00, 45.698, 67.766",
    "64.15, -21.94, 1999-08-11T11:00, 133.485, 34.641",
    "-1.29, 36.82, 1999-08-11T11:00, 310.109, 63.789",
    "78.2, 15.6, 1999-08-11T11:00, 179.229, 27.157",
    "-33.87, 151.21, 2026-12-21T22:30, 90.604, 44.644",
    "35.68, 139.69, 2026-12-21T22:30, 125.092, 6.642",
    "40.0, -105.18, 2026-12-21T22:30, 227.823, 9.861",
    "-77.8, 166.7, 2026-12-21T22:30, 39.373, 33.175",
    "-54.8, -68.3, 2015-10-01T17:45, 334.409, 35.855",
    "40.0, -105.18, 2015-10-01T17:45, 156.920, 44.225",
    "-33.87, 151.21, 2040-05-05T03:15, 335.125, 35.982",
    "35.68, 139.69, 2040-05-05T03:15, 205.578, 69.036",
    "52.3, 1.6, 1976-02-29T15:00, 226.299, 19.488",
    "0, 0, 1976-02-29T15:00, 258.463, 47.558",
    "-54.8, -68.3, 1976-02-29T15:00, 34.267, 38.465",
    "-1.29, 36.82, 1976-02-29T15:00, 262.345, 11.451"
  })
  void standsWhereTablesHaveIt(
      double latitude, double longitude, LocalDateTime at, double azimuth, double altitude) {
    Sun s = Sun.at(latitude, longitude, at.toLocalDate(), hour(at));
    assertThat(s.altitude()).isCloseTo(altitude, within(TENTH));
    double off = Math.abs(Math.IEEEremainder(s.azimuth() - azimuth, 360));
    assertThat(off * Math.cos(Math.toRadians(altitude))).isLessThan(TENTH);
  }

  /** The worked example of NREL/TP-560-34302 (I. Reda and A. Andreas, 2003). */
  @Test
  void standsWhereTheExampleOfTheSolarPositionAlgorithmHasIt() {
    Sun s = Sun.at(39.742476, -105.1786, LocalDate.of(2003, 10, 17), 19 + 30.5 / 60);
    assertThat(s.azimuth()).isCloseTo(194.34, within(0.03));
    assertThat(s.altitude()).isCloseTo(90 - 50.11, within(0.03));
  }

  /** Instants of equinoxes and solstices, UTC, as almanacs print them: how far along the year. */
  @ParameterizedTest
  @CsvSource({
    "2019-03-20T21:58, 0", "2019-06-21T15:54, 90", "2019-09-23T07:50, 180",
    "2019-12-22T04:19, 270", "2021-03-20T09:37, 0", "2021-06-21T03:32, 90",
    "2021-09-22T19:21, 180", "2021-12-21T15:59, 270", "2024-03-20T03:06, 0",
    "2024-06-20T20:51, 90", "2024-09-22T12:44, 180", "2024-12-21T09:20, 270"
  })
  void theYearTurnsWhenAlmanacsSay(LocalDateTime at, double longitude) {
    double days = at.toLocalDate().toEpochDay() - LocalDate.of(2000, 1, 1).toEpochDay();
    double found = Sun.eclipticLongitude(days - 0.5 + hour(at) / 24);
    assertThat(Math.IEEEremainder(found - longitude, 360)).isCloseTo(0, within(0.02));
  }

  /** The head of the plan is north where nothing is said; turned, the sun goes along. */
  @Test
  void inTheSpaceItStandsWhereItsNorthSays() {
    Day noon = new Day(52, 0, 0, LocalDate.of(2026, 6, 21), 12, Sky.clear);
    Vec up = noon.toward(0);
    assertThat(up.z()).as("to the south, the foot of the plan").isGreaterThan(0.4);
    assertThat(Math.abs(up.x())).isLessThan(0.02);
    assertThat(up.length()).isCloseTo(1, within(1e-12));
    Vec east = new Day(52, 0, 0, LocalDate.of(2026, 3, 20), 6.5, Sky.clear).toward(0);
    assertThat(east.x()).as("in the morning to the right").isGreaterThan(0.95);
    // north to the left of the plan: counter-clockwise from its head
    Vec turned = noon.toward(90);
    assertThat(turned.x()).as("then south is to the right").isCloseTo(up.z(), within(1e-9));
    assertThat(turned.z()).isCloseTo(-up.x(), within(1e-9));
  }
}
