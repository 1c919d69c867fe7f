package pied.core.tool.finish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.catalog.Catalog;
import pied.core.material.Appearance;
import pied.core.material.Finish;
import pied.core.material.Laying;
import pied.core.material.Material;
import pied.core.material.Materials;
import pied.core.phrase.Phrase;
import pied.core.piece.Shapes;
import pied.core.propose.Say;
import pied.core.say.Ask;
import pied.core.solid.Vec;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** Giving finishes, laying their patterns, and saying so. */
class FinishTest {
  private final Rooms room = new Rooms();

  @BeforeEach
  void threeChairs() {
    room.put("a", "dining-chair", 1, 2);
    room.put("b", "dining-chair", 2, 2);
    room.put("c", "dining-chair", 3, 2);
    room.put("s", "sideboard", 4, 1);
  }

  private Finish seat(String chair) {
    return room.space
        .article(room.piece(chair))
        .look("seat", room.piece(chair).finishes())
        .finish();
  }

  private static String said(List<Phrase> phrases) {
    return phrases.stream().map(Phrase::text).collect(Collectors.joining());
  }

  @Test
  void aMaterialComesAsItIsAndWithAColourInThat() {
    room.json("{'do':'finish','pieces':['a'],'part':'seat','finish':{'material':'velvet'}}");
    assertThat(seat("a").material()).isEqualTo("velvet");
    assertThat(seat("a").colour()).isEqualTo("#5E3348");
    assertThat(seat("a").sheen()).isEqualTo(1);
    room.json("{'do':'recolour','pieces':['a'],'part':'seat','colour':'moss green'}");
    assertThat(seat("a").material()).isEqualTo("velvet");
    assertThat(seat("a").colour()).isEqualTo("#6A7B4B");
    // a colour alone leaves what it is made of
    room.json("{'do':'finish','pieces':['a'],'part':'seat','finish':{'colour':'#112233'}}");
    assertThat(seat("a").material()).isEqualTo("velvet");
    room.json("{'do':'finish','pieces':['a'],'part':'seat','finish':null}");
    assertThat(room.piece("a").finishes().isEmpty()).isTrue();
  }

  @Test
  void allJustLikeItAreThoseThatHadTheSame() {
    room.json("{'do':'recolour','pieces':['c'],'part':'seat','colour':'#102030'}");
    room.json(
        "{'do':'finish','pieces':['a'],'part':'seat','finish':{'material':'felt'},'alike':'like'}");
    assertThat(seat("b").material()).isEqualTo("felt");
    assertThat(seat("c").material()).isEqualTo("wool");
    room.json(
        "{'do':'finish','pieces':['a'],'part':'seat','finish':{'material':'leather'},"
            + "'alike':'article'}");
    assertThat(Set.of("a", "b", "c")).allMatch(id -> seat(id).material().equals("leather"));
    assertThat(room.piece("s").finishes().isEmpty()).isTrue();
  }

  @Test
  void ofOneWallAndOfAllWalls() {
    room.json("{'do':'decorate','part':'wall:A','finish':{'material':'paper-sprig'}}");
    assertThat(ShellBodies.looks(room.shell()).get("wall:A").material()).isEqualTo("paper-sprig");
    assertThat(ShellBodies.looks(room.shell()).get("wall:B").material()).isEqualTo("plaster");
    room.json("{'do':'decorate','part':'wall','finish':{'material':'brick'}}");
    assertThat(ShellBodies.looks(room.shell()).get("wall:A").material()).isEqualTo("brick");
    assertThatThrownBy(
            () -> room.json("{'do':'decorate','part':'moon','finish':{'material':'brick'}}"))
        .hasMessageContaining("no part “moon”");
    assertThatThrownBy(
            () -> room.json("{'do':'decorate','part':'floor','finish':{'material':'gold'}}"))
        .hasMessageContaining("no material “gold”");
  }

  @Test
  void aPatternIsTurnedAndMovedAsOneTypes() {
    room.json("{'do':'decorate','part':'floor','finish':{'material':'oak-herringbone'}}");
    room.json("{'do':'lay','part':'floor','turn':'45','across':'10cm','width':0.09}");
    Finish floor = ShellBodies.looks(room.shell()).get("floor");
    assertThat(floor.laid().turn()).isEqualTo(45);
    assertThat(floor.laid().across()).isEqualTo(0.1);
    Appearance.Tiled tile = Appearance.of(floor).tile();
    assertThat(tile.width()).isCloseTo(0.9, within(1e-12)); // ten blocks of 0.09
    // where it begins it begins, and along its turned direction one repeat is one repeat
    double[] m = tile.matrix();
    assertThat(m[0] * 0.1 + m[2]).isCloseTo(0, within(1e-12));
    assertThat(m[3] * 0.1 + m[5]).isCloseTo(0, within(1e-12));
    double step = 0.9 / Math.sqrt(2);
    assertThat(m[0] * (0.1 + step) + m[1] * -step + m[2]).isCloseTo(1, within(1e-12));
    assertThat(m[3] * (0.1 + step) + m[4] * -step + m[5]).isCloseTo(0, within(1e-12));
    assertThatThrownBy(() -> room.json("{'do':'lay','part':'floor','width':'40m'}"))
        .hasMessageContaining("from 2 mm to 20 m");
    assertThatThrownBy(() -> room.json("{'do':'lay','part':'ceiling','turn':5}"))
        .hasMessage("Matt paint has no pattern that could lie otherwise.");
  }

