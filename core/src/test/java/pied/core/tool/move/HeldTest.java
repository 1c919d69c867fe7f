package pied.core.tool.move;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.caption.Caption;
import pied.core.carry.CarryAsk;
import pied.core.carry.CarryResult;
import pied.core.carry.Carrying;
import pied.core.check.Checks;
import pied.core.check.Snag;
import pied.core.phrase.Phrase;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.propose.Say;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** What was put at a height stays there, whatever is done to it, until it is let down. */
class HeldTest {
  private static final String CARRY =
      "'copy':false,'down':0,'near':0.1,'level':false,'free':false,'each':false,'turn':0";

  private final Rooms room = new Rooms();

  @BeforeEach
  void held() {
    room.put("c", "crate", 2, 2);
    room.put("t", "cafe-table", 4.5, 2);
    room.json("{'do':'moveTo','pieces':['c'],'to':{'y':0.8}}");
  }

  private Piece crate() {
    return room.piece("c");
  }

  private String caption(String id) {
    return Phrase.said(Caption.of(room.space, "Room", List.of(id), LengthUnit.M));
  }

  @Test
  void itIsSaid() {
    assertThat(crate().on()).isEqualTo(On.HELD);
    assertThat(room.said).anyMatch(s -> s.contains("held at 0.80"));
    assertThat(caption("c")).contains("held at 0.80");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{'do':'moveTo','pieces':['c'],'to':{'x':3}}",
        "{'do':'moveBy','pieces':['c'],'by':{'x':0.5}}",
        "{'do':'moveBy','pieces':['c'],'by':{'x':0.1},'stops':true}",
        "{'do':'moveTo','pieces':['c'],'to':{'x':4.5}}",
        "{'do':'putDown','carry':{'pieces':['c'],'at':{'x':3,'z':2.5}," + CARRY + "}}",
        "{'do':'turn','pieces':['c'],'to':17}",
        "{'do':'turn','pieces':['c'],'by':45}",
        "{'do':'turn','pieces':['c'],'by':30,'axis':'width','about':'under front'}",
        "{'do':'setDistance','piece':'c','side':'left','distance':0.4}",
        "{'do':'size','pieces':['c'],'size':{'width':0.5}}",
        "{'do':'copy','pieces':['c'],'by':{'x':0.6}}",
        "{'do':'build','height':2.6}",
      })
  void itStaysThroughEveryLaterAct(String edit) {
    room.json(edit);
    assertThat(crate().on()).isEqualTo(On.HELD);
    if (!edit.contains("axis")) { // tipped over its edge another corner is the lowest
      assertThat(room.space.shapes().low(crate())).isCloseTo(0.8, within(1e-9));
    }
  }

  @Test
  void aSentenceLeavesItThere() {
    var said =
        Say.make(
            room.space,
            "turn 30",
            List.of("c"),
            LengthUnit.M,
            null,
            () -> "x",
            pied.core.units.Deadline.NONE);
    assertThat(said.outcome().space().piece("c").at().y()).isCloseTo(0.8, within(1e-9));
  }

  @Test
  void carriedItSaysSoAndGoesOntoWhatOnePointsAt() {
    CarryAsk q = CarryAsk.onPlan(List.of("c"), new Spot(3, 2.5), 0);
    CarryResult a = Carrying.answer(room.space, q, LengthUnit.M);
    assertThat(a.place()).isEqualTo("held at 0.80");
    assertThat(a.pieces().get(0).at()).isEqualTo(new Vec(3, 0.8, 2.5));
    room.json(
        "{'do':'putDown','carry':{'pieces':['c'],'tops':true,"
            + "'ray':{'from':{'x':4.5,'y':2.5,'z':2},'along':{'x':0,'y':-1,'z':0}},"
            + CARRY
            + "}}");
    assertThat(crate().on()).isEqualTo(On.piece("t"));
  }

  @Test
  void letDownItComesToRest() {
    room.json("{'do':'settle','pieces':['c']}");
    assertThat(crate().on()).isEqualTo(On.FLOOR);
    assertThat(crate().at().y()).isEqualTo(0);
  }

  @Test
  void theSnagIsThereOnceAndCanBeSilenced() {
    List<Snag> snags = Checks.of(room.space);
    assertThat(snags).hasSize(1);
    assertThat(snags.get(0).remedy().words()).isEqualTo("Let it come to rest");
    room.apply(snags.get(0).silence().edits().get(0));
    assertThat(Checks.of(room.space)).isEmpty();
    room.json("{'do':'moveBy','pieces':['c'],'by':{'x':0.5}}");
    assertThat(Checks.of(room.space)).isEmpty();
    room.json("{'do':'moveTo','pieces':['c'],'to':{'y':0.9}}");
    assertThat(Checks.of(room.space)).as("typed anew it is a question again").hasSize(1);
    assertThatThrownBy(() -> room.json("{'do':'holdThere','pieces':['t']}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("not held");
  }

  @Test
  void whatHangsOverTheApronHangsFromTheGridAndKeepsItsHeight() {
    Rooms stage = Rooms.stage();
    stage.put("t", "truss", 0, -3);
    stage.json("{'do':'moveTo','pieces':['t'],'to':{'y':3.2}}");
    double y = stage.piece("t").at().y();
    stage.json("{'do':'moveTo','pieces':['t'],'to':{'downstage':'0.5'}}");
    assertThat(stage.piece("t").at().z()).isPositive();
    assertThat(stage.piece("t").at().y()).isEqualTo(y);
    assertThat(stage.piece("t").on()).isEqualTo(On.CEILING);
    assertThat(Checks.of(stage.space)).isEmpty();
    stage.json("{'do':'moveTo','pieces':['t'],'to':{'upstage':'2'}}");
    CarryAsk q = CarryAsk.onPlan(List.of("t"), new Spot(0, 0.5), 0);
    CarryResult a = Carrying.answer(stage.space, q, LengthUnit.M);
    assertThat(a.pieces().get(0).at().y()).isEqualTo(y);
    assertThat(a.place()).contains(" below the grid");
  }

  @Test
  void tippedToItsLeftItLeansToItsLeftAndTheFieldSaysByHowMuch() {
    room.put("s", "trunk", 4, 3);
    room.json("{'do':'turn','pieces':['s'],'to':20,'axis':'depth','about':'left under'}");
    Piece s = room.piece("s");
    assertThat(s.lean().by()).isCloseTo(20, within(1e-9));
    assertThat(s.lean().toward()).as("to its left").isCloseTo(270, within(1e-9));
    assertThat(s.on()).isEqualTo(On.FLOOR);
    assertThat(room.space.shapes().low(s)).as("on what touches first").isCloseTo(0, within(1e-4));
    room.json("{'do':'turn','pieces':['s'],'to':'30','axis':'depth','about':'left under'}");
    assertThat(room.piece("s").lean().by()).isCloseTo(30, within(1e-9));
    room.json("{'do':'turn','pieces':['s'],'to':'-10','axis':'depth','about':'right under'}");
    assertThat(room.piece("s").lean().toward()).as("to its right").isCloseTo(90, within(1e-9));
  }
}
