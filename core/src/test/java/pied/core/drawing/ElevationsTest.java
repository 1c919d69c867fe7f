package pied.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.solid.Vec;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

class ElevationsTest {
  private final Rooms room = new Rooms();
  private final Elevations elevations = new Elevations();

  private Elevation wall(String name, Double at) {
    return elevations.draw(
        room.space, new Elevation.ElevationLook(Elevation.LookWay.wall, name, at), LengthUnit.M);
  }

  private Elevation section(Elevation.LookWay way, Double at) {
    return elevations.draw(room.space, new Elevation.ElevationLook(way, null, at), LengthUnit.M);
  }

  /** Least and greatest of the coordinates of a body's outline. */
  private static double[] extent(Elevation e, String part) {
    double[] x = {1e9, 1e9, -1e9, -1e9};
    for (Ink i : e.figures()) {
      if (part.equals(i.part())) {
        for (double[] r : i.rings()) {
          for (int k = 0; k < r.length; k += 2) {
            x[0] = Math.min(x[0], r[k]);
            x[1] = Math.min(x[1], r[k + 1]);
            x[2] = Math.max(x[2], r[k]);
            x[3] = Math.max(x[3], r[k + 1]);
          }
        }
      }
    }
    return x;
  }

  /** Whether a point of the drawing is within what is cut. */
  private static boolean isCut(Elevation e, double u, double v) {
    return e.inks().stream()
        .filter(i -> i.style() == Ink.InkStyle.cut)
        .flatMap(i -> i.rings().stream())
        .anyMatch(
            r ->
                r.length == 8
                    && u > Math.min(r[0], r[4])
                    && u < Math.max(r[0], r[4])
                    && v > Math.min(r[1], r[5])
                    && v < Math.max(r[1], r[5]));
  }

  @Test
  void theCornersOfWhatIsCutAreFilled() {
    for (Elevation e : List.of(wall("A", null), section(Elevation.LookWay.back, null))) {
      for (double u : new double[] {-0.1, 6.1}) {
        assertThat(isCut(e, u, 0.1)).as("floor at " + u).isTrue();
        assertThat(isCut(e, u, -2.9)).as("ceiling at " + u).isTrue();
      }
    }
  }

  @Test
  void barsOneBehindTheOtherShareANameAndOneCloseBelowHasItUnderItsLine() {
    Rooms stage = Rooms.stage();
    for (String trim : List.of("4", "4", "4.3")) {
      stage.json("{'do':'bar','at':{'x':0,'z':-2},'trim':" + trim + "}");
    }
    Elevation e =
        elevations.draw(
            stage.space,
            new Elevation.ElevationLook(Elevation.LookWay.back, null, null),
            LengthUnit.M);
    assertThat(e.labels())
        .filteredOn(l -> l.text().startsWith("bar"))
        .extracting(l -> l.kind() + ": " + l.text())
        .containsExactly("under: bar 1, bar 2 at 4.00", "note: bar 3 at 4.30");
  }

  private static double length(Elevation e, String part) {
    return e.inks().stream()
        .filter(i -> part.equals(i.part()))
        .flatMap(i -> i.lines().stream())
        .mapToDouble(l -> Math.hypot(l[2] - l[0], l[3] - l[1]))
        .sum();
  }

  private static double cut(Elevation e, String part) {
    double all = 0;
    for (Ink i : e.inks()) {
      if (part.equals(i.part())
          && (i.style() == Ink.InkStyle.cut || i.style() == Ink.InkStyle.cutPiece)) {
        double area = 0;
        for (double[] r : i.rings()) {
          double twice = 0;
          for (int k = 0; k < r.length; k += 2) {
            int j = (k + 2) % r.length;
            twice += r[k] * r[j + 1] - r[j] * r[k + 1];
          }
          area += Math.abs(twice) / 2;
        }
        all += area;
      }
    }
    return all;
  }

  @Test
  void aPieceAgainstTheWallIsDrawnAtItsPlaceAndSize() {
    room.put("s", "sideboard", 2, 0.225);
    Elevation e = wall("A", null);
    assertThat(e.title()).isEqualTo("Elevation of wall A");
    assertThat(e.right()).isEqualTo(new Vec(1, 0, 0));
    double[] x = extent(e, "s");
    assertThat(x[0]).isCloseTo(1.2, within(2e-4));
    assertThat(x[2]).isCloseTo(2.8, within(2e-4));
    assertThat(x[1]).isCloseTo(-0.82, within(2e-4));
    assertThat(x[3]).isCloseTo(0, within(2e-4));
    assertThat(length(e, "s")).isGreaterThan(2 * (1.6 + 0.82));
  }

  @Test
  void lookingAtTheOppositeWallLeftAndRightChangeSides() {
    room.put("s", "sideboard", 2, 3.775, 180);
    double[] x = extent(wall("C", null), "s");
    assertThat(x[0]).as("wall C begins at the right of the plan").isCloseTo(6 - 2.8, within(2e-4));
    double[] turned = extent(section(Elevation.LookWay.front, 1.0), "s");
    assertThat(turned[0]).isCloseTo(-2.8, within(2e-4));
  }

