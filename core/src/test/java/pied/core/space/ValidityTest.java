package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.Refusal;
import pied.core.units.Text;

class ValidityTest {
  private final Rooms room = new Rooms();
  private Piece stool;

  private void refused(String words, Piece p) {
    assertThatThrownBy(() -> Validity.pieces(room.space, List.of(p)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(words);
  }

  @Test
  void whatMakesNoSenseIsNotKept() {
    room.put("s", "stool", 2, 2);
    stool = room.piece("s");
    assertThatCode(() -> Validity.pieces(room.space, List.of(stool))).doesNotThrowAnyException();
    refused("too far", stool.withAt(new Vec(0, 0, -1000.5)));
    refused("too far", stool.withAt(new Vec(Double.NaN, 0, 0)));
    refused("no size", stool.withSize(new Size(0.4, Double.NaN, 0.4)));
    refused("no size", stool.withSize(new Size(0.4, 0, 0.4)));
    refused("by no angle", stool.withTurn(Double.NaN));
    refused("by no angle", stool.withLean(new Lean(0, 200)));
    refused("needs a name", stool.withName(" "));
    refused("half a letter", stool.withName("a\ud83d"));
    refused(
        "has no part “wings”",
        stool.withFinishes(Finishes.NONE.with("wings", Finish.of("#112233"))));
    refused("written as #RRGGBB", stool.withFinishes(Finishes.NONE.with("seat", Finish.of("red"))));
    refused("An id", stool.withId("wall:A"));
    for (On on :
        List.of(
            On.piece("nobody"),
            On.piece("s"),
            On.platform("bar 1"),
            On.wall("Z"),
            On.bar("bar 9"),
            On.opening("door 1"))) {
      refused("carried by something that is not there", stool.withOn(on));
    }
    assertThatCode(() -> Validity.pieces(room.space, List.of(stool.withOn(On.wall("B")))))
        .doesNotThrowAnyException();
  }

  @Test
  void idsAreThoseOfPiecesAlone() {
    for (String id : List.of("a", "A-1.b_c", "0", "x".repeat(64))) {
      assertThat(Validity.id(id)).isEqualTo(id);
    }
    for (String id : new String[] {"", " a", "a,b", "ceiling", "auditorium", "é", "a\n", null}) {
      assertThatThrownBy(() -> Validity.id(id)).isInstanceOf(Refusal.class);
    }
    assertThatThrownBy(() -> Validity.id("x".repeat(65))).isInstanceOf(Refusal.class);
  }

  @Test
  void aSightComesFromSomewhereAndGoesSomewhere() {
    assertThat(Validity.sight(new Vec(1, 2, 3), new Vec(0, -5, 0))).isEqualTo(new Vec(0, -1, 0));
    assertThatThrownBy(() -> Validity.sight(new Vec(1e150, 0, 0), Vec.DOWN))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> Validity.sight(Vec.ZERO, new Vec(1e200, 1e200, 0)))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> Validity.sight(Vec.ZERO, Vec.ZERO)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> Validity.sight(null, Vec.DOWN)).isInstanceOf(Refusal.class);
  }

  @Test
  void textsAreCleanedWhereTheyComeFromAFile() {
    assertThat(Text.clean("a\ud83db\u0007c\ud83d\ude00")).isEqualTo("a\ufffdb c\ud83d\ude00");
    assertThat(Text.whole("\ud83d\ude00")).isTrue();
    assertThat(Text.whole("\ude00\ud83d")).isFalse();
    assertThat(Text.name("It", "  two\twords ")).isEqualTo("two words");
  }
}
