package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.material.Finishes;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

class ShellTest {
  private static final List<Spot> L_SHAPE =
      List.of(
          new Spot(0, 0),
          new Spot(5, 0),
          new Spot(5, 2),
          new Spot(3, 2),
          new Spot(3, 6),
          new Spot(0, 6));

  private static Shell shell(List<Spot> outline, Opening... openings) {
    return new Shell(outline, 2.5, 0.2, List.of(openings), Finishes.NONE);
  }

  private static Body body(Shell shell, String id) {
    return ShellBodies.of(shell).stream().filter(b -> b.id().equals(id)).findFirst().orElseThrow();
  }

  @Test
  void wallsLookInwardAndAreMitred() {
    Shell room = shell(L_SHAPE);
    assertThat(room.walls()).extracting(Wall::name).containsExactly("A", "B", "C", "D", "E", "F");
    assertThat(room.wall("A").inward()).isEqualTo(new Vec(0, 0, 1));
    assertThat(room.wall("B").inward()).isEqualTo(new Vec(-1, 0, 0));
    assertThat(room.wall("B").turn()).isEqualTo(270);
    assertThat(room.wall("A").outerFrom()).isEqualTo(new Spot(-0.2, -0.2));
    assertThat(room.wall("D").outerFrom()).as("at the inner corner").isEqualTo(new Spot(3.2, 2.2));
    assertThat(room.area()).isCloseTo(5 * 2 + 3 * 4, within(1e-12));
    assertThat(room.walls().stream().mapToDouble(Wall::length).sum()).isCloseTo(22, within(1e-12));
    assertThat(room.holds(new Spot(4, 1))).isTrue();
    assertThat(room.holds(new Spot(4, 3))).isFalse();
  }

  @Test
  void openingsAreCutOutOfTheWall() {
    Opening door = new Opening("d", Opening.OpeningKind.door, "A", 0.5, 0.9, 0, 2);
    Opening window = new Opening("w", Opening.OpeningKind.window, "A", 2, 1.5, 0.9, 1.2);
    double whole = body(shell(L_SHAPE), "wall:A").mesh().volume();
    // mean length of a wall with two outward mitres is 5 + 0.2
    assertThat(whole).isCloseTo(5.2 * 2.5 * 0.2, within(1e-9));
    Body cut = body(shell(L_SHAPE, door, window), "wall:A");
    assertThat(cut.mesh().volume()).isCloseTo(whole - 0.2 * (0.9 * 2 + 1.5 * 1.2), within(1e-9));
    assertThat(cut.mesh().isClosed()).isTrue();
  }

  @Test
  void openingsThatDoNotFitAreRefused() {
    Opening wide = new Opening("w", Opening.OpeningKind.window, "B", 1, 1.5, 0.9, 1.2);
    assertThatThrownBy(() -> ShellCheck.checked(shell(L_SHAPE, wide)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("does not fit into wall B");
    Opening high = new Opening("w", Opening.OpeningKind.door, "A", 1, 1.5, 0, 2.6);
    assertThatThrownBy(() -> ShellCheck.checked(shell(L_SHAPE, high)))
        .hasMessageContaining("does not fit");
  }

  @Test
  void anOpeningAsHighAsTheWallLeavesTwoClosedParts() {
    Opening through = new Opening("w", Opening.OpeningKind.opening, "A", 1, 1.5, 0, 2.5);
    Body cut = body(shell(L_SHAPE, through), "wall:A");
    assertThat(cut.mesh().isClosed()).isTrue();
    assertThat(cut.mesh().volume()).isCloseTo((5.2 - 1.5) * 2.5 * 0.2, within(1e-9));
  }

  @Property(tries = 60)
  void anyConvexOutlineGivesClosedOutwardWallsThatMeet(@ForAll Choices r) {
    List<Double> angles = new ArrayList<>();
    int n = 4 + r.nextInt(6); // corners sharper than 37° are cut short
    for (int i = 0; i < n; i++) {
      angles.add((i + 0.8 * r.nextDouble()) * 2 * Math.PI / n);
    }
    Collections.sort(angles);
    List<Spot> outline =
        angles.stream().map(a -> new Spot(4 * Math.cos(a), 4 * Math.sin(a))).toList();
    Shell room = shell(outline);
    double walls = 0;
    for (Body b : ShellBodies.of(room)) {
      assertThat(b.mesh().isClosed()).as(b.id()).isTrue();
      assertThat(b.mesh().volume()).as(b.id()).isPositive();
      if (PartName.is(b, PartName.PartKind.wall)) {
        walls += b.mesh().volume();
      }
    }
    List<Spot> outer = room.walls().stream().map(Wall::outerFrom).toList();
    double ring = Shell.polygon(outer).getArea() - room.area();
    assertThat(walls).isCloseTo(ring * 2.5, within(1e-6));
  }
}
