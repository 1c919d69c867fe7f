package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Change;
import pied.core.edit.Edit;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.space.Filing;
import pied.core.space.Space;
import pied.core.tool.group.IntoGroup;
import pied.core.tool.group.MakeGroup;
import pied.core.tool.keep.Copy;
import pied.core.tool.keep.Hide;
import pied.core.tool.keep.Remove;
import pied.core.tool.keep.Rename;
import pied.core.tool.layer.RemoveLayer;
import pied.core.tool.layer.ToLayer;
import pied.core.tool.move.MoveBy;
import pied.core.tool.place.Place;
import pied.core.tool.turn.LeanOver;
import pied.core.tool.turn.Turn;
import pied.core.units.Refusal;

/** Whatever was done, undone it is as it was: to the last bit, order included, also from text. */
class UndoPropertiesTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final List<String> ARTICLES = List.of("stool", "cafe-table", "bottle");

  private record State(List<Piece> pieces, List<Long> places, Filing filing) {
    static State of(Space s) {
      return new State(
          List.copyOf(s.pieces()),
          s.pieces().stream().map(p -> s.ordered(p.id()).place()).toList(),
          s.filing());
    }
  }

  @Property(tries = 40)
  @Tag("thorough")
  void undoAndRedoGoThroughTheSameStates(@ForAll Choices r) throws Exception {
    Rooms room = new Rooms();
    List<State> states = new ArrayList<>(List.of(State.of(room.space)));
    List<String> changes = new ArrayList<>();
    for (int i = 0; i < 25; i++) {
      Change change;
      try {
        change = room.apply(any(r, room.space, i)).change();
      } catch (Refusal e) {
        continue;
      }
      if (!change.none()) {
        changes.add(JSON.writeValueAsString(change));
        states.add(State.of(room.space));
      }
    }
    Space space = room.space;
    for (int i = changes.size() - 1; i >= 0; i--) {
      space = JSON.readValue(changes.get(i), Change.class).reversed().apply(space);
      assertThat(State.of(space)).isEqualTo(states.get(i));
    }
    for (int i = 0; i < changes.size(); i++) {
      space = JSON.readValue(changes.get(i), Change.class).apply(space);
      assertThat(State.of(space)).isEqualTo(states.get(i + 1));
    }
  }

  private static Edit any(Random r, Space space, int i) {
    List<String> ids = space.pieces().stream().map(Piece::id).toList();
    if (ids.size() < 3 || r.nextInt(4) == 0) {
      String article = ARTICLES.get(r.nextInt(ARTICLES.size()));
      Edit.PlanPoint at = new Edit.PlanPoint(amount(r, 1, 5), amount(r, 1, 3));
      return new Place("p" + i, article, null, at, null, null, null, null);
    }
    List<String> one = List.of(ids.get(r.nextInt(ids.size())));
    return switch (r.nextInt(12)) {
      case 7 -> new ToLayer(one, null, "L" + r.nextInt(3));
      case 8 -> new MakeGroup(ids.subList(0, 2 + r.nextInt(ids.size() - 2)), null, null);
      case 9 -> new IntoGroup(one, null);
      case 10 -> new Hide(one, r.nextBoolean(), null, null);
      case 11 -> new RemoveLayer(space.filing().layers().get(0).id(), null);
      case 0 -> new Remove(one);
      case 1 -> new Turn(one, null, amount(r, -400, 400));
      case 2 -> new LeanOver(one, amount(r, -400, 400), amount(r, -20, 20), null);
      case 3 -> new MoveBy(one, new Edit.Place3(amount(r, -0.3, 0.3), null, amount(r, -0.3, 0.3)));
      case 4 -> new Copy(one, null);
      case 5 -> new Rename(one.get(0), "n" + i);
      default -> new Remove(ids.subList(0, ids.size() / 2));
    };
  }

  private static Amount amount(Random r, double from, double to) {
    return Amount.of(from + (to - from) * r.nextDouble());
  }

  @Property
  void anAngleThatWasReadIsReadAgainAsItIs(@ForAll double toward) {
    if (!Double.isFinite(toward)) {
      return;
    }
    Lean once = new Lean(toward, 5);
    assertThat(new Lean(once.toward(), 5)).isEqualTo(once);
    assertThat(once.toward()).isGreaterThanOrEqualTo(0).isLessThan(360);
  }
}
