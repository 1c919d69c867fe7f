package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static pied.core.solid.Shapes.box;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Cases whose answer is known by calculation. */
class TravelTest {
  private static final double TENTH = 1e-4;

  private static Travel.Stop down(Mesh a, Vec at, Mesh b) {
    return Travel.of(a, Pose.of(at, 0), b, Pose.HERE, Vec.DOWN, 100);
  }

  @Test
  void cubeOverFloor() {
    Mesh cube = box(-0.5, 0, -0.5, 0.5, 1, 0.5);
    Mesh floor = box(-5, -0.2, -5, 5, 0, 5);
    Travel.Stop stop = down(cube, new Vec(0.3, 1.7, -0.4), floor);
    assertThat(stop.distance()).isCloseTo(1.7, within(1e-12));
    assertThat(stop.normal().y()).isCloseTo(1, within(1e-12));
    assertThat(stop.point().y()).isCloseTo(0, within(1e-12));
  }

  @Test
  void cubeTurnedOverFloorAndPastItsEdge() {
    Mesh cube = box(-0.5, 0, -0.5, 0.5, 1, 0.5);
    Mesh floor = box(-5, -0.2, -5, 5, 0, 5);
    Travel.Stop stop =
        Travel.of(cube, Pose.of(new Vec(5.6, 2, 0), 45), floor, Pose.HERE, Vec.DOWN, 100);
    assertThat(stop.distance()).as("half the diagonal is 0.707 > 0.6").isCloseTo(2, within(1e-12));
    stop = Travel.of(cube, Pose.of(new Vec(5.6, 2, 0), 0), floor, Pose.HERE, Vec.DOWN, 100);
    assertThat(stop.meets()).as("half the side is 0.5 < 0.6").isFalse();
  }

  @Test
  void sphereOverSphereOffCentre() {
    double r1 = 0.4;
    double r2 = 0.3;
    double d = 0.35;
    Mesh upper = Shapes.sphere(r1, 240);
    Mesh lower = Shapes.sphere(r2, 240);
    Travel.Stop stop = down(upper, new Vec(d, 2, 0), lower);
    double touching = Math.sqrt((r1 + r2) * (r1 + r2) - d * d);
    assertThat(2 - stop.distance()).isCloseTo(touching, within(2e-4)); // facets: r(1-cos(pi/240))
    assertThat(stop.normal().x()).isCloseTo(d / (r1 + r2), within(0.02));
  }

  @Test
  void stoolOverBoxBetweenItsLegsStopsAtTheSeat() {
    Mesh block = box(-0.15, 0, -0.15, 0.15, 0.25, 0.15);
    Travel.Stop stop = down(Shapes.stool(), new Vec(0, 1, 0), block);
    assertThat(1 - stop.distance() + 0.40).isCloseTo(0.25, within(1e-9));
  }

  @Test
  void stoolOverBoxTooWideStopsAtTheLegs() {
    Mesh block = box(-0.17, 0, -0.17, 0.17, 0.25, 0.17);
    Travel.Stop stop = down(Shapes.stool(), new Vec(0, 1, 0), block);
    assertThat(1 - stop.distance()).isCloseTo(0.25, within(1e-9));
  }

  @Test
  void stoolLegsJustPassFlushSides() {
    Mesh block = box(-0.16, 0, -0.16, 0.16, 0.25, 0.16);
    Travel.Stop stop = down(Shapes.stool(), new Vec(0, 1, 0), block);
    assertThat(1 - stop.distance() + 0.40).isCloseTo(0.25, within(1e-9));
  }

  @Test
  void bottleOverTray() {
    Mesh bottle = Shapes.turned(32, 0.04, 0, 0.04, 0.2, 0.015, 0.26, 0.015, 0.3);
    Travel.Stop inside = down(bottle, new Vec(0, 0.5, 0), Shapes.tray());
    assertThat(0.5 - inside.distance()).as("on the base").isCloseTo(0.01, within(1e-9));
    Travel.Stop rim = down(bottle, new Vec(0.165, 0.5, 0), Shapes.tray());
    assertThat(0.5 - rim.distance()).as("astride the rim").isCloseTo(0.03, within(1e-9));
  }

