package pied.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import pied.core.Rooms;
import pied.core.material.Finish;
import pied.core.material.Laying;
import pied.core.material.Materials;
import pied.core.units.LengthUnit;

/** Joints drawn on walls: where the pattern has them, and nowhere else. */
class HatchingTest {
  private final Rooms room = new Rooms();

  private static Finish of(String material) {
    return Materials.of(material).finish();
  }

  private static Geometry rectangle(double w, double h) {
    return new GeometryFactory().toGeometry(new Envelope(0, w, -h, 0));
  }

  private static double length(double[] l) {
    return Math.hypot(l[2] - l[0], l[3] - l[1]);
  }

  @Test
  void squareTilesOnASquareMetre() {
    Finish f = of("tile-square").withLaid(Laying.wide(0.2));
    List<double[]> lines = Hatching.of(f, rectangle(1.0, 1.0));
    // within are four joints each way; those on the rim may or may not be told
    double inside =
        lines.stream()
            .filter(l -> inside(l[0], 0) && inside(l[2], 0) || inside(l[1], -1) && inside(l[3], -1))
            .filter(l -> !onRim(l))
            .mapToDouble(HatchingTest::length)
            .sum();
    assertThat(inside).isCloseTo(8.0, within(1e-6));
    for (double[] l : lines) {
      double across = Math.abs(l[0] - l[2]) < 1e-9 ? l[0] : l[1];
      assertThat(Math.abs(across / 0.2 - Math.round(across / 0.2))).isLessThan(1e-6);
    }
  }

  private static boolean inside(double v, double from) {
    return v >= from - 1e-9 && v <= from + 1 + 1e-9;
  }

  private static boolean onRim(double[] l) {
    boolean upright = Math.abs(l[0] - l[2]) < 1e-9;
    double at = upright ? l[0] : -l[1];
    return at < 1e-6 || at > 1 - 1e-6;
  }

  @Test
  void whatIsTooFineOrHasNoJointsIsNotDrawn() {
    assertThat(Hatching.of(of("tile-square").withLaid(Laying.wide(0.01)), rectangle(2, 2)))
        .isEmpty();
    assertThat(Hatching.of(of("plaster"), rectangle(2, 2))).isEmpty();
    assertThat(Hatching.of(of("brick"), rectangle(400, 300))).isEmpty();
  }

  private List<double[]> hatch(String wall) {
    Elevation e =
        new Elevations()
            .draw(
                room.space,
                new Elevation.ElevationLook(Elevation.LookWay.wall, wall, null),
                LengthUnit.M);
    List<double[]> all = new ArrayList<>();
    e.inks().stream()
        .filter(i -> i.style() == Ink.InkStyle.hatch)
        .forEach(i -> all.addAll(i.lines()));
    return all;
  }

  @ParameterizedTest
  @ValueSource(strings = {"A", "B", "C", "D"})
  void anElevationShowsThemOnItsWallButNotInItsOpeningsNorBehindPieces(String wall) {
    assertThat(hatch(wall)).isEmpty();
    room.json("{'do':'decorate','part':'wall:" + wall + "','finish':{'material':'brick'}}");
    List<double[]> bare = hatch(wall);
    double width = wall.equals("A") || wall.equals("C") ? 6 : 4;
    assertThat(bare).hasSizeGreaterThan(300);
    for (double[] l : bare) {
      for (int k = 0; k < 4; k += 2) {
        assertThat(l[k]).isBetween(-1e-6, width + 1e-6);
        assertThat(l[k + 1]).isBetween(-2.8 - 1e-6, 1e-6);
      }
      if (wall.equals("C")) { // the door, 0.9 wide and 2.05 high from 1.0 on
        assertThat(inHole(l, 1.0, 1.9, 0, 2.05)).isFalse();
      } else if (wall.equals("B")) {
        assertThat(inHole(l, 1.2, 2.6, 0.9, 2.2)).isFalse();
      }
    }
    double at = wall.equals("A") ? 0.3 : 3.7;
    if (wall.equals("A")) {
      room.put("w", "wardrobe", 4, at);
      assertThat(hatch(wall).stream().mapToDouble(HatchingTest::length).sum())
          .isLessThan(0.95 * bare.stream().mapToDouble(HatchingTest::length).sum());
    }
  }

  private static boolean inHole(double[] l, double from, double to, double low, double high) {
    double x = (l[0] + l[2]) / 2;
    double y = -(l[1] + l[3]) / 2;
    return x > from + 1e-6 && x < to - 1e-6 && y > low + 1e-6 && y < high - 1e-6;
  }
}
