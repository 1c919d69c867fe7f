package pied.core.lighting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.edit.Change;
import pied.core.edit.Edit;
import pied.core.light.Beam;
import pied.core.light.LinearColour;
import pied.core.light.Shutters;
import pied.core.light.Sky;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.propose.Say;
import pied.core.register.Sentences;
import pied.core.say.Ask;
import pied.core.show.Day;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** How a space is lit, against sums by hand. */
class LightingTest {
  private static final Vec UP = new Vec(0, 1, 0);
  private static final Day NIGHT = new Day(52, 0, 0, LocalDate.of(2026, 1, 5), 0, Sky.clear);

  private static Day noon(Sky sky) {
    return new Day(52, 0, 0, LocalDate.of(2026, 6, 21), 12, sky);
  }

  /** 800 lm to all sides are 63.66 cd; straight below at 1.5 m that is 28.3 lx. */
  @Test
  void luxBelowALampIsCandelaByTheSquareOfTheDistance() {
    LampSource s =
        new LampSource(
            "l", new Vec(0, 2, 0), new Vec(0, -1, 0), Beam.ROUND, 800, LinearColour.of(2700));
    assertThat(s.lux(new Vec(0, 0.5, 0), UP)).isCloseTo(800 / (4 * Math.PI) / 2.25, within(1e-9));
    // at 45° aside: twice the square of the distance, and the cosine of 45°
    double slant = 800 / (4 * Math.PI) / (2 * 2.25) * Math.cos(Math.PI / 4);
    assertThat(s.lux(new Vec(1.5, 0.5, 0), UP)).isCloseTo(slant, within(1e-9));
    assertThat(s.lux(new Vec(0, 3, 0), UP)).as("from below").isZero();
  }

  @Test
  void lightComesFromWhatGlows() {
    Rooms room = new Rooms();
    room.put("p", "pendant-lamp", 3, 2);
    room.put("d", "chandelier", 1.5, 1.5);
    List<LampSource> all = LampSources.of(room.space);
    LampSource pendant = all.stream().filter(l -> l.piece().equals("p")).findFirst().orElseThrow();
    assertThat(pendant.at().x()).isCloseTo(3, within(0.001));
    double low = room.piece("p").at().y();
    assertThat(pendant.at().y()).isBetween(low, low + 0.25);
    List<LampSource> arms = all.stream().filter(l -> l.piece().equals("d")).toList();
    assertThat(arms.size()).isBetween(3, 6);
    double lumens = arms.stream().mapToDouble(LampSource::lumens).sum();
    assertThat(lumens).isCloseTo(2400, within(1e-6));
  }

  @Test
  void atNightWithoutLampsItIsDarkAndALampIsThrownBackByTheWalls() {
    Rooms room = new Rooms();
    assertThat(Lighting.of(room.space, NIGHT, 8).around()).isLessThan(0.01);
    room.put("p", "globe-pendant", 3, 2);
    Lighting lit = Lighting.of(room.space, NIGHT, 8);
    double area = 2 * room.shell().area() + room.shell().perimeter() * room.shell().height();
    double back = Lighting.reflectance(room.shell());
    assertThat(lit.around()).isCloseTo(800 * back / (area * (1 - back)), within(0.01));
    assertThat(lit.lumens()).isEqualTo(800);
    assertThat(lit.watts()).isEqualTo(9);
    room.json("{'do':'lamps','which':{},'level':'50 %'}");
    Lighting half = Lighting.of(room.space, NIGHT, 8);
    assertThat(half.around()).isCloseTo(lit.around() / 2, within(0.01));
    assertThat(half.watts()).isEqualTo(4.5);
    room.json("{'do':'lamps','pieces':['p'],'on':false}");
    assertThat(Lighting.of(room.space, NIGHT, 8).lamps()).isEmpty();
  }

  @Test
  void aWindowLetsTheDayInAndACurtainKeepsSomeOfItOut() {
    Rooms room = new Rooms();
    room.json("{'do':'removeParts','parts':" + openings(room) + "}");
    double dark = Lighting.of(room.space, noon(Sky.overcast), 8).around();
    assertThat(dark).isZero();
    room.json("{'do':'opening','kind':'window','wall':'A'}");
    double lit = Lighting.of(room.space, noon(Sky.overcast), 8).around();
    assertThat(lit).isBetween(20.0, 2000.0);
    // nearly in proportion to the area of glass
    room.json("{'do':'opening','kind':'window','wall':'A','from':0.3}");
    assertThat(Lighting.of(room.space, noon(Sky.overcast), 8).around())
        .isCloseTo(2 * lit, within(0.1 * lit));
    assertThat(Lighting.of(room.space, noon(Sky.overcast), 8).sun()).isNull();
    assertThat(Lighting.of(room.space, noon(Sky.clear), 8).sun().lux()).isGreaterThan(80_000);
  }

