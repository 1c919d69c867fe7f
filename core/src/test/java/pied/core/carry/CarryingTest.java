package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static pied.core.carry.Asked.carry;
import static pied.core.carry.Asked.isAt;
import static pied.core.carry.Asked.lead;
import static pied.core.carry.Asked.measure;
import static pied.core.carry.Asked.words;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.carry.CarryAsk.CarryKeep;
import pied.core.material.Finishes;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Nearness;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.tool.move.PutDown;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** In a room of 6 × 4 × 2.8 m; wall A runs along z = 0, B along x = 6. */
class CarryingTest {
  private static final Offset<Double> EXACT = within(1e-9);
  private static final Offset<Double> TOUCH = within(2e-5);

  private final Rooms room = new Rooms();

  private CarryResult answer(Asked a) {
    return Carrying.answer(room.space, a.asked(), LengthUnit.M);
  }

  // ---- surfaces

  @Test
  void itGoesWhereThePointerPoints() {
    room.put("c", "dining-chair", 1, 1);
    CarryResult a = answer(carry("c").to(3.21, 2.34));
    isAt(a, 3.21, 0, 2.34, EXACT);
    assertThat(a.on()).isEqualTo(On.FLOOR);
    assertThat(a.refused()).isEmpty();
    assertThat(room.piece("c").at().x()).as("nothing is changed by asking").isEqualTo(1);
  }

  @Test
  void thePointWhereItWasPickedUpFollowsAndNothingJumps() {
    Piece board = room.put("s", "sideboard", 3, 1);
    Asked q = carry("s").to(3.7, 1.2);
    q.picked = new Vec(3.7, 0.8, 1.2); // near its right front corner
    isAt(answer(q), 3, 0, 1, EXACT);
    q.at = new Spot(2.7, 2.2);
    CarryResult a = answer(q);
    isAt(a, 2, 0, 2, EXACT);
    // the mark that is shown is that corner, at the top
    Vec corner =
        new Vec(2 + board.size().width() / 2, board.size().height(), 2 + board.size().depth() / 2);
    assertThat(a.mark().minus(corner).length()).isLessThan(1e-9);
  }

  @Test
  void onThePlanOneStepsDownThroughTheBoardsOfAShelf() {
    room.put("s", "open-shelf", 3, 0.5);
    room.put("v", "jar", 1, 3);
    CarryResult top = answer(carry("v").to(3.2, 0.5));
    assertThat(top.on()).isEqualTo(On.piece("s"));
    assertThat(top.levels()).isGreaterThan(4);
    Asked q = carry("v").to(3.2, 0.5);
    q.down = top.levels() - 1;
    double before = lead(top).at().y();
    // the floor is the last of them, and the shelf's lowest board lies on the way to it
    for (int down = 1; down < top.levels(); down++) {
      q.down = down;
      CarryResult a = answer(q);
      if (a.refused().isEmpty() && a.on().equals(On.piece("s"))) {
        assertThat(lead(a).at().y()).isLessThan(before);
        before = lead(a).at().y();
      }
    }
    assertThat(before).isLessThan(0.5);
    // what is too high for a board is not put onto the next one instead
    room.put("l", "table-lamp", 1, 2);
    Asked lamp = carry("l").to(3.2, 0.5);
    lamp.down = 2;
    assertThat(answer(lamp).refused()).contains("no room");
  }

  @Test
  void inTheSetViewPointingIntoAShelfMeansTheBoardBeneath() {
    room.put("s", "open-shelf", 3, 0.16);
    room.put("k", "jar", 1, 3);
    Spot middle = new Spot(3.2, 0.16);
    Asked q = carry("k").to(middle.x(), middle.z());
    List<Double> heights = new ArrayList<>();
    int levels = answer(q).levels();
    for (q.down = 0; q.down < levels; q.down++) {
      heights.add(answer(q).place().contains("shelf") ? lead(answer(q)).at().y() : 0.0);
    }
    double board = heights.get(2);
    // a little above that board, from before the shelf
    CarryResult a =
        answer(carry("k").look(new Vec(3.2, 1.6, 3.5), new Vec(3.2, board + 0.05, 0.1)));
    assertThat(a.on()).isEqualTo(On.piece("s"));
    assertThat(lead(a).at().y()).isCloseTo(board, TOUCH);
    assertThat(a.refused()).isEmpty();
  }

