package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pied.core.show.Viewpoint;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

class StageTest {
  private static final Offset<Double> EXACT = within(1e-9);

  /** A stage of 10 × 6 m, 5 m to the grid, raked 1 in 20, with an apron and six rows. */
  private static Shell stage(List<Platform> platforms, List<Flight> flights) {
    return new Shell(
        List.of(new Spot(-5, -6), new Spot(5, -6), new Spot(5, 0), new Spot(-5, 0)),
        5,
        0.3,
        Map.of("C", 0.4),
        List.of(new Opening(Opening.PROSCENIUM, Opening.OpeningKind.opening, "C", 1, 8, 0, 4)),
        null,
        null,
        platforms,
        flights,
        List.of(new Bar("bar 1", 0, -2, 4, 8)),
        null,
        new Stage(0.9, 0.05, new Stage.Apron(9, 1.5, 0.4), new Stage.Seats(2, 0.9, 0.1, 6, 8)),
        null,
        0,
        null);
  }

  private static final Platform HIGH =
      new Platform(
          "platform 1",
          List.of(new Spot(-4, -5), new Spot(-2, -5), new Spot(-2, -3), new Spot(-4, -3)),
          0.8);

  /** Three treads that come down toward the audience from the front edge of the platform. */
  private static final Flight STEPS =
      new Flight("steps 1", Flight.FlightKind.steps, new Spot(-3, -3), 0, 1, 3, 0.15, 0.3, 0.2);

  private static Body body(Shell shell, String id) {
    return ShellBodies.of(shell).stream().filter(b -> b.id().equals(id)).findFirst().orElseThrow();
  }

  @Test
  void theFloorRisesUpstageOfTheSettingLineOnly() {
    Shell s = stage(List.of(), List.of());
    assertThat(s.floorAt(new Spot(0, 0))).isZero();
    assertThat(s.floorAt(new Spot(1, -2))).isCloseTo(0.1, EXACT);
    assertThat(s.floorAt(new Spot(1, -6))).isCloseTo(0.3, EXACT);
    assertThat(s.floorAt(new Spot(0, 1.2))).as("the apron is level").isZero();
    assertThat(s.floorAt(new Spot(4.4, 1.4))).as("the curved edge draws back").isNaN();
    assertThat(s.floorAt(new Spot(0, -6.1))).isNaN();
  }

  @Test
  void theFloorIsThatOfTheHighestThingThere() {
    Shell s = stage(List.of(HIGH), List.of(STEPS));
    assertThat(s.floorAt(new Spot(-3, -4))).isEqualTo(0.8);
    assertThat(s.floorAt(new Spot(-2, -4))).as("its edge belongs to it").isEqualTo(0.8);
    assertThat(s.floorAt(new Spot(-1.999, -4))).isCloseTo(0.2, EXACT);
    assertThat(s.floorAt(new Spot(-3, -2.9))).isCloseTo(0.65, EXACT);
    assertThat(s.floorAt(new Spot(-3, -2.6))).isCloseTo(0.5, EXACT);
    assertThat(s.floorAt(new Spot(-3, -2.2))).isCloseTo(0.35, EXACT);
    assertThat(s.floorAt(new Spot(-3, -2.0))).as("past the last tread").isCloseTo(0.1, EXACT);
  }

  @Test
  void aRampFallsEvenly() {
    Flight ramp =
        new Flight("ramp 1", Flight.FlightKind.ramp, new Spot(0, -4), 90, 1, 1, 0.6, 3, 0.2);
    assertThat(ramp.spot(3, 0)).as("it comes down toward stage left").isEqualTo(new Spot(3, -4));
    assertThat(ramp.heightAt(0)).isCloseTo(0.8, EXACT);
    assertThat(ramp.heightAt(1.5)).isCloseTo(0.5, EXACT);
    assertThat(ramp.heightAt(3)).isCloseTo(0.2, EXACT);
  }

  @Test
  void everythingBuiltIsClosedAndAsLargeAsItShouldBe() {
    Shell s = stage(List.of(HIGH), List.of(STEPS));
    for (Body b : ShellBodies.of(s)) {
      assertThat(b.mesh().isClosed()).as(b.id()).isTrue();
      assertThat(b.mesh().volume()).as(b.id()).isPositive();
    }
    assertThat(body(s, "platform:platform 1").mesh().volume()).isCloseTo(2 * 2 * 0.8, EXACT);
    // 0.9 under the floor everywhere, and the wedge of the rake, whose mean height is 0.15
    double house = 0.9 * s.area() + 10 * 6 * 0.15;
    assertThat(body(s, "floor").mesh().volume()).isCloseTo(house, within(1e-6));
    double steps = (0.35 + 0.5 + 0.65) * 0.3 * 1;
    assertThat(body(s, "flight:steps 1").mesh().volume()).isCloseTo(steps, EXACT);
    double ring = Math.PI * Math.pow(Bar.TUBE / 2, 2) * 8;
    assertThat(body(s, "bar:bar 1").mesh().volume()).isBetween(ring * 0.98, ring);
  }

  @Test
  void theVolumeIsTheAirWithoutTheWedgeOfTheRake() {
    Shell s = stage(List.of(), List.of());
    assertThat(s.volume()).isCloseTo(10 * 6 * 5 - 10 * 6 * 0.15, EXACT);
    assertThat(s.perimeter()).isCloseTo(32, EXACT);
    double apron = s.area() - 60;
    assertThat(apron).isBetween(9 * 1.1, 9 * 1.5);
  }

  @Test
  void seatsLookAtTheStageFromWhereTheyAre() {
    List<Viewpoint> all = ReadyViewpoints.of(stage(List.of(), List.of()));
    Viewpoint front =
        all.stream().filter(v -> v.name().equals("Row 1, middle")).findFirst().orElseThrow();
    // front edge at 1.5, first row 2 m before it; 0.9 below the stage, the eye 1.2 above that
    assertThat(front.eye())
        .isEqualTo(new Vec(0, 0.3, 3.5).plus(new Vec(0, front.eye().y() - 0.3, 0)));
    assertThat(front.eye().y()).isCloseTo(0.3, EXACT);
    Viewpoint back =
        all.stream().filter(v -> v.name().equals("Row 6, middle")).findFirst().orElseThrow();
    assertThat(back.eye().z()).isCloseTo(3.5 + 5 * 0.9, EXACT);
    assertThat(back.eye().y()).isCloseTo(0.3 + 5 * 0.1, EXACT);
    assertThat(all).anyMatch(v -> v.group().equals("corners") && !v.fits());
    assertThat(all).anyMatch(v -> v.name().equals("From stage left") && v.eye().x() > 5);
  }

  @Test
  void whatCannotBeBuiltIsRefused() {
    Platform outside =
        new Platform(
            "platform 9",
            List.of(new Spot(4, -2), new Spot(7, -2), new Spot(7, -1), new Spot(4, -1)),
            0.4);
    assertThatThrownBy(() -> ShellCheck.checked(stage(List.of(outside), List.of())))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("platform 9 would reach beyond the stage");
    Platform absurd = new Platform("platform 9", HIGH.outline(), 120);
    assertThatThrownBy(() -> ShellCheck.checked(stage(List.of(absurd), List.of())))
        .hasMessageContaining("120.00 m high; it can be");
    Flight long1 =
        new Flight("steps 9", Flight.FlightKind.steps, new Spot(0, -1), 0, 1, 40, 0.1, 0.3, 0);
    assertThatThrownBy(() -> ShellCheck.checked(stage(List.of(), List.of(long1))))
        .hasMessageContaining("would reach beyond the stage");
  }
}
