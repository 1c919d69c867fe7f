package pied.core.tool.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.edit.Change;
import pied.core.edit.Edit;
import pied.core.edit.Outcome;
import pied.core.piece.On;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.tool.move.MoveTo;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * The room is 6 × 4 m: wall A at the back, B on the right with a window, C at the front with a
 * door.
 */
class ShellEditsTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private final Rooms room = new Rooms();

  private Opening opening(String id) {
    return room.shell().openings().stream()
        .filter(o -> o.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private double length(String wall) {
    return room.shell().wall(wall).length();
  }

  // ---- outline

  @Test
  void anLIsBuiltFromItsMeasures() {
    Shell l =
        new NewShell(
                NewShell.OutlineForm.l,
                Rooms.typed("6.2"),
                Rooms.typed("480 cm"),
                Rooms.typed("2.6"),
                Rooms.typed("2.5"),
                Rooms.typed("1.8"),
                null,
                Rooms.typed("0.1"),
                null)
            .build(LengthUnit.M);
    assertThat(l.area()).isCloseTo(6.2 * 4.8 - 2.5 * 1.8, EXACT);
    assertThat(l.walls())
        .extracting(w -> Math.round(w.length() * 1e6) / 1e6)
        .containsExactly(6.2, 3.0, 2.5, 1.8, 3.7, 4.8);
    assertThat(l.perimeter()).isCloseTo(22, EXACT);
    assertThat(l.volume()).isCloseTo(l.area() * 2.6, EXACT);
    assertThat(l.skirting().height()).isEqualTo(0.1);
  }

  @Test
  void aLengthMovesTheEndThatIsNamed() {
    room.json("{'do':'wallLength','wall':'A','length':'7.5','moves':'end'}");
    assertThat(length("A")).isCloseTo(7.5, EXACT);
    assertThat(room.shell().outline().get(0)).isEqualTo(new Spot(0, 0));
    assertThat(length("B")).as("its neighbour moves along").isCloseTo(4, EXACT);
    room.json("{'do':'wallLength','wall':'A','length':'+50cm','moves':'start'}");
    assertThat(length("A")).isCloseTo(8, EXACT);
    assertThat(room.shell().outline().get(0)).isEqualTo(new Spot(-0.5, 0));
    assertThat(room.shell().outline().get(1)).isEqualTo(new Spot(7.5, 0));
    assertThat(room.shell().area()).isCloseTo(32, EXACT);
  }

  @Test
  void openingsStayWhereTheyAreInTheSpace() {
    Spot before = room.shell().wall("C").spot(opening("d1").from(), 0);
    room.json("{'do':'wallLength','wall':'C','length':'6.8','moves':'start'}");
    Spot after = room.shell().wall("C").spot(opening("d1").from(), 0);
    assertThat(after.distance(before)).isLessThan(1e-9);
    assertThat(opening("d1").from()).isCloseTo(1.8, EXACT);
    room.json("{'do':'moveWall','wall':'B','by':'=-1'}");
    assertThat(room.shell().wall("B").from().x()).isCloseTo(5.8, EXACT);
  }

  @Test
  void aCornerMovesWithItsWallsOrTurnsThem() {
    room.json("{'do':'moveCorner','corner':2,'to':{'x':6.5,'z':4.5}}");
    assertThat(room.shell().outline())
        .containsExactly(new Spot(0, 0), new Spot(6.5, 0), new Spot(6.5, 4.5), new Spot(0, 4.5));
    room.json("{'do':'moveCorner','corner':2,'to':{'x':7,'z':5},'square':false}");
    assertThat(room.shell().outline().get(1)).isEqualTo(new Spot(6.5, 0));
    assertThat(room.shell().outline().get(2)).isEqualTo(new Spot(7, 5));
    assertThat(length("B")).isCloseTo(Math.hypot(0.5, 5), EXACT);
  }

  @Test
  void cornersComeAndGoAndWallsAreNamedAnew() {
    room.json("{'do':'addCorner','wall':'A','at':'2'}");
    assertThat(room.shell().walls()).hasSize(5);
    assertThat(length("A")).isCloseTo(2, EXACT);
    assertThat(length("B")).isCloseTo(4, EXACT);
    assertThat(opening("w1").wall()).as("the window's wall was B").isEqualTo("C");
    assertThat(opening("d1").wall()).isEqualTo("D");
    room.json("{'do':'moveCorner','corner':1,'to':{'x':2,'z':-1},'square':false}");
    assertThat(room.shell().area()).isCloseTo(24 + 3, EXACT);
    room.json("{'do':'removeCorner','corner':1}");
    assertThat(room.shell().area()).isCloseTo(24, EXACT);
    assertThat(opening("w1").wall()).isEqualTo("B");
    assertThat(opening("w1").from()).isCloseTo(1.2, EXACT);
  }

  @Test
  void anotherOutlineKeepsWhatStillFits() {
    room.json(
        "{'do':'outline','corners':[{'x':0,'z':0},{'x':0,'z':3},{'x':5,'z':3},{'x':5,'z':0}]}");
    assertThat(room.shell().area()).as("drawn the other way round").isCloseTo(15, EXACT);
    assertThat(room.shell().openings()).hasSize(2);
    Wall d = room.shell().wall(opening("d1").wall());
    assertThat(d.spot(opening("d1").from(), 0).z()).isCloseTo(3, EXACT);
    room.json(
        "{'do':'outline','corners':[{'x':0,'z':0},{'x':1,'z':0},{'x':1,'z':1},{'x':0,'z':1}]}");
    assertThat(room.shell().openings()).isEmpty();
    assertThat(room.said).anyMatch(s -> s.contains("no longer fits"));
  }

  // ---- openings

  @Test
  void anOpeningIsSetByDistances() {
    room.json("{'do':'opening','kind':'door','wall':'A','from':'85 cm'}");
    Opening door = opening("door 1");
    assertThat(door.from()).isCloseTo(0.85, EXACT);
    assertThat(door.width()).isEqualTo(0.9);
    room.json("{'do':'opening','kind':'window','wall':'A','toEnd':'0.4','width':'1.1'}");
    assertThat(opening("window 1").to()).isCloseTo(5.6, EXACT);
    room.json("{'do':'opening','part':'window 1','gap':'1.0'}");
    assertThat(opening("window 1").from()).isCloseTo(0.85 + 0.9 + 1.0, EXACT);
    room.json("{'do':'opening','part':'window 1','width':'1.5'}");
    assertThat(opening("window 1").from()).as("it keeps its middle").isCloseTo(2.55, EXACT);
    room.json("{'do':'opening','part':'window 1','sill':'0.7','height':'1.6'}");
    assertThat(opening("window 1").head()).isCloseTo(2.3, EXACT);
  }

  @Test
  void carriedAlongItsWallAnOpeningKeepsClearOfTheOthersAndOfTheEnds() {
    room.json("{'do':'opening','kind':'door','at':{'x':3,'z':0.1}}");
    assertThat(opening("door 1").wall()).isEqualTo("A");
    assertThat(opening("door 1").from()).isCloseTo(2.55, EXACT);
    room.json("{'do':'opening','kind':'door','at':{'x':3.2,'z':0.1}}");
    assertThat(opening("door 2").from()).as("beside the first").isCloseTo(3.45, EXACT);
    room.json("{'do':'opening','part':'door 2','at':{'x':9,'z':-0.2}}");
    assertThat(opening("door 2").to()).as("at the end of the wall").isCloseTo(6, EXACT);
    room.json("{'do':'opening','part':'door 2','at':{'x':0.1,'z':2}}");
    assertThat(opening("door 2").wall()).as("over to another wall").isEqualTo("D");
    room.json("{'do':'shift','part':'opening:door 2','by':{'x':0,'z':-0.304}}");
    assertThat(opening("door 2").from()).as("by whole centimetres").isCloseTo(1.85, EXACT);
  }

  @Test
  void aDoorHangsAsOneSays() {
    room.json("{'do':'opening','part':'d1','hinge':'right','opens':'out'}");
    assertThat(opening("d1").hinge()).isEqualTo(Opening.Hand.right);
    assertThat(opening("d1").opens()).isEqualTo(Opening.OpeningWay.out);
    room.json("{'do':'opening','part':'d1','kind':'doubleDoor','width':'1.6'}");
    assertThat(opening("d1").kind()).isEqualTo(Opening.OpeningKind.doubleDoor);
  }

  // ---- built in

  @Test
  void aPartitionIsBuiltAndMeasured() {
    room.json("{'do':'partition','from':{'x':2,'z':0},'to':{'x':2,'z':2.4},'thickness':'8cm'}");
    Partition p = room.shell().partitions().get(0);
    assertThat(p.length()).isCloseTo(2.4, EXACT);
    assertThat(p.height()).as("as high as the room").isEqualTo(2.8);
    room.json("{'do':'partition','part':'partition 1','length':'3','height':'2.1'}");
    p = room.shell().partitions().get(0);
    assertThat(p.to()).isEqualTo(new Spot(2, 3));
    room.json(
        "{'do':'opening','kind':'opening','wall':'partition 1','from':'1','width':'0.8','height':'2'}");
    assertThat(opening("opening 1").wall()).isEqualTo("partition 1");
    room.json("{'do':'shift','part':'wall:partition 1','by':{'x':0.5,'z':0}}");
    assertThat(room.shell().partitions().get(0).from()).isEqualTo(new Spot(2.5, 0));
    room.json("{'do':'removeParts','parts':['wall:partition 1']}");
    assertThat(room.shell().partitions()).isEmpty();
    assertThat(room.shell().openings()).as("with what was in it").hasSize(2);
  }

  @Test
  void stepsGoToThePlatformWithEqualRisers() {
    room.json("{'do':'platform','at':{'x':3,'z':1.5},'width':'2','depth':'1','height':'0.7'}");
    Platform p = room.shell().platforms().get(0);
    assertThat(p.outline()).contains(new Spot(2, 1), new Spot(4, 2));
    room.json("{'do':'flight','kind':'steps','at':{'x':3.2,'z':2.2}}");
    Flight f = room.shell().flights().get(0);
    assertThat(f.at()).isEqualTo(new Spot(3.2, 2));
    assertThat(f.turn()).isZero();
    assertThat(f.count()).as("four risers of 0.175, the last one onto the platform").isEqualTo(3);
    assertThat(f.riser()).isCloseTo(0.175, EXACT);
    assertThat(f.top()).isCloseTo(0.7 - f.riser(), EXACT);
    room.json("{'do':'flight','part':'steps 1','count':'4'}");
    f = room.shell().flights().get(0);
    assertThat(f.riser()).as("the same height in five risers").isCloseTo(0.14, EXACT);
    room.json("{'do':'flight','part':'steps 1','at':{'x':4.3,'z':1.5}}");
    assertThat(room.shell().flights().get(0).turn()).as("over to the right side").isEqualTo(90);
    room.json("{'do':'platform','part':'platform 1','height':'0.2'}");
    room.json("{'do':'flight','kind':'ramp','platform':'platform 1','width':'0.9'}");
    Flight ramp = room.shell().flights().get(1);
    assertThat(ramp.top()).isCloseTo(0.2, EXACT);
    assertThat(ramp.going()).as("one in eight").isCloseTo(1.6, within(1e-6));
  }

  @Test
  void barsHangAcrossTheStageAtATrim() {
    Rooms stage = Rooms.stage();
    stage.json("{'do':'bar','to':{'upstage':'1.2'},'trim':'4'}");
    stage.json("{'do':'bar','at':{'x':1.3,'z':-3},'trim':'4.2','length':'6'}");
    List<Bar> bars = stage.shell().bars();
    assertThat(bars.get(0)).isEqualTo(new Bar("bar 1", 0, -1.2, 4, 9));
    assertThat(bars.get(1)).as("in the middle").isEqualTo(new Bar("bar 2", 0, -3, 4.2, 6));
    stage.json("{'do':'bar','part':'bar 2','to':{'stageLeft':'0.5','upstage':'+0.4'}}");
    assertThat(stage.shell().bars().get(1).x()).isCloseTo(0.5, EXACT);
    assertThat(stage.shell().bars().get(1).z()).isCloseTo(-3.4, EXACT);
  }

  @ParameterizedTest
  @CsvSource({"1:20,0.05", "1 in 16,0.0625", "4 %,0.04", "'3,5%',0.035", "0.02,0.02", "0,0"})
  void aRakeIsReadAsItIsWritten(String text, double rake) {
    Rooms stage = Rooms.stage();
    stage.json("{'do':'build','rake':'" + text + "'}");
    assertThat(stage.shell().stage().rake()).isCloseTo(rake, EXACT);
  }

  @Test
  void theDatumGoesToTheNearestMark() {
    room.put("t", "long-table", 3, 2);
    room.json("{'do':'datum','to':{'x':5.9,'z':3.85},'mark':true,'within':0.3}");
    assertThat(room.shell().datum()).isEqualTo(new Vec(6, 0, 4));
    assertThat(room.said).containsExactly("The datum is on the corner of walls B and C.");
    room.apply(
        new MoveTo(List.of("t"), new Edit.Place3(Rooms.typed("=-2"), null, Rooms.typed("=-1.5"))));
    assertThat(room.piece("t").at().x()).isCloseTo(4, EXACT);
    assertThat(room.piece("t").at().z()).isCloseTo(2.5, EXACT);
    // a typed minus takes away, unless it is said to be a sign
    room.json("{'do':'moveTo','pieces':['t'],'to':{'x':'-0.5'}}");
    assertThat(room.piece("t").at().x()).isCloseTo(3.5, EXACT);
    room.json("{'do':'moveTo','pieces':['t'],'to':{'x':' -1.25'},'absolute':true}");
    assertThat(room.piece("t").at().x()).isCloseTo(4.75, EXACT);
    room.json("{'do':'moveTo','pieces':['t'],'to':{'x':'+0.25'},'absolute':true}");
    assertThat(room.piece("t").at().x()).isCloseTo(5, EXACT);
  }

  // ---- refused, nothing lost

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{'do':'outline','corners':[{'x':0,'z':0},{'x':4,'z':4},{'x':4,'z':0},{'x':0,'z':4}]}"
            + "|crosses itself at 2.00 m across, 2.00 m deep",
        "{'do':'outline','corners':[{'x':0,'z':0},{'x':4,'z':4}]}|at least three corners",
        "{'do':'outline','corners':[{'x':0,'z':0},{'x':0,'z':0},{'x':4,'z':0},{'x':0,'z':4}]}"
            + "|two corners on one place",
        "{'do':'wallLength','wall':'A','length':'0.1'}|too short for its thickness",
        "{'do':'wallLength','wall':'A','length':'0'}|longer than 0",
        "{'do':'moveWall','wall':'A','by':'-5'}|run through each other",
        "{'do':'wallThickness','wall':'A','thickness':'9'}|9.00 m thick; it can be",
        "{'do':'wallThickness','wall':'B','thickness':'0'}|openings in wall B",
        "{'do':'build','height':'0'}|0.00 m high; it can be",
        "{'do':'build','height':'101'}|101.00 m high; it can be",
        "{'do':'build','height':'2'}|does not fit into wall",
        "{'do':'build','rake':'5 %'}|This is a room",
        "{'do':'opening','kind':'door','wall':'C','from':'1.5'}|would overlap the door",
        "{'do':'opening','kind':'door','wall':'A','from':'5.5'}|reach 0.40 m beyond its end",
        "{'do':'opening','part':'w1','sill':'2'}|does not fit into wall B, which is 2.80 m high",
        "{'do':'opening','kind':'door','wall':'Z'}|There is no wall",
        "{'do':'opening','kind':'niche','wall':'A','depth':'0.3'}|only 0.20 m thick",
        "{'do':'opening','part':'nobody','width':'1'}|There is no “nobody”",
        "{'do':'platform','at':{'x':3,'z':2},'width':'9'}|beyond the room",
        "{'do':'platform','at':{'x':3,'z':2},'height':'0'}|0.00 m high; it can be",
        "{'do':'flight','kind':'steps','at':{'x':3,'z':3.9}}|beyond the room",
        "{'do':'flight','kind':'steps','at':{'x':3,'z':2},'count':'two'}|“two” is not a number",
        "{'do':'bar','trim':'12'}|12.00 m high; it can be",
        "{'do':'partition','from':{'x':1,'z':1},'to':{'x':1,'z':9}}|outside the room",
        "{'do':'partition','from':{'x':1,'z':1},'to':{'x':1,'z':1}}|shorter than its thickness",
        "{'do':'column','at':{'x':-2,'z':1}}|outside the room",
        "{'do':'removeParts','parts':['wall:A']}|belongs to the outline",
        "{'do':'removeCorner','corner':9}|There is no corner 10",
        "{'do':'paint','part':'moon','colour':'#FFFFFF'}|no part “moon”"
      })
  void whatCannotBeIsRefusedWithAReason(String both) {
    String[] parts = both.split("\\|");
    Space before = room.space;
    assertThatThrownBy(() -> room.json(parts[0]))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(parts[1]);
    assertThat(room.space).isSameAs(before);
  }

  @Test
  void anOutlineOfFiveThousandCornersIsRefusedBeforeItIsLookedAt() {
    List<Edit.PlanPoint> corners = new ArrayList<>();
    for (int i = 0; i < 5000; i++) {
      double a = 2 * Math.PI * i / 5000;
      corners.add(Rooms.point(40 * Math.cos(a), 40 * Math.sin(a)));
    }
    assertThatThrownBy(() -> room.apply(new Outline(corners)))
        .hasMessage("The outline has 5000 corners; Pied builds up to 500.");
  }

  // ---- what becomes of the pieces

  @Test
  void whatIsFixedGoesAlongAndWhatStoodAgainstTheWallIsOffered() {
    room.put("s", "sideboard", 3, 0.225); // its back touches wall A
    room.put("t", "cafe-table", 2, 2.5);
    room.put("p", "picture-frame", 3, 0.05);
    room.put("l", "pendant-lamp", 2, 2.5);
    Outcome out = room.json("{'do':'moveWall','wall':'A','by':'0.5'}");
    assertThat(room.piece("p").at().z())
        .as("the picture goes with its wall")
        .isCloseTo(-0.485, EXACT);
    assertThat(room.piece("s").at().z()).isCloseTo(0.225, EXACT);
    assertThat(out.offers())
        .singleElement()
        .satisfies(o -> assertThat(o.words()).isEqualTo("Move Oak sideboard along with wall A"));
    room.apply(out.offers().get(0).edits().toArray(Edit[]::new));
    assertThat(room.piece("s").at().z()).isCloseTo(-0.275, EXACT);
    assertThat(room.piece("t").at()).isEqualTo(new Vec(2, 0, 2.5));
    double lamp = room.piece("l").at().y();
    room.json("{'do':'build','height':'3.1'}");
    assertThat(room.piece("l").at().y()).as("up with the ceiling").isCloseTo(lamp + 0.3, EXACT);
    assertThat(room.piece("l").on()).isEqualTo(On.CEILING);
  }

  @Test
  void whatIsLeftOutsideIsNamedAndBroughtInAgain() {
    room.json("{'do':'removeParts','parts':['opening:d1']}");
    room.put("t", "cafe-table", 5, 2);
    room.put("c", "cup-and-saucer", 5, 2);
    Outcome out = room.json("{'do':'wallLength','wall':'A','length':'4'}");
    assertThat(out.said()).anyMatch(s -> s.equals("Round café table is now outside."));
    assertThat(room.piece("t").on()).isEqualTo(On.NOTHING);
    assertThat(out.offers()).anyMatch(o -> o.words().equals("Bring it in"));
    room.apply(
        out.offers().stream()
            .filter(o -> o.words().equals("Bring it in"))
            .findFirst()
            .orElseThrow()
            .edits()
            .toArray(Edit[]::new));
    assertThat(room.piece("t").at().x()).isBetween(3.4, 3.65);
    assertThat(room.piece("t").on()).isEqualTo(On.FLOOR);
    assertThat(room.piece("c").on()).as("with what stood on it").isEqualTo(On.piece("t"));
    assertThat(room.piece("c").at().x()).isCloseTo(room.piece("t").at().x(), EXACT);
  }

  @Test
  void piecesComeToRestOnWhatIsBuiltUnderThem() {
    room.put("a", "armchair", 3, 1.5);
    room.put("b", "stool", 5.5, 3.5);
    room.json("{'do':'platform','at':{'x':3,'z':1.5},'width':'2','depth':'2','height':'0.3'}");
    assertThat(room.piece("a").at().y()).isCloseTo(0.3, EXACT);
    assertThat(room.piece("a").on()).isEqualTo(On.platform("platform 1"));
    assertThat(room.piece("b").at().y()).isZero();
    room.json("{'do':'platform','part':'platform 1','height':'0.5'}");
    assertThat(room.piece("a").at().y()).isCloseTo(0.5, EXACT);
    room.json("{'do':'shift','part':'platform:platform 1','by':{'x':0.4,'z':0}}");
    assertThat(room.piece("a").at().x()).as("carried along").isCloseTo(3.4, EXACT);
    room.json("{'do':'removeParts','parts':['platform:platform 1']}");
    assertThat(room.piece("a").at().y()).isZero();
    assertThat(room.piece("a").on()).isEqualTo(On.FLOOR);
  }

  @Test
  void aChangeOfTheShellIsUndoneToTheLastBit() {
    room.put("s", "sideboard", 3, 0.225);
    room.put("p", "picture-frame", 3, 0.05);
    Space before = room.space;
    List<Change> changes = new ArrayList<>();
    for (String edit :
        List.of(
            "{'do':'moveWall','wall':'A','by':'0.37'}",
            "{'do':'addCorner','wall':'A'}",
            "{'do':'opening','kind':'window','at':{'x':1,'z':-0.3}}",
            "{'do':'platform','at':{'x':3,'z':1},'height':'0.2'}",
            "{'do':'build','height':'3.3','skirtingHeight':'0.1'}")) {
      changes.add(room.json(edit).change());
    }
    Space after = room.space;
    Space back = after;
    for (int i = changes.size() - 1; i >= 0; i--) {
      back = changes.get(i).reversed().apply(back);
    }
    assertThat(back.shell()).isEqualTo(before.shell());
    assertThat(List.copyOf(back.pieces())).isEqualTo(List.copyOf(before.pieces()));
    for (Change c : changes) {
      back = c.apply(back);
    }
    assertThat(back.shell()).isEqualTo(after.shell());
    assertThat(List.copyOf(back.pieces())).isEqualTo(List.copyOf(after.pieces()));
  }
}
