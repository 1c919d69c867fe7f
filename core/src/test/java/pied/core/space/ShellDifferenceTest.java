package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.space.Difference.OfBuilt;
import pied.core.space.Difference.OfFrame;
import pied.core.space.Difference.OfPart;
import pied.core.space.Difference.OfShell;

class ShellDifferenceTest {
  private static final Shell ROOM =
      new Shell(Outlines.rectangle(6, 4), 2.8, 0.2, List.of(), Finishes.NONE);

  private static Opening door(int n, double from) {
    return new Opening("door " + n, Opening.OpeningKind.door, "A", from, 0.8, 0, 2.1);
  }

  /** Rooms with some of the same parts, each as it is or altered, in any order. */
  @Provide
  Arbitrary<Shell> shells() {
    Arbitrary<List<Opening>> doors =
        Combinators.combine(
                Arbitraries.integers().between(1, 5), Arbitraries.integers().between(0, 2))
            .as((n, at) -> door(n, at))
            .list()
            .uniqueElements(Opening::id)
            .ofMaxSize(5);
    Arbitrary<List<Column>> columns =
        Combinators.combine(
                Arbitraries.integers().between(1, 3), Arbitraries.integers().between(1, 2))
            .as((n, x) -> new Column("column " + n, new Spot(x, 1), 0.3, 0.3, true))
            .list()
            .uniqueElements(Column::id)
            .ofMaxSize(3);
    Arbitrary<Double> heights = Arbitraries.of(2.6, 2.8);
    return Combinators.combine(doors, columns, heights)
        .as((d, c, h) -> ROOM.withOpenings(d).withColumns(c).withHeight(h));
  }

  @Property
  void leadsFromOneToTheOtherAndBackToTheLastBit(
      @ForAll("shells") Shell a, @ForAll("shells") Shell b) {
    List<OfBuilt> all = ShellDifference.between(a, b);
    assertThat(ShellDifference.applied(a, all)).isEqualTo(b);
    List<OfBuilt> back = new ArrayList<>(all.stream().map(OfBuilt::reversed).toList());
    Collections.shuffle(back, new Random(1)); // in whatever order they are made
    assertThat(ShellDifference.applied(b, back)).isEqualTo(a);
    assertThat(all.isEmpty()).isEqualTo(a.equals(b));
  }

  @Test
  void oneDoorIsOneDoor() {
    Shell two = ROOM.withOpenings(List.of(door(1, 0.5), door(2, 3)));
    assertThat(ShellDifference.between(two, two.withOpenings(List.of(door(1, 0.6), door(2, 3)))))
        .singleElement()
        .satisfies(d -> assertThat(((OfPart) d).part()).isEqualTo(door(1, 0.6)));
    assertThat(ShellDifference.between(two, two.withOpenings(List.of(door(2, 3)))))
        .singleElement()
        .satisfies(d -> assertThat(((OfPart) d).after()).isNull());
  }

  @Test
  void theFrameHasNoParts() {
    Shell two = ROOM.withOpenings(List.of(door(1, 0.5), door(2, 3)));
    Shell painted = two.withFinishes(Finishes.NONE.with("wall", Finish.of("#112233")));
    assertThat(ShellDifference.between(two, painted))
        .singleElement()
        .satisfies(d -> assertThat(((OfFrame) d).after().openings()).isEmpty());
  }

  @Test
  void anotherOrderIsTheWholeShell() {
    Shell two = ROOM.withOpenings(List.of(door(1, 0.5), door(2, 3)));
    Shell turned = ROOM.withOpenings(List.of(door(2, 3), door(1, 0.5)));
    assertThat(ShellDifference.between(two, turned)).singleElement().isInstanceOf(OfShell.class);
  }
}
