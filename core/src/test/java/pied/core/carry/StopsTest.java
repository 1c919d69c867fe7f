package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Vec;

/** Trunks 0.9 wide are pushed out of one another, in a room of 6 × 4 m. */
class StopsTest {
  private static final Vec RIGHT = new Vec(1, 0, 0);

  private final Rooms room = new Rooms();
  private Piece own;
  private double wide;
  private double deep;

  @BeforeEach
  void furnish() {
    own = room.put("own", "trunk", 1, 3);
    wide = own.size().width();
    deep = own.size().depth();
  }

  private Stops.Push push(double x, double z, Vec motion, List<Vec> only) {
    Piece there = own.withAt(new Vec(x, 0, z));
    return new Stops(room.space, Set.of("own"), motion, only)
        .out(by -> List.of(there.moved(by)), null, "own");
  }

  private void isFree(double x, double z, Stops.Push p) {
    Piece there = own.withAt(new Vec(x, 0, z).plus(p.by()));
    assertThat(
            room.space
                .bodies()
                .overlapping(
                    room.space.shapes().mesh(own),
                    there.pose(),
                    Resting.CONTACT,
                    b -> !b.id().equals("own")))
        .isEmpty();
  }

  @Test
  void whatIsFreeIsNotPushed() {
    Stops.Push p = push(3, 2, RIGHT, null);
    assertThat(p.free()).isTrue();
    assertThat(p.by()).isEqualTo(Vec.ZERO);
    assertThat(p.stopped()).isNull();
  }

  @Test
  void itStopsBeforeWhatItRunsInto() {
    room.put("o", "trunk", 3, 2);
    Stops.Push p = push(3 - wide + 0.2, 2.05, RIGHT, null);
    assertThat(p.by().x()).isCloseTo(-0.2, within(1e-4));
    assertThat(p.by().z()).isZero();
    assertThat(p.stopped().id()).isEqualTo("o");
  }

  @Test
  void beyondItsMiddleItComesOutBehind() {
    room.put("o", "trunk", 3, 2);
    Stops.Push p = push(3.1, 2, RIGHT, null);
    assertThat(p.by().x()).isCloseTo(wide - 0.1, within(1e-4));
    assertThat(p.free()).isTrue();
  }

  @Test
  void asideOnlyIfThatIsMuchShorter() {
    room.put("o", "trunk", 3, 2);
    // 0.2 back, or 0.1 aside: it stops; or 0.02 aside: it slides past
    assertThat(push(3 - wide + 0.2, 2 + deep - 0.1, RIGHT, null).by().z()).isZero();
    Stops.Push past = push(3 - wide + 0.2, 2 + deep - 0.02, RIGHT, null);
    assertThat(past.by().x()).isZero();
    assertThat(past.by().z()).isBetween(0.0, 0.021);
    isFree(3 - wide + 0.2, 2 + deep - 0.02, past);
  }

  @Test
  void outOfAWallIntoTheRoomNeverThroughIt() {
    Stops.Push p = push(3, -0.15, new Vec(0, 0, -1), null);
    assertThat(p.by().z()).isGreaterThan(0.15);
    isFree(3, -0.15, p);
  }

  @Test
  void keptToADirectionItIsPushedThatWayOnly() {
    room.put("o", "trunk", 3, 2);
    Stops.Push p = push(3, 2 + deep - 0.02, RIGHT, List.of(RIGHT, RIGHT.times(-1)));
    assertThat(p.by().z()).isZero();
    assertThat(Math.abs(p.by().x())).isCloseTo(wide, within(1e-4));
  }

  @Test
  void betweenTwoThatLeaveNoRoomItIsPutBeside() {
    // a gap of 0.2 in front of one and behind the other
    room.put("a", "trunk", 3, 1.2);
    room.put("b", "trunk", 3, 1.2 + deep + 0.2);
    Stops.Push p = push(3, 1.2 + (deep + 0.2) / 2, RIGHT, null);
    assertThat(p.free()).isTrue();
    isFree(3, 1.2 + (deep + 0.2) / 2, p);
    assertThat(p.by().length()).isLessThan(wide + 0.05);
  }

  @Test
  void whereThereIsNoRoomAtAllThatIsSaid() {
    List<Vec> only = List.of(RIGHT, RIGHT.times(-1));
    for (int i = 0; i < 6; i++) {
      room.put("o" + i, "trunk", 0.5 + wide * i, 2);
    }
    Stops.Push p = push(3, 2, RIGHT, only);
    assertThat(p.free()).isFalse();
    assertThat(p.stopped()).isNotNull();
  }

  @Property(tries = 60)
  void pushedAmongManyItIsFreeOrSaysThatItIsNot(@ForAll Choices r) {
    if (own == null) {
      furnish();
    }
    List<Piece> others = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      Vec at = new Vec(1 + 4 * r.nextDouble(), 0, 1 + 2 * r.nextDouble());
      others.add(own.withId("o" + i).withAt(at).withTurn(45 * r.nextInt(8)));
    }
    room.space = room.space.with(others);
    double x = 1 + 4 * r.nextDouble();
    double z = 1 + 2 * r.nextDouble();
    double a = 2 * Math.PI * r.nextDouble();
    Stops.Push p = push(x, z, new Vec(Math.cos(a), 0, Math.sin(a)), null);
    if (p.free()) {
      isFree(x, z, p);
    } else {
      assertThat(p.by()).isEqualTo(Vec.ZERO);
    }
  }
}
