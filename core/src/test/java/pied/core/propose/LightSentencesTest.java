package pied.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.light.Sky;
import pied.core.show.Viewpoint;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;

/** Light and viewpoints, said. */
class LightSentencesTest {
  private final Rooms room = room();
  private final AtomicInteger ids = new AtomicInteger();

  private static Rooms room() {
    Rooms room = new Rooms();
    room.put("p", "pendant-lamp", 3, 2);
    room.put("g", "globe-pendant", 4, 2);
    room.put("d", "desk-lamp", 1, 1);
    room.put("s", "sofa", 2, 3, 180);
    room.json("{'do':'lamps','pieces':['d'],'circuit':'Desk'}");
    return room;
  }

  private void say(String text, String... selected) {
    room.space =
        Say.make(
                room.space,
                text,
                List.of(selected),
                LengthUnit.M,
                null,
                () -> "x" + ids.incrementAndGet(),
                Deadline.NONE)
            .outcome()
            .space();
  }

  private double burning(String id) {
    return room.piece(id).lamp().burning();
  }

  @Test
  void lampsAreDimmedAndSwitchedByWhatTheyAre() {
    say("lamps at 40 %");
    assertThat(List.of(burning("p"), burning("g"), burning("d"))).containsOnly(0.4);
    say("pendants off");
    assertThat(List.of(burning("p"), burning("g"), burning("d"))).containsExactly(0.0, 0.0, 0.4);
    say("switch on the globe pendants");
    assertThat(burning("g")).isEqualTo(0.4);
    say("the circuit Desk at full");
    assertThat(burning("d")).isEqualTo(1);
    say("dim to 25%", "p");
    assertThat(burning("p")).isEqualTo(0.25);
    say("all lamps off");
    assertThat(List.of(burning("p"), burning("g"), burning("d"))).containsOnly(0.0);
  }

  @Test
  void theDayIsSaidAsPeopleSayIt() {
    say("at 8 on 21 March");
    assertThat(room.space.showing().day().hour()).isEqualTo(8);
    assertThat(room.space.showing().day().date().toString()).endsWith("-03-21");
    say("evening");
    assertThat(room.space.showing().day().hour()).isEqualTo(19);
    say("overcast, at 12:30");
    assertThat(room.space.showing().day().hour()).isEqualTo(12.5);
    assertThat(room.space.showing().day().sky()).isEqualTo(Sky.overcast);
    say("a clear morning");
    assertThat(room.space.showing().day().sky()).isEqualTo(Sky.clear);
    assertThat(room.space.showing().day().hour()).isEqualTo(9);
  }

  @Test
  void oneLooksFromADoorOrASeat() {
    say("look from the door");
    Viewpoint door = room.space.showing().viewpoints().get(0);
    assertThat(door.eye().y()).isEqualTo(1.6);
    assertThat(room.shell().floorAt(new pied.core.space.Spot(door.eye().x(), door.eye().z())))
        .isZero();
    say("look from the sofa, through 35 mm, the eye at 1.15");
    Viewpoint sofa = room.space.showing().viewpoints().get(1);
    assertThat(sofa.lens()).isEqualTo(35);
    assertThat(sofa.eye().y()).isCloseTo(1.15, within(1e-12));
    assertThat(sofa.target().z()).isLessThan(sofa.eye().z());
  }

  @Test
  void aLookIsCalledByItsName() {
    room.json("{'do':'keepLook','name':'Evening tea'}");
    say("lamps off");
    say("the look evening tea");
    assertThat(burning("p")).isEqualTo(1);
  }
}
