package pied.core.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.check.Snag;
import pied.core.edit.Change;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Space;
import pied.core.units.Refusal;

class AloneTest {
  private final Rooms room = new Rooms();
  private final List<Change> done = new ArrayList<>();

  private Change does(String edit) {
    Change c = room.json(edit).change();
    done.add(c);
    return c;
  }

  /** The changes after one, the latest first. */
  private List<Change> after(int k) {
    List<Change> all = new ArrayList<>(done.subList(k + 1, done.size()));
    java.util.Collections.reverse(all);
    return all;
  }

  private Space without(int k) {
    Rebase r = new Alone(room.space, done.get(k), true, after(k)).made();
    assertThat(r.left()).isEmpty();
    return r.possible().apply(room.space);
  }

  private static String place(String id, String article, double x, double z) {
    return "{'do':'place','piece':'%s','article':'%s','at':{'x':%s,'z':%s}}"
        .formatted(id, article, x, z);
  }

  @Test
  void whatNothingLaterHasToDoWithIsTakenOutAndPutBack() {
    does(place("a", "stool", 1, 1));
    does(place("b", "stool", 3, 1));
    does("{'do':'turn','pieces':['a'],'by':30}");
    does("{'do':'moveBy','pieces':['b'],'by':{'x':0.5}}");
    does("{'do':'rename','piece':'a','name':'Mine'}"); // of the same, but nothing to do with its
    // turn
    Space out = without(2);
    assertThat(out.piece("a").turn()).isZero();
    assertThat(out.piece("a").name()).isEqualTo("Mine");
    assertThat(out.piece("b").at().x()).isEqualTo(3.5);
    Space back = new Alone(out, done.get(2), false, after(2)).made().possible().apply(out);
    assertThat(List.copyOf(back.pieces())).isEqualTo(List.copyOf(room.space.pieces()));
  }

  /** Without the first turn it would stand at 0 all the same: the last one would have turned it. */
  @Test
  void whatLaterStepsSetAgainIsRefusedThoughItIsAsItWas() {
    does(place("a", "stool", 1, 1));
    does("{'do':'turn','pieces':['a'],'by':30}");
    does("{'do':'turn','pieces':['a'],'by':-30}");
    does("{'do':'turn','pieces':['a'],'by':30}");
    does("{'do':'rename','piece':'a','name':'Mine'}");
    assertThatThrownBy(() -> without(1)).hasMessageContaining("Stool was changed since");
    assertThat(without(4).piece("a").name()).isEqualTo("Stool");
  }

  @Test
  void whatWasChangedSinceIsRefusedWithWhat() {
    does(place("a", "stool", 1, 1));
    does("{'do':'turn','pieces':['a'],'by':30}");
    does("{'do':'turn','pieces':['a'],'by':15}");
    assertThatThrownBy(() -> without(1))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(
            "cannot be taken out by itself: Stool was changed since: “Turned Stool");
  }

  @Test
  void whatCarriesSomethingThatCameSinceIsRefusedWithThat() {
    does(place("t", "cafe-table", 3, 2));
    does("{'do':'moveBy','pieces':['t'],'by':{'x':1}}");
    does(place("c", "cup-and-saucer", 4, 2));
    for (int k : new int[] {0, 1}) {
      assertThatThrownBy(() -> without(k))
          .hasMessageContaining("Cup and saucer stood on it since: “Put in Cup and saucer”");
    }
    // what stood there before, and went along, goes back along
    does("{'do':'moveBy','pieces':['t'],'by':{'z':0.5}}");
    Space out = without(3);
    assertThat(out.piece("c").at().z()).isEqualTo(2);
  }

  @Test
  void whatStoodOnSomethingThatIsElsewhereNowIsNotPutBackIntoTheAir() {
    does(place("t", "cafe-table", 3, 2));
    does(place("c", "cup-and-saucer", 3, 2));
    does("{'do':'moveBy','pieces':['c'],'by':{'x':1.5}}"); // held there
    does("{'do':'moveBy','pieces':['t'],'by':{'z':1}}");
    assertThatThrownBy(() -> without(2))
        .hasMessageContaining("Round café table was changed since: “Moved Round café table");
  }

  @Test
  void aPlatformOnWhichSomethingCameToStandStays() {
    does("{'do':'platform','at':{'x':2,'z':2},'width':3,'depth':3,'height':0.3}");
    does("{'do':'platform','part':'platform 1','height':0.5}");
    does(place("s", "stool", 2, 2));
    assertThatThrownBy(() -> without(1)).hasMessageContaining("Stool stood on it since");
    assertThatThrownBy(() -> without(0)).hasMessageContaining("Stool stood on it since");
  }

