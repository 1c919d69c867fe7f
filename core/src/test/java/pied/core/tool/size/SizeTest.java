package pied.core.tool.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.catalog.Article;
import pied.core.catalog.Catalog;
import pied.core.catalog.Mounting;
import pied.core.check.Checks;
import pied.core.edit.Declined;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.model.Arrival;
import pied.core.model.Brought;
import pied.core.model.Stretched;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Refusal;

/** Sizes as they are asked for, and what stays where it is. */
class SizeTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private Rooms room;

  @BeforeEach
  void open() {
    room = new Rooms();
  }

  private Piece p(String id) {
    return room.space.piece(id);
  }

  private void size(String pieces, String rest) {
    room.json("{'do':'size','pieces':[" + pieces + "]," + rest + "}");
  }

  private void is(String id, double w, double d, double h) {
    assertThat(p(id).size().width()).isCloseTo(w, EXACT);
    assertThat(p(id).size().depth()).isCloseTo(d, EXACT);
    assertThat(p(id).size().height()).isCloseTo(h, EXACT);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0.42 x 0.43 x 0.66 | 0.42 | 0.43 | 0.66",
        "0.42x0.43x0.66 | 0.42 | 0.43 | 0.66",
        "42 × 43 × 66 cm | 0.42 | 0.43 | 0.66",
        "420mm by 43cm by 0.66 | 0.42 | 0.43 | 0.66",
        "0.42 x 0.43 | 0.42 | 0.43 | 0.5",
        "0.42 x  x 0.66 | 0.42 | 0.5 | 0.66",
        "50% x +0.1 x *2 | 0.25 | 0.6 | 1",
        "2ft x 18 in x 3 ft | 0.6096 | 0.4572 | 0.9144",
      })
  void oneEntryIsAllThree(String typed, double w, double d, double h) {
    room.put("b", "block", 2, 2);
    size("'b'", "'size':{'height':'" + typed + "'}");
    is("b", w, d, h);
  }

  @Test
  void severalTakeTheSameAndGoOnStanding() {
    room.put("a", "block", 1, 1);
    room.put("b", "block", 2.5, 2, 30);
    room.put("c", "trunk", 4, 2);
    size("'a','b'", "'size':{'width':'0.42 x 0.42 x 0.66'}");
    for (String id : new String[] {"a", "b"}) {
      is(id, 0.42, 0.42, 0.66);
      assertThat(p(id).at().y()).isZero();
    }
    assertThat(p("a").at().x()).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({
    "all,         1.0, 0.5,  0.25",
    "widthDepth,  1.0, 0.5,  0.5",
    "widthHeight, 1.0, 1.0,  0.25",
    "depthHeight, 0.5, 1.0,  0.5",
  })
  void whatIsTogetherKeepsItsProportions(Together together, double w, double d, double h) {
    room.put("b", "block", 2, 2);
    size("'b'", "'size':{'width':'0.5 x 1.0 x 0.5'}");
    size("'b'", "'size':{'width':'*2'},'together':'" + together + "'");
    double depth = together == Together.all || together == Together.widthDepth ? 2.0 : 1.0;
    double height = together == Together.all || together == Together.widthHeight ? 1.0 : 0.5;
    is("b", 1.0, depth, height);
  }

  @Test
  void factorsAreOfThePresentOrTheNaturalSize() {
    room.put("b", "block", 2, 2);
    size("'b'", "'size':{'width':1.2}");
    size("'b'", "'size':{'width':'150%'}");
    is("b", 1.8, 0.5, 0.5);
    size("'b'", "'size':{'width':'150%'},'natural':true");
    is("b", 0.75, 0.5, 0.5);
    size("'b'", "'size':{'width':'1.8','height':'200% of natural'}");
    is("b", 1.8, 0.5, 1.0);
  }

  @Test
  void turnedSquareOrAskewItIsSizedAlongTheSpace() {
    room.put("b", "block", 2, 2, 90);
    size("'b'", "'size':{'width':1.2},'alongSpace':true");
    is("b", 0.5, 1.2, 0.5);
    room.put("k", "block", 4, 2, 30);
    size("'k'", "'size':{'width':1.0},'alongSpace':true");
    double reach = 0.5 * (Math.cos(Math.PI / 6) + Math.sin(Math.PI / 6));
    is("k", 0.5 / reach, 0.5 / reach, 0.5);
    size("'k'", "'size':{'width':1.0,'depth':1.2},'alongSpace':true");
    double c = Math.cos(Math.PI / 6);
    double s = 0.5;
    Size z = p("k").size();
    assertThat(z.width() * c + z.depth() * s).isCloseTo(1.0, EXACT);
    assertThat(z.width() * s + z.depth() * c).isCloseTo(1.2, EXACT);
    assertThatThrownBy(() -> size("'k'", "'size':{'width':1.0,'depth':5},'alongSpace':true"))
        .hasMessageContaining("turn it square");
  }

  @Test
  void theHoldStaysAndByItselfTheWallSide() {
    room.put("b", "block", 2, 0.25);
    size("'b'", "'size':{'depth':0.8}");
    assertThat(p("b").at().z()).as("its back touches the wall").isCloseTo(0.4, EXACT);
    size("'b'", "'size':{'width':1,'depth':1,'height':1},'hold':'right front top'");
    assertThat(p("b").at().x()).isCloseTo(2.25 - 0.5, EXACT);
    assertThat(p("b").at().z()).isCloseTo(0.8 - 0.5, EXACT);
    assertThat(p("b").at().y()).isCloseTo(0.5 - 1, EXACT);
    assertThatThrownBy(() -> size("'b'", "'size':{'width':1},'hold':'north'"))
        .hasMessageContaining("no mark of a piece");
  }

  @Test
  void whatIsFixedHoldsAtTheWallAndWhatHangsAtTheTop() {
    room.put("m", "round-mirror", 3, 0.1);
    double middle = p("m").at().y() + p("m").size().height() / 2;
    size("'m'", "'size':{'height':0.9}");
    assertThat(p("m").at().y() + 0.45).isCloseTo(middle, EXACT);
    assertThat(Reach.of(room.space, p("m"), Side.back).distance()).isCloseTo(0, within(1e-6));
  }

  @Test
  void whatStandsOnItFollows() {
    room.put("t", "block", 2, 2);
    room.put("b", "bottle", 2, 2);
    assertThat(p("b").on()).isEqualTo(On.piece("t"));
    size("'t'", "'size':{'height':0.7}");
    double top = p("b").at().y();
    assertThat(top).isCloseTo(0.7, within(1e-3));
    assertThat(p("b").on()).isEqualTo(On.piece("t"));
  }

  // ---- from a known length

  @Test
  void aKnownLengthIsExact() {
    room.put("b", "block", 2, 2);
    room.json(
        "{'do':'knownLength','pieces':['b'],'from':{'x':1.75,'y':0,'z':2},"
            + "'to':{'x':1.75,'y':0.5,'z':2},'length':'0.74'}");
    is("b", 0.74, 0.74, 0.74);
    assertThat(p("b").at().y()).isZero();
    assertThat(room.said).contains("0.50 m became 0.74 m, a factor of 1.48.");
  }

  @Test
  void ofOneMeasureAloneTheSlantedLengthIsExactToo() {
    room.put("b", "block", 2, 2);
    String points = "'from':{'x':1.75,'y':0,'z':2},'to':{'x':2.25,'y':0.3,'z':2},";
    room.json("{'do':'knownLength','pieces':['b']," + points + "'length':1.3,'along':'width'}");
    double w = p("b").size().width();
    assertThat(Math.hypot(w, 0.3)).isCloseTo(1.3, EXACT);
    assertThatThrownBy(
            () ->
                room.json(
                    "{'do':'knownLength','pieces':['b'],"
                        + points
                        + "'length':0.2,'along':'width'}"))
        .hasMessageContaining("change all of them");
    assertThatThrownBy(
            () ->
                room.json(
                    "{'do':'knownLength','pieces':['b'],'from':{'x':1,'y':0,'z':1},"
                        + "'to':{'x':1,'y':0,'z':1},'length':1}"))
        .hasMessageContaining("the same");
  }

  // ---- as another, and filling

  @Test
  void itTakesMeasuresOfTheLead() {
    room.put("a", "block", 1, 1);
    room.put("b", "trunk", 3, 2);
    room.json("{'do':'sizeAs','pieces':['a','b'],'measures':['width','height']}");
    is("a", 0.95, 0.5, 0.56);
  }

  @Test
  void itFillsFromWallToWallAndUpToTheCeiling() {
    room.put("b", "block", 1, 2);
    room.json("{'do':'fill','piece':'b','measures':['width','height'],'clearance':'5cm'}");
    is("b", 5.9, 0.5, 2.75);
    assertThat(p("b").at().distance(new Vec(3, 0, 2))).isLessThan(1e-9);
    size("'b'", "'size':{'width':14},'beyond':'stretch'");
    room.json("{'do':'fill','piece':'b','measures':['width']}");
    assertThat(p("b").size().width()).as("also if it was too long before").isCloseTo(6, EXACT);
  }

  @Test
  void itFillsTheGapBetweenTwoThings() {
    room.put("l", "block", 1, 2);
    room.put("r", "block", 3, 2);
    room.put("b", "block", 2.2, 2);
    size("'b'", "'size':{'width':0.2,'depth':0.2}");
    room.json("{'do':'fill','piece':'b','measures':['width']}");
    is("b", 1.5, 0.2, 0.5);
    assertThat(p("b").at().x()).isCloseTo(2, EXACT);
  }

  @Test
  void whatIsShortenedBetweenTwoWallsHoldsItsMiddle() {
    Rooms stage = Rooms.stage();
    stage.put("t", "truss", 0, -3);
    stage.json("{'do':'size','pieces':['t'],'size':{'width':14}}");
    double middle = stage.space.piece("t").at().x();
    stage.json("{'do':'size','pieces':['t'],'size':{'width':'8'}}");
    assertThat(stage.space.piece("t").size().width()).isEqualTo(8);
    assertThat(stage.space.piece("t").at().x()).isCloseTo(middle, EXACT);
  }

  @Test
  void whatComesInStepsTakesTheLargestThatFits() {
    Rooms stage = Rooms.stage();
    stage.put("t", "truss", 0, -2);
    stage.json("{'do':'fill','piece':'t','measures':['width'],'clearance':'1cm'}");
    Size s = stage.space.piece("t").size();
    assertThat(s.width()).isCloseTo(9.5, EXACT);
    assertThat(stage.space.piece("t").at().x()).as("in the middle").isCloseTo(0, EXACT);
    assertThat(stage.said).anyMatch(t -> t.contains("0.48 m stays free"));
  }

  @Test
  void itFillsAnOpeningItIsMadeForAndAnyThatStandsInOne() {
    room.json("{'do':'opening','kind':'opening','wall':'A','from':2,'width':0.95,'height':2.1}");
    room.put("b", "block", 2.6, 1);
    size("'b'", "'size':{'depth':0.1}");
    room.json("{'do':'fill','piece':'b','opening':true,'clearance':0.005}");
    is("b", 0.94, 0.1, 2.095);
    assertThat(p("b").at().x()).isCloseTo(2.475, EXACT);
    assertThat(p("b").at().z()).as("in the middle of the wall").isCloseTo(-0.1, EXACT);
    assertThat(Checks.of(room.space)).as("in an opening it is not outside").isEmpty();
    assertThatThrownBy(() -> room.json("{'do':'fill','piece':'b'}"))
        .hasMessageContaining("the width, the depth or the height");
  }

  // ---- pulled by a side

  @Test
  void aPulledSideGoesWhereItIsPointedAtAndSnapsToWhatIsNear() {
    room.put("b", "block", 2, 2);
    String pull =
        "{'do':'pullSide','piece':'b','side':'right','near':%s,"
            + "'ray':{'from':{'x':%s,'y':9,'z':1},'along':{'x':0,'y':-1,'z':0}}}";
    room.json(String.format(pull, "0.05", "3.1"));
    is("b", 1.35, 0.5, 0.5);
    assertThat(p("b").at().x()).as("its left side stays").isCloseTo(1.75 + 0.675, EXACT);
    room.json(String.format(pull, "0.05", "5.97"));
    assertThat(p("b").size().width()).isCloseTo(4.25, EXACT);
    assertThat(room.said).anyMatch(s -> s.contains("reaches wall B"));
    room.json(String.format(pull, "0", "1"));
    assertThat(p("b").size().width()).as("never turned inside out").isCloseTo(0.01, EXACT);
  }

  @Test
  void takenHoldOfBesideItTheSideGoesAsFarAsThePointer() {
    room.put("b", "block", 2, 2);
    room.json(
        "{'do':'pullSide','piece':'b','side':'front','near':0,"
            + "'grip':{'from':{'x':1.9,'y':9,'z':2.6},'along':{'x':0,'y':-1,'z':0}},"
            + "'ray':{'from':{'x':2.2,'y':9,'z':2.9},'along':{'x':0,'y':-1,'z':0}}}");
    is("b", 0.5, 0.8, 0.5);
    assertThat(p("b").at().z()).isCloseTo(2.15, EXACT);
  }

  @Test
  void aPulledSideStopsAtWhatTheArticleComesIn() {
    room.put("t", "trunk", 2, 2);
    room.json(
        "{'do':'pullSide','piece':'t','side':'top','near':0,"
            + "'ray':{'from':{'x':2,'y':1.9,'z':9},'along':{'x':0,'y':0,'z':-1}}}");
    assertThat(p("t").size().height()).isEqualTo(0.75);
    assertThat(p("t").at().y()).isZero();
    assertThat(room.said).anyMatch(s -> s.contains("comes 0.35 to 0.75 m high"));
  }

  // ---- as one

  @Test
  void aWholeIsSizedWithEveryPieceAtItsPlace() {
    room.put("a", "block", 1, 1);
    room.put("b", "block", 3, 1.5, 90);
    room.json("{'do':'sizeAsOne','pieces':['a','b'],'size':{'width':'5'}}");
    is("a", 1, 0.5, 0.5);
    is("b", 0.5, 1, 0.5);
    assertThat(p("b").at().x() - p("a").at().x()).isCloseTo(4, EXACT);
    assertThat(p("b").at().z()).isCloseTo(1.5, EXACT);
  }

  @Test
  void turnedAskewAWholeIsOnlySizedInProportion() {
    room.put("a", "block", 1, 1);
    room.put("b", "block", 3, 1.5, 30);
    Declined no =
        catchThrowableOfType(
            Declined.class,
            () -> room.json("{'do':'sizeAsOne','pieces':['a','b'],'size':{'width':'50%'}}"));
    assertThat(no).hasMessageContaining("turned askew");
    room.apply(no.offers().get(0).edits().get(0));
    is("b", 0.25, 0.25, 0.25);
    assertThat(p("b").at().x() - p("a").at().x()).isCloseTo(1, EXACT);
    assertThat(p("b").at().y()).isZero();
  }

  // ---- what is refused

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0 | more than zero",
        "=-1 | more than zero",
        "wide | not a size",
        "a metre | not a length",
        "0.3 x y x 2 | not a length",
        "0.3 x 1 x 2 x 4 | not a size",
        "201 m | larger than 200.00 m",
        "0.1 mm | smaller than 0.001 m",
        "31 | comes 0.01 to 30.00 m wide",
      })
  void whatCannotBeIsRefusedInWords(String typed, String words) {
    room.put("b", "block", 2, 2);
    assertThatThrownBy(() -> size("'b'", "'size':{'width':'" + typed + "'}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(words);
  }

  @Test
  void aFixedArticleRefusesUnlessItIsStretched() {
    Rooms stage = Rooms.stage();
    stage.put("s", "profile-spot", 0, -2);
    Declined no =
        catchThrowableOfType(
            Declined.class, () -> stage.json("{'do':'size','pieces':['s'],'size':{'width':0.4}}"));
    assertThat(no).hasMessageContaining("comes in one size only: 0.30 × 0.66 × 0.66 m");
    assertThat(no.offers()).singleElement().matches(o -> o.words().equals("Stretch it anyway"));
    stage.apply(no.offers().get(0).edits().get(0));
    Piece s = stage.space.piece("s");
    assertThat(s.form().stretched()).isTrue();
    Mesh mesh = stage.space.shapes().mesh(s);
    assertThat(mesh.box().size().x()).isCloseTo(0.4, within(1e-6));
    assertThat(mesh.box().size().y()).isCloseTo(0.66, within(1e-6));
    stage.json("{'do':'size','pieces':['s'],'size':{'width':'100%'},'natural':true}");
    assertThat(stage.space.piece("s").form().stretched()).isFalse();
  }

  @Test
  void outOfLimitsTheNearestIsOffered() {
    room.put("t", "trunk", 2, 2);
    Declined no = catchThrowableOfType(Declined.class, () -> size("'t'", "'size':{'height':3}"));
    room.apply(no.offers().get(0).edits().get(0));
    is("t", 0.95, 0.52, 0.75);
    assertThat(room.said).anyMatch(s -> s.contains("the nearest it comes in"));
  }

  @Test
  void stepsGoToTheNearestAndSaySo() {
    Rooms stage = Rooms.stage();
    stage.put("t", "truss", 0, -2);
    stage.json("{'do':'size','pieces':['t'],'size':{'width':'4.3'}}");
    assertThat(stage.space.piece("t").size().width()).isCloseTo(4.5, EXACT);
    assertThat(stage.said).anyMatch(s -> s.contains("in steps of 0.50 m wide; it is 4.50"));
  }

  @Test
  void whatIsFlatHasNoHeightToType() {
    double[] corners = {0, 0, 0, 1, 0, 0, 1, 0, 1, 0, 0, 1};
    Mesh sheet = Mesh.of(corners, new int[] {0, 2, 1, 0, 3, 2});
    assertThat(Arrival.size(sheet).height()).isPositive();
    Article cloth =
        new Brought(
                "own-cloth",
                "p",
                "Cloth",
                Brought.KIND,
                "",
                Mounting.STANDS,
                true,
                Arrival.size(sheet),
                Map.of(),
                0)
            .article(Stretched.of(sheet, Map.of()));
    assertThat(cloth.isFlat(Measure.height)).isTrue();
    assertThat(cloth.isFlat(Measure.width)).isFalse();
    Shapes shapes = new Shapes(new Catalog(List.of(cloth)));
    room.space = new Space(room.shell(), List.of(), shapes);
    room.put("c", "own-cloth", 2, 2);
    assertThatThrownBy(() -> size("'c'", "'size':{'height':0.3}"))
        .hasMessageContaining("Cloth is flat");
    size("'c'", "'size':{'width':2}");
    assertThat(p("c").size().width()).isEqualTo(2);
  }

  @Test
  void aRoundThingIsNotMadeOval() {
    room.put("t", "cafe-table", 3, 2);
    assertThatThrownBy(() -> size("'t'", "'size':{'width':0.8,'depth':0.7}"))
        .hasMessageContaining("as deep as it is wide");
  }

  // ---- mirrored

  @Test
  void mirroredAboutASideItStandsBeyondIt() {
    room.put("t", "trunk", 2, 2);
    room.json("{'do':'mirror','pieces':['t'],'about':'right'}");
    assertThat(p("t").at().x()).isCloseTo(2 + 0.95, EXACT);
    assertThat(p("t").form().mirrored()).isTrue();
    assertThat(p("t").turn()).isZero();
    room.json("{'do':'mirror','pieces':['t'],'across':'depth'}");
    assertThat(p("t").form().mirrored()).isFalse();
    assertThat(p("t").turn()).as("front and back change places").isEqualTo(180);
  }

  @Test
  void topToBottomIsForWhatStandsOnly() {
    room.put("b", "trunk", 2, 2);
    room.json("{'do':'mirror','pieces':['b'],'across':'height'}");
    assertThat(p("b").lean().by()).isEqualTo(180);
    assertThat(room.space.shapes().low(p("b"))).isCloseTo(0, EXACT);
    room.put("l", "pendant-lamp", 4, 2);
    assertThatThrownBy(() -> room.json("{'do':'mirror','pieces':['l'],'across':'height'}"))
        .hasMessageContaining("would not hang");
  }

  @ParameterizedTest
  @CsvSource({
    "110%, 1.1, 1.1, 1.1",
    "*1.5, 1.5, 1.5, 1.5",
    "150% of natural, 1.5, 1.5, 1.5",
    "110% wide, 1.1, 1, 1",
    "0.9, 1.5, 1, 1"
  })
  void aBareFactorIsOfTheWholeAndOneBehindAMeasureOfThat(
      String typed, double width, double depth, double height) {
    Rooms r = new Rooms();
    r.put("p", "crate", 3, 2);
    var was = r.piece("p").size();
    r.json("{'do':'size','pieces':['p'],'size':{'whole':'" + typed + "'},'beyond':'stretch'}");
    var is = r.piece("p").size();
    if (!typed.equals("0.9")) {
      assertThat(is.width()).isCloseTo(was.width() * width, within(1e-9));
    } else {
      assertThat(is.width()).isCloseTo(0.9, within(1e-9));
    }
    assertThat(is.depth()).isCloseTo(was.depth() * depth, within(1e-9));
    assertThat(is.height()).isCloseTo(was.height() * height, within(1e-9));
  }
}
