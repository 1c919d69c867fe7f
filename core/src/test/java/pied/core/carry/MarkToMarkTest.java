package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static pied.core.carry.Asked.carry;
import static pied.core.carry.Asked.isAt;
import static pied.core.carry.Asked.lead;
import static pied.core.carry.Asked.measure;
import static pied.core.carry.Asked.words;

import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.carry.CarryAsk.CarryMeet;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.units.LengthUnit;

/** A mark of what is carried exactly onto a mark, an edge or a face. */
class MarkToMarkTest {
  private static final Offset<Double> EXACT = within(1e-9);
  private static final Offset<Double> TOUCH = within(2e-5);

  private final Rooms room = new Rooms();

  private CarryResult answer(Asked a) {
    return Carrying.answer(room.space, a.asked(), LengthUnit.M);
  }

  private static Asked meet(CarryMeet meet, Asked q, Vec picked) {
    q.meet = meet;
    q.picked = picked;
    return q;
  }

  /**
   * A mark of a piece where it is: -1, 0 or 1 from its left to its right, from its back to its
   * front.
   */
  private static Vec mark(Piece p, int x, double y, int z) {
    return p.pose().apply(new Vec(x * p.size().width() / 2, y, z * p.size().depth() / 2));
  }

  @Test
  void aCornerGoesOntoACorner() {
    Piece a = room.put("a", "banquette", 2, 1);
    Piece b = room.put("b", "banquette", 4, 3);
    double wide = a.size().width();
    Asked q = carry("b").to(2 + wide / 2 + 0.02, 1 + a.size().depth() / 2 - 0.01).near(0.05);
    CarryResult answer = answer(meet(CarryMeet.mark, q, mark(b, -1, 0, 1)));
    isAt(answer, 2 + wide, 0, 1, EXACT);
    assertThat(words(answer)).containsExactly("on a corner of Banquette element");
    assertThat(measure(answer, "left")).isCloseTo(0, TOUCH);
    // and into that of the room
    q = meet(CarryMeet.mark, carry("b").to(0.03, 0.02), mark(b, -1, 0, -1));
    isAt(answer(q), wide / 2, 0, b.size().depth() / 2, EXACT);
  }

  @Test
  void askewItIsTurnedNoMoreThanNeededUntilSidesMeetFlat() {
    Piece a = room.put("a", "banquette", 2, 1, 20);
    Piece b = room.put("b", "banquette", 4, 3, 50);
    Vec corner = mark(a, 1, 0, 1);
    Asked q = carry("b").to(corner.x() + 0.01, corner.z());
    CarryResult answer = answer(meet(CarryMeet.faces, q, mark(b, -1, 0, 1)));
    assertThat(lead(answer).turn()).isCloseTo(20, EXACT);
    Vec there = lead(answer).pose().apply(new Vec(-b.size().width() / 2, 0, b.size().depth() / 2));
    assertThat(there.minus(corner).length()).isLessThan(1e-9);
    assertThat(measure(answer, "left")).as("flat against it").isCloseTo(0, TOUCH);
    assertThat(answer.place()).doesNotContain("overlapping");
  }

  @Test
  void intoTheCornerOfTheRoomNeverThroughItsWalls() {
    Piece b = room.put("b", "banquette", 3, 2, 80);
    // a turn by 10° more would lay its back on wall D, and the rest of it through wall A
    CarryResult answer =
        answer(meet(CarryMeet.faces, carry("b").to(0.03, 0.02), mark(b, -1, 0, -1)));
    assertThat(lead(answer).turn()).isCloseTo(0, EXACT);
    isAt(answer, b.size().width() / 2, 0, b.size().depth() / 2, EXACT);
    assertThat(words(answer)).containsExactly("on the corner of walls D and A");
  }

  @Test
  void onThePlanAPointOfAWallWillDo() {
    Piece b = room.put("b", "banquette", 3, 2, 65);
    Asked q = carry("b").to(4.4, 0.03);
    CarryResult answer = answer(meet(CarryMeet.faces, q, mark(b, 0, 0, -1)));
    assertThat(lead(answer).turn()).as("its back to wall A").isCloseTo(0, EXACT);
    assertThat(lead(answer).at().x()).isCloseTo(4.4, EXACT);
    assertThat(measure(answer, "back")).isCloseTo(0, within(0.03)); // the skirting stands before it
    assertThat(words(answer).get(0)).matches("on an edge of .*wall A.*");
  }

  @Test
  void anEdgeRunsAlongTheEdgeOfATable() {
    Piece t = room.put("t", "long-table", 3, 2, 30);
    double top = t.size().height();
    // seen from above, a third along its front edge
    Vec on = t.pose().apply(new Vec(t.size().width() / 6, top, t.size().depth() / 2));
    Vec eye = on.plus(new Vec(0.3, 2, 1.5));
    Piece tray = room.put("y", "tray", 1, 3);
    Asked q = carry("y").look(eye, on.plus(t.pose().direct(new Vec(0, 0, -0.01))));
    CarryResult answer = answer(meet(CarryMeet.edges, q, mark(tray, 0, 0, 1)));
    assertThat(lead(answer).turn()).isCloseTo(30, within(1e-6));
    Vec front = lead(answer).pose().apply(new Vec(0, 0, tray.size().depth() / 2));
    Vec own = t.pose().unapply(front);
    assertThat(own.z()).as("flush with the edge").isCloseTo(t.size().depth() / 2, within(0.003));
    assertThat(lead(answer).at().y()).isCloseTo(top, within(1e-4));
    assertThat(answer.on().id()).isEqualTo("t");
  }

  @Test
  void aMarkGoesOntoAPointOfAFace() {
    Piece b = room.put("b", "sideboard", 3, 2, 40);
    Vec to = new Vec(2.2, 1.3, 0);
    CarryResult answer =
        answer(
            meet(CarryMeet.faces, carry("b").look(new Vec(3, 1.6, 3), to), mark(b, 0, 0.82, -1)));
    assertThat(words(answer)).containsExactly("on the face of wall A");
    assertThat(lead(answer).turn()).isCloseTo(0, EXACT);
    assertThat(answer.mark().minus(to).length()).isLessThan(1e-9);
  }
}
