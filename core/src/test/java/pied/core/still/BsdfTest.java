package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.solid.Vec;

class BsdfTest {
  private static final double[] NONE = {0, 0, 0};
  private static final double[] WHITE = {1, 1, 1};

  static Stream<LitSurface> whites() {
    Stream.Builder<LitSurface> all = Stream.builder();
    for (double rough : new double[] {0.05, 0.15, 0.4, 0.7, 1}) {
      for (double metal : new double[] {0, 1}) {
        for (double coat : new double[] {0, 1}) {
          for (double sheen : new double[] {0, 1}) {
            for (double through : new double[] {0, 0.8}) {
              all.add(new LitSurface(WHITE, rough, metal, coat, sheen, 0, through, NONE, null));
            }
          }
        }
      }
    }
    return all.build();
  }

  /** Where it is equally bright all around, what keeps all light is as bright as that. */
  @ParameterizedTest
  @MethodSource("whites")
  void inEvenLightWhatIsWhiteCannotBeSeen(LitSurface s) {
    StillScene scene =
        Boxes.scene(
            List.of(Boxes.box(new Vec(-1, -1, -1), new Vec(1, 1, 1), s)),
            List.of(),
            Outdoors.even(1));
    for (double x : new double[] {0, 1.5, 5}) {
      double[] seen = Boxes.seen(scene, new Vec(x, 3, 0), new Vec(0, 1, 0.1), 4000);
      // what goes through rough things on both sides keeps a little less, or more, of it
      double off = s.through() > 0 && s.metal() == 0 ? 0.025 : s.sheen() > 0 ? 0.015 : 0.01;
      assertThat(seen[0]).as("%s from %s", s, x).isEqualTo(1, within(off));
    }
  }

  @ParameterizedTest
  @MethodSource("whites")
  void whatIsPickedIsAsLikelyAsItSays(LitSurface s) {
    Bsdf bsdf = new Bsdf();
    double[] up = {0, 0, 1};
    double[] look = {0.6, 0, 0.8};
    bsdf.at(s, WHITE, s.rough(), look, up, up);
    PathSamples p = new PathSamples();
    int n = 60_000;
    // over all directions likelihoods sum up to the share of what is not led one way
    double sum = 0;
    int scattered = 0;
    for (int i = 0; i < n; i++) {
      p.begin(1, i, 3);
      double z = 2 * p.pair() - 1;
      double r = Math.sqrt(1 - z * z);
      double a = 2 * Math.PI * p.second();
      double[] way = {r * Math.cos(a), r * Math.sin(a), z};
      sum += bsdf.toward(way) ? bsdf.likely * 4 * Math.PI / n : 0;
      scattered += bsdf.sample(p.one(), p.pair(), p.second()) && !bsdf.turned ? 1 : 0;
    }
    boolean narrow = s.rough() < 0.3 || s.coat() > 0;
    assertThat((double) scattered / n).isEqualTo(sum, within(narrow ? 0.08 : 0.02));
  }
}
