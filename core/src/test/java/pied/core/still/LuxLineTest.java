package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.ToDoubleBiFunction;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.lighting.LampSource;
import pied.core.lighting.LampSources;
import pied.core.solid.Vec;
import pied.core.space.Spot;

class LuxLineTest {
  private static final double PITCH = 0.1;
  private static final int WIDE = 61;

  /** A field from -3 to 3 each way. */
  private static LuxField field(ToDoubleBiFunction<Double, Double> lux) {
    double[] all = new double[WIDE * WIDE];
    for (int i = 0; i < all.length; i++) {
      all[i] = lux.applyAsDouble(PITCH * (i % WIDE) - 3, PITCH * (i / WIDE) - 3);
    }
    return new LuxField(new Spot(-3, -3), PITCH, PITCH, WIDE, all);
  }

  private static LuxLine line(LuxField field, double lux) {
    return LuxLine.of(field).stream().filter(l -> l.lux() == lux).findFirst().orElseThrow();
  }

  /** A lamp of 400 cd, 2 m up: 400 · 2 / (4 + r²)^1.5 lux. */
  @Test
  void underALampTheyAreCircles() {
    LuxField f = field((x, z) -> 800 / Math.pow(4 + x * x + z * z, 1.5));
    for (LuxLine l : LuxLine.of(f)) {
      double r = Math.sqrt(Math.pow(800 / l.lux(), 2.0 / 3) - 4);
      if (r < 2.9) { // farther ones leave the field
        assertThat(l.runs()).hasSize(1);
        List<Spot> run = l.runs().get(0);
        assertThat(run.get(0)).isEqualTo(run.get(run.size() - 1));
        assertThat(run)
            .allSatisfy(p -> assertThat(Math.hypot(p.x(), p.z())).isCloseTo(r, within(3e-3)));
      }
    }
    assertThat(LuxLine.of(f)).extracting(LuxLine::lux).contains(50.0, 75.0);
  }

  @Test
  void whereThereIsNothingTheyEnd() {
    LuxField f = field((x, z) -> Math.abs(x) < 0.55 && Math.abs(z) < 0.55 ? Double.NaN : 10 + x);
    LuxLine ten = line(f, 10);
    assertThat(ten.runs()).hasSize(2);
    assertThat(ten.runs())
        .allSatisfy(
            run -> assertThat(run).allSatisfy(p -> assertThat(p.x()).isCloseTo(0, within(1e-9))));
    double length =
        ten.runs().stream()
            .mapToDouble(r -> Math.abs(r.get(0).z() - r.get(r.size() - 1).z()))
            .sum();
    assertThat(length)
        .isCloseTo(6 - 1.2, within(1e-9)); // the cells at the hole have no four corners
  }

  /** Between two bright spots lines run past each other and never cross. */
  @Test
  void atASaddleWhatIsAsItsMiddleHangsTogether() {
    LuxField f = field((x, z) -> 20 + 5 * x * z);
    for (LuxLine l : LuxLine.of(f)) {
      if (l.lux() != 20) {
        assertThat(l.runs()).as("%s lx", l.lux()).hasSize(2);
      }
    }
  }

  @Test
  void valuesAreRoundAndFew() {
    assertThat(LuxLine.values(40, 320)).containsExactly(50.0, 75.0, 100.0, 150.0, 200.0, 300.0);
    assertThat(LuxLine.values(0.4, 40_000)).hasSizeLessThanOrEqualTo(8).contains(30_000.0);
    assertThat(LuxLine.values(110, 120)).isEmpty();
  }

  /** In a black room under one lamp; over and around a table there is no light in the table. */
  @Test
  void measuredOverAFloorTheyAreWhereTheTradesSumHasThem() {
    Rooms room = new Rooms();
    room.put("p", "globe-pendant", 3, 2);
    room.json("{'do':'day','hour':'0','date':'2026-01-05'}");
    for (String part : List.of("floor", "ceiling", "wall", "skirting")) {
      room.json("{'do':'decorate','part':'" + part + "','finish':{'colour':'#000000','metal':1}}");
    }
    LuxField f = LuxField.of(room.space, new LuxMeter(room.space), 0.5, 0.03, 2);
    assertThat(f.isEmpty()).isFalse();
    List<LampSource> lamps = LampSources.of(room.space);
    for (LuxLine l : LuxLine.of(f)) {
      double mean =
          l.runs().stream()
              .flatMap(List::stream)
              .mapToDouble(p -> sum(lamps, p))
              .average()
              .orElseThrow();
      // smoothed over its neighbours it is a little less where it is brightest
      assertThat(mean).isCloseTo(l.lux(), Percentage.withPercentage(4));
    }
  }

  private static double sum(List<LampSource> lamps, Spot p) {
    return lamps.stream().mapToDouble(l -> l.lux(new Vec(p.x(), 0.5, p.z()), Vec.UP)).sum();
  }
}
