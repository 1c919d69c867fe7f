package pied.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Spot;

/** A stage raked 1 in 20 with a platform, steps up to it, and a bar. */
class StageRestingTest {
  private static final double TENTH_OF_A_MILLIMETRE = 1e-4;

  private final Rooms stage = Rooms.stage();

  @BeforeEach
  void build() {
    stage.json("{'do':'platform','at':{'x':-3,'z':-4},'width':'2','depth':'2','height':'0.8'}");
    stage.json(
        "{'do':'flight','kind':'steps','platform':'platform 1','width':'1.2','going':'0.5'}");
    stage.json("{'do':'bar','at':{'x':0,'z':-2},'trim':'4'}");
  }

  private double under(Piece p) {
    return Reach.of(stage.space, p, Side.under).distance();
  }

  @Test
  void aChairStandsUprightOnTheRakeAndTouchesIt() {
    Piece chair = stage.put("c", "dining-chair", 1, -3);
    assertThat(chair.on()).isEqualTo(On.FLOOR);
    assertThat(chair.lean().by()).isZero();
    assertThat(under(chair)).isCloseTo(0, within(TENTH_OF_A_MILLIMETRE));
    // its back legs, which are farther upstage, are those that touch
    assertThat(chair.at().y()).isBetween(0.15 + 1e-3, 0.15 + 0.05 * 0.3);
    assertThat(stage.said).isEmpty();
  }

  @Test
  void itLeansWithTheFloorIfOneSaysSoWhicheverWayItFaces() {
    for (double turn : new double[] {0, 40, 180, 270}) {
      Piece chair = stage.put("c" + turn, "dining-chair", 1, -3, turn);
      stage.json("{'do':'lean','pieces':['" + chair.id() + "'],'withFloor':true}");
      Piece leaning = stage.piece(chair.id());
      assertThat(leaning.lean().by()).isCloseTo(Math.toDegrees(Math.atan(0.05)), within(1e-9));
      // its own upright is that of the floor
      Vec up = leaning.pose().direct(Vec.UP);
      Vec floor = new Vec(0, 1, 0.05).unit();
      assertThat(up.minus(floor).length()).as("turned " + turn).isLessThan(1e-9);
      assertThat(under(leaning)).isCloseTo(0, within(TENTH_OF_A_MILLIMETRE));
      assertThat(leaning.at().y()).isCloseTo(0.15, within(2e-4));
      stage.json("{'do':'remove','pieces':['" + chair.id() + "']}");
    }
  }

  @Test
  void itStandsOnThePlatformAndOnAStep() {
    Piece above = stage.put("a", "dining-chair", -3, -4);
    assertThat(above.on()).isEqualTo(On.platform("platform 1"));
    assertThat(above.at().y()).isCloseTo(0.8, within(1e-9));
    assertThat(under(above)).isCloseTo(0, within(TENTH_OF_A_MILLIMETRE));

    Spot tread = stage.shell().flights().get(0).spot(0.25, 0);
    Piece onStep = stage.put("s", "stool", tread.x(), tread.z());
    assertThat(onStep.on()).isEqualTo(On.platform("steps 1"));
    assertThat(onStep.at().y()).isCloseTo(stage.shell().floorAt(tread), within(1e-9));
    assertThat(under(onStep)).isCloseTo(0, within(TENTH_OF_A_MILLIMETRE));
  }

  @Test
  void whatHangsGoesToTheBarOrToTheGrid() {
    Piece lamp = stage.put("l", "pendant-lamp", 1, -2.1);
    assertThat(lamp.on()).isEqualTo(On.bar("bar 1"));
    assertThat(lamp.at().z()).isEqualTo(-2);
    assertThat(lamp.at().y() + lamp.size().height()).isCloseTo(4 - Bar.TUBE / 2, within(1e-9));
    Piece other = stage.put("g", "pendant-lamp", 1, -4.5);
    assertThat(other.on()).isEqualTo(On.CEILING);
    assertThat(other.at().y() + other.size().height()).isCloseTo(5, within(1e-9));
    stage.json("{'do':'bar','part':'bar 1','trim':'3.5','to':{'upstage':'2.5'}}");
    assertThat(stage.piece("l").at().z()).as("it goes with its bar").isCloseTo(-2.5, within(1e-9));
    assertThat(stage.piece("l").on()).isEqualTo(On.bar("bar 1"));
    assertThat(stage.piece("l").at().y() + lamp.size().height())
        .isCloseTo(3.5 - Bar.TUBE / 2, within(1e-9));
  }

  @Test
  void aSteeperRakeLiftsWhatStandsOnItAndTiltsWhatLeansWithIt() {
    Piece chair = stage.put("c", "dining-chair", 1, -3);
    stage.put("t", "cafe-table", 2.5, -3);
    stage.json("{'do':'lean','pieces':['t'],'withFloor':true}");
    stage.json("{'do':'build','rake':'1:10'}");
    assertThat(stage.piece("c").at().y()).isGreaterThan(chair.at().y() + 0.14);
    assertThat(under(stage.piece("c"))).isCloseTo(0, within(TENTH_OF_A_MILLIMETRE));
    assertThat(stage.piece("t").lean().by())
        .isCloseTo(Math.toDegrees(Math.atan(0.1)), within(1e-9));
    assertThat(under(stage.piece("t"))).isCloseTo(0, within(TENTH_OF_A_MILLIMETRE));
  }

  @Test
  void furnitureStopsAtTheSkirting() {
    Rooms room = new Rooms();
    room.put("s", "open-shelf", 3, 1);
    double half = room.piece("s").size().depth() / 2;
    room.json("{'do':'build','skirtingHeight':'0.1','skirtingDepth':'2 cm'}");
    Reach r = Reach.of(room.space, room.piece("s"), Side.back);
    assertThat(r.toName()).isEqualTo("the skirting of wall A");
    room.json("{'do':'setDistance','piece':'s','side':'back','distance':0}");
    assertThat(room.piece("s").at().z()).isCloseTo(half + 0.02, within(1e-6));
  }

  @Test
  void pointingAtAWallFromInsideMeansTheFloorBeforeIt() {
    Rooms room = new Rooms();
    room.json(
        "{'do':'place','piece':'s','article':'sideboard',"
            + "'ray':{'from':{'x':3,'y':1.5,'z':2},'along':{'x':0,'y':0,'z':-1}}}");
    assertThat(room.piece("s").on()).isEqualTo(On.FLOOR);
    assertThat(room.piece("s").at().z()).isCloseTo(0.225, within(1e-3));
    assertThat(room.said).as("it overlaps nothing").isEmpty();
  }
}
