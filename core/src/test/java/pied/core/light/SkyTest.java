package pied.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The sky against what its papers say. */
class SkyTest {
  private static final LocalDate JANUARY = LocalDate.of(2026, 1, 2);

  @ParameterizedTest
  @EnumSource(Sky.class)
  void rightAboveIsOneWhereverTheSunStands(Sky sky) {
    for (double sun : new double[] {5, 30, 60, 85}) {
      assertThat(sky.luminance(90, 90 - sun, sun)).isCloseTo(1, within(1e-12));
    }
  }

  /** Overcast, 3 to 1 between zenith and horizon, and nothing of the sun in it (ISO 15469). */
  @Test
  void anOvercastSkyIsThreeTimesAsBrightAboveAsAtTheHorizon() {
    assertThat(Sky.overcast.luminance(0, 10, 40)).isCloseTo(1.0 / 3, within(0.003));
    assertThat(Sky.overcast.luminance(0, 170, 40)).isEqualTo(Sky.overcast.luminance(0, 10, 40));
    // the older form of it, (1 + 2 sin γ) / 3 (Moon and Spencer, 1942), to a tenth
    for (int g = 0; g <= 90; g += 15) {
      double old = (1 + 2 * Math.sin(Math.toRadians(g))) / 3;
      assertThat(Sky.overcast.luminance(g, 50, 40)).isCloseTo(old, within(0.1));
    }
  }

  /** f and φ of type 12, reckoned by hand from the table of the paper. */
  @Test
  void aClearSkyIsBrightestAboutTheSunAndDarkestOppositeToIt() {
    // sun at 30°: at the sun f = 1 + 10 (1 − e^(−3π/2)) + 0.45, φ(60°) = 1 − e^(−0.64)
    double f = 1 + 10 * (1 - Math.exp(-3 * Math.PI / 2)) + 0.45;
    double above = 1 + 10 * (Math.exp(-Math.PI) - Math.exp(-3 * Math.PI / 2)) + 0.45 * 0.25;
    double at = f * (1 - Math.exp(-0.64)) / (above * (1 - Math.exp(-0.32)));
    assertThat(Sky.clear.luminance(30, 0, 30)).isCloseTo(at, within(1e-9));
    assertThat(at).isBetween(11.0, 14.0);
    assertThat(Sky.clear.luminance(60, 90, 30)).isLessThan(1);
    assertThat(Sky.clear.luminance(0, 60, 30)).isGreaterThan(Sky.clear.luminance(60, 60, 30));
  }

  /** Lux after the equations of Gillette, Pierpoint and Treado, reckoned by hand. */
  @ParameterizedTest
  @CsvSource({
    "clear, 90, 106872, 16300",
    "clear, 30, 86630, 11760",
    "hazy, 30, 26617, 22800",
    "overcast, 30, 0, 10800",
    "overcast, 90, 0, 21300"
  })
  void thereIsSoMuchLight(Sky sky, double altitude, double sun, double around) {
    assertThat(sky.sunLux(altitude, JANUARY)).isCloseTo(sun, within(sun * 0.001 + 0.1));
    assertThat(sky.skyLux(altitude)).isCloseTo(around, within(15.0));
  }

  @Test
  void nothingComesOfTheSunAtNightAndTheSkyFades() {
    assertThat(Sky.clear.sunLux(-0.1, JANUARY)).isZero();
    assertThat(Sky.clear.skyLux(-6)).isCloseTo(Sky.clear.skyLux(0) / 100, within(1e-9));
    assertThat(Sky.overcast.skyLux(-30)).isLessThan(1e-6);
  }
}
