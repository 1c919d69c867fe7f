package pied.core.caption;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import pied.core.Refusal;
import pied.core.Rooms;
import pied.core.edit.Edit;
import pied.core.edit.place.MoveTo;
import pied.core.units.LengthUnit;

class CaptionTest {
  private final Rooms room = new Rooms();

  private List<Phrase> phrases(LengthUnit unit, String... ids) {
    return Caption.of(room.space, "Snug", List.of(ids), unit);
  }

  private static String sentence(List<Phrase> phrases) {
    return phrases.stream()
        .filter(p -> !(p instanceof Phrase.Swatch))
        .map(Phrase::text)
        .collect(Collectors.joining());
  }

  @Test
  void saysWhatIsSelectedHowLargeAndWhere() {
    room.put("s", "sideboard", 3, 1);
    assertThat(sentence(phrases(LengthUnit.M, "s")))
        .isEqualTo(
            "Oak sideboard — 1.60 wide × 0.45 deep × 0.82 high, on the floor, underside at 0.00, top at 0.82, 0.775 from wall A behind"
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
        .filteredOn(p -> p instanceof Phrase.Word w && "s".equals(w.piece()))
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
    ObjectMapper json = new ObjectMapper();
    for (Phrase phrase : phrases(LengthUnit.M, "l")) {
      if (!(phrase instanceof Phrase.Field p)) {
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
    assertThat(phrases(LengthUnit.M, "a", "b")).anyMatch(p -> p instanceof Phrase.Swatch);
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
}
