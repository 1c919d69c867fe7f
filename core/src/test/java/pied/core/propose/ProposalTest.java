package pied.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.edit.Wanting;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.point.Pointed;
import pied.core.register.Begin;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.keep.Lock;
import pied.core.tool.keep.Remove;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.row.Row;
import pied.core.tool.row.RowBuilder;
import pied.core.tool.turn.Turn;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** One answer to whatever is asked, and what is done with it is what it says. */
class ProposalTest {
  private final AtomicInteger ids = new AtomicInteger();
  private final Rooms room = new Rooms();

  private Proposal ask(Space space, Question q) {
    return Proposal.of(
        space, q, LengthUnit.M, null, () -> "n" + ids.incrementAndGet(), Deadline.seconds(20));
  }

  private Proposal ask(Question q) {
    return ask(room.space, q);
  }

  /** What its edits and its ids lead to, done by somebody else. */
  private static Outcome done(Space space, Proposal p) {
    Iterator<String> given = p.ids().iterator();
    return Edits.apply(space, p.understood().edits(), LengthUnit.M, given::next);
  }

  @Test
  void whatIsShownIsWhatItsEditsDoOverAWholeRoomOfSentences() throws IOException {
    Space space = new Space(Rooms.teaRoom().shell(), List.of(), Rooms.SHAPES);
    List<String> chosen = List.of();
    int acts = 0;
    for (String line : Files.readAllLines(Path.of("..", "docs", "tea-room.txt"))) {
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      Proposal p = ask(space, Question.of(line.strip(), chosen));
      assertThat(p.understood().wrong()).as(line).isNull();
      assertThat(p.refused()).as(line).isNull();
      if (p.outcome() != null) {
        assertThat(done(space, p).change()).as(line).isEqualTo(p.outcome().change());
        space = p.outcome().space();
        acts++;
      }
      chosen = p.selected();
      assertThat(chosen).as(line).allMatch(space::has);
    }
    assertThat(acts).isGreaterThan(20);
  }

  @Test
  void whatComesAfterThenIsOfWhatWasMadeUnderTheSameIds() {
    room.put("s", "stool", 1, 2);
    Proposal p = ask(Question.of("a jug at 4, 3.6 then turn 30", List.of()));
    Outcome again = done(room.space, p);
    assertThat(again.change()).isEqualTo(p.outcome().change());
    Piece jug = again.space().piece(p.selected().get(0));
    assertThat(jug.turn()).isEqualTo(30);
  }

  @Test
  void aVerbIsProposedInWordsAndItsRowIsSelectedOnceItIsDone() {
    room.put("s", "stool", 1, 2);
    Proposal p = ask(new Question(null, Begin.row, null, List.of("s"), null, null, false, false));
    assertThat(Phrase.said(p.understood().words())).isNotBlank();
    assertThat(p.outcome().change().made()).isNotEmpty();
    assertThat(p.selected()).contains("s").containsAll(p.outcome().change().made());
    // with fewer of them all that are left are selected, whichever of them was
    Space made = p.outcome().space();
    Group group = made.filing().group(made.piece("s").keeping().group());
    Row now = (Row) Arrangement.of(group).adjusting(group.id());
    Edit fewer = RowBuilder.builder(now).count(Amount.of(2)).build();
    Proposal two =
        ask(made, new Question(List.of(fewer), null, null, List.of("s"), null, null, false, false));
    assertThat(two.outcome().space().pieces()).hasSize(2);
    assertThat(two.selected()).hasSize(2);
    // what alters no rule leaves selected what was
    Edit turn = new Turn(List.of("s"), null, Amount.of(30));
    Question one = new Question(List.of(turn), null, null, List.of("s"), null, null, false, false);
    assertThat(ask(made, one).selected()).containsExactly("s");
  }

  @Test
  void whatIsTriedIsInHandWithItsCaption() {
    room.put("s", "stool", 1, 2);
    Edit turn = new Turn(List.of("s"), null, Amount.of(30));
    Proposal p = ask(Question.of(List.of(turn)));
    assertThat(p.hand().id()).isEqualTo("s");
    assertThat(p.hand().turn()).isEqualTo(30);
    assertThat(Phrase.said(p.caption("Room", LengthUnit.M))).contains("Stool").contains("30");
    assertThat(p.selected()).isEmpty();
  }

