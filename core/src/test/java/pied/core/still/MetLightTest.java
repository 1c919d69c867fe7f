package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import pied.core.light.LinearColour;

class MetLightTest {
  private static final double[] LIGHT = {3, 2, 1};

  /** A picture of things of many colours in one light, so bright at each dot. */
  private static LinearColour seen(double[] bright) {
    Film film = new Film(16, 16);
    float[] lit = new float[3 * 256];
    for (int dot = 0; dot < 256; dot++) {
      int at = Film.SIZE * dot;
      film.count[dot] = 2;
      film.sums[at + Film.DEPTH] = 2;
      for (int k = 0; k < 3; k++) {
        double colour = 0.1 + 0.8 * ((dot * (k + 3)) % 7) / 7;
        film.sums[at + Film.COLOUR + k] = (float) (2 * colour);
        lit[3 * dot + k] = (float) (colour * LIGHT[k] * bright[dot % bright.length]);
      }
    }
    return MetLight.colour(lit, film);
  }

  @Test
  void itIsThatOfTheLightAndNotOfWhatItFallsOn() {
    LinearColour wanted = LinearColour.of(LIGHT[0], LIGHT[1], LIGHT[2]);
    for (double[] bright : new double[][] {{1}, {0.01, 400}, {5, 5, 0.3}}) {
      LinearColour c = seen(bright);
      assertThat(c.red() / c.green()).isCloseTo(wanted.red() / wanted.green(), within(1e-3));
      assertThat(c.blue() / c.green()).isCloseTo(wanted.blue() / wanted.green(), within(1e-3));
    }
  }

  @Test
  void inTheDarkThereIsNone() {
    assertThat(seen(new double[] {0})).isNull();
  }

  @Test
  void whatIsWhiteInThatLightIsWhiterAsItIsSeen() {
    LinearColour c = seen(new double[] {1});
    double[] by = new Exposure(1, new double[] {1, 1, 1}).to(c).balance();
    double before = LIGHT[0] / LIGHT[2];
    double after = LIGHT[0] * by[0] / (LIGHT[2] * by[2]);
    assertThat(after).isBetween(1.0, before / 2);
    double y = LinearColour.luminance(c.red() * by[0], c.green() * by[1], c.blue() * by[2]);
    assertThat(y).isCloseTo(1, within(1e-9)); // as bright as it was
  }
}