  @Test
  void itRestsInABowlByItsTrueShape() {
    room.put("t", "cafe-table", 3, 2);
    room.json("{'do':'place','article':'bowl','piece':'large','at':{'x':3,'z':2}}");
    Piece large = room.piece("large");
    room.put("small", "tumbler", 1, 1);
    CarryResult a = answer(carry("small").to(3, 2));
    assertThat(a.on()).isEqualTo(On.piece("large"));
    assertThat(lead(a).at().y())
        .isBetween(large.at().y() + 0.001, large.at().y() + large.size().height() - 0.001);
  }

  // ---- stops

  @Test
  void aSideboardStopsAtTheWallAndSlidesAlongIt() {
    Piece s = room.put("s", "sideboard", 3, 2);
    CarryResult a = answer(carry("s").to(2.2, 0.05));
    isAt(a, 2.2, 0, s.size().depth() / 2, TOUCH);
    assertThat(a.stopped()).isEqualTo("wall A");
    assertThat(measure(a, "back")).isCloseTo(0, TOUCH);
    // far outside the room it is still against the wall
    isAt(answer(carry("s").to(2.2, -3)), 2.2, 0, s.size().depth() / 2, within(2e-4));
    // into the corner, from outside it
    isAt(answer(carry("s").to(-2, -2)), s.size().width() / 2, 0, s.size().depth() / 2, TOUCH);
  }

  @Test
  void itStopsAtTheSkirting() {
    room.json("{'do':'build','skirtingHeight':'0.1','skirtingDepth':'0.015'}");
    Piece s = room.put("s", "trunk", 3, 2);
    CarryResult a = answer(carry("s").to(3, -1));
    assertThat(lead(a).at().z()).isCloseTo(s.size().depth() / 2 + 0.015, within(0.003));
    assertThat(a.stopped()).contains("skirting");
    assertThat(Reach.of(room.space, lead(a), Side.back).distance()).isCloseTo(0, TOUCH);
  }

  @Test
  void carriedOnBeyondTheMiddleItHopsOver() {
    Piece t = room.put("t", "crate", 3, 2);
    Piece c = room.put("c", "chest-of-drawers", 1, 2);
    double apart = (t.size().width() + c.size().width()) / 2;
    CarryResult before = answer(carry("c").to(2.9, 2));
    isAt(before, 3 - apart, 0, 2, within(0.01));
    assertThat(before.stopped()).isEqualTo(t.name());
    isAt(answer(carry("c").to(3.1, 2)), 3 + apart, 0, 2, within(0.01));
    Asked through = carry("c").to(3.1, 2);
    through.free = true;
    assertThat(lead(answer(through)).at().x()).isCloseTo(3.1, EXACT);
  }

  @Test
  void aSideboardCarriesWhatStandsOnItAndACupIsCarriedOff() {
    Piece board = room.put("s", "sideboard", 3, 2);
    room.put("v", "vase", 3, 2);
    assertThat(room.piece("v").on()).isEqualTo(On.piece("s"));
    room.json("{'do':'putDown','carry':{'pieces':['s'],'at':{'x':2,'z':3}}}");
    assertThat(room.piece("v").at().minus(new Vec(2, board.size().height(), 3)).length())
        .isLessThan(1e-9);
    room.json("{'do':'putDown','carry':{'pieces':['v'],'at':{'x':5,'z':1}}}");
    assertThat(room.piece("v").on()).isEqualTo(On.FLOOR);
    assertThat(room.piece("s").at().x()).isEqualTo(2);
  }

