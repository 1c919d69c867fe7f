package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What is asked often is answered from what was kept, and the same. */
class SweepTest {
  private static final double S = Math.sqrt(0.5);
  private static final int OFTEN = 60;

  private static Mesh lump(Random r) {
    return Shapes.lump(r, 0.2 + r.nextDouble());
  }

  private static Travel.Stop asked(Mesh a, Pose pa, Mesh b, Pose pb, Vec way, int times) {
    Travel.Stop stop = Travel.of(a, pa, b, pb, way, 100);
    for (int i = 1; i < times; i++) {
      stop = Travel.of(a, pa, b, pb, way, 100);
    }
    return stop;
  }

  @Test
  void whatIsKeptAnswersAsWhatIsTurnedAnew() {
    Random r = new Random(3);
    for (int i = 0; i < 60; i++) {
      Mesh a = lump(r);
      Mesh b = lump(r);
      Vec way = Shapes.direction(r);
      Pose pa = Pose.of(way.times(-2).plus(Shapes.direction(r).times(0.5)), Shapes.rotation(r));
      Pose pb = Pose.of(Vec.ZERO, Shapes.rotation(r));
      Travel.Stop first = asked(a, pa, b, pb, way, 1);
      Travel.Stop often = asked(a, pa, b, pb, way, OFTEN);
      assertThat(often.meets()).isEqualTo(first.meets());
      assertThat(often.overlapping()).isEqualTo(first.overlapping());
      if (first.meets()) {
        assertThat(often.distance()).isCloseTo(first.distance(), within(1e-11));
        assertThat(often.point().distance(first.point())).isLessThan(1e-6);
      }
    }
  }

  @Test
  void whatMetTheLastTimeDoesNotHideWhatIsMetSoonerNow() {
    Mesh comb =
        Mesh.join(List.of(Shapes.box(0, 0, 0, 0.1, 1, 0.1), Shapes.box(0.5, 0, 0, 0.6, 1, 0.3)));
    Mesh cube = Shapes.box(0, 0, 0, 0.1, 0.1, 0.1);
    Vec back = new Vec(0, 0, -1);
    for (int i = 0; i < OFTEN; i++) {
      Pose low = Pose.of(new Vec(0, 0.2, 2), 0);
      assertThat(Travel.of(cube, low, comb, Pose.HERE, back, 9).distance())
          .isCloseTo(1.9, within(1e-9));
      Pose high = Pose.of(new Vec(0.5, 0.2, 2), 0);
      assertThat(Travel.of(cube, high, comb, Pose.HERE, back, 9).distance())
          .isCloseTo(1.7, within(1e-9));
    }
  }

  /** The box of a wall that runs askew is far larger than the wall. */
  @Test
  void aWallThatIsComeToAskewIsMetWhereItIs() {
    Mesh wall = Shapes.box(-7, 0, -0.2, 7, 3, 0);
    Pose turned = Pose.of(Vec.ZERO, 45);
    Mesh ball = Shapes.sphere(0.25, 64);
    Vec way = new Vec(0, 0, -1);
    for (int i = 0; i < OFTEN; i++) {
      double x = -3 + 0.1 * i;
      Pose at = Pose.of(new Vec(x, 1, 6), 0);
      // the face is where z = -x; a sphere touches it when its middle is r away
      double middle = -x + 0.25 / S;
      assertThat(Travel.of(ball, at, wall, turned, way, 99).distance())
          .isCloseTo(6 - middle, within(1e-3));
      assertThat(Travel.toFree(ball, Pose.of(new Vec(x, 1, -x), 0), wall, turned, way.times(-1)))
          .isCloseTo(0.25 / S, within(1e-3));
    }
  }

  /** Of a hundred faces that are met at once, one is enough; the distance is theirs to the last. */
  @Test
  void flatOnFlatIsExact() {
    Mesh tiles = Shapes.box(0, 0, 0, 0.05, 0.05, 0.05);
    Mesh field = tiles;
    for (int i = 1; i < 100; i++) {
      double x = 0.06 * (i % 10);
      double z = 0.06 * (i / 10);
      field = Mesh.join(List.of(field, tiles.at(Pose.of(new Vec(x, 0, z), 0))));
    }
    for (int i = 0; i < OFTEN; i++) {
      Pose above = Pose.of(new Vec(0.02, 0.7 + 0.01 * i, 0.01), 90);
      assertThat(Travel.of(field, above, field, Pose.HERE, Vec.DOWN, 9).distance())
          .isCloseTo(0.65 + 0.01 * i, within(1e-12));
    }
  }
}
