package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import pied.core.light.LinearColour;
import pied.core.light.Sky;
import pied.core.solid.Vec;
import pied.core.still.Outdoors.Portal;
import pied.core.still.StillScene.SceneBody;

/** Scenes of which one can say by hand how bright they are. */
class KnownLightTest {
  private static final Percentage ONE = Percentage.withPercentage(1);
  private static final Percentage TWO = Percentage.withPercentage(2);

  /** What is of metal has no gleam but that of its colour. */
  private static final LitSurface BLACK =
      new LitSurface(new double[3], 1, 1, 0, 0, 0, 0, new double[3], null);

  /** A ball of even brightness lights a floor by I/d² times the slant, however large it is. */
  @Test
  void aLampOverAFloor() {
    for (double radius : new double[] {0.01, 0.1, 0.5}) {
      StillScene s =
          Boxes.scene(
              List.of(Boxes.floor(BLACK)),
              List.of(Boxes.lamp(new Vec(0, 2, 0), 1000, radius)),
              Outdoors.dark());
      double candela = 1000 / (4 * Math.PI);
      assertThat(Boxes.lux(s, new Vec(0, 0, 0), Vec.UP, 0.002)).isCloseTo(candela / 4, ONE);
      double d2 = 4 + 2.25;
      double lux = candela / d2 * 2 / Math.sqrt(d2);
      assertThat(Boxes.lux(s, new Vec(1.5, 0, 0), Vec.UP, 0.002)).isCloseTo(lux, ONE);
    }
  }

  /** What is seen of a floor that gives back half: its light by half of 1/π. */
  @Test
  void aFloorAsItIsSeen() {
    LitSurface half =
        new LitSurface(new double[] {.5, .5, .5}, 1, 0, 0, 0, 0, 0, new double[3], null);
    StillScene s =
        Boxes.scene(
            List.of(Boxes.floor(half)),
            List.of(Boxes.lamp(new Vec(0, 2, 0), 1000, 0.05)),
            Outdoors.dark());
    double[] seen = Boxes.seen(s, new Vec(0, 1, 0), Vec.ZERO, 4000);
    Bsdf b = new Bsdf();
    double[] up = {0, 1, 0};
    b.at(half, half.colour(), 1, up, up, up);
    b.toward(up);
    assertThat(seen[0]).isCloseTo(b.share[0] * 1000 / (4 * Math.PI) / 4, ONE);
    assertThat(b.share[0]).isEqualTo(0.5 / Math.PI, within(0.02));
  }

  /** A ball in an even sky gives back its own share of it, whatever its shape. */
  @Test
  void aGreyThingUnderAnEvenSky() {
    LitSurface grey = LitSurface.matt(0.5);
    StillScene s =
        Boxes.scene(
            List.of(Boxes.box(new Vec(-1, -1, -1), new Vec(1, 1, 1), grey)),
            List.of(),
            Outdoors.even(100));
    double[] look = {0, 1, 0};
    Bsdf b = new Bsdf();
    b.at(grey, grey.colour(), 1, look, look, look);
    double[] share = new double[3];
    b.albedo(share);
    double[] seen = Boxes.seen(s, new Vec(0, 4, 0), new Vec(0, 0, 0.01), 4000);
    assertThat(seen[1]).isCloseTo(100 * share[1], ONE);
  }

  /** A lamp behind a wall with a window in it: through the pane it lights, else it does not. */
  @Test
  void aLampThroughAWindow() {
    List<SceneBody> bodies = new ArrayList<>(List.of(Boxes.floor(BLACK)));
    bodies.add(Boxes.box(new Vec(-3, 0, 0), new Vec(-0.5, 3, 0.1), BLACK));
    bodies.add(Boxes.box(new Vec(0.5, 0, 0), new Vec(3, 3, 0.1), BLACK));
    bodies.add(Boxes.box(new Vec(-0.5, 0.04, 0.03), new Vec(0.5, 3, 0.05), LitSurface.pane(0.78)));
    StillScene s =
        Boxes.scene(bodies, List.of(Boxes.lamp(new Vec(0, 2, -2), 5000, 0.01)), Outdoors.dark());
    double candela = 5000 / (4 * Math.PI);
    Vec lit = new Vec(0, 0, 2);
    double d2 = 4 + 16;
    double open = candela / d2 * 2 / Math.sqrt(d2);
    assertThat(Boxes.lux(s, lit, Vec.UP, 0.002)).isCloseTo(0.78 * open, TWO);
    assertThat(Boxes.lux(s, new Vec(2.2, 0, 1), Vec.UP, 0.002)).isLessThan(0.01 * open);
  }