  @Test
  void theSentenceNamesItInWordsAndOffersItToTheOthers() {
    room.json("{'do':'finish','pieces':['a'],'part':'seat','finish':{'material':'felt'}}");
    List<Phrase> phrases =
        FinishCaption.of(room.space, new FinishTarget(List.of("a"), "seat"), null, LengthUnit.M);
    assertThat(said(phrases))
        .startsWith("Seat of Dining chair: felt, in moss green, turned by 0°")
        .contains("All of these too: 2")
        .contains("As it comes");
    List<Phrase> wall =
        FinishCaption.of(room.space, new FinishTarget(null, "wall:A"), null, LengthUnit.M);
    assertThat(said(wall)).startsWith("Wall A: plaster, in ");
  }

  @Test
  void onePointsAtTheNearestPart() {
    Vec above = new Vec(1, 5, 2.05);
    FinishTarget seat = FinishSight.at(room.space, above, Vec.DOWN, Set.of("ceiling"));
    assertThat(seat).isEqualTo(new FinishTarget(List.of("a"), "seat"));
    assertThat(FinishSight.at(room.space, above, Vec.DOWN, Set.of()).part()).isEqualTo("ceiling");
    FinishTarget floor = FinishSight.at(room.space, new Vec(5, 5, 3), Vec.DOWN, Set.of("ceiling"));
    assertThat(floor).isEqualTo(new FinishTarget(null, "floor"));
    assertThatThrownBy(() -> FinishSight.at(room.space, above, Vec.ZERO, Set.of()))
        .hasMessageContaining("line of sight");
  }

  @Test
  void whatShinesGoesOnShining() {
    room.put("l", "floor-lamp", 5, 3);
    room.json("{'do':'finish','pieces':['l'],'part':'shade','finish':{'material':'paper'}}");
    Finish shade =
        room.space.article(room.piece("l")).look("shade", room.piece("l").finishes()).finish();
    assertThat(shade.emission()).isEqualTo(0.55);
    assertThat(Palette.of(List.of(room.space))).hasSize(1);
    assertThat(Palette.of(List.of(room.space)).get(0).finish().emission()).isNull();
  }

  /** A room whose only picture is twice as wide as high. */
  private static Rooms withPicture() {
    Rooms r = new Rooms();
    Shapes shapes = new Shapes(Catalog.shipped(), print -> new byte[] {1});
    r.space = new Space(r.space.shell(), List.of(), shapes);
    r.put("f", "framed-print", 2, 0.1);
    return r;
  }

  private static final String WIDE = "picture-0123456789abcdef01234567-800x400_Sea";

  @Test
  void aPictureFillsThePartItIsGivenTo() {
    Rooms r = withPicture();
    r.json("{'do':'finish','pieces':['f'],'part':'picture','finish':{'material':'" + WIDE + "'}}");
    Laying l = r.piece("f").finishes().of("picture").laid();
    // the print is 0.564 x 0.764 behind a frame of 0.018; twice as wide as high covers it
    assertThat(l.width()).isCloseTo(1.528, within(1e-6));
    assertThat(l.across()).isCloseTo(-0.764, within(1e-6));
    assertThat(l.up()).isCloseTo(0.782, within(1e-6));
    assertThat(
            Appearance.of(
                    r.space.article(r.piece("f")).look("picture", r.piece("f").finishes()).finish())
                .tile()
                .height())
        .isCloseTo(0.764, within(1e-6));
  }

  @Test
  void aPictureThatIsSoWideIsLaidSo() {
    Rooms r = withPicture();
    FinishTarget print = new FinishTarget(List.of("f"), "picture");
    Finish wide =
        new Finish(null, null, null, null, null, null, null, null, WIDE, Laying.wide(0.3));
    Finish trial = print.with(wide, r.space);
    r.json(
        "{'do':'finish','pieces':['f'],'part':'picture','finish':{'material':'"
            + WIDE
            + "','laid':{'width':0.3}}}");
    assertThat(r.piece("f").finishes().of("picture").laid()).isEqualTo(Laying.wide(0.3));
    assertThat(print.shown(r.space)).isEqualTo(trial);
    String words = said(FinishCaption.of(r.space, print, null, LengthUnit.of("m")));
    assertThat(words)
        .startsWith("Picture of Framed print: picture “Sea”, turned by 0°, one is 0.30");
    assertThat(words).contains("Make it seamless");
    // a colour takes its place
    r.json("{'do':'finish','pieces':['f'],'part':'picture','finish':{'colour':'#112233'}}");
    assertThat(print.shown(r.space).material()).isEqualTo("paper");
  }

  @Test
  void aPictureThatIsNotThereIsRefused() {
    room.put("f", "framed-print", 2, 0.1);
    assertThatThrownBy(
            () ->
                room.json(
                    "{'do':'finish','pieces':['f'],'part':'picture','finish':{'material':'"
                        + WIDE
                        + "'}}"))
        .hasMessageContaining("bring it in again");
  }

  @Test
  void everyMaterialIsReadByItsName() {
    for (Material m : Materials.shipped()) {
      if (m.plain()) {
        continue;
      }
      Ask ask = new Ask(room.space, List.of(), LengthUnit.M, () -> "x");
      String text = "paint the floor " + m.said();
      assertThat(Say.understand(ask, text).edits())
          .as(text)
          .singleElement()
          .extracting(e -> ((Decorate) e).finish().material())
          .isEqualTo(m.id());
    }
  }
}
