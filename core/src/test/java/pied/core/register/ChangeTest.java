package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.edit.Change;
import pied.core.edit.Edits;
import pied.core.material.Finishes;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.space.Difference.OfFrame;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Ordered;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.tool.keep.Remove;
import pied.core.units.LengthUnit;

class ChangeTest {
  private final Rooms room = new Rooms();

  @BeforeEach
  void furnish() {
    room.put("a", "stool", 1, 1);
    room.put("b", "cafe-table", 3, 2);
    room.put("c", "cup-and-saucer", 3, 2);
  }

  private static List<String> order(Space s) {
    return s.pieces().stream().map(Piece::id).toList();
  }

  @Test
  void itHasEachThingOnceTheShellFirstAndWhatIsTheSameNotAtAll() {
    Space before = room.space;
    Space after = before.with(before.piece("a").withTurn(30)).without(List.of("c"));
    Change c = Change.between(before, after, Set.of("a", "b", "c"));
    assertThat(c.all()).hasSize(2);
    Space other = after.with(new Shell(before.shell().outline(), 3, 0.2, List.of(), Finishes.NONE));
    Change d = Change.between(before, other, Set.of("c", "b", "a"));
    // the frame, and the two openings that it no longer has
    assertThat(d.all()).hasSize(5);
    assertThat(d.all().get(0)).isInstanceOf(OfFrame.class);
    assertThat(d.pieces().map(OfPiece::id)).containsExactly("a", "c");
    assertThat(d.gone()).containsExactly("c");
    assertThat(d.shell()).isTrue();
    assertThat(Change.between(before, before, Set.of("a")).none()).isTrue();
  }

  @Test
  void reversedTwiceItIsItself() {
    Change c =
        Edits.apply(room.space, List.of(new Remove(List.of("b"))), LengthUnit.M, () -> "x")
            .change();
    assertThat(c.reversed().reversed()).isEqualTo(c);
    assertThat(c.reversed()).isNotEqualTo(c);
  }

  @Test
  void whatWasMadeIsWithoutWhatCameAlongOnIt() {
    Change removed =
        Change.between(room.space, room.space.without(List.of("b", "c")), Set.of("b", "c"));
    assertThat(removed.made()).isEmpty();
    assertThat(removed.reversed().made()).as("the cup is on the table").containsExactly("b");
    Change cup = Change.between(room.space, room.space.without(List.of("c")), Set.of("c"));
    assertThat(cup.reversed().made()).as("its table was there").containsExactly("c");
  }

  @Test
  void aPieceWithoutAPlaceGoesBehindAllOthers() {
    // as changes were stored at first
    Change old = new Change(List.of(new OfPiece(new Ordered(room.piece("a"), null), null)));
    Space without = old.apply(room.space);
    assertThat(order(without)).containsExactly("b", "c");
    assertThat(order(old.reversed().apply(without))).containsExactly("b", "c", "a");
    Piece turned = room.piece("a").withTurn(45);
    Change altered =
        new Change(
            List.of(new OfPiece(new Ordered(room.piece("a"), null), new Ordered(turned, null))));
    assertThat(order(altered.apply(room.space))).as("it stays").containsExactly("a", "b", "c");
  }

  @Test
  void aPieceThatComesToAnotherPlaceIsTakenOutAndPutIn() {
    Ordered was = room.space.ordered("a");
    Change c = new Change(List.of(new OfPiece(was, new Ordered(was.piece(), was.place() + 10))));
    assertThat(order(c.apply(room.space))).containsExactly("b", "c", "a");
    assertThat(order(c.reversed().apply(c.apply(room.space)))).containsExactly("a", "b", "c");
  }

  @Test
  void howAPieceIsKeptInOrderIsUndoneLikeAllElse() {
    Keeping kept = new Keeping("back", "set", true, true, "for the second act");
    Space after = room.space.with(room.piece("a").withKeeping(kept));
    Change c = Change.between(room.space, after, Set.of("a"));
    assertThat(c.changed()).extracting(Piece::keeping).containsExactly(kept);
    assertThat(c.reversed().apply(after).piece("a")).isEqualTo(room.piece("a"));
  }

  @Test
  void nothingThatWasNotThereAndIsNotCanBeSaid() {
    assertThatThrownBy(() -> new OfPiece(null, null)).isInstanceOf(IllegalArgumentException.class);
  }
}
