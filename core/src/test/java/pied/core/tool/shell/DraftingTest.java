package pied.core.tool.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

class DraftingTest {
  private static Drafting.Draft ask(
      Shell into, List<Spot> corners, Spot pointer, String typed, boolean free) {
    return Drafting.next(
        into, new Drafting.DraftQuestion(corners, pointer, typed, free, 0.15, false), LengthUnit.M);
  }

  private static Spot next(List<Spot> corners, double x, double z, String typed) {
    return ask(null, corners, new Spot(x, z), typed, false).next();
  }

  private static final Spot HOME = new Spot(1, 1);

  @Test
  void edgesKeepRightAnglesAndWholeCentimetres() {
    assertThat(next(List.of(), 1.2345, 0.5, null)).isEqualTo(new Spot(1.23, 0.5));
    assertThat(next(List.of(HOME), 4.234, 1.4, null)).isEqualTo(new Spot(4.23, 1));
    List<Spot> two = List.of(HOME, new Spot(4, 1));
    assertThat(next(two, 4.5, 3.126, null)).isEqualTo(new Spot(4, 3.13));
    assertThat(next(two, 2, 1.3, null))
        .as("never back over the edge before")
        .isEqualTo(new Spot(4, 1.3));
  }

  @Test
  void aTypedLengthGoesTheWayOnePoints() {
    assertThat(next(List.of(HOME), 9, 1.2, "3.2")).isEqualTo(new Spot(4.2, 1));
    assertThat(next(List.of(HOME), 0.5, 8, "80 cm")).isEqualTo(new Spot(1, 1.8));
    List<Spot> two = List.of(HOME, new Spot(4, 1));
    assertThat(next(two, 4.2, 0, "1")).isEqualTo(new Spot(4, 0));
    Spot slanted = next(two, 5, 3, "2 at 135");
    // the edges enclose 135°: on by 45° to the side of the pointer
    assertThat(slanted.distance(new Spot(4 + Math.sqrt(2), 1 + Math.sqrt(2)))).isLessThan(1e-8);
    assertThat(ask(null, two, new Spot(5, 3), "2 at 135", false).edges().get(1).angle())
        .isEqualTo("135°");
  }

  @Test
  void theLastCornerComesLevelWithTheFirstAndClosesOnIt() {
    List<Spot> c = new ArrayList<>(List.of(HOME, new Spot(5, 1), new Spot(5, 4)));
    assertThat(next(c, 1.11, 4.2, null)).isEqualTo(new Spot(1, 4));
    c.add(new Spot(1, 4));
    Drafting.Draft a = ask(null, c, new Spot(1.05, 1.1), null, false);
    assertThat(a.closes()).isTrue();
    assertThat(a.next()).isEqualTo(HOME);
    assertThat(a.area()).isEqualTo("12.0 m²");
    assertThat(a.edges())
        .extracting(Drafting.DraftEdge::length)
        .containsExactly("4.00", "3.00", "4.00", "3.00");
    assertThat(a.edges().get(3).angle()).isEqualTo("90°");
  }

  @Test
  void freelyAnEdgeGoesToThePointer() {
    assertThat(ask(null, List.of(HOME), new Spot(2.504, 3.111), null, true).next())
        .isEqualTo(new Spot(2.5, 3.11));
  }

  @Test
  void whatIsBuiltInKeepsToTheWalls() {
    Shell room = new Rooms().shell();
    assertThat(ask(room, List.of(), new Spot(2.004, 0.1), null, false).next())
        .isEqualTo(new Spot(2, 0));
    assertThat(ask(room, List.of(), new Spot(0.1, 0.05), null, false).next())
        .as("into the corner")
        .isEqualTo(new Spot(0, 0));
    assertThat(ask(room, List.of(new Spot(2, 0)), new Spot(2.1, 3.9), null, false).next())
        .as("to the wall opposite")
        .isEqualTo(new Spot(2, 4));
    assertThat(ask(room, List.of(new Spot(2, 0)), new Spot(2.1, 3.0), null, false).next())
        .isEqualTo(new Spot(2, 3));
  }

  @Test
  void anLIsDrawnToExactLengths() {
    List<Spot> c = new ArrayList<>(List.of(new Spot(0, 0)));
    double[][] pointers = {{3, 0.1}, {7, 2}, {5, 3.5}, {3.6, 5}, {1, 6}};
    String[] lengths = {"6.2", "3", "250 cm", "1.8", "3.7"};
    for (int i = 0; i < lengths.length; i++) {
      c.add(next(c, pointers[i][0], pointers[i][1], lengths[i]));
    }
    assertThat(c).isEqualTo(Outlines.l(6.2, 4.8, 2.5, 1.8));
  }

  @Test
  void whatCannotBeReadIsSaid() {
    assertThatThrownBy(() -> next(List.of(HOME), 3, 1, "long"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("“long” is not a length");
    assertThatThrownBy(() -> next(List.of(HOME), 3, 1, "0")).hasMessageContaining("longer than 0");
    assertThatThrownBy(
            () ->
                Drafting.next(
                    null,
                    new Drafting.DraftQuestion(null, null, null, null, null, null),
                    LengthUnit.M))
        .isInstanceOf(Refusal.class);
  }
}
