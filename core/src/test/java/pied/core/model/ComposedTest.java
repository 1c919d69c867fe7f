package pied.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.catalog.Mounting;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.tool.size.SizeAsOne;
import pied.core.units.Refusal;

class ComposedTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private Rooms room;

  @BeforeEach
  void furnish() {
    room = new Rooms();
    room.put("t", "cafe-table", 3, 2);
    room.put("a", "stool", 2.4, 2);
    room.put("b", "stool", 3.6, 2);
    room.json("{'do':'recolour','pieces':['b'],'part':'seat','colour':'#102030'}");
  }

  @Test
  void theWholeIsAsLargeAsItsPiecesTogetherAndStandsOnItsFoot() {
    Composed all = Composed.of(room.space, List.of("a", "b", "t"));
    Size size = SizeAsOne.size(SizeAsOne.whole(room.space, List.of("a", "b", "t")));
    assertThat(all.mesh().box().size().x()).isEqualTo(size.width(), EXACT);
    assertThat(all.mesh().box().size().y()).isEqualTo(size.height(), EXACT);
    assertThat(all.mesh().box().size().z()).isEqualTo(size.depth(), EXACT);
    assertThat(all.mesh().box().min().y()).isEqualTo(0, EXACT);
    assertThat(all.mesh().box().centre().x()).isEqualTo(0, EXACT);
    int triangles =
        List.of("a", "b", "t").stream()
            .mapToInt(id -> room.space.shapes().mesh(room.piece(id)).triangles())
            .sum();
    assertThat(all.mesh().triangles()).isEqualTo(triangles);
    assertThat(all.mounting()).isEqualTo(Mounting.STANDS);
    double kg =
        room.space.article(room.piece("t")).weight()
            + 2 * room.space.article(room.piece("a")).weight();
    assertThat(all.weight()).isEqualTo(kg, EXACT);
  }

  @Test
  void whatIsAlikeIsOneFinishAndAnotherColourIsAnother() {
    Composed all = Composed.of(room.space, List.of("a", "b", "t"));
    assertThat(all.finishes().get("seat").finish().colour()).isNotEqualTo("#102030");
    assertThat(all.finishes().get("seat-2").finish().colour()).isEqualTo("#102030");
    assertThat(all.finishes()).doesNotContainKey("legs-3");
    assertThat(all.mesh().parts()).containsAll(all.finishes().keySet());
  }

  @Test
  void itsFrontIsThatOfTheLeadHoweverTheWholeIsTurned() {
    Vec before = Composed.of(room.space, List.of("a", "t")).mesh().box().size();
    room.json("{'do':'turn','pieces':['a','b','t'],'by':37,'together':true}");
    Composed all = Composed.of(room.space, List.of("a", "t"));
    Vec now = all.mesh().box().size();
    assertThat(now.minus(before).length()).isLessThan(1e-9);
  }

  @Test
  void nothingAndTooMuchAreRefused() {
    assertThatThrownBy(() -> Composed.of(room.space, List.of()))
        .isInstanceOf(Refusal.class)
        .hasMessage("No piece was named.");
    int one = room.space.shapes().mesh(room.piece("a")).triangles();
    int n = Composed.MOST / one + 1;
    assertThatThrownBy(() -> Composed.of(room.space, java.util.Collections.nCopies(n, "a")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("an article has up to 400000");
  }
}
