package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import org.junit.jupiter.api.Test;
import pied.core.Choices;

@Tag("thorough")
class MeshQuestionsTest {
  @Test
  void boxIsClosedAndHasItsVolume() {
    Mesh m = Shapes.box(0, 0, 0, 2, 3, 4);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(24, within(1e-12));
    assertThat(m.mirrored().volume()).isCloseTo(24, within(1e-12));
    Mesh open = Mesh.of(m.xyz(), java.util.Arrays.copyOf(m.corners(), 33));
    assertThat(open.isClosed()).isFalse();
  }

  @Test
  void refusesWhatIsNoMesh() {
    double[] p = {0, 0, 0, 1, 0, 0, 0, 1, 0};
    assertThatThrownBy(() -> Mesh.of(p, new int[] {})).hasMessageContaining("at least one");
    assertThatThrownBy(() -> Mesh.of(p, new int[] {0, 1, 3})).hasMessageContaining("vertex 3");
    p[4] = Double.NaN;
    assertThatThrownBy(() -> Mesh.of(p, new int[] {0, 1, 2})).hasMessageContaining("not a number");
  }

  @Property(tries = 60)
  void nearestRayAgreesWithLookingAtEveryTriangle(@ForAll Choices r) {
    Mesh m = Shapes.lump(r, 1);
    MeshTree.RayHit hit = new MeshTree.RayHit();
    MeshTree.RayHit one = new MeshTree.RayHit();
    for (int i = 0; i < 50; i++) {
      Vec o = Shapes.direction(r).times(2 * r.nextDouble());
      Vec d = Shapes.direction(r);
      double best = Double.POSITIVE_INFINITY;
      for (int t = 0; t < m.triangles(); t++) {
        int[] c = {m.corners()[3 * t], m.corners()[3 * t + 1], m.corners()[3 * t + 2]};
        Mesh single = Mesh.of(m.xyz(), c);
        single.tree().nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), 100, one);
        best = Math.min(best, one.distance);
      }
      boolean met = m.tree().nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), 100, hit);
      assertThat(met).isEqualTo(best < 100);
      assertThat(m.tree().any(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), 100, one)).isEqualTo(met);
      if (met) {
        assertThat(hit.distance).isCloseTo(best, within(1e-6));
      }
    }
  }

  @Property(tries = 60)
  void windingAgreesWithTheRadius(@ForAll Choices r) {
    Mesh ball = Shapes.sphere(1, 40);
    Vec p = Shapes.direction(r).times(1.5 * r.nextDouble());
    if (Math.abs(p.length() - 1) > 0.02) {
      assertThat(ball.tree().winding(p)).isEqualTo(p.length() < 1 ? 1 : 0);
    }
  }

  @Test
  void distanceOfSpheresAndBoxes() {
    Mesh ball = Shapes.sphere(0.5, 80);
    Vec at = new Vec(1.3, 0.7, -0.9);
    double d = Nearness.distance(ball, Pose.of(at, 20), ball, Pose.HERE, 100);
    assertThat(d).isCloseTo(at.length() - 1, within(2e-3));
    Mesh box = Shapes.box(0, 0, 0, 1, 1, 1);
    assertThat(Nearness.distance(box, Pose.of(new Vec(2, 3, 0), 0), box, Pose.HERE, 100))
        .isCloseTo(Math.sqrt(1 + 4), within(1e-12));
    assertThat(Nearness.distance(box, Pose.of(new Vec(0.5, 0.5, 0.5), 0), box, Pose.HERE, 100))
        .isZero();
    assertThat(Nearness.distance(box, Pose.of(new Vec(9, 0, 0), 0), box, Pose.HERE, 2))
        .isInfinite();
  }

  @Test
  void touchingIsNoOverlap() {
    Mesh box = Shapes.box(0, 0, 0, 1, 1, 1);
    assertThat(Nearness.overlap(box, Pose.of(new Vec(1, 0.2, 0), 0), box, Pose.HERE, 1e-6))
        .isFalse();
    assertThat(Nearness.overlap(box, Pose.of(new Vec(0.999, 0.2, 0), 0), box, Pose.HERE, 1e-6))
        .isTrue();
    assertThat(Nearness.overlap(box, Pose.of(new Vec(0.9995, 0, 0), 0), box, Pose.HERE, 1e-3))
        .isFalse();
  }

  @Property(tries = 30)
  void manyBodiesAnswerAsEachAlone(@ForAll Choices r) {
    List<Body> list = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      Vec at = new Vec(6 * r.nextDouble(), r.nextDouble(), 6 * r.nextDouble());
      list.add(new Body("b" + i, Shapes.lump(r, 0.2), Pose.of(at, 360 * r.nextDouble())));
    }
    Bodies all = new Bodies(list);
    Mesh m = Shapes.lump(r, 0.2);
    Pose pose = Pose.of(new Vec(3, 4, 3), 10);
    Vec d = new Vec(r.nextGaussian() * 0.5, -1, r.nextGaussian() * 0.5).unit();
    double best = Double.POSITIVE_INFINITY;
    for (Body b : list) {
      best = Math.min(best, Travel.of(m, pose, b.mesh(), b.pose(), d, 100).distance());
    }
    double found = all.travel(m, pose, d, Double.POSITIVE_INFINITY, b -> true).stop().distance();
    assertThat(found).isEqualTo(best);
    Vec from = new Vec(3, 4, 3);
    MeshTree.RayHit hit = new MeshTree.RayHit();
    double near = Double.POSITIVE_INFINITY;
    for (Body b : list) {
      Vec o = b.pose().unapply(from);
      Vec v = b.pose().undirect(d);
      b.mesh().tree().nearest(o.x(), o.y(), o.z(), v.x(), v.y(), v.z(), 100, hit);
      near = Math.min(near, hit.distance);
    }
    Bodies.RayMet met = all.ray(from, d, 100, b -> true);
    assertThat(met == null ? Double.POSITIVE_INFINITY : met.distance()).isEqualTo(near);
  }

  @Test
  void quarterTurnsAreExactAndFacesTurnTheRightWay() {
    Vec front = new Vec(0, 0, 1);
    assertThat(Pose.of(Vec.ZERO, 90).direct(front)).isEqualTo(new Vec(1, 0, 0));
    assertThat(Pose.of(Vec.ZERO, -90).direct(front)).isEqualTo(new Vec(-1, 0, 0));
    assertThat(Pose.of(Vec.ZERO, 540).direct(front)).isEqualTo(new Vec(0, 0, -1));
    Pose p = Pose.of(new Vec(1, 2, 3), 33);
    assertThat(p.unapply(p.apply(new Vec(4, 5, 6))).distance(new Vec(4, 5, 6))).isLessThan(1e-12);
  }
}
