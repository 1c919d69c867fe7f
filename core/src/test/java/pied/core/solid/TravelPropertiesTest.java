package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import org.joml.Quaterniond;
import pied.core.Choices;

/** What must hold for any two meshes. */
@Tag("thorough")
class TravelPropertiesTest {
  private record Pair(Mesh a, Pose pa, Mesh b, Pose pb, Vec d) {
    Travel.Stop travel() {
      return Travel.of(a, pa, b, pb, d, 100);
    }
  }

  /** Two lumps apart, the first heading roughly for the second. */
  private static Pair apart(Random r) {
    Mesh a = Shapes.lump(r, 0.1 + r.nextDouble());
    Mesh b = Shapes.lump(r, 0.1 + r.nextDouble());
    Vec d = Shapes.direction(r);
    Vec aside = Shapes.direction(r).times(0.8 * r.nextDouble());
    return new Pair(
        a,
        Pose.of(d.times(-4).plus(aside), Shapes.rotation(r)),
        b,
        Pose.of(Vec.ZERO, Shapes.rotation(r)),
        d);
  }

  @Property(tries = 300)
  void movedByItsTravelItTouchesAndDoesNotOverlap(@ForAll Choices r) {
    Pair p = apart(r);
    Travel.Stop stop = p.travel();
    if (!stop.meets()) {
      assertThat(Travel.of(p.b, p.pb, p.a, p.pa, p.d.times(-1), 100).meets()).isFalse();
      return;
    }
    Pose there = p.pa.moved(p.d.times(stop.distance()));
    assertThat(Nearness.distance(p.a, there, p.b, p.pb, 10)).isLessThan(1e-4);
    assertThat(Nearness.overlap(p.a, there, p.b, p.pb, 2e-6)).isFalse();
    assertThat(stop.normal().dot(p.d)).isNegative();
    assertThat(stop.normal().length()).isCloseTo(1, within(1e-9));
  }

  @Property(tries = 200)
  void movedByLessItIsFreeAndByMoreItOverlaps(@ForAll Choices r) {
    Pair p = apart(r);
    Travel.Stop stop = p.travel();
    if (!stop.meets()) {
      return;
    }
    Pose less = p.pa.moved(p.d.times(stop.distance() * r.nextDouble()));
    assertThat(Nearness.overlap(p.a, less, p.b, p.pb, 1e-6)).isFalse();
    // a tip may only be grazed: then it is through again a little later
    assertThat(DoubleStream.of(1e-3, 3e-4, 1e-4, 3e-5, 1e-5, 3e-6, 1e-6))
        .anyMatch(by -> overlaps(p, p.pa.moved(p.d.times(stop.distance() + by))));
  }

  private static boolean overlaps(Pair p, Pose there) {
    return Travel.of(p.a, there, p.b, p.pb, p.d, 100).overlapping()
        || Nearness.overlap(p.a, there, p.b, p.pb, 1e-8);
  }

  @Property(tries = 150)
  void theOtherOneComingTheOtherWayMeetsAtTheSameDistance(@ForAll Choices r) {
    Pair p = apart(r);
    double one = p.travel().distance();
    double other = Travel.of(p.b, p.pb, p.a, p.pa, p.d.times(-1), 100).distance();
    assertSame(one, other);
  }

  @Property(tries = 150)
  void independentOfTriangleOrderAndOfACommonRotation(@ForAll Choices r) {
    Pair p = apart(r);
    double plain = p.travel().distance();
    Mesh a = Shapes.shuffled(p.a, r);
    Mesh b = Shapes.shuffled(p.b, r);
    assertSame(Travel.of(a, p.pa, b, p.pb, p.d, 100).distance(), plain);
    Quaterniond q = Shapes.rotation(r);
    Pose turn = Pose.of(Shapes.direction(r), q);
    // the rotation goes into the meshes, so the poses are plain and the trees are others
    Mesh ra = p.a.at(p.pa).at(turn);
    Mesh rb = p.b.at(p.pb).at(turn);
    assertSame(Travel.of(ra, Pose.HERE, rb, Pose.HERE, turn.direct(p.d), 100).distance(), plain);
  }

  @Property(tries = 150)
  void theWayBackLeadsToAFreePlaceThatTouches(@ForAll Choices r) {
    Pair p = apart(r);
    Travel.Stop stop = p.travel();
    if (!stop.meets()) {
      return;
    }
    Pose sunk = p.pa.moved(p.d.times(stop.distance() + 0.02 + 0.1 * r.nextDouble()));
    Vec out = Shapes.direction(r);
    double back = Travel.toFree(p.a, sunk, p.b, p.pb, out);
    if (back == 0) {
      assertThat(Nearness.overlap(p.a, sunk, p.b, p.pb, 2e-5)).isFalse();
      return;
    }
    Pose free = sunk.moved(out.times(back));
    assertThat(Nearness.overlap(p.a, free, p.b, p.pb, 2e-5)).isFalse();
    assertThat(Nearness.distance(p.a, free, p.b, p.pb, 10)).isLessThan(1e-4);
  }

  @Property(tries = 150)
  void whatLooksAwayIsRightlyPassedOver(@ForAll Choices r) {
    Pair p = apart(r);
    Mesh a = r.nextBoolean() ? Shapes.stool() : p.a;
    Mesh b = r.nextBoolean() ? Shapes.tray() : p.b;
    assertThat(a.isOutward() && b.isOutward()).isTrue();
    // with a hair of a sheet inside them they are not closed, and every triangle counts
    double passing = Travel.of(a, p.pa, b, p.pb, p.d, 100).distance();
    Mesh open = Mesh.join(List.of(a, sheet(a)));
    assertThat(open.isOutward()).isFalse();
    assertSame(passing, Travel.of(open, p.pa, b, p.pb, p.d, 100).distance());
  }

  /** A tiny triangle just inside a corner of a mesh's first triangle. */
  private static Mesh sheet(Mesh m) {
    Vec u = m.vertex(m.corners()[0]);
    Vec v = m.vertex(m.corners()[1]);
    Vec w = m.vertex(m.corners()[2]);
    Vec in = v.minus(u).cross(w.minus(u)).unit().times(-1e-4);
    Vec c = u.plus(v).plus(w).times(1 / 3.0).plus(in);
    double e = 5e-5;
    return Mesh.of(
        new double[] {c.x(), c.y(), c.z(), c.x() + e, c.y(), c.z(), c.x(), c.y() + e, c.z()},
        new int[] {0, 1, 2});
  }

  private static void assertSame(double a, double b) {
    if (Double.isInfinite(b)) {
      assertThat(a).isInfinite();
    } else {
      assertThat(a).isCloseTo(b, within(1e-7));
    }
  }
}
