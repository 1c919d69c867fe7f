package pied.core.tool.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.material.Finishes;
import pied.core.measure.Hold;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Shell;
import pied.core.space.Spot;

/** Turning about marks, over edges, toward things, and leaning. */
class TurningTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private Rooms room;

  @BeforeEach
  void open() {
    room = new Rooms();
  }

  private Piece p(String id) {
    return room.space.piece(id);
  }

  private Vec mark(String id, String hold) {
    Piece p = p(id);
    return p.pose().apply(Hold.read(hold).on(p.size()));
  }

  private Vec front(String id) {
    return p(id).pose().direct(new Vec(0, 0, 1));
  }

  private void turn(String rest) {
    room.json("{'do':'turn'," + rest + "}");
  }

  @Test
  void aboutAMarkTheMarkStays() {
    room.put("t", "trunk", 2, 2);
    room.put("b", "bottle", 2.2, 2);
    Vec corner = mark("t", "left front under");
    Vec bottle = p("b").at();
    turn("'pieces':['t'],'by':30,'about':'left front under'");
    assertThat(mark("t", "left front under").distance(corner)).isLessThan(1e-12);
    assertThat(p("t").turn()).isEqualTo(30);
    assertThat(p("b").at().distance(corner))
        .as("what stands on it turns with it")
        .isCloseTo(bottle.distance(corner), EXACT);
    assertThat(p("b").turn()).isEqualTo(30);
  }

  @ParameterizedTest
  @CsvSource({
    "width, 90, under front, 90, 0",
    "width, -90, under back, 90, 180",
    "depth, 90, under left, 90, 270",
    "depth, -90, under right, 90, 90",
    "width, 30, under front, 30, 0",
  })
  void overALowerEdgeItIsTippedOntoThatSide(
      Axis axis, double by, String about, double lean, double toward) {
    room.put("t", "trunk", 2, 2, 20);
    Vec edge = mark("t", about);
    turn("'pieces':['t'],'by':" + by + ",'axis':'" + axis + "','about':'" + about + " middle'");
    Vec off = mark("t", about).minus(edge);
    assertThat(Math.hypot(off.x(), off.z())).isLessThan(1e-12);
    assertThat(off.y()).as("down onto the eased edge").isBetween(-0.01, 1e-9);
    assertThat(p("t").lean().by()).isCloseTo(lean, EXACT);
    assertThat(p("t").lean().toward()).isCloseTo(toward, within(1e-6));
    assertThat(p("t").turn()).isCloseTo(20, EXACT);
    assertThat(room.space.shapes().low(p("t"))).as("it sinks in nowhere").isBetween(-1e-9, 0.01);
    assertThat(p("t").on()).isEqualTo(On.FLOOR);
  }

  @Test
  void tippedAndTippedBackItIsAsItWas() {
    Piece before = room.put("t", "trunk", 2, 2, 33);
    turn("'pieces':['t'],'by':47,'axis':'depth','about':'under left middle'");
    turn("'pieces':['t'],'by':-47,'axis':'depth','about':'under left middle'");
    assertThat(p("t").at().distance(before.at())).isLessThan(1e-9);
    assertThat(p("t").turn()).isCloseTo(33, EXACT);
    assertThat(p("t").lean().by()).isCloseTo(0, within(1e-8));
  }

  @Test
  void severalTurnEachAboutItselfOrTogether() {
    room.put("a", "stool", 2, 2);
    room.put("b", "stool", 4, 2);
    turn("'pieces':['a','b'],'by':90");
    assertThat(p("a").at().x()).isEqualTo(2);
    turn("'pieces':['a','b'],'by':90,'together':true");
    assertThat(p("a").at().distance(new Vec(3, 0, 3))).isLessThan(1e-9);
    assertThat(p("b").at().distance(new Vec(3, 0, 1))).isLessThan(1e-9);
    assertThat(p("a").turn()).isEqualTo(180);
    turn("'pieces':['a','b'],'by':-90,'at':{'x':3,'y':0,'z':2}");
    assertThat(p("a").at().distance(new Vec(2, 0, 2))).isLessThan(1e-9);
  }

  @Test
  void byThreePointsADirectionComesToPointThere() {
    room.put("t", "trunk", 2, 2);
    Vec corner = mark("t", "left front under");
    room.json(
        String.format(
            "{'do':'turnFrom','pieces':['t'],'centre':{'x':%s,'y':0,'z':%s},"
                + "'from':{'x':%s,'y':0,'z':%s},'to':{'x':%s,'y':1,'z':%s}}",
            corner.x(), corner.z(), corner.x() + 0.5, corner.z(), corner.x() + 1, corner.z() + 1));
    assertThat(mark("t", "left front under").distance(corner)).isLessThan(1e-12);
    Vec edge = mark("t", "right front under").minus(corner).unit();
    assertThat(edge.x()).isCloseTo(Math.sqrt(0.5), EXACT);
    assertThat(edge.z()).isCloseTo(Math.sqrt(0.5), EXACT);
    assertThatThrownBy(
            () ->
                room.json(
                    "{'do':'turnFrom','pieces':['t'],'centre':{'x':1,'y':0,'z':1},"
                        + "'from':{'x':1,'y':2,'z':1},'angle':20}"))
        .hasMessageContaining("points that are apart");
  }

  @Test
  void aSideComesToRunAlongASlantedWall() {
    room =
        Rooms.of(
            new Shell(
                List.of(new Spot(0, 0), new Spot(6, 0), new Spot(5, 4), new Spot(0, 4)),
                2.8,
                0.2,
                List.of(),
                Finishes.NONE));
    room.put("q", "banquette", 3, 2, 90);
    Vec corner = mark("q", "left back under");
    room.json("{'do':'along','pieces':['q'],'to':'wall:B','about':'left back under'}");
    assertThat(mark("q", "left back under").distance(corner)).isLessThan(1e-12);
    Vec wall = room.space.shell().wall("B").inward();
    boolean along =
        Math.abs(front("q").dot(wall)) < 1e-9
            || Math.abs(Math.abs(front("q").dot(wall)) - 1) < 1e-9;
    assertThat(along).isTrue();
    assertThat(Math.abs(p("q").turn() - 90)).as("as little as it can").isLessThan(45);
    room.json("{'do':'along','pieces':['q'],'to':'wall:B','side':'back'}");
    assertThat(front("q").dot(wall)).as("its back to the wall").isCloseTo(1, EXACT);
    room.json("{'do':'platform','at':{'x':1,'z':3},'width':1,'depth':1,'height':0.2}");
    room.put("f", "stool", 2.2, 3, 12);
    room.json("{'do':'along','pieces':['f'],'to':'platform:platform 1','side':'left'}");
    assertThat(p("f").turn()).as("its left side to the platform").isCloseTo(0, within(1e-6));
    room.put("s", "stool", 1, 1, 7);
    room.json("{'do':'along','pieces':['s'],'to':'q'}");
    double off = (p("s").turn() - p("q").turn()) % 90;
    assertThat(Math.min(Math.abs(off), 90 - Math.abs(off))).isLessThan(1e-9);
  }

  @ParameterizedTest
  @CsvSource({"4, 2, 90", "2, 3, 0", "2, 1, 180", "1, 2, 270", "3, 3, 45"})
  void itFacesAPoint(double x, double z, double turn) {
    room.put("a", "armchair", 2, 2, 123);
    String at = "'at':{'x':" + x + ",'y':0.4,'z':" + z + "}";
    room.json("{'do':'face','pieces':['a'],'what':'point'," + at + "}");
    assertThat(p("a").turn()).isCloseTo(turn, EXACT);
    room.json("{'do':'face','pieces':['a'],'what':'point','away':true," + at + "}");
    assertThat(p("a").turn()).isCloseTo((turn + 180) % 360, EXACT);
  }

  @Test
  void inStepsItIsTheNearest() {
    room.put("a", "armchair", 2, 2);
    room.json(
        "{'do':'face','pieces':['a'],'what':'point','step':15,'ray':{'from':{'x':4,'y':3,'z':1.2},"
            + "'along':{'x':0,'y':-1,'z':0}}}");
    double exact = Math.toDegrees(Math.atan2(2, -0.8));
    assertThat(p("a").turn()).isEqualTo(Math.rint(exact / 15) * 15);
  }

  @Test
  void twoFaceEachOtherAndSeveralTheLead() {
    room.put("a", "armchair", 1, 1);
    room.put("b", "armchair", 4, 3);
    room.put("c", "stool", 4, 1);
    room.json("{'do':'face','pieces':['a','b'],'what':'eachOther'}");
    Vec between = p("b").at().minus(p("a").at()).unit();
    assertThat(front("a").dot(between)).isCloseTo(1, EXACT);
    assertThat(front("b").dot(between)).isCloseTo(-1, EXACT);
    room.json(
        "{'do':'face','pieces':['a','b'],'what':'point','at':{'x':4,'y':0,'z':0},"
            + "'together':true}");
    assertThat(p("b").turn()).isEqualTo(180);
    assertThat(front("a").dot(front("b"))).as("turned as much").isCloseTo(-1, EXACT);
    double lead = p("b").turn();
    room.json("{'do':'face','pieces':['a','c','b'],'what':'lead'}");
    assertThat(front("c").dot(p("b").at().minus(p("c").at()).unit())).isCloseTo(1, EXACT);
    assertThat(p("b").turn()).isEqualTo(lead);
    room.json("{'do':'turnAs','pieces':['a','c','b']}");
    assertThat(p("a").turn()).isCloseTo(lead, EXACT);
    assertThat(p("c").turn()).isCloseTo(lead, EXACT);
  }

  @Test
  void itFacesTheNearestWallAndOnAStageTheAudience() {
    room.put("a", "armchair", 1, 2);
    room.json("{'do':'face','pieces':['a'],'what':'wall'}");
    assertThat(front("a").x()).isCloseTo(-1, EXACT);
    assertThatThrownBy(() -> room.json("{'do':'face','pieces':['a'],'what':'audience'}"))
        .hasMessageContaining("no audience in a room");
    Rooms stage = Rooms.stage();
    stage.put("s", "stool", 1, -2, 140);
    stage.json("{'do':'face','pieces':['s'],'what':'audience'}");
    assertThat(stage.space.piece("s").turn()).isZero();
  }

  // ---- leaning

  @Test
  void laidOnItsBackItComesToRestWhereItStood() {
    room.put("w", "wardrobe", 3, 2, 90);
    double depth = p("w").size().depth();
    room.json("{'do':'lean','pieces':['w'],'toward':180,'by':90}");
    assertThat(room.space.shapes().low(p("w"))).isCloseTo(0, EXACT);
    assertThat(mark("w", "middle").distance(new Vec(3, depth / 2, 2))).isLessThan(1e-3);
    assertThat(front("w").y()).as("its front looks up").isCloseTo(1, EXACT);
    assertThat(p("w").on()).isEqualTo(On.FLOOR);
    room.json("{'do':'lean','pieces':['w'],'by':0}");
    assertThat(p("w").at().distance(new Vec(3, 0, 2))).isLessThan(1e-9);
  }

  @Test
  void aLadderLeansAgainstTheWallAndStandsOnTheFloor() {
    room.put("l", "leaning-ladder", 3, 1.2, 70);
    room.json("{'do':'leanAgainst','pieces':['l'],'angle':75}");
    Piece l = p("l");
    assertThat(l.lean().by()).isEqualTo(15);
    assertThat(room.space.shapes().low(l)).isCloseTo(0, within(1e-6));
    assertThat(l.on()).isEqualTo(On.FLOOR);
    Vec to = room.space.shell().wall("A").inward().times(-1);
    Reach r = Reach.of(room.space, l, Side.back, to, Set.of("l"), 10);
    assertThat(r.to()).isEqualTo("wall:A");
    assertThat(r.distance()).isCloseTo(0, within(1e-5));
    assertThatThrownBy(() -> room.json("{'do':'leanAgainst','pieces':['l'],'angle':95}"))
        .hasMessageContaining("less than 90°");
  }
}
