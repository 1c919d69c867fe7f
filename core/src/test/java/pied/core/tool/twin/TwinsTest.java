package pied.core.tool.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Twin;
import pied.core.units.Refusal;

class TwinsTest {
  private Rooms room = Rooms.stage();

  private Piece other(String id) {
    return room.piece(room.piece(id).keeping().twin().piece());
  }

  private void pair() {
    room.put("p", "wing-chair", 2, -3, 30);
    room.json("{'do':'twin','pieces':['p'],'about':{'by':'centre'}}");
  }

  /** Every corner of the one is the image of a corner of the other. */
  private void areImages(Piece a, Piece b, Twin line) {
    Mesh m = room.space.shapes().mesh(a);
    Mesh n = room.space.shapes().mesh(b);
    for (int v = 0; v < m.xyz().length / 3; v += 7) {
      Vec image = line.image(a.pose().apply(m.vertex(v)));
      double least = 1e9;
      for (int w = 0; w < n.xyz().length / 3; w++) {
        least = Math.min(least, b.pose().apply(n.vertex(w)).distance(image));
      }
      assertThat(least).isLessThan(1e-6);
    }
  }

  @Test
  void theOtherIsTheImageToTheCorner() {
    pair();
    Twin line = room.space.filing().twins().get(0);
    assertThat(other("p").at().x()).isEqualTo(-2, within(1e-9));
    areImages(room.piece("p"), other("p"), line);
    room.json(
        "{'do':'twinLine','twin':'"
            + line.id()
            + "','about':{'by':'drawn',"
            + "'at':{'x':0,'z':0},'to':{'x':1,'z':-4}}}");
    areImages(room.piece("p"), other("p"), room.space.filing().twins().get(0));
  }

  @Test
  void theTwinOfATwinIsTheOriginal() {
    Random r = new Random(5);
    for (int i = 0; i < 200; i++) {
      double a = r.nextDouble() * 7;
      Twin t =
          new Twin(
              "t",
              new Vec(r.nextDouble(), 0, r.nextDouble()),
              new Vec(Math.sin(a), 0, Math.cos(a)),
              i % 3 == 0);
      Stance s =
          new Stance(
              new Vec(r.nextDouble() * 5, r.nextDouble(), r.nextDouble() * 5),
              r.nextDouble() * 360,
              new Lean(r.nextDouble() * 360, i % 2 * 20));
      Stance again = t.image(t.image(s));
      assertThat(again.at().distance(s.at())).isLessThan(1e-12);
      assertThat(Math.IEEEremainder(again.turn() - s.turn(), 360)).isEqualTo(0, within(1e-9));
      assertThat(Math.IEEEremainder(again.lean().toward() - s.lean().toward(), 360))
          .isEqualTo(0, within(1e-9));
    }
  }

  @Test
  void whatIsDoneToOneIsDoneToTheOther() {
    pair();
    room.json("{'do':'moveBy','pieces':['p'],'by':{'x':0.5}}");
    assertThat(other("p").at().x()).isEqualTo(-2.5, within(1e-9));
    room.json("{'do':'turn','pieces':['p'],'to':90}");
    assertThat(other("p").turn()).isEqualTo(270, within(1e-9));
    room.json("{'do':'moveBy','pieces':['" + other("p").id() + "'],'by':{'z':-0.5}}");
    assertThat(room.piece("p").at().z()).isEqualTo(-3.5, within(1e-9));
    String id = other("p").id();
    assertThatThrownBy(() -> room.json("{'do':'remove','pieces':['p']}"))
        .isInstanceOf(Declined.class)
        .hasMessageContaining("Are both to be taken out?");
    room.json("{'do':'remove','pieces':['p','" + id + "']}");
    assertThat(room.space.has(id)).isFalse();
    assertThat(room.space.filing().twins()).isEmpty();
  }

  @Test
  void oneOfTwoIsTakenOutAloneOrWithTheOther() {
    for (int offer = 0; offer < 2; offer++) {
      room = Rooms.stage();
      pair();
      String id = other("p").id();
      Declined asked =
          catchThrowableOfType(Declined.class, () -> room.json("{'do':'remove','pieces':['p']}"));
      assertThat(asked.offers())
          .extracting(o -> o.words())
          .containsExactly("Take out both", "Take out this one alone");
      room.apply(asked.offers().get(offer).edits().toArray(Edit[]::new));
      assertThat(room.space.has("p")).isFalse();
      assertThat(room.space.has(id)).isEqualTo(offer == 1);
      assertThat(room.space.filing().twins()).isEmpty();
      if (offer == 1) {
        assertThat(room.piece(id).keeping().twin()).isNull();
      }
    }
  }

  @Test
  void theLineMovedTheFirstStays() {
    pair();
    String t = room.space.filing().twins().get(0).id();
    Vec first = room.piece("p").at();
    room.json("{'do':'twinLine','twin':'" + t + "','off':0.5}");
    assertThat(room.piece("p").at()).isEqualTo(first);
    assertThat(other("p").at().x()).isEqualTo(-1, within(1e-9));
    room.json("{'do':'twinLine','twin':'" + t + "','off':0}");
    assertThat(other("p").at().x()).isEqualTo(-2, within(1e-9));
  }

