package pied.core.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.edit.Change;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.Refusal;

/** A change undone where others went on meanwhile. */
class RebaseTest {
  private Rooms room;

  @BeforeEach
  void furnish() {
    room = new Rooms();
    room.put("a", "stool", 1, 1);
    room.put("b", "stool", 2, 1);
    room.put("t", "cafe-table", 4, 2);
  }

  private Rebase undo(Change change) {
    return Rebase.of(room.space, change.reversed());
  }

  @Test
  void whereNobodyWentOnItIsTheChangeItself() {
    Space before = room.space;
    Change change = room.json("{'do':'turn','pieces':['a','b'],'by':30}").change();
    Rebase r = undo(change);
    assertThat(r.left()).isEmpty();
    assertThat(r.possible()).isEqualTo(change.reversed());
    assertThat(r.possible().apply(room.space).pieces()).containsExactlyElementsOf(before.pieces());
  }

  @Test
  void anotherAspectOfTheSamePieceStays() {
    Change turned = room.json("{'do':'turn','pieces':['a'],'by':30}").change();
    room.json("{'do':'rename','piece':'a','name':'Other'}");
    room.json("{'do':'lock','pieces':['a'],'locked':true}");
    Rebase r = undo(turned);
    assertThat(r.left()).isEmpty();
    Piece a = r.possible().apply(room.space).piece("a");
    assertThat(a.turn()).isZero();
    assertThat(a.name()).isEqualTo("Other");
    assertThat(a.keeping().locked()).isTrue();
  }

  @Test
  void whatWasMovedSinceIsLeftAndTheRestIsPossible() {
    Change turned = room.json("{'do':'turn','pieces':['a','b'],'by':30}").change();
    room.json("{'do':'moveBy','pieces':['b'],'by':{'x':0.2}}");
    Rebase r = undo(turned);
    assertThat(r.left()).containsExactly("Stool 2");
    assertThat(r.possible().pieces().map(d -> d.id())).containsExactly("a");
  }

  @Test
  void ofTwoDoorsEachIsUndoneByItself() {
    Change mine =
        room.json("{'do':'opening','kind':'door','wall':'A','from':0.5,'width':0.8}").change();
    Change theirs =
        room.json("{'do':'opening','kind':'window','wall':'C','from':2,'width':1}").change();
    room.json("{'do':'paint','part':'wall','colour':'#102030'}");
    Rebase r = undo(mine);
    assertThat(r.left()).isEmpty();
    Space then = r.possible().apply(room.space);
    assertThat(then.shell().openings()).extracting(o -> o.wall()).containsExactly("C", "B", "C");
    assertThat(then.shell().finishes()).isEqualTo(room.space.shell().finishes());
    // done again it is where it was among them, and the other is as it is
    Space back = Rebase.of(then, mine).possible().apply(then);
    assertThat(back.shell()).isEqualTo(room.space.shell());
    assertThat(undo(theirs).left()).isEmpty();
  }

  @Test
  void whatOthersBuiltWhereItWasLeavesNoRoomForIt() {
    room.json("{'do':'opening','kind':'door','wall':'A','from':0.5,'width':0.8}");
    String id = room.space.shell().openings().get(2).id();
    Change moved = room.json("{'do':'opening','part':'" + id + "','from':3}").change();
    room.json("{'do':'opening','kind':'window','wall':'A','from':0.6,'width':1}");
    Rebase r = undo(moved);
    assertThat(r.possible().none()).isTrue();
    assertThat(r.left()).containsExactly("the room itself");
  }

  @Test
  void whatWouldLoseItsCarrierLayerOrGroupIsLeft() {
    Change put =
        room.json("{'do':'place','piece':'n','article':'cafe-table','at':{'x':5,'z':3}}").change();
    room.put("u", "cup-and-saucer", 5, 3);
    assertThat(undo(put).left()).containsExactly("Round café table 2");
    Change layer = room.json("{'do':'newLayer','id':'l','name':'New'}").change();
    room.json("{'do':'toLayer','pieces':['a'],'layer':'l'}");
    Rebase r = undo(layer);
    assertThat(r.left()).containsExactly("layers and groups");
    assertThat(r.possible().none()).isTrue();
    Change group = room.json("{'do':'group','id':'g','pieces':['a','b']}").change();
    room.json("{'do':'intoGroup','pieces':['t'],'group':'g'}");
    assertThat(undo(group).left()).contains("layers and groups");
  }

  @Test
  void whatIsGoneSinceIsSaid() {
    Change turned = room.json("{'do':'turn','pieces':['a'],'by':30}").change();
    room.json("{'do':'remove','pieces':['a']}");
    assertThat(undo(turned).left()).containsExactly("Stool");
    assertThat(undo(turned).possible().none()).isTrue();
  }

  @Property(tries = 60)
  void whateverIsPossibleLeavesASoundSpace(@ForAll Choices r) {
    furnish();
    List<Change> changes = new ArrayList<>();
    for (int i = 0; i < 14; i++) {
      List<String> ids = room.space.pieces().stream().map(Piece::id).toList();
      String one = ids.isEmpty() ? "a" : ids.get(r.nextInt(ids.size()));
      String edit =
          switch (r.nextInt(7)) {
            case 0 ->
                "{'do':'place','piece':'n%d','article':'%s','at':{'x':%f,'z':%f}}"
                    .formatted(
                        i,
                        r.nextBoolean() ? "bottle" : "cafe-table",
                        0.5 + 5 * r.nextDouble(),
                        0.5 + 3 * r.nextDouble());
            case 1 -> "{'do':'remove','pieces':['%s']}".formatted(one);
            case 2 -> "{'do':'toLayer','pieces':['%s'],'named':'L%d'}".formatted(one, r.nextInt(2));
            case 3 -> "{'do':'turn','pieces':['%s'],'by':%d}".formatted(one, 1 + r.nextInt(80));
            case 4 -> "{'do':'group','pieces':['%s','t'],'id':'g%d'}".formatted(one, i);
            case 5 -> "{'do':'moveBy','pieces':['%s'],'by':{'x':0.05}}".formatted(one);
            default -> "{'do':'settleOnto','pieces':['%s'],'onto':'t'}".formatted(one);
          };
      try {
        Change c = room.json(edit).change();
        if (!c.none()) {
          changes.add(c);
        }
      } catch (Refusal e) {
        continue;
      }
    }
    Space space = room.space;
    for (int i = 0; i < 6 && !changes.isEmpty(); i++) {
      Change c = changes.remove(r.nextInt(changes.size()));
      Space before = space;
      Rebase back = Rebase.of(space, c.reversed());
      space = back.possible().apply(space);
      Validity.pieces(space, space.pieces());
      // and undone itself, it is as it was to the last bit
      Space again = back.possible().reversed().apply(space);
      assertThat(again.pieces()).containsExactlyElementsOf(before.pieces());
      assertThat(again.filing()).isEqualTo(before.filing());
    }
  }
}
