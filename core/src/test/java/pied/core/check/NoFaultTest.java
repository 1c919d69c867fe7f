package pied.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.material.Finishes;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Opening;
import pied.core.space.Outlines;
import pied.core.space.Shell;

/** What no practitioner would call a fault is none; and what is one next to it still is. */
class NoFaultTest {
  private Rooms room = new Rooms();

  private List<String> snags() {
    return Checks.of(room.space).stream().map(Snag::words).toList();
  }

  @ParameterizedTest
  @CsvSource({"3, 2", "3.2, 2.1", "2.8, 1.95", "3, 1.9"})
  void aLampStandsOnADesk(double x, double z) {
    room.put("d", "writing-desk", 3, 2);
    room.put("l", "desk-lamp", x, z);
    assertThat(room.piece("l").on()).isEqualTo(On.piece("d"));
    assertThat(snags()).isEmpty();
  }

  @Test
  void aLampWithItsFootOverTheRimTipsOff() {
    room.put("d", "writing-desk", 3, 2);
    room.put("l", "desk-lamp", 3, 2);
    // its foot is at its back, 0.14 behind its middle
    double back = room.piece("d").at().z() - room.piece("d").size().depth() / 2;
    room.json("{'do':'moveTo','pieces':['l'],'to':{'z':" + (back + 0.1) + "}}");
    assertThat(room.piece("l").on()).isEqualTo(On.piece("d"));
    assertThat(snags()).anyMatch(s -> s.contains("would tip off"));
  }

  @Test
  void fiveCupsHaveRoomOnASlattedTable() {
    room.put("t", "garden-table", 3, 2);
    room.json("{'do':'scatter','of':[{'article':'cup-and-saucer'}],'onto':['t'],'count':5}");
    List<Piece> cups =
        room.space.pieces().stream().filter(p -> p.article().equals("cup-and-saucer")).toList();
    assertThat(cups).hasSize(5).allMatch(p -> p.on().equals(On.piece("t")));
    assertThat(snags()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(doubles = {15, 45, 90, -30, -90})
  void flatsTurnedAboutTheirJointAreJoined(double by) {
    room = Rooms.of(new Shell(Outlines.rectangle(8, 6), 5, 0.2, List.<Opening>of(), Finishes.NONE));
    room.put("a", "flat", 2, 2);
    room.put("b", "flat", 3.2, 2);
    room.json("{'do':'turn','pieces':['b'],'by':" + by + ",'about':'left front under'}");
    assertThat(snags()).isEmpty();
    assertThat(room.said).noneMatch(s -> s.contains("overlaps"));
    if (Math.abs(by) < 90) {
      room.json("{'do':'moveBy','pieces':['b'],'by':{'x':-0.3}}");
      assertThat(snags()).as("pushed through one another they are not").isNotEmpty();
    }
  }

  @Test
  void aBedStandsHalfOnItsRug() {
    room.put("r", "rug", 3, 2);
    room.put("b", "double-bed", 3.8, 1.4);
    Piece bed = room.piece("b");
    assertThat(bed.at().x()).as("it is not pushed off").isCloseTo(3.8, within(1e-9));
    assertThat(bed.at().z()).isCloseTo(1.4, within(1e-9));
    assertThat(bed.on()).isEqualTo(On.FLOOR);
    assertThat(snags()).isEmpty();
    // carried over it too
    room.json("{'do':'putDown','carry':{'pieces':['b'],'at':{'x':3.4,'z':1.5}}}");
    assertThat(room.piece("b").at().x()).isCloseTo(3.4, within(1e-9));
    assertThat(snags()).isEmpty();
  }

  @Test
  void aRugGoesUnderWhatStandsThereAndMovesNothing() {
    room.put("c", "dining-chair", 3, 2);
    room.put("t", "round-table", 3, 2.8);
    Piece chair = room.piece("c");
    room.put("r", "rug", 1.2, 1);
    room.json("{'do':'putDown','carry':{'pieces':['r'],'at':{'x':3,'z':2.2}}}");
    Piece rug = room.piece("r");
    assertThat(rug.at().x()).isCloseTo(3, within(1e-9));
    assertThat(rug.at().y()).isZero();
    assertThat(rug.on()).isEqualTo(On.FLOOR);
    assertThat(room.piece("c")).isEqualTo(chair);
    room.json("{'do':'settle','pieces':['r','c']}");
    assertThat(room.piece("r")).isEqualTo(rug);
    assertThat(room.piece("c")).isEqualTo(chair);
    assertThat(snags()).isEmpty();
    Reach left = Reach.of(room.space, chair, Side.left);
    assertThat(left.to()).as("distances go by what is in the way").startsWith("wall");
  }

  @Test
  void rugsLieBesideOneAnotherAndNotInOneAnother() {
    room.put("r", "rug", 2, 2);
    room.put("q", "rug", 4.6, 2);
    room.json("{'do':'moveTo','pieces':['q'],'to':{'x':3}}");
    assertThat(snags()).anyMatch(s -> s.contains("overlaps"));
  }

  @Test
  void aHeapIsToldInFewWords() {
    Piece one = room.put("s", "stool", 3, 2);
    List<Piece> heap = new java.util.ArrayList<>();
    for (int i = 0; i < 400; i++) {
      heap.add(one.withId("p" + i).withName("Stool " + i));
    }
    room.space = room.space.with(heap);
    List<Snag> told = Checks.of(room.space);
    assertThat(told).hasSizeLessThanOrEqualTo(401 * 13).hasSizeGreaterThan(400);
    assertThat(told).anyMatch(s -> s.words().endsWith("overlaps more than these."));
  }
}