  /** An even sky through an opening in a black wall: what of the half sphere it takes. */
  @Test
  void theSkyThroughAnOpening() {
    List<SceneBody> bodies = new ArrayList<>(List.of(Boxes.floor(BLACK)));
    bodies.add(Boxes.box(new Vec(-5, 0, -0.1), new Vec(-1, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(1, 0, -0.1), new Vec(5, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-1, 0, -0.1), new Vec(1, 1, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-1, 2.5, -0.1), new Vec(1, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-6, 4, -1), new Vec(6, 4.2, 8), BLACK));
    bodies.add(Boxes.box(new Vec(-6, 0, 6), new Vec(6, 4.2, 6.2), BLACK));
    bodies.add(Boxes.box(new Vec(-5.2, 0, -1), new Vec(-5, 4.2, 8), BLACK));
    bodies.add(Boxes.box(new Vec(5, 0, -1), new Vec(5.2, 4.2, 8), BLACK));
    Portal p = Portal.of(new Vec(-1, 1, 0), new Vec(2, 0, 0), new Vec(0, 1.5, 0), new Vec(0, 0, 1));
    Outdoors out =
        new Outdoors((way, to) -> to[0] = to[1] = to[2] = 1000, List.of(p), null, 0, Boxes.WHITE);
    StillScene s = Boxes.scene(bodies, List.of(), out);
    Vec at = new Vec(0.3, 0, 2.5);
    double sum = 0;
    int n = 400;
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        Vec q = new Vec(-1 + 2 * (i + 0.5) / n, 1 + 1.5 * (k + 0.5) / n, 0);
        Vec d = q.minus(at);
        double l2 = d.dot(d);
        // 0.1 of wall cuts nothing of what comes from this far in front
        sum += 1000 * (d.y() / Math.sqrt(l2)) * (-d.z() / Math.sqrt(l2)) / l2 * 3 / (n * n);
      }
    }
    double cut = Boxes.lux(s, at, Vec.UP, 0.002);
    assertThat(cut).isBetween(0.9 * sum, 1.01 * sum); // the far rim of the wall takes a little
    bodies.subList(1, 5).clear();
    double deep = 0.0005;
    bodies.add(Boxes.box(new Vec(-5, 0, -deep), new Vec(-1, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(1, 0, -deep), new Vec(5, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-1, 0, -deep), new Vec(1, 1, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-1, 2.5, -deep), new Vec(1, 4, 0), BLACK));
    StillScene thin = Boxes.scene(bodies, List.of(), out);
    assertThat(Boxes.lux(thin, at, Vec.UP, 0.002)).isCloseTo(sum, ONE);
  }

  /**
   * In a closed room all light that lamps give ends in its walls: where all of them give back the
   * same share, on the whole they have Φ / (A (1 − ρ)).
   */
  @Test
  void noLightIsWonOrLost() {
    for (double back : new double[] {0.3, 0.8}) {
      StillScene s =
          Boxes.scene(
              Boxes.room(new Vec(3, 3, 3), lambert(back)),
              List.of(Boxes.lamp(new Vec(1.5, 1.5, 1.5), 1000, 0.05)),
              Outdoors.dark());
      double sum = 0;
      int n = 6;
      for (int i = 0; i < n * n; i++) {
        Vec at = new Vec(3 * (i % n + 0.5) / n, 0, 3 * (i / n + 0.5) / n);
        sum += Boxes.lux(s, at, Vec.UP, 0.01) / (n * n);
      }
      assertThat(sum).as("" + back).isCloseTo(1000 / (54 * (1 - back)), TWO);
    }
  }

