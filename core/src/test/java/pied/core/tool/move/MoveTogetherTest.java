package pied.core.tool.move;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.phrase.Phrase;
import pied.core.propose.Proposal;
import pied.core.propose.Question;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;

/** Several pieces, and groups, have one place together, and go by words. */
class MoveTogetherTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private final Rooms room = new Rooms();

  private Proposal say(String text, String... selected) {
    int[] n = {0};
    Question q = Question.of(text, List.of(selected));
    Proposal p = Proposal.of(room.space, q, LengthUnit.M, null, () -> "m" + n[0]++, Deadline.NONE);
    assertThat(p.refused()).isNull();
    assertThat(p.understood().wrong()).isNull();
    room.space = p.outcome().space();
    return p;
  }

  private void two() {
    room.put("a", "stool", 1, 1);
    room.put("b", "stool", 2, 1.5);
  }

  @Test
  void aPlaceIsThatOfAllOfThemAndTheyKeepTheirs() {
    two();
    Proposal p = say("at 3, 2", "a", "b");
    assertThat(room.piece("a").at().x()).isEqualTo(2.5, EXACT);
    assertThat(room.piece("b").at().x()).isEqualTo(3.5, EXACT);
    assertThat(room.piece("a").at().z()).isEqualTo(1.75, EXACT);
    String words = Phrase.said(p.understood().words());
    assertThat(words).startsWith("Together at 3");
    say(words.replace(".", "").replace("3,", "3.0,"), "a", "b");
  }

  @Test
  void oneAloneIsWhereItIsSaidToBe() {
    two();
    say("at 3, 2", "a");
    assertThat(room.piece("a").at().x()).isEqualTo(3, EXACT);
  }

  @Test
  void soFarThatWayNeedsNoVerb() {
    two();
    room.json("{'do':'group','pieces':['a','b'],'id':'g'}");
    say("0.6 to the right", "a", "b");
    assertThat(room.piece("a").at().x()).isEqualTo(1.6, EXACT);
    say("move 20 cm to the front", "a", "b");
    assertThat(room.piece("b").at().z()).isEqualTo(1.7, EXACT);
    assertThat(room.piece("b").at().x()).isEqualTo(2.6, EXACT);
  }

  @Test
  void onAStageTheWaysAreItsWords() {
    Rooms stage = Rooms.stage();
    room.space = stage.space;
    room.put("a", "stool", 1, -2);
    say("0.5 stage right", "a");
    assertThat(room.piece("a").at().x()).isEqualTo(0.5, EXACT);
    say("0.5 upstage", "a");
    assertThat(room.piece("a").at().z()).isEqualTo(-2.5, EXACT);
  }
}