  @Test
  void whatCannotBeDoneIsSaidInTheAnswerWithWhatCouldBe() {
    room.put("s", "stool", 1, 2);
    room.apply(new Lock(List.of("s"), true, null));
    Edit turn = new Turn(List.of("s"), null, Amount.of(30));
    Proposal locked = ask(Question.of(List.of(turn)));
    assertThat(locked.refused()).isInstanceOf(Declined.class);
    assertThat(locked.understood().edits()).containsExactly(turn);
    assertThat(locked.outcome()).isNull();
    assertThat(locked.ids()).isEmpty();
    Proposal second = ask(Question.of(List.of(turn, turn)));
    assertThat(second.refused().getMessage()).startsWith("Edit 1: ");
    Proposal nobody =
        ask(new Question(null, Begin.row, null, List.of("nobody"), null, null, false, false));
    assertThat(nobody.refused()).hasMessageContaining("nobody");
    Proposal trail =
        ask(new Question(null, Begin.trail, null, List.of("s"), at(1, 1), null, false, false));
    assertThat(trail.refused()).isInstanceOf(Wanting.class);
  }

  @Test
  void aQuestionIsOfOneThing() {
    Edit turn = new Turn(List.of("s"), null, Amount.of(30));
    assertThatThrownBy(() -> Question.of(List.of())).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> new Question(null, null, null, null, null, null, false, false))
        .hasMessageContaining("no edits");
    assertThatThrownBy(
            () -> new Question(List.of(turn), null, "turn 30", null, null, null, false, false))
        .hasMessageContaining("not of several");
    assertThatThrownBy(
            () -> new Question(List.of(turn, turn), null, null, null, null, null, true, false))
        .hasMessageContaining("for one edit, not for 2");
  }

  // ---- pointing from where one looks

  private static Pointed at(double x, double z) {
    return Pointed.at(new Spot(x, z), null, null, 0.1);
  }

  private static Pointed sight(Vec from, Vec to) {
    Vec along = to.minus(from);
    return new Pointed(null, new Edit.Sight(from, along), null, null, 0.1);
  }

  @Test
  void aClickInTheSetViewIsThePointOfTheFloorThatIsSeen() {
    Vec eye = new Vec(3, 2.5, 5);
    Pointed floor = sight(eye, new Vec(2, 0, 1)).seen(room.space);
    assertThat(floor.at().x()).isEqualTo(2, within(1e-9));
    assertThat(floor.at().z()).isEqualTo(1, within(1e-9));
    assertThatThrownBy(() -> sight(eye, new Vec(3, 9, 1)).seen(room.space))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> new Pointed(null, null, null, null, 0.1).seen(room.space))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void onAPlatformItIsThePointOfItsTop() {
    room.json("{'do':'platform','at':{'x':3,'z':2},'width':2,'depth':2,'height':0.5}");
    Vec eye = new Vec(3, 2.5, 3.9);
    // from the eye to the middle of the top, half a metre up; on the floor that would be beyond it
    Pointed top = sight(eye, new Vec(3, 0.5, 2)).seen(room.space);
    assertThat(top.at().z()).isEqualTo(2, within(1e-6));
  }

  @Test
  void whatIsCutAloneIsPartedFromItsTwin() {
    room.put("s", "stool", 1, 2);
    assertThat(Remove.alone(room.space, List.of("s"))).containsExactly(new Remove(List.of("s")));
    Proposal twins =
        ask(new Question(null, Begin.twin, null, List.of("s"), null, null, false, false));
    Space both = twins.outcome().space();
    assertThat(both.pieces()).hasSize(2);
    assertThat(twins.selected()).as("its twin follows it").containsExactly("s");
    Space left =
        Edits.apply(both, Remove.alone(both, List.of("s")), LengthUnit.M, () -> "x").space();
    assertThat(left.pieces()).hasSize(1);
    assertThat(left.pieces().iterator().next().keeping().twin()).isNull();
  }
}