  @Test
  void aFewStandForManyAndNoLightIsLost() {
    Random random = new Random(7);
    List<LampSource> many =
        IntStream.range(0, 700)
            .mapToObj(
                i ->
                    new LampSource(
                        "l" + i,
                        new Vec(random.nextDouble() * 9, 2.5, random.nextDouble() * 6),
                        new Vec(0, -1, 0),
                        new Beam(60, 90),
                        100 + random.nextInt(50),
                        LinearColour.of(2700)))
            .toList();
    double all = many.stream().mapToDouble(LampSource::lumens).sum();
    for (int most : new int[] {1, 4, 16}) {
      List<LampSource> few = FewSources.of(many, most);
      assertThat(few).hasSize(most);
      assertThat(few.stream().mapToDouble(LampSource::lumens).sum()).isCloseTo(all, within(1e-6));
      assertThat(few).allMatch(l -> l.at().x() >= 0 && l.at().x() <= 9 && !l.beam().isRound());
    }
  }

  /** What a lantern is aimed at is hit wherever it, its bar or that is moved to. */
  @Test
  void aLanternFollowsWhatItIsAimedAt() {
    Rooms stage = Rooms.stage();
    stage.put("t", "cafe-table", 1, -3);
    stage.put("s", "profile-spot", -1, -1, 180);
    stage.json("{'do':'aim','pieces':['s'],'to':'t'}");
    Random random = new Random(3);
    for (int i = 0; i < 30; i++) {
      double dx = random.nextDouble() - 0.5;
      double dz = random.nextDouble() - 0.5;
      String who = random.nextBoolean() ? "t" : "s";
      stage.json("{'do':'moveBy','pieces':['" + who + "'],'by':{'x':" + dx + ",'z':" + dz + "}}");
      if (i % 5 == 0) {
        stage.json("{'do':'turn','pieces':['s'],'by':" + 90 * random.nextDouble() + "}");
      }
      Vec middle =
          stage.piece("t").pose().apply(stage.space.shapes().mesh(stage.piece("t")).box().centre());
      LampSource l = LampSources.of(stage.space).get(0);
      assertThat(middle.minus(l.at()).unit().dot(l.way())).isCloseTo(1, within(1e-9));
      assertThat(lookedAlong(stage.space, "s").dot(l.way())).isCloseTo(1, within(1e-4));
    }
    stage.json("{'do':'remove','pieces':['t']}");
    assertThat(LampSources.of(stage.space)).hasSize(1);
    assertThatThrownBy(() -> stage.json("{'do':'aim','pieces':['s'],'at':{'x':0,'y':90,'z':-1}}"))
        .hasMessageContaining("its yoke stops at 45°");
  }

  /** From the middle of the mesh of a lantern's case, as it is turned, to that of its lens. */
  private static Vec lookedAlong(Space space, String lantern) {
    Piece p = space.piece(lantern);
    Mesh mesh = space.shapes().mesh(p);
    Vec lens = Vec.ZERO;
    int n = 0;
    for (int c = 0; c < mesh.corners().length; c++) {
      if (mesh.parts().get(mesh.partOf()[c / 3]).equals("lens")) {
        lens = lens.plus(mesh.vertex(mesh.corners()[c]));
        n++;
      }
    }
    Vec from = space.shapes().pivot(p);
    return p.pose().direct(lens.times(1.0 / n).minus(from)).unit();
  }

  @Test
  void aHeadStopsWhereItsYokeDoes() {
    Rooms stage = Rooms.stage();
    stage.put("t", "cafe-table", 1, -3);
    stage.put("s", "profile-spot", -1, -1, 180);
    stage.json("{'do':'aim','pieces':['s'],'to':'t'}");
    Change up = stage.json("{'do':'moveBy','pieces':['t'],'by':{'y':30}}").change();
    assertThat(stage.piece("s").lamp().head().tilt()).isEqualTo(-45);
    assertThat(LampSources.way(stage.space, stage.piece("s")).y())
        .isCloseTo(0.5 * Math.sqrt(2), within(1e-9));
    Piece before = up.reversed().apply(stage.space).piece("s");
    assertThat(before.lamp().head().tilt()).isPositive();
    stage.json("{'do':'aim','pieces':['s']}");
    assertThat(stage.piece("s").lamp().head()).isNull();
  }