  @Test
  void conePointOnEdge() {
    Mesh cone = Shapes.turned(24, 0, 0, 0.2, 0.5);
    Mesh block = box(0, 0, -1, 1, 0.3, 1);
    Travel.Stop stop = down(cone, new Vec(0, 1, 0), block);
    assertThat(1 - stop.distance()).isCloseTo(0.3, within(1e-9));
    // beside the edge the slope touches it: 0.05 off at a slope of 0.5 / 0.2 (at a generatrix)
    stop = down(cone, new Vec(-0.05, 1, 0), block);
    assertThat(1 - stop.distance() + 0.05 * 2.5).isCloseTo(0.3, within(1e-9));
  }

  @Test
  void crossedBarsMeetEdgeOnEdge() {
    Mesh bar = box(-1, -0.03, -0.03, 1, 0.03, 0.03);
    // on its edge: turned 45° about its length, half the diagonal below the middle
    org.joml.Quaterniond onEdge = new org.joml.Quaterniond().rotateX(Math.PI / 4);
    org.joml.Quaterniond across =
        new org.joml.Quaterniond().rotateY(Math.toRadians(70)).mul(onEdge);
    Travel.Stop stop =
        Travel.of(
            bar,
            Pose.of(new Vec(0.1, 1, 0.2), across),
            bar,
            Pose.of(Vec.ZERO, onEdge),
            Vec.DOWN,
            9);
    double diagonal = 0.03 * Math.sqrt(2);
    assertThat(1 - stop.distance()).isCloseTo(2 * diagonal, within(1e-9));
    assertThat(stop.normal().y()).isCloseTo(1, within(1e-9));
    assertThat(stop.point().y()).isCloseTo(diagonal, within(1e-9));
  }

  @Test
  void sidewaysIntoAWallWithASkirting() {
    Mesh cabinet = box(-0.5, 0, -0.2, 0.5, 0.8, 0.2);
    Body wall = new Body("wall", box(-3, 0, -2.2, 3, 2.8, -2), Pose.HERE);
    Body skirting = new Body("skirting", box(-3, 0, -2, 3, 0.1, -1.985), Pose.HERE);
    Body floor = new Body("floor", box(-3, -0.2, -2, 3, 0, 3), Pose.HERE);
    Bodies room = new Bodies(List.of(wall, skirting, floor));
    Vec back = new Vec(0, 0, -1);
    Bodies.Met met = room.travel(cabinet, Pose.HERE, back, 100, b -> true);
    assertThat(met.body()).isSameAs(skirting);
    assertThat(met.stop().distance()).isCloseTo(1.785, within(1e-9));
    Mesh onLegs = box(-0.5, 0.15, -0.2, 0.5, 0.8, 0.2);
    met = room.travel(onLegs, Pose.HERE, back, 100, b -> true);
    assertThat(met.body()).isSameAs(wall);
    assertThat(met.stop().distance()).isCloseTo(1.8, within(1e-9));
  }

  @Test
  void alongAWallItTouchesNothingHolds() {
    Mesh cabinet = box(-0.5, 0, 0, 0.5, 0.8, 0.4);
    Mesh wall = box(-3, 0, -0.2, 3, 2.8, 0);
    Mesh floor = box(-3, -0.2, 0, 3, 0, 3);
    for (Mesh still : List.of(wall, floor)) {
      for (double noise : new double[] {0, 1e-9, -1e-9, 4e-16, -4e-16}) {
        Pose at = Pose.of(new Vec(0.1, noise, noise), 0);
        for (double x : new double[] {1, -1}) {
          Travel.Stop stop = Travel.of(cabinet, at, still, Pose.HERE, new Vec(x, 0, 0), 10);
          assertThat(stop.meets()).isFalse();
          assertThat(stop.overlapping()).isFalse();
        }
      }
    }
  }

