package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.BeforeContainer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.solid.SceneTree.SceneHit;
import pied.core.solid.SceneTree.StandingMesh;

/** Both trees meet the same; where Java has no vectors there is but one. */
class RayTreesTest {
  private static final double[] AXIS = {0, 0, 1, -1, 0.3, -0.7};

  private final WideTree.WalkStack one = new WideTree.WalkStack();
  private final WideTree.WalkStack other = new WideTree.WalkStack();

  @BeforeAll
  @BeforeContainer
  static void thereAreVectors() {
    Mesh m = Shapes.stool();
    assumeTrue(RayTrees.vectors(m, m.tree().boxes) != null);
  }

  private void same(Mesh m, RayTree vectors, Vec o, Vec d, double limit) {
    RayTree plain = m.tree().rays();
    int a = plain.nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), limit, one);
    int b = vectors.nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), limit, other);
    assertThat(b < 0).as("%s along %s", o, d).isEqualTo(a < 0);
    if (a >= 0) {
      assertThat(other.distance).isEqualTo(one.distance, within(1e-5f * (1 + one.distance)));
    }
    if (a == b && a >= 0) {
      assertThat(other.u).isEqualTo(one.u, within(1e-3f));
      assertThat(other.v).isEqualTo(one.v, within(1e-3f));
    }
    assertThat(vectors.any(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), limit, other))
        .isEqualTo(plain.any(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), limit, one));
  }

  /** Away from edges, of which either may say that they are met. */
  @Property(tries = 60)
  void raysFromAnywhereMeetTheSame(@ForAll Choices r) {
    Mesh m = Shapes.lump(r, 0.2 + r.nextDouble());
    RayTree vectors = RayTrees.vectors(m, m.tree().boxes);
    for (int i = 0; i < 60; i++) {
      double far = r.nextInt(3) == 0 ? 500 * r.nextDouble() : 3 * r.nextDouble();
      Vec o = Shapes.direction(r).times(far);
      Vec d =
          r.nextBoolean() ? Shapes.direction(r) : o.times(-1).plus(Shapes.direction(r).times(0.3));
      double limit = r.nextInt(3) == 0 ? 3 * r.nextDouble() : 1e9;
      same(m, vectors, o, d.length() < 1e-6 ? Vec.UP : d.unit(), limit);
    }
  }

  @Property(tries = 40)
  void raysAlongTheDirectionsOfARoomMeetTheSame(@ForAll Choices r) {
    Mesh m = r.nextBoolean() ? Shapes.stool() : Shapes.tray();
    RayTree vectors = RayTrees.vectors(m, m.tree().boxes);
    for (int i = 0; i < 40; i++) {
      Vec d =
          new Vec(
              AXIS[r.nextInt(AXIS.length)],
              AXIS[r.nextInt(AXIS.length)],
              AXIS[r.nextInt(AXIS.length)]);
      Vec o =
          new Vec(r.nextDouble() - 0.5, r.nextDouble() - 0.2, r.nextDouble() - 0.5)
              .minus(d.times(r.nextInt(3)));
      if (d.length() > 0) {
        same(m, vectors, o, d.unit(), 1e9);
      }
    }
  }

  /** Many meshes that stand somewhere, as a still asks them, before and after it is chosen. */
  @Test
  void aSceneIsTheSameByBoth() {
    Random random = new Random(4);
    List<StandingMesh> all = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      Vec at = new Vec(8 * random.nextDouble(), 3 * random.nextDouble(), 8 * random.nextDouble());
      Mesh m = i % 2 == 0 ? Shapes.stool() : Shapes.tray();
      all.add(new StandingMesh(m, Pose.of(at, 360 * random.nextDouble())));
    }
    SceneTree plain = new SceneTree(all);
    double ratio = RayTrees.warm(() -> {});
    assertThat(ratio).isPositive();
    SceneTree chosen = new SceneTree(all);
    SceneHit a = new SceneHit();
    SceneHit b = new SceneHit();
    int met = 0;
    int others = 0;
    for (int i = 0; i < 20_000; i++) {
      double[] o = {8 * random.nextDouble(), 3 * random.nextDouble(), 8 * random.nextDouble()};
      Vec w = new Vec(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).unit();
      double[] way = {w.x(), w.y(), w.z()};
      boolean some = plain.nearest(o, way, 100, SceneTree.ALL, a);
      boolean same = chosen.nearest(o, way, 100, SceneTree.ALL, b) == some;
      met += some ? 1 : 0;
      others += same && (!some || Math.abs(a.distance - b.distance) < 1e-4) ? 0 : 1;
    }
    assertThat(met).isGreaterThan(500);
    assertThat(others).isLessThanOrEqualTo(1);
  }
}
