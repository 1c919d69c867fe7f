package pied.core.catalog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.size.Size;
import pied.core.units.Refusal;

class SizingTest {
  private static final Catalog CATALOG = Rooms.SHAPES.catalog();

  @Test
  void whatComesInOneSizeOnlySaysSo() {
    Article seat = CATALOG.article("theatre-seat");
    assertThat(seat.sizing().fixed()).isTrue();
    assertThatThrownBy(() -> seat.check("Theatre seat", new Size(0.6, 0.68, 0.92)))
        .isInstanceOf(Refusal.class)
        .hasMessage("Theatre seat comes in one size only: 0.56 × 0.68 × 0.92 m.");
    seat.check("Theatre seat", seat.size());
  }

  @Test
  void whatComesInStepsRefusesWhatLiesBetween() {
    Article truss = CATALOG.article("truss");
    truss.check("Truss", new Size(9.5, 0.29, 0.29));
    assertThatThrownBy(() -> truss.check("Truss", new Size(9.6, 0.29, 0.29)))
        .hasMessage("Truss comes 0.50 to 30.00 in steps of 0.50 m wide, not 9.60.");
    Article fridge = CATALOG.article("fridge");
    assertThatThrownBy(() -> fridge.check("Fridge", new Size(0.65, 0.65, 1.75)))
        .hasMessage("Fridge comes 0.55, 0.60, 0.70 m wide, not 0.65.");
  }

  @Test
  void proportionsAreKept() {
    Sizing.SizingRule free = new Sizing.Free(0.1, 2);
    Sizing s = new Sizing(free, free, free, Set.of(), true, null);
    Size natural = new Size(1, 0.5, 0.8);
    Size half = s.follow(natural, new double[] {Double.NaN, Double.NaN, 0.4});
    assertThat(half.width()).isCloseTo(0.5, within(1e-12));
    assertThat(half.depth()).isCloseTo(0.25, within(1e-12));
    s.check("It", half, natural);
    assertThatThrownBy(() -> s.check("It", new Size(0.5, 0.5, 0.4), natural))
        .hasMessageContaining("keeps its proportions");
  }

  @Test
  void whatIsRoundStaysRound() {
    Article table = CATALOG.article("round-table");
    Size wide = table.sizing().follow(table.size(), new double[] {1.5, Double.NaN, Double.NaN});
    assertThat(wide.depth()).isEqualTo(1.5);
    assertThat(wide.height()).isEqualTo(0.74);
  }

  @Test
  void theCatalogHasWhatPeopleLookFor() {
    assertThat(CATALOG.all()).hasSizeGreaterThanOrEqualTo(120);
    Set<String> kinds = new TreeSet<>();
    CATALOG.all().forEach(a -> kinds.add(a.kind().split("/")[0]));
    assertThat(kinds)
        .containsAll(
            List.of(
                "seating",
                "tables",
                "storage",
                "desks",
                "beds",
                "kitchen",
                "bath",
                "lamps",
                "soft goods",
                "plants",
                "tabletop",
                "wall things",
                "figures",
                "stage structure",
                "stage lighting",
                "stage props"));
    assertThat(CATALOG.all())
        .filteredOn(a -> a.kind().startsWith("stage lighting/hung"))
        .allSatisfy(
            a -> {
              assertThat(a.light()).isNotNull();
              assertThat(a.mounting()).isEqualTo(Mounting.HANGS);
            });
    assertThat(CATALOG.article("wardrobe").clearances())
        .anySatisfy(
            c -> {
              assertThat(c.side()).isEqualTo("front");
              assertThat(c.free()).isEqualTo(0.8);
            });
    assertThat(CATALOG.all()).allSatisfy(a -> assertThat(a.weight()).isNotNegative());
  }
}
