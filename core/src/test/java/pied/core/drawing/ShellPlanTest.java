package pied.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.material.Finishes;
import pied.core.space.Opening;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

class ShellPlanTest {
  private static ShellPlan plan(LengthUnit unit, Opening... openings) {
    Shell shell = new Shell(Outlines.l(5, 6, 2, 4), 2.5, 0.2, List.of(openings), Finishes.NONE);
    return ShellPlan.of(new Space(shell, List.of(), Rooms.SHAPES), "Snug", unit);
  }

  private static double area(List<double[]> rings) {
    double twice = 0;
    for (double[] r : rings) {
      for (int i = 0; i < r.length; i += 2) {
        int j = (i + 2) % r.length;
        twice += r[i] * r[j + 1] - r[j] * r[i + 1];
      }
    }
    return Math.abs(twice) / 2;
  }

  private static List<Ink> inks(ShellPlan plan, Ink.InkStyle style) {
    return plan.inks().stream().filter(i -> i.style() == style).toList();
  }

  private static final Opening DOOR =
      new Opening("d", Opening.OpeningKind.door, "A", 0.5, 0.9, 0, 2);
  private static final Opening WINDOW =
      new Opening("w", Opening.OpeningKind.window, "A", 2, 1.5, 0.9, 1.2);
  private static final Opening HIGH =
      new Opening("h", Opening.OpeningKind.window, "F", 2, 1, 1.7, 0.5);

  @Test
  void wallsAreSolidButForTheirOpenings() {
    ShellPlan plan = plan(LengthUnit.M, DOOR, WINDOW, HIGH);
    double solid = inks(plan, Ink.InkStyle.cut).stream().mapToDouble(i -> area(i.rings())).sum();
    assertThat(solid).isCloseTo((22 + 4 * 0.2) * 0.2 - 0.2 * (0.9 + 1.5), within(1e-9));
    assertThat(area(inks(plan, Ink.InkStyle.floor).get(0).rings())).isCloseTo(22, within(1e-9));
    assertThat(inks(plan, Ink.InkStyle.overhead))
        .as("a window above the cut is drawn as overhead")
        .singleElement()
        .satisfies(i -> assertThat(i.part()).isEqualTo("opening:h"));
    assertThat(inks(plan, Ink.InkStyle.glass)).hasSize(1);
  }

  @Test
  void aDoorSwingsFromItsHingeToItsJamb() {
    Ink leaf = inks(plan(LengthUnit.M, DOOR), Ink.InkStyle.leaf).get(0);
    assertThat(leaf.lines().get(0)).containsExactly(0.5, 0, 0.5, 0.9);
    Ink swing = inks(plan(LengthUnit.M, DOOR), Ink.InkStyle.swing).get(0);
    double[] last = swing.lines().get(swing.lines().size() - 1);
    assertThat(last[2]).isCloseTo(1.4, within(1e-12));
    assertThat(last[3]).isCloseTo(0, within(1e-12));
    Opening out =
        new Opening(
            "d",
            Opening.OpeningKind.door,
            "A",
            0.5,
            0.9,
            0,
            2,
            Opening.Hand.right,
            Opening.OpeningWay.out,
            0);
    assertThat(inks(plan(LengthUnit.M, out), Ink.InkStyle.leaf).get(0).lines().get(0))
        .as("hinged at its far side, it stands open before the outer face")
        .containsExactly(1.4, -0.2, 1.4, -0.2 - 0.9);
  }

  @Test
  void theChainAlongAWallAddsUpToItsLength() {
    ShellPlan plan = plan(LengthUnit.M, WINDOW, DOOR);
    List<Dimension> a =
        plan.dimensions().stream().filter(d -> d.y1() == -0.2 && d.y2() == -0.2).toList();
    assertThat(a)
        .extracting(Dimension::text)
        .containsExactly("0.50", "0.90", "0.60", "1.50", "1.50", "5.00");
    assertThat(a)
        .extracting(d -> d.blank().slot())
        .containsExactly("from", "width", "gap", "width", "toEnd", "length");
    assertThat(a).allMatch(d -> d.outY() == -1 && d.outX() == 0);
    assertThat(plan(LengthUnit.FT).dimensions()).anyMatch(d -> d.text().equals("16' 4 7/8\""));
  }

  @Test
  void theNameKeepsClearOfThePieces() {
    Rooms room = new Rooms();
    room.put("t", "long-table", 3, 2);
    ShellPlan plan = ShellPlan.of(room.space, "Snug", LengthUnit.M);
    Label name =
        plan.labels().stream().filter(l -> l.kind().equals("space")).findFirst().orElseThrow();
    assertThat(Math.abs(name.y() - 2)).as("not on the table").isGreaterThan(0.5);
    assertThat(name.text()).isEqualTo("Snug\n24.0 m²");
  }
}