  /** The pool of a field of 26° at a throw is twice the throw by the tangent of 13°. */
  @Test
  void aPoolIsAsWideAsItsFieldThrowsIt() {
    Rooms stage = Rooms.stage();
    stage.put("s", "profile-spot", 0, -2, 180);
    stage.json("{'do':'aim','pieces':['s'],'at':{'x':0,'y':0,'z':-4}}");
    LitPool p = LitPool.of(stage.space, LengthUnit.M).get(0);
    assertThat(p.diameter()).isCloseTo(2 * p.reach() * Math.tan(Math.toRadians(13)), within(1e-9));
    assertThat(p.lux())
        .isCloseTo(new Beam(19, 26).candela(11_000) / (p.reach() * p.reach()), within(1e-6));
    stage.json("{'do':'lamps','pieces':['s'],'filter':'#0000FF'}");
    assertThat(LampSources.of(stage.space).get(0).colour().blue()).isGreaterThan(5);
    assertThat(LampSources.of(stage.space).get(0).lumens()).isLessThan(11_000 * 0.08);
  }

  /**
   * Hung above the middle line and looking upstage, its left is stage left: there the blade cuts.
   */
  @Test
  void aShutterCutsThePoolOnItsOwnSide() {
    Rooms stage = Rooms.stage();
    stage.put("s", "profile-spot", 0, -2, 180);
    stage.json("{'do':'aim','pieces':['s'],'at':{'x':0,'y':0,'z':-4}}");
    LitPool whole = LitPool.of(stage.space, LengthUnit.M).get(0);
    double light = Lighting.of(stage.space, NIGHT, 8).lumens();
    stage.json("{'do':'shutters','pieces':['s'],'left':'30 %'}");
    LitPool cut = LitPool.of(stage.space, LengthUnit.M).get(0);
    double half = whole.diameter() / 2;
    double least = cut.ring().stream().mapToDouble(Vec::x).min().orElse(0);
    double most = cut.ring().stream().mapToDouble(Vec::x).max().orElse(0);
    assertThat(List.of(-least, most)).anyMatch(x -> Math.abs(x) > 0.95 * half);
    assertThat(least)
        .as("left, seen along a light that goes upstage, is -x")
        .isGreaterThan(-0.6 * half);
    LampSource l = LampSources.of(stage.space).get(0);
    assertThat(l.lux(new Vec(-0.5 * half, 0, -4), UP)).isZero();
    assertThat(l.lux(new Vec(0.5 * half, 0, -4), UP)).isPositive();
    assertThat(Lighting.of(stage.space, NIGHT, 8).lumens()).isBetween(0.5 * light, 0.95 * light);
    said(
        stage,
        "left shutter 20 %, the top shutter in by 5 %",
        "Left shutter 20 %, top shutter 5 %.");
    assertThat(stage.piece("s").lamp().shutters()).isEqualTo(new Shutters(0.2, 0, 0.05, 0));
    said(stage, "profile spots: shutters out", "Shutters out.");
    assertThat(stage.piece("s").lamp().shutters()).isNull();
    stage.json("{'do':'shutters','pieces':['s'],'left':0}");
    assertThat(stage.piece("s").lamp().shutters()).isNull();
    assertThatThrownBy(() -> stage.json("{'do':'shutters','pieces':['s'],'top':'120 %'}"))
        .hasMessageContaining("between 0 and 100 %");
    stage.put("w", "wash-light", 1, -2, 180);
    assertThatThrownBy(() -> stage.json("{'do':'shutters','pieces':['w'],'top':0.2}"))
        .hasMessageContaining("has no shutters");
  }

  /** What is typed of the lantern is done, and what is written of it is read as the same. */
  private static void said(Rooms stage, String typed, String written) {
    Ask ask = new Ask(stage.space, List.of("s"), LengthUnit.M, () -> "x");
    Edit e = Say.understand(ask, typed).edits().get(0);
    assertThat(Phrase.said(Sentences.write(stage.space, e, LengthUnit.M)).strip())
        .isEqualTo(written);
    assertThat(Say.understand(ask, written).edits()).containsExactly(e);
    stage.apply(e);
  }