  @Test
  void bothMovedAlikeTheLineGoesAlong() {
    pair();
    String both = "'p','" + other("p").id() + "'";
    room.json("{'do':'moveBy','pieces':[" + both + "],'by':{'x':0.25}}");
    assertThat(room.space.filing().twins().get(0).at().x()).isEqualTo(0.25, within(1e-9));
    assertThat(room.piece("p").at().x()).isEqualTo(2.25, within(1e-9));
    assertThat(other("p").at().x()).isEqualTo(-1.75, within(1e-9));
  }

  @Test
  void whatIsPutOnOneAndCopiedHasItsTwinToo() {
    room.put("t", "side-table", 2, -3, 30);
    room.json("{'do':'twin','pieces':['t'],'about':{'by':'centre'}}");
    room.put("l", "table-lamp", 2, -3);
    assertThat(room.piece("l").on().id()).isEqualTo("t");
    assertThat(other("l").on().id()).isEqualTo(other("t").id());
    room.json("{'do':'copy','pieces':['t'],'by':{'z':1.5}}");
    assertThat(room.space.pieces()).hasSize(8);
    for (Piece p : room.space.pieces()) {
      assertThat(other(p.id()).at().x()).isEqualTo(-p.at().x(), within(1e-9));
    }
  }

  @Test
  void turnedHalfRoundAPoint() {
    room.put("p", "wing-chair", 2, -3, 30);
    room.json("{'do':'twin','pieces':['p'],'about':{'by':'point','at':{'x':1,'z':-3}}}");
    assertThat(other("p").at().x()).isEqualTo(0, within(1e-9));
    assertThat(other("p").turn()).isEqualTo(210, within(1e-9));
    assertThat(other("p").form()).isEqualTo(room.piece("p").form());
  }

  @Test
  void partedTheyGoTheirWays() {
    pair();
    String id = other("p").id();
    room.json("{'do':'partTwins','pieces':['p']}");
    Vec there = room.piece(id).at();
    room.json("{'do':'moveBy','pieces':['p'],'by':{'x':0.5}}");
    assertThat(room.piece(id).at()).isEqualTo(there);
    assertThat(room.space.filing().twins()).isEmpty();
    assertThatThrownBy(() -> room.json("{'do':'partTwins','pieces':['p']}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("has a twin");
  }

  @Test
  void refusals() {
    pair();
    assertThatThrownBy(() -> room.json("{'do':'twin','pieces':['p'],'about':{'by':'centre'}}"))
        .hasMessageContaining("has a twin already");
    assertThatThrownBy(() -> room.json("{'do':'twinLine','twin':'nobody','off':1}"))
        .hasMessageContaining("no such twins");
    room.put("q", "stool", 2, -1);
    assertThatThrownBy(
            () ->
                room.json(
                    "{'do':'twin','pieces':['q'],'about':{'by':'drawn','at':{'x':0,'z':0},"
                        + "'to':{'x':0,'z':0}}}"))
        .hasMessageContaining("leads nowhere");
  }

  @Test
  void aboutTheMiddleOfAPieceTheyAreOnItsOtherSide() {
    room.put("t", "cafe-table", 1, -3, 30);
    room.put("a", "stool", 1.8, -3.2);
    room.json("{'do':'twin','pieces':['a','t'],'about':{'by':'piece','of':'t'}}");
    assertThat(room.piece("t").keeping().twin()).isNull();
    Vec middle = room.piece("a").at().plus(other("a").at()).times(0.5);
    Vec front = room.piece("t").pose().direct(new Vec(0, 0, 1));
    Vec off = middle.minus(room.piece("t").at());
    assertThat(Math.hypot(off.x(), off.z()))
        .as("halfway between them lies the line through the table")
        .isEqualTo(Math.abs(off.x() * front.x() + off.z() * front.z()), within(1e-9));
  }

  @Test
  void aboutTheirOwnMiddleTheyStandInTheSameBox() {
    room.put("a", "stool", 1, -3);
    room.put("b", "crate", 3, -2);
    room.json("{'do':'twin','pieces':['a','b'],'about':{'by':'middle'}}");
    double left = room.piece("a").at().x() - room.piece("a").size().width() / 2;
    double right = room.piece("b").at().x() + room.piece("b").size().width() / 2;
    assertThat(other("a").at().x()).isEqualTo(left + right - 1, within(1e-9));
  }

  @Test
  void whatIsPutOnOneIsOnTheOtherTooUnlessOneSaysNo() {
    room.put("t", "cafe-table", 2, -3);
    room.json("{'do':'twin','pieces':['t'],'about':{'by':'centre'}}");
    int before = room.space.pieces().size();
    pied.core.edit.Outcome o =
        room.json(
            "{'do':'place','piece':'u','article':'bottle','ray':{'from':{'x':2,'y':3,'z':-3},"
                + "'along':{'x':0,'y':-1,'z':0}}}");
    assertThat(room.space.pieces()).hasSize(before + 2);
    assertThat(o.offers()).extracting(f -> f.words()).containsExactly("Only this one");
    room.apply(o.offers().get(0).edits().toArray(Edit[]::new));
    assertThat(room.space.pieces()).hasSize(before + 1);
    assertThat(room.piece("u").keeping().twin()).isNull();
    assertThat(room.piece("t").keeping().twin()).isNotNull();
  }
}