  @Test
  void whatStandsBeforeHidesWhatStandsBehind() {
    room.put("s", "stool", 2, 0.3);
    double alone = length(wall("A", 1.5), "s");
    assertThat(alone).isPositive();
    room.put("b", "service-counter", 2, 1.0);
    assertThat(length(wall("A", 1.5), "s"))
        .as("behind the counter but for what its joints let through")
        .isLessThan(alone * 0.02);
    assertThat(length(wall("A", 0.6), "s"))
        .as("one stands between the two")
        .isCloseTo(alone, within(1e-6));
    double by = room.piece("b").size().width() / 2;
    room.json("{'do':'moveBy','pieces':['b'],'by':{'x':" + by + "}}");
    double half = length(wall("A", 1.5), "s");
    assertThat(half).as("half behind").isBetween(alone * 0.25, alone * 0.75);
  }

  @Test
  void onlyWhatIsNearTheWallIsDrawn() {
    room.put("far", "cafe-table", 3, 3);
    assertThat(wall("A", 1.0).figures()).noneMatch(i -> "far".equals(i.part()));
    assertThat(wall("A", 3.9).figures()).anyMatch(i -> "far".equals(i.part()));
  }

  @Test
  void openingsAreSeenAndMeasured() {
    Elevation e = wall("B", null);
    assertThat(extent(e, "opening:w1"))
        .containsExactly(new double[] {1.2, -2.2, 2.6, -0.9}, within(1e-9));
    assertThat(e.dimensions())
        .extracting(Dimension::text)
        .contains("1.20", "1.40", "0.90", "1.30", "2.80", "4.00");
    assertThat(e.dimensions())
        .filteredOn(d -> d.label().equals("Sill of the window"))
        .singleElement()
        .satisfies(d -> assertThat(d.blank().slot()).isEqualTo("sill"));
  }

  @Test
  void aSectionFillsWhatIsSolid() {
    Elevation e = section(Elevation.LookWay.back, 2.0);
    assertThat(e.title()).isEqualTo("Section at 2.00 deep, looking to the back");
    assertThat(cut(e, "floor")).isCloseTo(6 * 0.2, within(1e-3));
    assertThat(cut(e, "wall:D")).isCloseTo(0.2 * 2.8, within(1e-3));
    // wall B is cut through its window, from 1.2 to 2.6 along it
    assertThat(cut(e, "wall:B")).isCloseTo(0.2 * (2.8 - 1.3), within(1e-3));
    assertThat(cut(e, "wall:A")).as("seen, not cut").isZero();
    assertThat(length(e, "wall:A")).isPositive();
  }

  @Test
  void aSectionCutsPlatformsStepsAndPieces() {
    room.json("{'do':'platform','at':{'x':2,'z':2},'width':'2','depth':'1.2','height':'0.6'}");
    room.json("{'do':'flight','kind':'steps','at':{'x':3,'z':2},'width':'1'}");
    Elevation e = section(Elevation.LookWay.back, 2.1);
    assertThat(cut(e, "platform:platform 1")).isCloseTo(2 * 0.6, within(1e-4));
    assertThat(cut(e, "flight:steps 1")).isCloseTo((0.2 + 0.4) * 0.3, within(1e-4));
    room.put("t", "cafe-table", 4.5, 2.1);
    double solid = cut(section(Elevation.LookWay.back, 2.1), "t");
    assertThat(solid).as("its foot and its top").isBetween(0.005, 0.1);
  }

  @Test
  void whatLiesOnTheNearSideOfACutIsTakenAway() {
    room.put("near", "stool", 3, 3);
    room.put("far", "stool", 3, 1);
    Elevation e = section(Elevation.LookWay.back, 2.0);
    assertThat(e.figures()).extracting(Ink::part).contains("far").doesNotContain("near");
    assertThat(section(Elevation.LookWay.front, 2.0).figures())
        .extracting(Ink::part)
        .contains("near")
        .doesNotContain("far");
  }

  @Test
  void theRakeOfAStageIsASlopingLine() {
    Rooms stage = Rooms.stage();
    Elevation e =
        elevations.draw(
            stage.space,
            new Elevation.ElevationLook(Elevation.LookWay.left, null, 0.0),
            LengthUnit.M);
    // 0.9 under it, a wedge of mean height 0.15 over 6 m, and the apron of 1.2 m
    assertThat(cut(e, "floor")).isCloseTo(6 * (0.9 + 0.15) + 1.2 * 0.9, within(1e-3));
    assertThat(e.title()).contains("looking to stage right");
    List<Elevation.ElevationLook> offered = Elevation.ElevationLook.offered(stage.shell());
    assertThat(offered.get(0).way()).isEqualTo(Elevation.LookWay.back);
    assertThat(offered).hasSize(5);
  }

  @Test
  void whatCannotBeLookedAtIsRefused() {
    assertThatThrownBy(() -> wall("Z", null)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> wall("A", 0.0)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> section(Elevation.LookWay.back, 4.5))
        .hasMessage("The cut lies outside; it can be from 0.00 to 4.00 deep.");
  }
}
