package pied.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.piece.Piece;
import pied.core.solid.Box;
import pied.core.space.Opening;
import pied.core.space.Space;
import pied.core.space.Subjects;
import pied.core.units.Deadline;

/**
 * A check of any subjects finds after edits what it would find in the same space looked at for the
 * first time, and looks at no more than the edits can have altered.
 */
class SubjectsTest {
  private static final double REACH = 0.6;

  private static Snag snag(String about, Object found) {
    return new Snag(about, Snag.SnagKind.outside, String.valueOf(found), null, null);
  }

  /** Says how far two are apart, if that is less than the reach. */
  private static final class Apart implements Check<PairSubjects.Pair> {
    private final List<String> looked = new ArrayList<>();

    @Override
    public Subjects<PairSubjects.Pair> subjects() {
      return new PairSubjects(REACH);
    }

    @Override
    public List<Snag> of(Space space, PairSubjects.Pair p) {
      looked.add(p.first().id() + p.second().id());
      double apart = p.first().at().minus(p.second().at()).length();
      return List.of(snag(p.first().id(), apart));
    }
  }

  /** Names what stands before an opening. */
  private static final class Before implements Check<Opening> {
    private final List<String> looked = new ArrayList<>();

    @Override
    public Subjects<Opening> subjects() {
      return new OpeningSubjects(REACH);
    }

    @Override
    public List<Snag> of(Space space, Opening o) {
      looked.add(o.id());
      Box hole = OpeningSubjects.box(space.shell(), o);
      List<String> there = new ArrayList<>();
      space.pieces().stream()
          .filter(p -> box(space, p).overlaps(grown(hole), 0))
          .forEach(p -> there.add(p.id()));
      return List.of(snag(o.id(), there));
    }

    private static Box grown(Box b) {
      var by = new pied.core.solid.Vec(REACH, REACH, REACH);
      return new Box(b.min().minus(by), b.max().plus(by));
    }

    private static Box box(Space space, Piece p) {
      return space.bodies().body(p.id()).box();
    }
  }

  private static final class Count implements Check<Space> {
    private int looks;

    @Override
    public Subjects<Space> subjects() {
      return new WholeSpace();
    }

    @Override
    public List<Snag> of(Space space, Space subject) {
      looks++;
      Map<String, Object> at = new TreeMap<>();
      space.pieces().forEach(p -> at.put(p.id(), p.at()));
      return List.of(snag("space", at));
    }
  }

  private static Rooms room() {
    Rooms room = new Rooms();
    for (int i = 0; i < 5; i++) {
      room.put("p" + i, "stool", 0.7 + i, 1 + 0.5 * i);
    }
    return room;
  }

  @Provide
  Arbitrary<List<String>> edits() {
    Arbitrary<String> id = Arbitraries.integers().between(0, 4).map(i -> "p" + i);
    Arbitrary<String> x = Arbitraries.of("0.5", "1.5", "2.5", "5.3");
    Arbitrary<String> z = Arbitraries.of("0.4", "1.4", "3.5");
    Arbitrary<String> move =
        Combinators.combine(id, x, z)
            .as(
                (p, a, b) ->
                    "{'do':'moveTo','pieces':['" + p + "'],'to':{'x':" + a + ",'z':" + b + "}}");
    Arbitrary<String> copy = id.map(p -> "{'do':'copy','pieces':['" + p + "'],'by':{'x':0.45}}");
    Arbitrary<String> turn = id.map(p -> "{'do':'turn','pieces':['" + p + "'],'by':20}");
    return Arbitraries.frequencyOf(
            net.jqwik.api.Tuple.of(6, move),
            net.jqwik.api.Tuple.of(1, copy),
            net.jqwik.api.Tuple.of(2, turn))
        .list()
        .ofMinSize(1)
        .ofMaxSize(6);
  }

  @Property(tries = 60)
  void afterEditsAsIfLookedAtForTheFirstTime(@ForAll("edits") List<String> edits) {
    Rooms room = room();
    List<Check<?>> checks = List.of(new Apart(), new Before(), new Count());
    checks.forEach(c -> Checks.found(room.space, c, Deadline.NONE));
    for (String e : edits) {
      room.json(e);
      Space anew =
          new Space(room.space.shell(), List.copyOf(room.space.pieces()), room.space.shapes());
      for (Check<?> c : checks) {
        assertThat(Checks.found(room.space, c, Deadline.NONE))
            .as(e)
            .isEqualTo(Checks.found(anew, c, Deadline.NONE));
      }
    }
  }

  @Test
  void onlyWhatAnEditCanAlterIsLookedAtAgain() {
    Rooms room = room();
    Apart apart = new Apart();
    Before before = new Before();
    Count count = new Count();
    Checks.found(room.space, apart, Deadline.NONE);
    Checks.found(room.space, before, Deadline.NONE);
    Checks.found(room.space, count, Deadline.NONE);
    apart.looked.clear();
    before.looked.clear();
    room.json("{'do':'turn','pieces':['p2'],'by':10}"); // in the middle of the room
    Checks.found(room.space, apart, Deadline.NONE);
    Checks.found(room.space, before, Deadline.NONE);
    Checks.found(room.space, count, Deadline.NONE);
    assertThat(apart.looked).allMatch(pair -> pair.contains("p2"));
    assertThat(before.looked).isEmpty();
    assertThat(count.looks).isEqualTo(2);
    // what is no matter of what is solid is no matter of a check
    room.json("{'do':'remark','pieces':['p2'],'remark':'mended'}");
    apart.looked.clear();
    Checks.found(room.space, apart, Deadline.NONE);
    assertThat(apart.looked).isEmpty();
  }
}