  /**
   * A window to the south at noon: the patch lies straight before it, as deep as its height throws
   * it.
   */
  @Test
  void thePatchOfAWindowLiesWhereTheSunThrowsIt() {
    Rooms room = new Rooms();
    room.json("{'do':'removeParts','parts':" + openings(room) + "}");
    room.json("{'do':'build','north':180}"); // wall A looks south
    room.json("{'do':'opening','kind':'window','wall':'A','from':2,'width':1}");
    Day noon = new Day(50, 0, 0, LocalDate.of(2026, 3, 20), 12.12, Sky.clear);
    SunStudy s = SunStudy.of(room.space, noon);
    assertThat(s.patches()).hasSize(1);
    double tan = Math.tan(Math.toRadians(noon.sun().altitude()));
    double far = s.patches().get(0).stream().mapToDouble(p -> p.z()).max().orElse(0);
    double top = room.shell().openings().get(0).sill() + room.shell().openings().get(0).height();
    // the reveal of the wall takes from it what its thickness is
    assertThat(far).isCloseTo(top / tan - room.shell().thickness(), within(0.02));
    Vec lit = new Vec(2.5, 0, far - 0.4);
    List<SunStudy.SunSpan> hours = SunStudy.hours(room.space, noon, lit);
    assertThat(hours).hasSize(1);
    assertThat(hours.get(0).from()).isBetween(10.5, 12.2);
    assertThat(SunStudy.hours(room.space, noon, new Vec(0.3, 0, 3.5))).isEmpty();
    assertThat(SunStudy.of(room.space, NIGHT).patches()).isEmpty();
  }

  /** Lux under a lamp from its photometric file, against the sum by hand. */
  @Test
  void aLampShinesAsItsFileSays() {
    Rooms room = new Rooms();
    room.put("g", "globe-pendant", 3, 2, 30);
    // 1000 cd straight down, 500 at 60° to both sides and nothing beyond; twice as much along
    String file =
        "IESNA:LM-63-2002\\n[LUMINAIRE] Long lamp\\nTILT=NONE\\n1 -1 1 3 2 1 2 0 0 0 1 1 33"
            + "\\n0 60 90\\n0 90\\n1000 500 0\\n1000 250 0";
    room.json("{'do':'takeCurve','text':'" + file + "','pieces':['g']}");
    room.json("{'do':'lamps','pieces':['g'],'level':'50 %'}");
    LampSource l = LampSources.of(room.space).get(0);
    Vec below = l.at().plus(new Vec(0, -2, 0));
    assertThat(l.lux(below, UP)).isCloseTo(0.5 * 1000 / 4, within(1e-6));
    // 60° aside to the right of the piece: as far again, half of its light, a slant of a half
    Vec right = room.piece("g").pose().direct(new Vec(1, 0, 0));
    double away = 2 * Math.tan(Math.toRadians(60));
    assertThat(l.lux(below.plus(right.times(away)), UP))
        .isCloseTo(0.5 * 500 * 0.5 / 16, within(1e-6));
    Vec front = room.piece("g").pose().direct(new Vec(0, 0, 1));
    assertThat(l.lux(below.plus(front.times(away)), UP))
        .isCloseTo(0.5 * 250 * 0.5 / 16, within(1e-6));
    assertThat(LampLine.of(room.space).get(0).watts()).isEqualTo(16.5);
    // the same file once more is the same curve
    room.json("{'do':'takeCurve','text':'" + file + "'}");
    assertThat(room.space.showing().curves()).hasSize(1);
    room.json("{'do':'removeCurve','curve':'Long lamp'}");
    assertThat(LampSources.of(room.space).get(0).lumens()).isEqualTo(400);
  }

  private static String openings(Rooms room) {
    return room.shell().openings().stream()
        .map(o -> "'" + o.name().text() + "'")
        .toList()
        .toString();
  }

  /** Linear colours keep a lumen a lumen. */
  @Test
  void aLumenOfAnyColourIsALumen() {
    for (double k : new double[] {1900, 2700, 5600, 10_000}) {
      LinearColour c = LinearColour.of(k);
      assertThat(LinearColour.luminance(c.red(), c.green(), c.blue())).isCloseTo(1, within(1e-12));
    }
    assertThat(LinearColour.of(2700).red()).isGreaterThan(LinearColour.of(2700).blue());
  }
}