  private static String edit(Choices r, int i, List<String> ids) {
    String one = ids.isEmpty() ? "a" : ids.get(r.nextInt(ids.size()));
    return switch (r.nextInt(9)) {
      case 0, 1 ->
          place(
              "n" + i,
              List.of("bottle", "cafe-table", "stool").get(r.nextInt(3)),
              0.5 + 5 * r.nextDouble(),
              0.5 + 3 * r.nextDouble());
      case 2 -> "{'do':'remove','pieces':['%s']}".formatted(one);
      case 3 -> "{'do':'turn','pieces':['%s'],'by':%d}".formatted(one, 1 + r.nextInt(80));
      case 4 -> "{'do':'moveBy','pieces':['%s'],'by':{'x':%s}}".formatted(one, 0.05 * r.nextInt(9));
      case 5 -> "{'do':'rename','piece':'%s','name':'N%d'}".formatted(one, i);
      case 6 -> "{'do':'remark','pieces':['%s'],'remark':'r%d'}".formatted(one, i);
      case 7 -> "{'do':'toLayer','pieces':['%s'],'named':'L%d'}".formatted(one, r.nextInt(2));
      default -> "{'do':'settleOnto','pieces':['%s'],'onto':'t'}".formatted(one);
    };
  }

  private static Map<String, Piece> byId(Space s) {
    Map<String, Piece> all = new TreeMap<>();
    s.pieces().forEach(p -> all.put(p.id(), p));
    return all;
  }

  private static Set<String> hovering(Space s) {
    Set<String> all = new HashSet<>();
    Checks.of(s).stream()
        .filter(x -> x.kind() == Snag.SnagKind.hovers)
        .forEach(x -> all.add(x.piece()));
    return all;
  }

  @Property(tries = 150)
  void itIsTheHistoryWithoutThatStepOrRefusedWithTheReason(@ForAll Choices r) {
    room.space = Rooms.empty();
    done.clear();
    List<String> log = new ArrayList<>();
    List<Space> states = new ArrayList<>();
    room.put("t", "cafe-table", 3, 2);
    Space first = room.space;
    for (int i = 0; i < 12; i++) {
      List<String> ids = room.space.pieces().stream().map(Piece::id).toList();
      states.add(room.space);
      try {
        String edit = edit(r, i, ids);
        Change c = room.json(edit).change();
        if (!c.none()) {
          done.add(c);
          log.add(edit);
          continue;
        }
      } catch (Refusal e) {
        assertThat(e.getMessage()).isNotBlank();
      }
      states.remove(states.size() - 1);
    }
    for (int k = 0; k < done.size(); k++) {
      Space out;
      try {
        out = without(k);
      } catch (Refusal e) {
        refusedRightly(k, e);
        continue;
      }
      Space expected = first;
      for (int i = 0; i < done.size(); i++) {
        if (i != k) {
          Rebase next = Rebase.of(expected, done.get(i));
          assertThat(next.left()).as("step %d without step %d of %s", i, k, log).isEmpty();
          expected = next.possible().apply(expected);
        }
      }
      assertThat(byId(out)).as("without step %d of %s", k, log).isEqualTo(byId(expected));
      Set<String> before = hovering(room.space);
      before.addAll(hovering(states.get(k)));
      assertThat(before)
          .as("nothing hovers without step %d of %s", k, log)
          .containsAll(hovering(out));
    }
  }

  /** Something that came later is about a piece of it, about what stood on one, or about layers. */
  private void refusedRightly(int k, Refusal e) {
    assertThat(e.getMessage()).contains("by itself: ").contains(" since");
    Set<String> own = new HashSet<>();
    done.get(k).pieces().map(OfPiece::id).forEach(own::add);
    done.get(k)
        .reversed()
        .pieces()
        .filter(d -> d.piece() != null && d.piece().on().kind() == On.OnKind.piece)
        .forEach(d -> own.add(d.piece().on().id()));
    boolean met =
        after(k).stream()
            .anyMatch(
                c ->
                    c.filing()
                        || c.pieces()
                            .anyMatch(
                                d ->
                                    own.contains(d.id())
                                        || d.piece() != null
                                            && own.contains(String.valueOf(d.piece().on().id()))));
    assertThat(met || done.get(k).filing()).as(e.getMessage()).isTrue();
  }
}
