package pied.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.tool.keep.Remove;
import pied.core.tool.move.MoveTo;
import pied.core.tool.size.Resize;
import pied.core.tool.turn.Turn;
import pied.core.units.Refusal;

/** What is found wrong, by how much, and what puts it right. */
class SnagTest {
  private static final List<String> ARTICLES =
      List.of("stool", "cafe-table", "cup-and-saucer", "bottle", "crate");

  private final Rooms room = new Rooms();

  private Snag only() {
    List<Snag> all = Checks.of(room.space);
    assertThat(all).hasSize(1);
    return all.get(0);
  }

  private void cured(Snag snag) {
    room.apply(snag.remedy().edits().toArray(Edit[]::new));
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void whatHoversComesToRestByItsRemedy() {
    room.put("s", "stool", 2, 2);
    room.json("{'do':'moveTo','pieces':['s'],'to':{'y':0.5}}");
    Snag snag = only();
    assertThat(snag.kind()).isEqualTo(Snag.SnagKind.hovers);
    assertThat(snag.words()).isEqualTo("Stool stands on nothing.");
    cured(snag);
    assertThat(room.piece("s").at().y()).isZero();
  }

  @Test
  void whatIsOutsideIsBroughtInByItsRemedy() {
    room.put("s", "stool", 2, 2);
    room.json("{'do':'moveTo','pieces':['s'],'to':{'x':9,'y':0}}");
    Snag snag = only();
    assertThat(snag.kind()).isEqualTo(Snag.SnagKind.outside);
    cured(snag);
  }

  @Test
  void whatWouldTipIsToldByHowMuch() {
    room.put("t", "cafe-table", 2, 2);
    room.put("c", "typewriter", 2, 2);
    double edge = room.piece("t").size().width() / 2;
    // its middle 4 cm beyond the edge of the round top
    room.json(
        "{'do':'moveTo','pieces':['c'],'to':{'x':"
            + (2 + edge + 0.04)
            + ",'y':"
            + room.piece("t").size().height()
            + "}}");
    Snag snag = only();
    assertThat(snag.kind()).isEqualTo(Snag.SnagKind.unstable);
    // the round top has straight edges, and the middle of its mass is not quite that of its box
    assertThat(snag.amount()).isCloseTo(0.04, within(0.01));
  }

  @Test
  void ofTwoThatOverlapOneSaysSo() {
    room.put("a", "stool", 2, 2);
    room.put("b", "stool", 3, 2);
    room.json("{'do':'moveTo','pieces':['b'],'to':{'x':2.1,'y':0}}");
    Snag snag = only();
    assertThat(snag.kind()).isEqualTo(Snag.SnagKind.overlaps);
    assertThat(snag.piece()).isEqualTo("a");
    assertThat(snag.words()).isEqualTo("Stool overlaps Stool 2.");
    room.json("{'do':'rename','piece':'b','name':'The other'}");
    assertThat(only().words()).as("a name that is another now").endsWith("overlaps The other.");
  }

  @Property(tries = 15)
  void afterAnyEditsTheyAreThoseOfASpaceBuiltAnew(@ForAll Choices r) {
    Rooms rooms = new Rooms();
    for (int i = 0; i < 12; i++) {
      rooms.put("p" + i, ARTICLES.get(r.nextInt(ARTICLES.size())), in(r, 5.4), in(r, 3.4));
    }
    Checks.of(rooms.space);
    for (int i = 0; i < 12; i++) {
      String id = "p" + r.nextInt(12);
      if (!rooms.space.has(id)) {
        continue;
      }
      try {
        rooms.apply(any(r, id));
      } catch (Refusal e) {
        continue;
      }
      if (r.nextInt(3) > 0) { // not after every edit
        List<Piece> pieces = List.copyOf(rooms.space.pieces());
        Space anew = new Space(rooms.space.shell(), pieces, Rooms.SHAPES);
        assertThat(Checks.of(rooms.space)).isEqualTo(Checks.of(anew));
      }
    }
  }

  private static double in(Random r, double most) {
    return 0.3 + most * r.nextDouble();
  }

  private static Edit any(Random r, String id) {
    Amount x = Amount.of(in(r, 5.4));
    Amount z = Amount.of(in(r, 3.4));
    return switch (r.nextInt(5)) {
      case 0 -> new MoveTo(List.of(id), new Edit.Place3(x, null, z));
      case 1 -> new MoveTo(List.of(id), new Edit.Place3(x, Amount.of(r.nextDouble()), z));
      case 2 -> new Turn(List.of(id), null, Amount.of(360 * r.nextDouble()));
      case 3 ->
          new Resize(
              List.of(id), new Edit.Measures(null, null, Amount.of(0.3 + r.nextDouble())), null);
      default -> new Remove(List.of(id));
    };
  }
}
