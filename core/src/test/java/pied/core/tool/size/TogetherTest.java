package pied.core.tool.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.check.Snag;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.phrase.Phrase;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Support;
import pied.core.solid.Travel;
import pied.core.tool.move.MoveBy;
import pied.core.tool.move.Settle;
import pied.core.tool.onto.SettleOnto;
import pied.core.units.Refusal;

/** Several set by one: onto it, beside it, at its height; in a room of 6 × 4 m. */
class TogetherTest {
  private static final Offset<Double> TOUCH = within(2e-5);

  private final Rooms room = new Rooms();

  private void hang(String id, String article, double x, double z, double y) {
    room.put(id, article, x, z);
    room.json("{'do':'moveBy','pieces':['" + id + "'],'by':{'y':" + y + "}}");
  }

  private double gap(String a, String b, Side side) {
    Piece p = room.piece(a);
    return Travel.of(
            room.space.shapes().mesh(p),
            p.pose(),
            room.space.shapes().mesh(room.piece(b)),
            room.piece(b).pose(),
            p.pose().direct(side.outward()),
            10)
        .distance();
  }

  @Test
  void sevenLanternsAndJarsComeDownOntoTheCounterInOneGo() {
    room.put("counter", "service-counter", 3, 2);
    List<String> ids = List.of("a", "b", "c", "d", "e", "f", "g");
    for (int i = 0; i < 7; i++) {
      // hanging in the air, in one another, and some beside the counter
      hang(ids.get(i), i % 2 == 0 ? "jar" : "ship-lantern", 2.6 + 0.05 * i, 1.2 + 0.1 * i, 1.5);
    }
    room.json("{'do':'settleOnto','pieces':['a','b','c','d','e','f','g'],'onto':'counter'}");
    for (String id : ids) {
      assertThat(room.piece(id).on()).isEqualTo(On.piece("counter"));
      assertThat(Reach.of(room.space, room.piece(id), Side.under).distance())
          .isCloseTo(0, within(1e-4));
    }
    assertThat(Checks.of(room.space)).isEmpty();
    room.json("{'do':'moveBy','pieces':['counter'],'by':{'x':0.5}}");
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void whatIsOverItsPlaceAlreadyIsNotMovedAside() {
    room.put("counter", "service-counter", 3, 2);
    hang("a", "jar", 3.2, 2.05, 1.5);
    room.json("{'do':'settleOnto','pieces':['a'],'onto':'counter'}");
    assertThat(room.piece("a").at().x()).isCloseTo(3.2, TOUCH);
    assertThat(room.piece("a").at().z()).isCloseTo(2.05, TOUCH);
  }

  @Test
  void whatDoesNotFitIsNamed() {
    room.put("stool", "stool", 3, 2);
    for (String id : List.of("a", "b", "c", "d")) {
      room.put(id, "table-lamp", 1, 1);
    }
    room.json("{'do':'settleOnto','pieces':['a','b','c','d'],'onto':'stool'}");
    assertThat(room.said).anyMatch(s -> s.endsWith("does not fit on Stool."));
    assertThat(room.piece("a").on()).isEqualTo(On.piece("stool"));
    assertThatThrownBy(() -> room.json("{'do':'settleOnto','pieces':['stool'],'onto':'a'}"))
        .isInstanceOf(Refusal.class);
  }

  @ParameterizedTest
  @CsvSource({
    "left,0.25,0",
    "right,0.25,0",
    "front,0.4,0",
    "back,0,0",
    "right,0.1,90",
    "left,0,35"
  })
  void besideTheLeadWithAnExactGap(String side, double gap, double turn) {
    room.put("lead", "trunk", 3, 2, 90);
    room.put("p", "stool", 1, 1, turn);
    String edit = "{'do':'beside','pieces':['p','lead'],'side':'%s','gap':%s}";
    room.json(String.format(java.util.Locale.ROOT, edit, side, gap));
    assertThat(gap("lead", "p", Side.valueOf(side))).isCloseTo(gap, TOUCH);
    assertThat(room.piece("lead").at().x()).isEqualTo(3);
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void aGapTypedLeavesTheOtherDirectionAlone() {
    room.put("lead", "trunk", 3, 2);
    room.put("p", "stool", 1.5, 2.1);
    room.json("{'do':'beside','pieces':['p','lead'],'side':'left','gap':'25cm','stay':true}");
    assertThat(room.piece("p").at().z()).isCloseTo(2.1, TOUCH);
    assertThat(gap("p", "lead", Side.right)).isCloseTo(0.25, TOUCH);
    var caption =
        pied.core.caption.Caption.of(
            room.space, "Room", List.of("p", "lead"), pied.core.units.LengthUnit.M);
    assertThat(caption)
        .anyMatch(
            p ->
                p instanceof Phrase.PhraseField f
                    && f.label().equals("Gap between them")
                    && f.text().equals("0.25"));
  }

  @Test
  void severalStandOneAfterTheOtherFlushAtTheBack() {
    room.put("lead", "sideboard", 2, 1);
    room.put("a", "trunk", 1, 3);
    room.put("b", "crate", 5, 3);
    room.json(
        "{'do':'beside','pieces':['a','b','lead'],'side':'right','gap':'5cm','flush':'back'}");
    for (String id : List.of("a", "b")) {
      Piece p = room.piece(id);
      assertThat(p.at().z() - p.size().depth() / 2)
          .isCloseTo(1 - room.piece("lead").size().depth() / 2, within(1e-6));
    }
    assertThat(gap("lead", "a", Side.right)).isCloseTo(0.05, TOUCH);
    assertThat(gap("a", "b", Side.right)).isCloseTo(0.05, TOUCH);
  }

  @Test
  void twoPicturesHangAtOneHeight() {
    for (String id : List.of("p", "q")) {
      double x = id.equals("p") ? 2 : 4;
      room.put(id, id.equals("p") ? "picture-frame" : "wall-mirror", x, 0.1);
    }
    room.json("{'do':'level','pieces':['p','q'],'side':'top'}");
    Piece p = room.piece("p");
    Piece q = room.piece("q");
    assertThat(p.at().y() + p.size().height()).isCloseTo(q.at().y() + q.size().height(), TOUCH);
    assertThat(p.on()).isEqualTo(On.wall("A"));
    room.json("{'do':'level','pieces':['p','q'],'side':'under'}");
    assertThat(room.piece("p").at().y()).isCloseTo(q.at().y(), TOUCH);
  }

  @Test
  void whatIsAttachedGoesAlongAndIsTakenOff() {
    room.put("s", "sideboard", 3, 2);
    hang("v", "vase", 3, 1, 1.2);
    assertThat(room.piece("v").on()).isEqualTo(On.HELD);
    room.json("{'do':'attach','pieces':['v'],'to':'s'}");
    room.json("{'do':'moveBy','pieces':['s'],'by':{'x':1}}");
    assertThat(room.piece("v").at().x()).isCloseTo(4, TOUCH);
    assertThat(room.piece("v").at().y()).isCloseTo(1.2, TOUCH);
    assertThat(Checks.of(room.space)).isEmpty();
    assertThatThrownBy(() -> room.json("{'do':'attach','pieces':['s'],'to':'v'}"))
        .hasMessageContaining("cannot carry it as well");
    room.json("{'do':'attach','pieces':['v']}");
    assertThat(room.piece("v").on()).isEqualTo(On.HELD);
    assertThat(Checks.of(room.space)).extracting(Snag::kind).containsExactly(Snag.SnagKind.hovers);
  }

  @Test
  void whatOverhangsWouldTip() {
    room.put("t", "sideboard", 3, 2);
    double edge = 3 + room.piece("t").size().width() / 2;
    room.json("{'do':'place','article':'books','piece':'b','at':{'x':3,'z':2}}");
    assertThat(Checks.of(room.space)).isEmpty();
    double w = room.piece("b").size().width();
    String by = "{'do':'moveTo','pieces':['b'],'to':{'x':%s,'z':2}}";
    room.json(String.format(java.util.Locale.ROOT, by, edge - 0.05 * w));
    assertThat(Checks.of(room.space)).isEmpty();
    room.json(String.format(java.util.Locale.ROOT, by, edge + 0.2 * w));
    assertThat(Checks.of(room.space))
        .extracting(Snag::kind)
        .containsExactly(Snag.SnagKind.unstable);
  }

  @Test
  void ontoACrowdedFloorEachFindsAPlaceNotFarAway() {
    for (int i = 0; i < 30; i++) {
      room.put("t" + i, "stool", 0.6 + 0.45 * (i % 6), 0.4 + 0.45 * (i / 6));
    }
    room.put("a", "stool", 4.5, 3);
    room.apply(
        new MoveBy(
            List.of("a"), new Edit.Place3(Amount.of(-2.8), Amount.of(0.9), Amount.of(-1.9))));
    Piece high = room.piece("a");
    room.json("{'do':'settleOnto','pieces':['a']}");
    Piece down = room.piece("a");
    assertThat(down.on()).isEqualTo(On.FLOOR);
    assertThat(down.at().y()).isZero();
    assertThat(Math.hypot(down.at().x() - high.at().x(), down.at().z() - high.at().z()))
        .isLessThan(2);
    assertThat(pied.core.check.Checks.of(room.space)).isEmpty();
  }

  @Test
  void whatTakesTooLongIsRefusedAndNothingIsChanged() {
    room.put("a", "stool", 4.5, 3);
    pied.core.units.Deadline none = pied.core.units.Deadline.seconds(0);
    assertThatThrownBy(
            () ->
                Edits.apply(
                    room.space,
                    List.of(new Settle(List.of("a"))),
                    pied.core.units.LengthUnit.M,
                    null,
                    () -> "x",
                    none))
        .hasMessageContaining("longer than 0 seconds")
        .hasMessageContaining("Nothing was changed");
  }

  @Test
  void allOfAFootStandsOnItWhereThereIsRoom() {
    room.put("t", "service-counter", 3, 2);
    List<String> all = new ArrayList<>();
    for (int i = 0; i < 6; i++) { // from before the counter, where the nearest place is at its rim
      room.put("j" + i, i % 2 == 0 ? "jar" : "ship-lantern", 1.9 + 0.4 * i, 3.4);
      all.add("j" + i);
    }
    room.apply(new SettleOnto(all, "t"));
    for (String id : all) {
      assertThat(room.piece(id).on()).isEqualTo(On.piece("t"));
      assertThat(Support.wholly(room.space, room.piece(id))).as(id).isTrue();
    }
    assertThat(room.said).noneMatch(s -> s.contains("rim"));
  }

  @Test
  void whereThereIsNoRoomForAllOfItAsMuchAsIsStableStandsThereAndThatIsSaid() {
    room.put("b", "barrel", 3, 2);
    room.put("p", "trunk", 4.5, 3);
    room.apply(new SettleOnto(List.of("p"), "b"));
    assertThat(room.piece("p").on()).as("by habit it stands on floors").isEqualTo(On.piece("b"));
    assertThat(room.said)
        .containsExactly("Trunk reaches over the rim of Barrel; there is no room for all of it.");
    assertThat(Support.beside(room.space, room.piece("p"))).isZero();
    assertThat(Checks.of(room.space)).isEmpty();
    // it goes where the barrel goes, and stays on it when that is made lower
    room.json("{'do':'moveBy','pieces':['b'],'by':{'x':-0.5}}");
    room.json("{'do':'size','pieces':['b'],'size':{'height':0.7}}");
    assertThat(room.piece("p").on()).isEqualTo(On.piece("b"));
    assertThat(room.piece("p").at().y()).isCloseTo(0.7, within(5e-3));
    // by itself it comes down to the floor again
    room.json("{'do':'moveTo','pieces':['p'],'to':{'x':5,'y':1.5}}");
    room.json("{'do':'settle','pieces':['p']}");
    assertThat(room.piece("p").on()).isEqualTo(On.FLOOR);
  }

  @Test
  void aCrateIsSetOnTopOfABarrel() {
    room.put("b", "barrel", 3, 2);
    room.put("c", "crate", 4.5, 3);
    room.json("{'do':'beside','pieces':['c','b'],'side':'top'}");
    assertThat(room.piece("c").on()).isEqualTo(On.piece("b"));
    assertThat(room.piece("c").at().y()).isCloseTo(0.88, within(5e-3));
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void whatSticksOutThroughAWallHoldsItsMiddleWhenItIsMadeShorter() {
    room.put("t", "long-table", 3, 2);
    room.json("{'do':'size','pieces':['t'],'size':{'width':3}}");
    room.json("{'do':'moveTo','pieces':['t'],'to':{'x':1.2}}");
    double x = room.piece("t").at().x();
    assertThat(x - 1.5).as("an end of it is in the wall").isNegative();
    room.json("{'do':'size','pieces':['t'],'size':{'width':2}}");
    assertThat(room.piece("t").at().x()).isCloseTo(x, within(1e-9));
    // what touches the wall stays at it
    room.json("{'do':'setDistance','piece':'t','side':'left','distance':0}");
    room.json("{'do':'size','pieces':['t'],'size':{'width':1.6}}");
    assertThat(room.piece("t").at().x()).isCloseTo(0.8, within(1e-4));
  }
}
