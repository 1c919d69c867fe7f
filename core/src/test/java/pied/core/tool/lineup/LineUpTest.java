package pied.core.tool.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.piece.On;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

class LineUpTest {
  private static final Vec ACROSS = new Vec(1, 0, 0);
  private static final Vec DEEP = new Vec(0, 0, 1);

  private final Rooms room = new Rooms();

  private double left(String id) {
    return -room.extent(id, ACROSS.times(-1));
  }

  private void furnish() {
    room.put("a", "chest-of-drawers", 1.5, 1, 17);
    room.put("b", "stool", 3.2, 2.2, 40);
    room.put("c", "trunk", 4.6, 3, 100);
  }

  @Test
  void leftSidesOfTurnedPiecesComeInLineWithThatOfTheLead() {
    furnish();
    room.json("{'do':'lineUp','pieces':['a','b','c'],'across':{'part':'left'}}");
    assertThat(left("a")).isEqualTo(left("c"), within(1e-9));
    assertThat(left("b")).isEqualTo(left("c"), within(1e-9));
  }

  @Test
  void otherDirectionsStayToTheLastBit() {
    Random r = new Random(7);
    for (int i = 0; i < 40; i++) {
      Rooms own = new Rooms();
      own.put("a", "stool", 0.5 + r.nextDouble() * 1.5, 1 + r.nextDouble(), r.nextInt(360));
      own.put("b", "trunk", 3.5 + r.nextDouble(), 2.6 + r.nextDouble() * 0.4, r.nextInt(360));
      Vec a = own.piece("a").at();
      Vec b = own.piece("b").at();
      own.json("{'do':'lineUp','pieces':['a','b'],'across':{'part':'middle'}}");
      assertThat(own.piece("b").at()).isEqualTo(b);
      assertThat(own.piece("a").at().z()).isEqualTo(a.z());
      assertThat(own.piece("a").at().y()).isEqualTo(a.y());
    }
  }

  @Test
  void twoDirectionsAtOnceAndPartsThatDiffer() {
    furnish();
    room.json(
        "{'do':'lineUp','pieces':['a','c'],'across':{'part':'right','with':'left'},"
            + "'deep':{'part':'front'}}");
    assertThat(room.extent("a", ACROSS)).isEqualTo(left("c"), within(1e-9));
    assertThat(room.extent("a", DEEP)).isEqualTo(room.extent("c", DEEP), within(1e-9));
  }

  @Test
  void withTheOutlineOfAllEvenTheLeadMoves() {
    furnish();
    double front = Math.max(room.extent("a", DEEP), room.extent("c", DEEP));
    double c = room.extent("c", DEEP);
    room.json("{'do':'lineUp','pieces':['c','a'],'to':'all','deep':{'part':'front'}}");
    assertThat(front).isEqualTo(c);
    assertThat(room.extent("a", DEEP)).isEqualTo(front, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"near,0", "far,0", "middle,0"})
  void ontoTheFaceOfAWall(String part, double face) {
    room.put("s", "stool", 2, 2, 30);
    room.put("t", "trunk", 4, 2.2);
    room.json(
        "{'do':'lineUp','pieces':['s','t'],'to':'wall','what':'A','nearness':'" + part + "'}");
    double lo = -room.extent("s", DEEP.times(-1));
    double hi = room.extent("s", DEEP);
    double at = part.equals("near") ? lo : part.equals("far") ? hi : (lo + hi) / 2;
    assertThat(at).isEqualTo(face, within(1e-9));
  }

  @Test
  void withTheCentreTheDatumAndAPoint() {
    room.put("s", "stool", 2, 2);
    room.json("{'do':'lineUp','pieces':['s'],'to':'centre','across':{'part':'middle'}}");
    assertThat(room.piece("s").at().x()).isEqualTo(3, within(1e-9));
    room.json(
        "{'do':'lineUp','pieces':['s'],'to':'point','at':{'x':1,'y':0,'z':3},"
            + "'across':{'part':'middle'},'deep':{'part':'middle'}}");
    assertThat(room.piece("s").at().x()).isEqualTo(1, within(1e-9));
    assertThat(room.piece("s").at().z()).isEqualTo(3, within(1e-9));
  }