  @Test
  void touchingAndMovingInStopsAtOnceAndMovingApartIsFree() {
    Mesh cube = box(0, 0, 0, 1, 1, 1);
    Mesh floor = box(-3, -0.2, -3, 3, 0, 3);
    for (double noise : new double[] {0, 3e-7, -3e-7}) {
      assertThat(down(cube, new Vec(0, noise, 0), floor).distance()).isCloseTo(0, within(1e-6));
      Travel.Stop up =
          Travel.of(cube, Pose.of(new Vec(0, noise, 0), 0), floor, Pose.HERE, Vec.UP, 10);
      assertThat(up.meets()).isFalse();
      assertThat(up.overlapping()).isFalse();
    }
  }

  @Test
  void sheetWithoutThicknessSettles() {
    Mesh sheet = Mesh.of(new double[] {0, 0, 0, 0, 0, 1, 1, 0, 0}, new int[] {0, 1, 2});
    Mesh floor = box(-3, -0.2, -3, 3, 0, 3);
    assertThat(down(sheet, new Vec(0, 0.4, 0), floor).distance()).isCloseTo(0.4, within(1e-12));
  }

  @Test
  void overlapIsSaidWithTheWayBack() {
    Mesh cube = box(0, 0, 0, 0.3, 0.3, 0.3);
    Mesh shelf = Mesh.join(List.of(box(-1, 0.50, -1, 1, 0.52, 1), box(-1, 1.00, -1, 1, 1.02, 1)));
    Pose sunk = Pose.of(new Vec(0, 0.51, 0), 0);
    assertThat(Travel.of(cube, sunk, shelf, Pose.HERE, Vec.DOWN, 10).overlapping()).isTrue();
    assertThat(Travel.toFree(cube, sunk, shelf, Pose.HERE, Vec.UP))
        .as("free on this board, not on the one above")
        .isCloseTo(0.01, within(1e-9));
    assertThat(Travel.toFree(cube, sunk, shelf, Pose.HERE, Vec.DOWN)).isCloseTo(0.31, within(1e-9));
    assertThat(Travel.toFree(cube, sunk, shelf, Pose.HERE, new Vec(1, 0, 0)))
        .isCloseTo(1, within(1e-9));
  }

  @Test
  void insideWithoutTouchingIsAnOverlap() {
    Mesh stone = Shapes.sphere(0.1, 12);
    Mesh block = box(-1, -1, -1, 1, 1, 1);
    Pose in = Pose.of(new Vec(0.2, 0, 0), 30);
    assertThat(Travel.of(stone, in, block, Pose.HERE, Vec.UP, 10).overlapping()).isTrue();
    assertThat(Travel.of(block, Pose.HERE, stone, in, Vec.UP, 10).overlapping()).isTrue();
    assertThat(Travel.toFree(stone, in, block, Pose.HERE, Vec.UP)).isCloseTo(1.1, within(1e-9));
    assertThat(Nearness.overlap(stone, in, block, Pose.HERE, 1e-4)).isTrue();
  }

  @Test
  void cornersLyingExactlyInASurfaceAreNoWayOut() {
    // sunk so that a ring of corners lies in the plane of the top: no triangles cross there
    Mesh pointed = Shapes.turned(16, 0, 0, 0.1, 0.05, 0.1, 0.1);
    Mesh block = box(-1, -1, -1, 1, 0, 1);
    Pose sunk = Pose.of(new Vec(0, -0.05, 0), 0);
    assertThat(Nearness.overlap(pointed, sunk, block, Pose.HERE, 1e-4)).isTrue();
    assertThat(Travel.toFree(pointed, sunk, block, Pose.HERE, Vec.UP))
        .isCloseTo(0.05, within(1e-9));
    Pose deeper = Pose.of(new Vec(0, -0.08, 0), 0);
    assertThat(Travel.toFree(pointed, deeper, block, Pose.HERE, Vec.UP))
        .isCloseTo(0.08, within(1e-9));
  }

  @Test
  void limitHides() {
    Mesh cube = box(0, 0, 0, 1, 1, 1);
    Mesh floor = box(-3, -0.2, -3, 3, 0, 3);
    Pose up = Pose.of(new Vec(0, 2, 0), 0);
    assertThat(Travel.of(cube, up, floor, Pose.HERE, Vec.DOWN, 1.99).meets()).isFalse();
    assertThat(Travel.of(cube, up, floor, Pose.HERE, Vec.DOWN, 2.01).meets()).isTrue();
  }
}
