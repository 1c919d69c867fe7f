package pied.core.caption;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.register.Tools;
import pied.core.tool.move.MoveTo;
import pied.core.tool.size.Handling;
import pied.core.tool.size.Likeness;
import pied.core.tool.size.Resize;
import pied.core.tool.turn.Turn;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

class CaptionTest {
  private final Rooms room = new Rooms();

  private List<Phrase> phrases(LengthUnit unit, String... ids) {
    return Caption.of(room.space, "Snug", List.of(ids), unit);
  }

  private static String sentence(List<Phrase> phrases) {
    return phrases.stream()
        .filter(p -> !(p instanceof Phrase.PhraseSwatch))
        .map(Phrase::text)
        .collect(Collectors.joining());
  }

  @Test
  void saysWhatIsSelectedHowLargeAndWhere() {
    room.put("s", "sideboard", 3, 1);
    assertThat(sentence(phrases(LengthUnit.M, "s")))
        .isEqualTo(
            "Oak sideboard — 1.60 wide × 0.45 deep × 0.82 high (each by itself), on the floor, underside at 0.00, top at 0.82, 0.775 from wall A behind"
                + " it, 2.20 from wall D on its left, 2.20 from wall B on its right, 2.775 from wall C in"
                + " front of it, facing 0°, at 3.00 across, 1.00 deep. ");
    assertThat(sentence(phrases(LengthUnit.FT, "s"))).contains("5' 3\" wide × 1' 5 11/16\" deep");
  }

  @Test
  void namesTheCarrierAndTheHeightAboveTheFloor() {
    room.put("s", "sideboard", 3, 1);
    room.put("l", "table-lamp", 3, 1);
    assertThat(sentence(phrases(LengthUnit.CM, "l")))
        .contains("on Oak sideboard, underside at 82.0");
    assertThat(phrases(LengthUnit.M, "l"))
        .filteredOn(p -> p instanceof Phrase.PhraseWord w && "s".equals(w.piece()))
        .as("a click on the carrier's name leads to it")
        .isNotEmpty();
  }

  @Test
  void saysSoWhereItOverlaps() {
    room.put("s", "sideboard", 3, 1);
    room.put("x", "stool", 3, 3);
    room.apply(new MoveTo(List.of("x"), new Edit.Place3(null, Rooms.typed("0"), Rooms.typed("1"))));
    assertThat(sentence(phrases(LengthUnit.M, "x"))).contains("overlapping Oak sideboard");
  }

  @Test
  void everyFieldMakesAnEditThatCanBeApplied() throws Exception {
    room.put("s", "sideboard", 3, 1);
    room.put("l", "table-lamp", 3, 1);
    ObjectMapper json = Tools.json();
    for (Phrase phrase : phrases(LengthUnit.M, "l")) {
      if (!(phrase instanceof Phrase.PhraseField p)) {
        continue;
      }
      ObjectNode edit = json.valueToTree(p.blank().edit());
      ObjectNode at = edit;
      String[] names = p.blank().slot().split("\\.");
      for (int i = 0; i + 1 < names.length; i++) {
        at = at.withObject("/" + names[i]);
      }
      at.put(names[names.length - 1], p.text().replace("°", ""));
      room.apply(json.treeToValue(edit, Edit.class));
      assertThat(room.piece("l").at().y()).as(p.label()).isCloseTo(0.82, within(1e-12));
    }
  }

  @Test
  void severalShareWhatTheyShare() {
    room.put("a", "dining-chair", 2, 1);
    room.put("b", "dining-chair", 4, 1, 90);
    String s = sentence(phrases(LengthUnit.M, "a", "b"));
    assertThat(s)
        .startsWith("2 pieces, the lead is Dining chair 2, picked last — 0.46 wide × 0.53 deep");
    assertThat(s).contains("facing various");
    assertThat(phrases(LengthUnit.M, "a", "b")).anyMatch(p -> p instanceof Phrase.PhraseSwatch);
  }

  @Test
  void nothingSelectedDescribesTheRoomAndSaysWhatToDo() {
    assertThat(sentence(phrases(LengthUnit.M)))
        .contains(
            "Snug — 6.00 across × 4.00 deep × 2.80 high, 24.0 m² of floor, with nothing in it yet")
        .contains("Drag something in from the catalog");
    assertThatThrownBy(() -> phrases(LengthUnit.M, "nobody")).isInstanceOf(Refusal.class);
  }

  @Test
  void oneNeighbourIsNamedOnceWithItsNearestSide() {
    // turned by half a right angle it has wall A behind it and on its right, and is nearer to one
    room.put("s", "sideboard", 2, 1.2, 30);
    String s = sentence(phrases(LengthUnit.M, "s"));
    assertThat(s.split("wall A", -1)).as(s).hasSize(2);
    double least = Double.POSITIVE_INFINITY;
    for (pied.core.measure.Reach r : pied.core.measure.Reach.of(room.space, room.piece("s"))) {
      least = r.to().equals("wall:A") ? Math.min(least, r.distance()) : least;
    }
    assertThat(s).contains(LengthUnit.M.fine(least) + " from wall A");
  }

  private List<Phrase> handled(Handling.HandlingAt at, String hold, String about, String... ids) {
    return Caption.of(
        room.space,
        "Room",
        List.of(ids),
        LengthUnit.M,
        new Handling(at, hold, about, null, false, null));
  }

