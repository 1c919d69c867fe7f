package pied.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.material.Finishes;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/** Doors and windows in plain openings; wall A runs along z = 0, 0.2 m thick. */
class InsetTest {
  private final Rooms room =
      Rooms.of(
          new Shell(
              List.of(new Spot(0, 0), new Spot(6, 0), new Spot(6, 4), new Spot(0, 4)),
              2.8,
              0.2,
              List.of(
                  new Opening("o1", Opening.OpeningKind.opening, "A", 2, 1, 0, 2.2),
                  new Opening("o2", Opening.OpeningKind.opening, "B", 1, 1.1, 0.9, 1.2),
                  new Opening("d1", Opening.OpeningKind.door, "C", 1.0, 0.9, 0, 2.05)),
              Finishes.NONE));

  @ParameterizedTest
  @ValueSource(strings = {"panelled-door", "ledged-door", "glazed-door"})
  void aDoorFillsItsOpening(String article) {
    Piece door = room.put("p", article, 2.4, 0.3);
    assertThat(door.size().width()).isEqualTo(1);
    assertThat(door.size().height()).isEqualTo(2.2);
    assertThat(door.at().minus(new Vec(2.5, 0, -0.1)).length()).isLessThan(1e-9);
    assertThat(door.on()).isEqualTo(On.opening("o1"));
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void aWindowIsSeenThroughItsOpening() {
    room.json(
        "{'do':'place','article':'sash-window','piece':'p',"
            + "'ray':{'from':{'x':1,'y':1.6,'z':2},'along':{'x':5,'y':-0.1,'z':-0.4}}}");
    Piece window = room.piece("p");
    assertThat(window.on()).isEqualTo(On.opening("o2"));
    assertThat(window.at().y()).isCloseTo(0.9, within(1e-9));
    assertThat(window.at().x()).isCloseTo(6.1, within(1e-9));
    assertThat(window.turn()).isCloseTo(270, within(1e-9));
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void itGoesWithItsOpeningAndFillsItAgain() {
    room.put("p", "panelled-door", 2.5, 0.1);
    room.json("{'do':'opening','part':'o1','from':'3','width':'1.1'}");
    assertThat(room.piece("p").at().x()).isCloseTo(3.55, within(1e-9));
    assertThat(room.piece("p").size().width()).isEqualTo(1.1);
    // wider than it is made: it stays as it was, and that is said
    room.json("{'do':'opening','part':'o1','width':'2'}");
    assertThat(room.piece("p").size().width()).isEqualTo(1.1);
    assertThat(room.said).anyMatch(s -> s.contains("0.60 to 1.20 m wide, not 2.00"));
    assertThat(Checks.of(room.space)).isEmpty();
    room.json("{'do':'moveWall','wall':'A','by':'0.5'}");
    assertThat(room.piece("p").at().z()).isCloseTo(-0.6, within(1e-9));
    room.json("{'do':'opening','part':'o1','kind':'door'}");
    assertThat(room.piece("p").on()).isEqualTo(On.NOTHING);
    assertThat(room.said).anyMatch(s -> s.contains("lost its opening"));
  }

  @Test
  void turnedAboutItOpensToTheOtherSideAndStaysThere() {
    room.put("p", "panelled-door", 2.5, 0.1);
    room.json("{'do':'turn','pieces':['p'],'by':'180'}");
    assertThat(room.piece("p").on()).isEqualTo(On.opening("o1"));
    room.json("{'do':'opening','part':'o1','from':'3'}");
    assertThat(room.piece("p").turn()).isCloseTo(180, within(1e-9));
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void withoutAnOpeningItIsRefusedInWords() {
    assertThatThrownBy(() -> room.put("p", "panelled-door", 5, 3.9))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("point at one");
    assertThatThrownBy(() -> new Rooms().put("p", "panelled-door", 1.4, 4))
        .hasMessageContaining("there is none here");
    assertThatThrownBy(() -> room.put("p", "garden-doors", 2.5, 0))
        .hasMessageContaining("1.10 to 2.60 m wide, not 1.00");
  }
}
