package pied.core.tool.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.propose.Proposal;
import pied.core.propose.Question;
import pied.core.solid.Box;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;

class ListSentenceTest {
  private final Rooms room = new Rooms();

  private Proposal say(String text) {
    int[] n = {0};
    Question q = Question.of(text, List.of());
    return Proposal.of(room.space, q, LengthUnit.M, null, () -> "m" + n[0]++, Deadline.NONE);
  }

  private Box box(Piece p) {
    return p.pose().box(room.space.shapes().mesh(p).box());
  }

  @Test
  void differentThingsStandOnTheTableEachWithRoom() {
    room.put("t", "long-table", 3, 2, 30);
    Proposal p = say("a jug, a teapot, two tumblers and a bowl on the long table");
    assertThat(p.understood().wrong()).isNull();
    assertThat(p.refused()).isNull();
    room.space = p.outcome().space();
    List<Piece> on =
        room.space.pieces().stream().filter(x -> x.on().equals(On.piece("t"))).toList();
    assertThat(on)
        .extracting(Piece::article)
        .containsExactlyInAnyOrder("jug", "teapot", "tumbler", "tumbler", "bowl");
    for (Piece a : on) {
      for (Piece b : on) {
        assertThat(a == b || !box(a).overlaps(box(b), 0.001))
            .as(a.name() + " and " + b.name())
            .isTrue();
      }
    }
  }

  @Test
  void oneThingIsPlacedAsBefore() {
    room.put("t", "long-table", 3, 2);
    assertThat(say("a teapot on the long table").understood().edits()).hasSize(2);
  }
}