  @Test
  void framesOnAWallHaveTheirUndersidesInLineAndStayOnIt() {
    room.put("p", "picture-frame", 1, 0.1);
    room.put("q", "picture-frame", 3, 0.1);
    room.json("{'do':'size','pieces':['q'],'size':{'height':0.8}}");
    room.json("{'do':'moveBy','pieces':['p'],'by':{'y':0.21}}");
    room.json("{'do':'lineUp','pieces':['p','q'],'high':{'part':'under'}}");
    assertThat(room.piece("p").at().y()).isEqualTo(room.piece("q").at().y(), within(1e-12));
    assertThat(room.piece("p").on()).isEqualTo(On.wall("A"));
  }

  @Test
  void onARakeTheyComeToRestOnIt() {
    Rooms stage = Rooms.stage();
    stage.put("a", "stool", -2, -1);
    stage.put("b", "stool", 2, -4);
    stage.json("{'do':'lineUp','pieces':['a','b'],'deep':{'part':'middle'}}");
    assertThat(stage.piece("a").at().z()).isEqualTo(-4, within(1e-9));
    assertThat(stage.piece("a").at().y()).isEqualTo(stage.piece("b").at().y(), within(1e-6));
    assertThat(stage.piece("a").at().x()).isEqualTo(-2);
  }

  @Test
  void directionsOfTheLead() {
    room.put("a", "stool", 2, 2);
    room.put("b", "trunk", 4, 2, 30);
    room.json("{'do':'lineUp','pieces':['a','b'],'own':true,'deep':{'part':'back'}}");
    Vec back = room.piece("b").pose().direct(new Vec(0, 0, -1));
    assertThat(room.extent("a", back)).isEqualTo(room.extent("b", back), within(1e-9));
  }

  @Test
  void refusesWhatCannotBe() {
    furnish();
    var before = room.space;
    Map.of(
            "{'do':'lineUp','pieces':['a'],'across':{'part':'left'}}", "picked last",
            "{'do':'lineUp','pieces':['a','b']}", "Say which of their sides",
            "{'do':'lineUp','pieces':['a','b'],'across':{'part':'top'}}", "left, middle or right",
            "{'do':'lineUp','pieces':['a'],'to':'wall','what':'Q','nearness':'near'}", "no wall",
            "{'do':'lineUp','pieces':['a'],'to':'floor','across':{'part':'left'}}", "the floor",
            "{'do':'lineUp','pieces':[],'across':{'part':'left'}}", "No piece was named")
        .forEach(
            (edit, why) ->
                assertThatThrownBy(() -> room.json(edit))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining(why));
    assertThat(room.space).isSameAs(before);
  }

  @Test
  void aThingIsCentredOnItsCarrier() {
    Rooms r = new Rooms();
    r.put("s", "sideboard", 3, 2);
    r.put("j", "jug", 3.4, 2.1);
    var board = r.piece("s");
    r.json(
        "{'do':'lineUp','pieces':['j','s'],'across':{'part':'middle'},'deep':{'part':'middle'}}");
    assertThat(r.piece("s")).isEqualTo(board);
    assertThat(r.piece("j").on()).isEqualTo(pied.core.piece.On.piece("s"));
    var whole = r.space.shapes().mesh(r.piece("j")).box();
    assertThat(r.piece("j").at().x() + whole.centre().x()).isCloseTo(3, within(1e-6));
    // the other way round it would go along, which is said, and turned round is offered
    assertThatThrownBy(() -> r.json("{'do':'lineUp','pieces':['s','j'],'across':{'part':'left'}}"))
        .isInstanceOf(pied.core.edit.Declined.class)
        .hasMessageContaining("goes where that goes")
        .satisfies(
            e ->
                assertThat(((pied.core.edit.Declined) e).offers().get(0).words())
                    .isEqualTo("Line up Jug with Oak sideboard"));
  }

  @Test
  void whatStandsAgainstAWallStandsAgainstItsSkirting() {
    Rooms skirted = new Rooms();
    skirted.json("{'do':'build','skirtingHeight':0.1,'skirtingDepth':0.02}");
    skirted.put("c", "chest-of-drawers", 3, 1);
    skirted.put("m", "picture-frame", 1, 0.1);
    for (String id : new String[] {"c", "m"}) {
      skirted.json(
          "{'do':'lineUp','pieces':['" + id + "'],'to':'wall','what':'wall:A','nearness':'near'}");
    }
    double depth = skirted.piece("c").size().depth();
    assertThat(skirted.piece("c").at().z() - depth / 2)
        .isEqualTo(0.02, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(skirted.piece("m").at().z() - skirted.piece("m").size().depth() / 2)
        .as("what hangs above it hangs on the wall")
        .isEqualTo(0, org.assertj.core.api.Assertions.within(1e-9));
  }
}
