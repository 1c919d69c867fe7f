package pied.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.units.Refusal;

class BeamTest {
  @ParameterizedTest
  @CsvSource({"19, 26", "32, 58", "70, 110", "8, 12", "95, 140"})
  void halfIsLeftAtTheBeamAndATenthAtTheField(double beam, double field) {
    Beam b = new Beam(beam, field);
    assertThat(b.share(beam / 2)).isCloseTo(0.5, within(1e-9));
    assertThat(b.share(field / 2)).isCloseTo(0.1, within(1e-9));
    assertThat(b.share(0)).isEqualTo(1);
    assertThat(b.share(b.edge() + 0.01)).isZero();
  }

  /** All of its light, summed up over the sphere, is what it was said to have. */
  @ParameterizedTest
  @CsvSource({"19, 26", "32, 58", "70, 110", "95, 140", "360, 360"})
  void noLightIsLostOrWon(double beam, double field) {
    Beam b = new Beam(beam, field);
    double sum = 0;
    int n = 200_000;
    for (int i = 0; i < n; i++) {
      double a = Math.PI * (i + 0.5) / n;
      double ring = 2 * Math.PI * Math.sin(a) * Math.PI / n;
      sum += b.share(Math.toDegrees(a)) * ring;
    }
    assertThat(sum * b.candela(1000)).isCloseTo(1000, within(0.5));
  }

  @Test
  void aFieldNarrowerThanItsBeamIsRefused() {
    assertThatThrownBy(() -> new Beam(30, 20)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> new Beam(30, 175)).isInstanceOf(Refusal.class);
  }
}