  /** One that gives back such a share in all. */
  static LitSurface lambert(double share) {
    Bsdf b = new Bsdf();
    double[] up = {0, 1, 0};
    double[] out = new double[3];
    double low = 0;
    double high = 1;
    for (int i = 0; i < 40; i++) {
      double c = (low + high) / 2;
      double sum = 0;
      for (int k = 0; k < 50; k++) {
        double cos = Math.sqrt((k + 0.5) / 50);
        double[] look = {Math.sqrt(1 - cos * cos), cos, 0};
        b.at(LitSurface.matt(c), new double[] {c, c, c}, 1, look, up, up);
        b.albedo(out);
        sum += out[0] / 50;
      }
      if (sum < share) {
        low = c;
      } else {
        high = c;
      }
    }
    return LitSurface.matt(low);
  }

  /**
   * The sun through an opening onto a floor: its light by the slant, and what that gives a wall.
   */
  @Test
  void theSunThroughAnOpeningAndWhatItLights() {
    LitSurface half = LitSurface.matt(0.5);
    Vec toward = new Vec(0, 1, -1).unit();
    List<SceneBody> bodies = new ArrayList<>(List.of(Boxes.floor(half)));
    bodies.add(Boxes.box(new Vec(-5, 0, -0.001), new Vec(-0.5, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(0.5, 0, -0.001), new Vec(5, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-0.5, 0, -0.001), new Vec(0.5, 1, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-0.5, 2, -0.001), new Vec(0.5, 4, 0), BLACK));
    bodies.add(Boxes.box(new Vec(-5, 3.9, -1), new Vec(5, 4, 5), BLACK));
    Portal p = Portal.of(new Vec(-.5, 1, 0), new Vec(1, 0, 0), new Vec(0, 1, 0), new Vec(0, 0, 1));
    Outdoors.Dome none = (way, to) -> to[0] = to[1] = to[2] = 0;
    Outdoors out = new Outdoors(none, List.of(p), toward, 10_000, LinearColour.of(1, 1, 1));
    StillScene s = Boxes.scene(bodies, List.of(), out);
    double on = Boxes.lux(s, new Vec(0, 0, 1.5), Vec.UP, 0.002);
    assertThat(on).isCloseTo(10_000 * Math.sqrt(0.5), TWO);
    // a level thing above it, looking down: the patch lies from z = 1 to 2
    Vec at = new Vec(0.2, 1.2, 3);
    Bsdf b = new Bsdf();
    double[] up = {0, 1, 0};
    double sum = 0;
    int n = 300;
    for (int i = 0; i < n * n; i++) {
      Vec q = new Vec(-0.5 + (i % n + 0.5) / n, 0, 1 + (i / n + 0.5) / n);
      Vec d = q.minus(at);
      double l2 = d.dot(d);
      double cos = -d.y() / Math.sqrt(l2);
      double[] back = Outdoors.numbers(d.times(-1 / Math.sqrt(l2)));
      b.at(half, half.colour(), 1, back, up, up);
      b.toward(Outdoors.numbers(toward));
      sum += b.share[0] * 10_000 * cos * cos / l2 / (n * n);
    }
    assertThat(Boxes.lux(s, at, Vec.DOWN, 0.003)).isCloseTo(sum, TWO);
  }

  /** A level place under the open sky has the light that is said of that sky. */
  @Test
  void skiesAreAsBrightAsIsSaid() {
    for (Sky sky : Sky.values()) {
      Vec sun = new Vec(0.6, 0.8, 0);
      double altitude = Math.toDegrees(Math.asin(0.8));
      Outdoors out =
          new Outdoors(
              Outdoors.dome(sky, sun, altitude, 0, Boxes.WHITE), List.of(), null, 0, Boxes.WHITE);
      StillScene s = Boxes.scene(List.of(Boxes.floor(BLACK)), List.of(), out);
      assertThat(Boxes.lux(s, Vec.ZERO, Vec.UP, 0.003)).isCloseTo(sky.skyLux(altitude), TWO);
    }
  }
}