  private static Edit edit(List<Phrase> phrases, String label) {
    return phrases.stream()
        .filter(p -> p instanceof Phrase.PhraseField f && f.label().equals(label))
        .map(p -> ((Phrase.PhraseField) p).blank().edit())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whileItIsSizedItSaysWhatStaysAndItsFieldsKeepToThat() {
    room.put("t", "trunk", 3, 2);
    List<Phrase> said = handled(Handling.HandlingAt.size, "left front under", null, "t");
    assertThat(sentence(said))
        .contains("the left front corner of its foot stays")
        .contains("By nature 0.95 × 0.52 × 0.56");
    assertThat(((Resize) edit(said, "Width")).hold()).isEqualTo("left front under");
    room.json("{'do':'size','pieces':['t'],'size':{'height':2},'beyond':'stretch'}");
    assertThat(sentence(handled(Handling.HandlingAt.size, null, null, "t")))
        .contains("stretched take a size it comes in")
        .contains("what touches or carries it stays");
  }

  @Test
  void whileSeveralAreSizedTheyAreMeasuredEachAndAsOne() {
    room.put("a", "block", 1, 1);
    room.put("b", "block", 3, 1.5);
    String said = sentence(handled(Handling.HandlingAt.size, null, null, "a", "b"));
    assertThat(said).contains("0.50 wide × 0.50 deep × 0.50 high for all (each by itself)");
    assertThat(said).contains("As one whole 2.50 across × 1.00 deep × 0.50 high");
  }

  @Test
  void whileItIsTurnedItSaysAboutWhatAndItsFieldsKeepToThat() {
    room.put("t", "trunk", 3, 2, 30);
    List<Phrase> said = handled(Handling.HandlingAt.turn, null, "right back under", "t");
    assertThat(sentence(said))
        .contains("faces 30°, turned about the right back corner of its foot")
        .contains("upright");
    assertThat(((Turn) edit(said, "Turn, degrees")).about()).isEqualTo("right back under");
    room.json("{'do':'lean','pieces':['t'],'toward':180,'by':90}");
    assertThat(sentence(handled(Handling.HandlingAt.turn, null, null, "t")))
        .contains("on its back");
    assertThat(sentence(phrases(LengthUnit.M, "t"))).contains("on its back");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2.05 | as tall as a door",
        "1.7 | as tall as a person",
        "0.73 | as tall as a table",
        "0.02 | lower than a cup",
        "21 | 12 times as tall as a person",
        "0.62 | a little taller than a person's knee",
      })
  void aHeightIsLikeSomethingEverybodyKnows(double height, String words) {
    assertThat(Likeness.of(height)).isEqualTo(words);
  }

  @Test
  void saysWhatIsLockedOrHiddenAndWhatUndoesThat() {
    room.put("a", "stool", 2, 1);
    room.put("b", "stool", 3, 1);
    room.json("{'do':'lock','pieces':['a'],'locked':true}");
    List<Phrase> one = phrases(LengthUnit.M, "a");
    assertThat(sentence(one)).startsWith("Stool, locked unlock — ");
    room.apply(action(one, "unlock"));
    assertThat(sentence(phrases(LengthUnit.M, "a"))).startsWith("Stool — ");
    room.json("{'do':'hide','pieces':['a'],'hidden':true}");
    assertThat(sentence(phrases(LengthUnit.M, "a", "b"))).startsWith("2 pieces, 1 hidden show, ");
    room.json("{'do':'newLayer','id':'far','name':'Far'}");
    room.json("{'do':'toLayer','pieces':['b'],'layer':'far'}");
    room.json("{'do':'layer','layer':'far','locked':true}");
    List<Phrase> far = phrases(LengthUnit.M, "b");
    assertThat(sentence(far))
        .startsWith("Stool 2, locked unlock the layer Far — ")
        .contains(", on the layer Far");
    room.apply(action(far, "unlock the layer Far"));
    assertThat(sentence(phrases(LengthUnit.M, "b"))).startsWith("Stool 2 — ");
    assertThat(sentence(phrases(LengthUnit.M, "a", "b"))).contains(", on various layers");
  }

  @Test
  void aGroupHasAnOutsideSizeAndAName() {
    room.put("a", "stool", 2, 1);
    room.put("b", "stool", 3, 1);
    room.put("c", "stool", 4, 1);
    room.json("{'do':'group','id':'g','pieces':['a','b'],'name':'Pair'}");
    double wide = 1 + room.piece("a").size().width();
    String w = LengthUnit.M.fine(wide);
    assertThat(sentence(phrases(LengthUnit.M, "b", "a")))
        .startsWith("Pair, a group of 2 pieces — " + w + " across × ");
    assertThat(sentence(phrases(LengthUnit.M, "a", "b", "c"))).startsWith("3 pieces, the lead is ");
    assertThat(sentence(phrases(LengthUnit.M, "a"))).startsWith("Stool — ");
  }

  private static Edit action(List<Phrase> phrases, String words) {
    return phrases.stream()
        .filter(p -> p instanceof Phrase.PhraseAction && p.text().equals(words))
        .map(p -> ((Phrase.PhraseAction) p).edit())
        .findFirst()
        .orElseThrow();
  }
}
