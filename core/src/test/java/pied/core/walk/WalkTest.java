package pied.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.solid.Vec;

/** Somebody who walks keeps their feet on the ground and their body out of things. */
class WalkTest {
  private static final Vec START = new Vec(3, 0, 2.5);

  private static Vec to(Walk walk, Vec from, double dx, double dz) {
    return walk.go(from, new Vec(dx, 0, dz));
  }

  @Test
  void onAnEmptyFloorOneComesWhereOneGoes() {
    Walk walk = new Walk(new Rooms().space);
    assertThat(to(walk, START, 0.7, -0.4).minus(new Vec(3.7, 0, 2.1)).length()).isLessThan(1e-9);
  }

  @Test
  void aWallStopsAndOneSlidesAlongIt() {
    Rooms room = new Rooms();
    Walk walk = new Walk(room.space);
    double width = room.shell().extent().x();
    Vec at = to(walk, new Vec(width - 1, 0, 2), 5, 0);
    assertThat(at.x()).isBetween(width - Walk.RADIUS - 0.06, width - 0.92 * Walk.RADIUS);
    Vec along = to(walk, at, 1, 1);
    assertThat(along.z()).isGreaterThan(at.z() + 0.3);
    assertThat(along.x()).isLessThan(width);
  }

  @Test
  void aTableStopsAndARugDoesNot() {
    Rooms room = new Rooms();
    room.put("t", "cafe-table", 4, 2.5);
    room.put("r", "rug", 2, 2.5);
    Walk walk = new Walk(room.space);
    Vec at = to(walk, START, 0.9, 0);
    assertThat(at.minus(START).length()).isLessThan(0.89);
    assertThat(walk.isFree(at)).isTrue();
    Vec on = to(walk, START, -1, 0);
    assertThat(on.x()).isCloseTo(2, within(1e-9));
    assertThat(on.y()).isBetween(0.0, 0.05);
  }

  @Test
  void oneStepsOntoALowPlatformAndStopsBeforeAHighOne() {
    Rooms low = new Rooms();
    low.json("{'do':'platform','at':{'x':4.5,'z':2.5},'width':1.6,'depth':2,'height':0.2}");
    assertThat(to(new Walk(low.space), START, 1.5, 0).y()).isCloseTo(0.2, within(1e-6));
    Rooms high = new Rooms();
    high.json("{'do':'platform','at':{'x':4.5,'z':2.5},'width':1.6,'depth':2,'height':0.4}");
    Walk walk = new Walk(high.space);
    assertThat(to(walk, START, 1.5, 0).y()).isZero();
    // and nobody goes over its edge
    Vec top = walk.stand(4.5, 2.5);
    assertThat(top.y()).isCloseTo(0.4, within(1e-6));
    assertThat(to(walk, top, -3, 0).x()).isGreaterThan(3.65);
  }

  @Test
  void wherePeopleCannotStandTheNearestPlaceIsFound() {
    Rooms room = new Rooms();
    room.put("t", "cafe-table", 3, 2.5);
    Walk walk = new Walk(room.space);
    Vec feet = walk.stand(3, 2.5);
    assertThat(walk.isFree(feet)).isTrue();
    assertThat(feet.distance(START)).isLessThan(1.2);
    assertThat(walk.stand(90, 90)).isNull();
  }

  /** Wherever one goes in a full room: never inside anything, never more than a step at once. */
  @Test
  void twoThousandPacesThroughATeaRoom() {
    Walk walk = new Walk(Rooms.teaRoom().space);
    Random random = new Random(28);
    Vec at = walk.stand(2, 2);
    assertThat(at).isNotNull();
    double gone = 0;
    for (int i = 0; i < 2000; i++) {
      double a = random.nextDouble() * 2 * Math.PI;
      Vec next = to(walk, at, 0.3 * Math.sin(a), 0.3 * Math.cos(a));
      assertThat(walk.isFree(next)).isTrue();
      assertThat(Math.abs(next.y() - at.y())).isLessThan(6 * Walk.STEP);
      gone += next.distance(at);
      at = next;
    }
    assertThat(gone).isGreaterThan(100);
  }
}
