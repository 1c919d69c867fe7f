package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;

/** What is asked of bodies is answered the same whatever way they came together. */
class BodiesPropertiesTest {
  private static final Mesh CUBE = Shapes.box(-0.2, 0, -0.2, 0.2, 0.4, 0.2);
  private static final Mesh POST = Shapes.box(-0.05, 0, -0.05, 0.05, 2, 0.05);

  private static Body any(Random r, String id) {
    Vec at = new Vec(8 * r.nextDouble(), r.nextInt(3) * 0.5, 8 * r.nextDouble());
    return new Body(id, r.nextBoolean() ? CUBE : POST, Pose.of(at, 360 * r.nextDouble()));
  }

  /** Bodies after many changes, and the same put together at once, in another order. */
  private record Both(Bodies grown, Bodies anew, List<Body> all) {
    static Both of(Random r, int changes) {
      Map<String, Body> there = new LinkedHashMap<>();
      Bodies grown = new Bodies(List.of());
      for (int i = 0; i < changes; i++) {
        List<String> out = new ArrayList<>();
        List<Body> in = new ArrayList<>();
        for (int k = r.nextInt(3); k >= 0; k--) {
          String id = "b" + r.nextInt(60);
          if (there.containsKey(id) && r.nextInt(3) == 0) {
            out.add(id);
            there.remove(id);
          } else if (!out.contains(id)) {
            Body b = any(r, id);
            in.removeIf(x -> x.id().equals(id));
            in.add(b);
            there.put(id, b);
          }
        }
        in.removeIf(b -> !there.containsKey(b.id()));
        grown = grown.with(out, in);
      }
      List<Body> all = new ArrayList<>(there.values());
      Collections.shuffle(all, r);
      return new Both(grown, new Bodies(all), all);
    }
  }

  @Property(tries = 60)
  void allAreThereAndNoOthers(@ForAll Choices r) {
    Both both = Both.of(r, 150);
    assertThat(both.grown.all()).isEqualTo(both.anew.all());
    assertThat(both.grown.size()).isEqualTo(both.all.size());
    for (Body b : both.all) {
      assertThat(both.grown.body(b.id())).isSameAs(b);
    }
  }

  @Property(tries = 60)
  void whatIsNearIsWhatABoxByBoxLookFinds(@ForAll Choices r) {
    Both both = Both.of(r, 120);
    for (int i = 0; i < 10; i++) {
      Vec at = new Vec(8 * r.nextDouble(), 0, 8 * r.nextDouble());
      Box box = new Box(at, at.plus(new Vec(r.nextDouble(), 1, r.nextDouble())));
      List<Body> near =
          both.all.stream()
              .filter(b -> shares(b.box(), box))
              .sorted(java.util.Comparator.comparing(Body::id))
              .toList();
      assertThat(both.grown.near(box)).isEqualTo(near);
      assertThat(both.anew.near(box)).isEqualTo(near);
      assertThat(both.grown.any(box, b -> true)).isEqualTo(!near.isEmpty());
    }
  }

  private static boolean shares(Box a, Box b) {
    return a.min().x() <= b.max().x()
        && a.max().x() >= b.min().x()
        && a.min().y() <= b.max().y()
        && a.max().y() >= b.min().y()
        && a.min().z() <= b.max().z()
        && a.max().z() >= b.min().z();
  }

  @Property(tries = 40)
  void questionsAreAnsweredTheSame(@ForAll Choices r) {
    Both both = Both.of(r, 100);
    for (int i = 0; i < 6; i++) {
      Body b = any(r, "asked");
      double a = 2 * Math.PI * r.nextDouble();
      Vec way = i == 0 ? Vec.DOWN : new Vec(Math.cos(a), 0, Math.sin(a));
      Bodies.Met met = both.grown.travel(b.mesh(), b.pose(), way, 20, x -> true);
      Bodies.Met again = both.anew.travel(b.mesh(), b.pose(), way, 20, x -> true);
      assertThat(met.body()).isSameAs(again.body());
      assertThat(met.stop()).isEqualTo(again.stop());
      assertThat(both.grown.overlapping(b.mesh(), b.pose(), 1e-4, x -> true))
          .isEqualTo(both.anew.overlapping(b.mesh(), b.pose(), 1e-4, x -> true));
      double free = both.grown.toFree(b.mesh(), b.pose(), way, x -> true);
      assertThat(free).isEqualTo(both.anew.toFree(b.mesh(), b.pose(), way, x -> true));
      Bodies.RayMet ray = both.grown.ray(b.pose().at(), way, 20, x -> true);
      Bodies.RayMet same = both.anew.ray(b.pose().at(), way, 20, x -> true);
      assertThat(ray).isEqualTo(same);
    }
  }

  @Property(tries = 40)
  void whereItIsFreeNothingIsOverlapped(@ForAll Choices r) {
    Both both = Both.of(r, 120);
    Body b = any(r, "asked");
    double a = 2 * Math.PI * r.nextDouble();
    Vec way = new Vec(Math.cos(a), 0, Math.sin(a));
    double free = both.grown.toFree(b.mesh(), b.pose(), way, x -> true);
    Pose there = b.pose().moved(way.times(free));
    assertThat(both.grown.overlapping(b.mesh(), there, 1e-4, x -> true)).isEmpty();
    if (free > 0.02) { // and a little before it something is
      Pose before = b.pose().moved(way.times(free - 0.01));
      assertThat(both.grown.overlapping(b.mesh(), before, 1e-9, x -> true)).isNotEmpty();
    }
  }

  @Test
  void ofTwoAsNearTheFirstByItsIdIsMet() {
    Mesh half = Shapes.box(-0.5, -1, -0.5, 0, 0, 0.5);
    Mesh other = Shapes.box(0, -1, -0.5, 0.5, 0, 0.5);
    for (String[] ids : new String[][] {{"a", "b"}, {"b", "a"}}) {
      Bodies two =
          new Bodies(
              List.of(new Body(ids[0], half, Pose.HERE), new Body(ids[1], other, Pose.HERE)));
      Pose above = Pose.of(new Vec(0, 1, 0), 0);
      Bodies.Met met = two.travel(CUBE, above, Vec.DOWN, 9, x -> true);
      assertThat(met.body().id()).isEqualTo("a");
      assertThat(met.stop().distance()).isCloseTo(1, within(1e-12));
      Bodies same =
          new Bodies(List.of(new Body(ids[0], half, Pose.HERE), new Body(ids[1], half, Pose.HERE)));
      Vec over = new Vec(-0.2, 1, 0.1);
      assertThat(same.ray(over, Vec.DOWN, 9, x -> true).body().id()).isEqualTo("a");
    }
  }

  @Test
  void aThousandPutInOneByOneInARowAreFound() {
    Bodies row = new Bodies(List.of());
    for (int i = 0; i < 1000; i++) {
      row = row.with(List.of(), List.of(new Body("b" + i, CUBE, Pose.of(new Vec(i, 0, 0), 0))));
    }
    assertThat(row.size()).isEqualTo(1000);
    for (int i = 0; i < 1000; i += 37) {
      Vec at = new Vec(i, 3, 0);
      assertThat(row.ray(at, Vec.DOWN, 9, x -> true).body().id()).isEqualTo("b" + i);
    }
    for (int i = 0; i < 1000; i++) {
      row = row.with(List.of("b" + i), List.of());
    }
    assertThat(row.size()).isZero();
    assertThat(row.all()).isEmpty();
    assertThat(row.ray(Vec.ZERO, Vec.DOWN, 9, x -> true)).isNull();
  }
}
