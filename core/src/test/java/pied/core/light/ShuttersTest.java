package pied.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class ShuttersTest {
  private static final Beam BEAM = new Beam(19, 26);

  @Test
  void aBladeToTheMiddleTakesHalfOfTheLight() {
    assertThat(Shutters.OUT.through(BEAM)).isEqualTo(1);
    assertThat(new Shutters(0.5, 0, 0, 0).through(BEAM)).isCloseTo(0.5, within(1e-9));
    assertThat(new Shutters(0, 0.5, 0.5, 0).through(BEAM)).isCloseTo(0.25, within(1e-9));
    assertThat(new Shutters(1, 0, 0, 0).through(BEAM)).isLessThan(0.02);
  }

  @Test
  void aBladeStandsOnTheSideItIsNamedAfter() {
    Shutters s = new Shutters(0.3, 0, 0.1, 0);
    assertThat(s.passes(-0.41, 0)).isFalse();
    assertThat(s.passes(-0.39, 0)).isTrue();
    assertThat(s.passes(0.99, 0)).isTrue();
    assertThat(s.passes(0, 0.81)).isFalse();
    assertThat(s.passes(0, -0.99)).isTrue();
  }

  /** What is drawn as its edge holds just what passes. */
  @Property
  void theOutlineHoldsWhatPasses(
      @ForAll @DoubleRange(max = 0.45) double left,
      @ForAll @DoubleRange(max = 0.45) double right,
      @ForAll @DoubleRange(max = 0.45) double top,
      @ForAll @DoubleRange(max = 0.45) double bottom) {
    Shutters s = new Shutters(left, right, top, bottom);
    List<double[]> ring = s.outline();
    int free = 0;
    int n = 200;
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        double u = (i + 0.5) * 2 / n - 1;
        double v = (k + 0.5) * 2 / n - 1;
        free += u * u + v * v < 1 && s.passes(u, v) ? 1 : 0;
      }
    }
    // a circle of 36 sides is half a per cent less than round
    assertThat(area(ring)).isCloseTo(4.0 * free / n / n, within(0.04));
  }

  private static double area(List<double[]> ring) {
    double sum = 0;
    for (int i = 0; i < ring.size(); i++) {
      double[] a = ring.get(i);
      double[] b = ring.get((i + 1) % ring.size());
      sum += a[0] * b[1] - b[0] * a[1];
    }
    return sum / 2;
  }
}