  @Test
  void aStepByTheKeysStopsAtTheWallAndStaysOnItsBoard() {
    Piece s = room.put("s", "stool", 0.3, 2);
    double half = s.size().width() / 2;
    for (int i = 0; i < 4; i++) {
      room.json("{'do':'moveBy','pieces':['s'],'by':{'x':-0.05},'stops':true}");
    }
    assertThat(room.piece("s").at().x()).isCloseTo(half, TOUCH);
    room.put("f", "open-shelf", 3, 0.5);
    room.put("k", "jar", 1, 3);
    Asked jar = carry("k").to(3.2, 0.5);
    jar.down = 2;
    room.space = room.space.with(answer(jar).pieces());
    double y = room.piece("k").at().y();
    room.json("{'do':'moveBy','pieces':['k'],'by':{'x':0.05},'stops':true}");
    assertThat(room.piece("k").at().y()).isCloseTo(y, EXACT);
    assertThat(room.piece("k").at().x()).isCloseTo(3.25, EXACT);
  }

  @Test
  void aStepUpOrDownGoesFromBoardToBoard() {
    room.put("b", "open-shelf", 1, 1);
    room.put("k", "jar", 1, 1);
    List<Double> up = new ArrayList<>();
    room.json("{'do':'moveBy','pieces':['k'],'by':{'y':-0.05},'stops':true}");
    room.json("{'do':'moveBy','pieces':['k'],'by':{'y':-0.05},'stops':true}");
    up.add(room.piece("k").at().y());
    room.json("{'do':'moveBy','pieces':['k'],'by':{'y':0.05},'stops':true}");
    up.add(room.piece("k").at().y());
    room.json("{'do':'moveBy','pieces':['k'],'by':{'y':0.05},'stops':true}");
    up.add(room.piece("k").at().y());
    assertThat(up.get(1) - up.get(0)).isGreaterThan(0.2);
    assertThat(up.get(2)).as("on top again").isCloseTo(room.piece("b").size().height(), TOUCH);
    assertThat(room.piece("k").on()).isEqualTo(On.piece("b"));
    assertThatThrownBy(
            () -> room.json("{'do':'moveBy','pieces':['k'],'by':{'y':0.05},'stops':true}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("no surface above");
  }

  // ---- what holds it

  @Test
  void nearACornerBothWallsHoldIt() {
    Piece s = room.put("s", "sideboard", 3, 2);
    Asked q = carry("s").to(0.87, 0.28).near(0.1);
    CarryResult a = answer(q);
    isAt(a, s.size().width() / 2, 0, s.size().depth() / 2, TOUCH);
    assertThat(words(a)).containsExactly("in the corner of walls A and D");
    // moved on, it is free again
    isAt(answer(carry("s").to(0.97, 0.38).near(0.1)), 0.97, 0, 0.38, EXACT);
    assertThat(words(answer(carry("s").to(0.97, 0.38).near(0.1)))).isEmpty();
  }

  @Test
  void edgesAndMiddlesAreHeldInLine() {
    room.put("a", "trunk", 1.5, 1);
    room.put("b", "trunk", 4, 3);
    CarryResult a = answer(carry("b").to(4.03, 1.04).near(0.08));
    assertThat(lead(a).at().z()).isCloseTo(1, EXACT);
    assertThat(words(a)).anyMatch(w -> w.contains("in line with Trunk"));
  }

  @Test
  void betweenTwoTheGapsAreMadeEqualAndInARowTheSame() {
    room.put("a", "trunk", 1, 2);
    room.put("b", "trunk", 5, 2);
    room.put("c", "stool", 3, 3.5);
    CarryResult a = answer(carry("c").to(3.04, 2.2).near(0.06));
    assertThat(measure(a, "left")).isCloseTo(measure(a, "right"), TOUCH);
    room.put("d", "stool", 1, 3.2);
    room.put("e", "stool", 1.9, 3.2);
    CarryResult row = answer(carry("c").to(2.83, 3.22).near(0.06));
    assertThat(lead(row).at().x()).isCloseTo(2.8, within(1e-4));
    assertThat(lead(row).at().z()).isCloseTo(3.2, EXACT);
  }

  @Test
  void theFreeRoomItAsksForHoldsIt() {
    room.put("s", "filing-cabinet", 3, 2); // 0.90 clear in front to draw out a drawer
    double depth = room.piece("s").size().depth();
    CarryResult a = answer(carry("s").to(3, 4 - 0.9 - depth / 2 + 0.03).near(0.08));
    assertThat(measure(a, "front")).isCloseTo(0.9, TOUCH);
    assertThat(words(a)).anyMatch(w -> w.startsWith("0.90 clear"));
  }

  // ---- numbers

  @Test
  void aTypedDistanceIsFromTheStartAndASecondOneReplacesIt() {
    Piece s = room.put("s", "stool", 2, 2);
    Asked q = carry("s").to(2.5, 2.1);
    assertThat(answer(q).way()).isEqualTo(new Vec(1, 0, 0));
    isAt(answer(q.typed("moved", "0.85")), 2.85, 0, 2, EXACT);
    isAt(answer(q.typed("moved", "1.10")), 3.1, 0, 2, EXACT);
    isAt(answer(q.typed("moved", "30cm")), 2.3, 0, 2, EXACT);
    CarryResult toWall = answer(q.typed("right", "0.4"));
    assertThat(measure(toWall, "right")).isCloseTo(0.4, TOUCH);
    isAt(toWall, 6 - 0.4 - s.size().width() / 2, 0, 2.1, TOUCH);
    assertThat(answer(q.typed("moved", "far")).refused()).isNotEmpty();
  }

  @Test
  void aTurnIsTypedAsItFacesAndDoesNotHoldItsPlace() {
    room.put("s", "sideboard", 3, 2, 90);
    Asked q = carry("s").to(4, 2).typed("turn", "30");
    q.turn = 45.0;
    CarryResult a = answer(q);
    assertThat(lead(a).turn()).isCloseTo(30, EXACT);
    assertThat(a.turn()).isCloseTo(-60, EXACT);
    isAt(a, 4, 0, 2, EXACT);
    q.typed("turn", "+10"); // more than it has by the keys
    assertThat(lead(answer(q)).turn()).isCloseTo(145, EXACT);
    assertThat(measure(answer(q), "turn")).isCloseTo(145, EXACT);
    // in a face it is the turn in that face
    room.put("k", "jar", 1, 3);
    Asked on = carry("k").to(5, 3).typed("turn", "20");
    on.against = Side.under;
    assertThat(lead(answer(on)).turn()).isCloseTo(20, within(1e-6));
    // what hangs on a wall looks where that looks
    room.put("p", "picture-frame", 2, 0.1);
    assertThat(answer(carry("p").to(3, 0.1)).measures()).noneMatch(m -> m.slot().equals("turn"));
  }

  @Test
  void keptToOneDirectionTheHandMayDrift() {
    room.put("s", "stool", 2, 1);
    Asked q = carry("s").to(3.3, 1.4);
    q.keep = CarryKeep.along;
    isAt(answer(q), 3.3, 0, 1, EXACT);
    q.keep = CarryKeep.away;
    isAt(answer(q), 2, 0, 1.4, EXACT);
    q.keep = CarryKeep.deep;
    isAt(answer(q), 2, 0, 1.4, EXACT);
    q.keep = CarryKeep.across;
    isAt(answer(q), 3.3, 0, 1, EXACT);
  }

  @Test
  void aPictureIsAtAnExactHeightOnItsWall() {
    room.json("{'do':'place','article':'picture-frame','piece':'p','at':{'x':3,'z':0.1}}");
    Asked q = carry("p").look(new Vec(3, 1.6, 3), new Vec(4, 1.2, 0));
    CarryResult a = answer(q);
    assertThat(lead(a).at().x()).isCloseTo(4, EXACT);
    assertThat(lead(a).at().y()).isCloseTo(1.2, EXACT);
    assertThat(a.on()).isEqualTo(On.wall("A"));
    CarryResult typed = answer(q.typed("upperside", "1.85"));
    assertThat(lead(typed).at().y()).isCloseTo(1.85 - lead(a).size().height(), EXACT);
  }

  @Test
  void aCrateGoesOntoTheBarrelThatIsPointedAtAndAStoolWhenItIsAskedTo() {
    room.put("b", "barrel", 2.5, 3);
    room.put("k", "crate", 5, 3);
    double top = room.piece("b").size().height();
    CarryResult crate = answer(carry("k").to(2.5, 3));
    assertThat(crate.on()).isEqualTo(On.piece("b"));
    assertThat(crate.size()).isEqualTo("0.60 × 0.45 × 0.40");
    assertThat(lead(crate).at().y()).isCloseTo(top, within(0.02));
    room.put("u", "trunk", 1, 3);
    CarryResult trunk = answer(carry("u").to(5, 3));
    assertThat(trunk.on()).as("too large to go into it").isEqualTo(On.piece("k"));
    assertThat(lead(trunk).at().y()).isCloseTo(0.4, within(0.03));
    room.put("s", "stool", 1, 1);
    assertThat(answer(carry("s").to(2.5, 3)).on()).as("by habit").isEqualTo(On.FLOOR);
    Asked q = carry("s").to(2.5, 3);
    q.tops = true;
    CarryResult stool = answer(q);
    assertThat(stool.on()).isEqualTo(On.piece("b"));
    assertThat(stool.said()).anyMatch(w -> w.text().contains("onto tops too"));
  }

  @Test
  void aPlaceFromTheDatumIsToldAndTypedInTheHand() {
    room.put("s", "stool", 2, 2);
    CarryResult a = answer(carry("s").to(3, 2.5));
    assertThat(a.measures().stream().map(CarryResult.CarryMeasure::slot))
        .containsSubsequence(
            "moved", "left", "right", "front", "back", "across", "deep", "underside");
    isAt(answer(carry("s").to(3, 2.5).typed("across", "1.25")), 1.25, 0, 2.5, within(1e-9));
    isAt(answer(carry("s").to(3, 2.5).typed("deep", "+0.5")), 3, 0, 3, within(1e-9));
    Rooms stage = Rooms.stage();
    stage.put("s", "stool", 1, -2);
    CarryResult there =
        Carrying.answer(
            stage.space,
            carry("s").to(1, -2.5).typed("across", "1.05 stage right").asked(),
            LengthUnit.M);
    assertThat(lead(there).at().x()).isCloseTo(-1.05 + stage.shell().datum().x(), within(1e-9));
  }

  // ---- hanging

  @Test
  void aLampIsClampedToABarAndToTheTubeOfATruss() {
    Rooms stage = Rooms.stage();
    stage.json("{'do':'bar','at':{'x':0,'z':-2},'trim':'4'}");
    stage.json("{'do':'place','article':'profile-spot','piece':'l','at':{'x':1.3,'z':-1.9}}");
    Piece lamp = stage.piece("l");
    assertThat(lamp.on().kind()).isEqualTo(On.OnKind.bar);
    assertThat(lamp.at().z()).isEqualTo(-2);
    stage.json("{'do':'place','article':'truss','piece':'t','at':{'x':0,'z':-4}}");
    CarryResult a = Carrying.answer(stage.space, carry("l").to(0.4, -4.1).asked(), LengthUnit.M);
    assertThat(a.on()).isEqualTo(On.piece("t"));
    Piece hung = lead(a);
    assertThat(
            Nearness.distance(
                stage.space.shapes().mesh(hung),
                hung.pose(),
                stage.space.shapes().mesh(stage.piece("t")),
                stage.piece("t").pose(),
                1))
        .isLessThan(Resting.CONTACT);
    assertThat(Resting.of(stage.space.with(hung), hung).carrier(hung.pose()))
        .isEqualTo(On.piece("t"));
  }

  // ---- onto a face

  @Test
  void laidAgainstABarItIsCarriedByTheBar() {
    Rooms stage = Rooms.stage();
    stage.json("{'do':'bar','at':{'x':0,'z':-2},'trim':'1.2'}");
    stage.json("{'do':'place','article':'stool','piece':'s','at':{'x':3,'z':-3}}");
    Asked q = carry("s").look(new Vec(0, 1.2, 2), new Vec(0, 1.2, -2));
    q.against = Side.back;
    CarryResult a = Carrying.answer(stage.space, q.asked(), LengthUnit.M);
    assertThat(a.on().kind()).isEqualTo(On.OnKind.bar);
    Rooms after = stage;
    after.apply(new PutDown(q.asked(), null));
    assertThat(after.space.nameOf(after.piece("s").on())).isEqualTo("the bar 1");
    // the bar taken away, it is carried by nothing, and can be moved like anything
    after.json("{'do':'removeParts','parts':['bar:bar 1']}");
    after.json("{'do':'moveBy','pieces':['s'],'by':{'x':0.1}}");
    assertThat(after.piece("s").on().kind()).isNotEqualTo(On.OnKind.bar);
  }

  @Test
  void aNumberOutOfAllMeasureIsRefusedInTheHand() {
    room.put("s", "stool", 2, 2);
    CarryResult a = answer(carry("s").to(3, 2).typed("underside", "99999999999"));
    assertThat(a.refused()).contains("too far");
    assertThat(lead(a).at()).isEqualTo(room.piece("s").at());
  }

  @Test
  void aCushionLeansAgainstABackAtItsAngle() {
    room.put("b", "banquette", 3, 0.35);
    room.put("c", "cushion", 1, 3);
    Asked q = carry("c").look(new Vec(2.7, 1.5, 3), new Vec(2.7, 0.7, 0.15));
    q.against = Side.back;
    CarryResult a = answer(q);
    Piece c = lead(a);
    assertThat(a.on()).isEqualTo(On.piece("b"));
    Vec n =
        room.space
            .bodies()
            .ray(q.ray.from(), q.ray.along().unit(), 10, x -> x.id().equals("b"))
            .normal();
    assertThat(c.pose().direct(Side.back.outward()).dot(n)).isCloseTo(-1, within(1e-9));
    assertThat(
            room.space
                .with(c)
                .bodies()
                .overlapping(
                    room.space.shapes().mesh(c),
                    c.pose(),
                    Resting.CONTACT,
                    x -> !x.id().equals("c")))
        .isEmpty();
  }

  @Test
  void turnedInTheFaceItStaysFlatOnIt() {
    room.put("c", "trunk", 3, 2);
    for (double turn : new double[] {0, 30, 90, 145}) {
      Asked q = carry("c").look(new Vec(3, 1.5, 3), new Vec(2, 1, 0));
      q.against = Side.under;
      q.turn = turn;
      Piece p = lead(answer(q));
      assertThat(p.pose().direct(Vec.DOWN).z()).isCloseTo(-1, within(1e-9));
      assertThat(p.pose().apply(Vec.ZERO).z()).isCloseTo(0, TOUCH);
    }
  }

  // ---- many

  @Test
  void aSelectionMovesAsOneOrEachForItself() {
    room.put("t", "crate", 4, 2);
    room.put("a", "stool", 1, 2);
    room.put("b", "vase", 2, 2);
    Asked q = carry("a", "b").to(4, 2);
    CarryResult one = answer(q);
    assertThat(one.pieces()).hasSize(2);
    Vec apart = one.pieces().get(1).at().minus(one.pieces().get(0).at());
    assertThat(apart.x()).isCloseTo(1, EXACT);
    assertThat(apart.z()).isCloseTo(0, EXACT);
    q.each = true;
    CarryResult each = answer(q);
    assertThat(each.pieces().get(0).at().y()).as("the stool on the floor").isCloseTo(0, EXACT);
    assertThat(each.pieces().get(1).on()).isEqualTo(On.piece("t"));
  }

  @Test
  void theDistancesOfSeveralAreThoseOfTheOutermost() {
    Piece a = room.put("a", "trunk", 2, 2);
    room.put("b", "trunk", 4, 1.2, 90);
    CarryResult answer = answer(carry("b", "a").to(2, 2));
    assertThat(measure(answer, "left")).isCloseTo(2 - a.size().width() / 2, TOUCH);
    assertThat(measure(answer, "right")).isCloseTo(2 - a.size().depth() / 2, within(0.03));
    assertThat(measure(answer, "back"))
        .as("to the skirting")
        .isCloseTo(1.2 - a.size().width() / 2, within(0.03));
    // and it is the other one that the wall holds
    answer = answer(carry("b", "a").to(4 - a.size().depth() / 2 - 0.06, 2).near(0.1));
    assertThat(words(answer)).anyMatch(w -> w.startsWith("against"));
    assertThat(measure(answer, "right")).isCloseTo(0, TOUCH);
  }

  @Test
  void aCopyIsCarriedAndTheFirstStays() {
    room.put("s", "sideboard", 3, 2);
    room.put("v", "vase", 3, 2);
    room.json("{'do':'putDown','carry':{'pieces':['s'],'copy':true,'at':{'x':1.5,'z':3.2}}}");
    assertThat(room.space.pieces()).hasSize(4);
    List<Piece> all = List.copyOf(room.space.pieces());
    assertThat(room.piece("s").at().x()).isEqualTo(3);
    Piece board =
        all.stream().filter(p -> p.name().equals("Oak sideboard 2")).findFirst().orElseThrow();
    Piece vase =
        all.stream().filter(p -> p.name().endsWith("2") && p != board).findFirst().orElseThrow();
    assertThat(vase.on()).isEqualTo(On.piece(board.id()));
    assertThat(board.at().x()).isCloseTo(1.5, EXACT);
  }

  @Test
  void pickedUpByAKeyItStaysUntilThePointerMovesAndThenMovesByThat() {
    room.put("s", "sideboard", 3, 2);
    Piece was = room.piece("s");
    Spot corner = new Spot(was.at().x() - 0.7, was.at().z() + 0.2);
    String carry =
        "{'do':'putDown','carry':{'pieces':['s'],'near':0,'since':{'at':{'x':%s,'z':%s}},"
            + "'at':{'x':%s,'z':%s}}}";
    room.json(carry.formatted(corner.x(), corner.z(), corner.x(), corner.z()));
    assertThat(room.piece("s").at().distance(was.at())).isLessThan(1e-9);
    room.json(carry.formatted(corner.x(), corner.z(), corner.x() + 0.02, corner.z() - 0.01));
    assertThat(room.piece("s").at().x()).isCloseTo(was.at().x() + 0.02, EXACT);
    assertThat(room.piece("s").at().z()).isCloseTo(was.at().z() - 0.01, EXACT);
    // the pointer may be beside it, and it may be a sight
    room.json(
        "{'do':'putDown','carry':{'pieces':['s'],"
            + "'since':{'ray':{'from':{'x':5,'y':2,'z':3},'along':{'x':0,'y':-1,'z':0}}},"
            + "'ray':{'from':{'x':5.1,'y':2,'z':3},'along':{'x':0,'y':-1,'z':0}}}}");
    assertThat(room.piece("s").at().x()).isCloseTo(was.at().x() + 0.12, EXACT);
  }

  @Test
  void thereMayBeNoRoom() {
    Rooms tiny =
        Rooms.of(
            new Shell(
                List.of(new Spot(0, 0), new Spot(2, 0), new Spot(2, 1), new Spot(0, 1)),
                2.5,
                0.1,
                List.<Opening>of(),
                Finishes.NONE));
    CarryAsk q =
        new CarryAsk(
            null,
            "wardrobe",
            null,
            null,
            false,
            null,
            null,
            new Spot(1, 0.5),
            null,
            false,
            0,
            0,
            false,
            false,
            false,
            null,
            null,
            null,
            0.0,
            null);
    assertThat(Carrying.answer(tiny.space, q, LengthUnit.M).refused()).isEmpty();
    tiny.put("w", "wardrobe", 1, 0.5);
    CarryResult a = Carrying.answer(tiny.space, q, LengthUnit.M);
    assertThat(a.refused()).contains("no room");
    assertThatThrownBy(
            () -> tiny.json("{'do':'putDown','carry':{'article':'wardrobe','at':{'x':1,'z':0.5}}}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("no room");
  }

  @Test
  void aDoorFillsTheOpeningItIsPutInto() {
    room.json("{'do':'opening','kind':'opening','wall':'A','from':2,'width':0.95,'height':2.1}");
    Asked door = new Asked(null);
    door.article = "panelled-door";
    door.at = new Spot(2.4, 0.1);
    Piece filled = lead(answer(door));
    assertThat(filled.size().width()).isEqualTo(0.95);
    assertThat(filled.size().height()).isEqualTo(2.1);
    Piece placed = room.put("d", "panelled-door", 2.4, 0.1);
    assertThat(placed.form()).as("as by the other way of placing").isEqualTo(filled.form());
    assertThat(placed.stance()).isEqualTo(filled.stance());
    door.at = new Spot(5, 3);
    assertThat(answer(door).refused()).contains("point at one");
  }

  @Test
  void aTypedTurnIsAboutTheMarkItIsHeldBy() {
    Piece chest = room.put("c", "trunk", 3, 2);
    double half = chest.size().width() / 2;
    double deep = chest.size().depth() / 2;
    Vec corner = new Vec(3 + half, 0, 2 + deep);
    for (double off : new double[] {0, 0.04}) { // picked up at the corner, or near it
      Asked q = carry("c").to(corner.x() - off, corner.z() - off).near(0.2).typed("turn", "30");
      q.picked = new Vec(corner.x() - off, 0, corner.z() - off);
      CarryResult a = answer(q);
      Piece turned = lead(a);
      assertThat(turned.turn()).isCloseTo(30, EXACT);
      Vec now = turned.pose().apply(new Vec(half, 0, deep));
      assertThat(now.minus(corner).length()).as("the corner stays: " + a).isLessThan(1e-9);
    }
  }

  @Test
  void noSnapMovesWhatIsTurnedByATypedAngle() {
    Piece trunk = room.put("c", "trunk", 3, 0.5);
    // a little off the wall, where it would be held without the turn
    double z = trunk.size().depth() / 2 + 0.05;
    Asked q = carry("c").to(3, z).near(0.2);
    assertThat(lead(answer(q)).at().z()).isCloseTo(trunk.size().depth() / 2, TOUCH);
    CarryResult turned = answer(q.typed("turn", "180"));
    assertThat(lead(turned).at().z()).isCloseTo(z, EXACT);
    assertThat(turned.snaps()).isEmpty();
  }

  @Test
  void aDistanceAlongAKeptDirectionNeedsNoFirstMove() {
    room.put("s", "stool", 3, 2);
    for (CarryKeep keep : new CarryKeep[] {CarryKeep.across, CarryKeep.deep, CarryKeep.height}) {
      Asked q = carry("s").to(3, 2).typed("moved", "0.75");
      CarryResult asked = answer(q);
      assertThat(asked.refused()).isEqualTo("By 0.75 m: which way?");
      CarryResult.CarriedWay right = asked.ways().get(0);
      assertThat(right.words()).isEqualTo("to the right");
      q.typed = new CarryAsk.CarryTyped("moved", "0.75", right.way());
      CarryResult gone = answer(q);
      assertThat(lead(gone).at().x()).isCloseTo(3.75, EXACT);
      assertThat(gone.ways()).isEmpty();
      q.typed("moved", "0.75");
      q.keep = keep;
      CarryResult a = answer(q);
      assertThat(a.refused()).as(keep.words()).isEmpty();
      Vec by = lead(a).at().minus(new Vec(3, 0, 2));
      assertThat(
              by.dot(
                  keep == CarryKeep.across
                      ? new Vec(1, 0, 0)
                      : keep == CarryKeep.deep ? new Vec(0, 0, 1) : Vec.UP))
          .as(keep.words())
          .isCloseTo(0.75, EXACT);
      assertThat(by.length()).as("and no other way").isCloseTo(0.75, EXACT);
    }
  }
}
