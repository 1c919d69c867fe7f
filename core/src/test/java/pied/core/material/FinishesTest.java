package pied.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.material.pattern.Tint;
import pied.core.units.Refusal;

class FinishesTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  @Provide
  Arbitrary<Finish> finishes() {
    Arbitrary<Double> share = Arbitraries.doubles().between(0, 1).injectNull(0.4);
    Arbitrary<String> colour =
        Arbitraries.integers().between(0, 0xFFFFFF).map(c -> String.format("#%06X", c));
    Arbitrary<String> material =
        Arbitraries.of("plain", "oak", "velvet", "glass", "tile-square", "brass").injectNull(0.4);
    Arbitrary<Laying> laid = share.map(w -> Laying.USUAL.withTurn(w).withWidth(w)).injectNull(0.5);
    return Combinators.combine(colour.injectNull(0.3), share, share, share, share, material, laid)
        .as((c, r, m, t, e, of, l) -> new Finish(c, r, m, t, e, t, m, r, of, l));
  }

  @Property
  void whatIsMissingIsOfTheNaturalFinishAndOnlyThat(
      @ForAll("finishes") Finish own, @ForAll("finishes") Finish natural) {
    Finish shown = own.over(natural);
    boolean other = own.material() != null && !own.material().equals(natural.material());
    Finish base = other ? Materials.of(own.material()).finish() : natural;
    assertThat(shown.colour()).isEqualTo(own.colour() != null ? own.colour() : base.colour());
    assertThat(shown.metal()).isEqualTo(own.metal() != null ? own.metal() : base.metal());
    assertThat(own.over(own)).isEqualTo(own);
    // what is another than the natural one says the same over it
    Finish complete = natural.over(Finish.CARD);
    assertThat(own.over(complete).but(complete).over(complete)).isEqualTo(own.over(complete));
  }

  @Property
  void comesBackFromText(@ForAll("finishes") Finish f) throws Exception {
    assertThat(JSON.readValue(JSON.writeValueAsString(f), Finish.class)).isEqualTo(f);
    Finishes all = Finishes.NONE.with("seat", f);
    assertThat(JSON.readValue(JSON.writeValueAsString(all), Finishes.class)).isEqualTo(all);
  }

  @Test
  void aColourAloneMayBeWrittenAsThat() throws Exception {
    Finishes all = JSON.readValue("{\"seat\":\"#a1b2c3\"}", Finishes.class);
    assertThat(all.of("seat")).isEqualTo(Finish.of("#A1B2C3"));
  }

  @Test
  void whatIsNoFinishIsRefusedInWords() {
    assertThatThrownBy(() -> Finish.of("red").checked())
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("#RRGGBB");
    assertThatThrownBy(() -> Finish.of(null).withMetal(1.2).checked())
        .hasMessage("The metal of a finish is from 0 to 1.");
    assertThatThrownBy(() -> Finish.of(null).withRoughness(Double.NaN).checked())
        .hasMessageContaining("roughness");
  }

  /**
   * One truth for set view, model and lists: a part of a piece with only a roughness of its own.
   */
  @Test
  void aPieceTakesFromItsArticleWhatItsOwnFinishDoesNotSay() {
    Rooms room = new Rooms();
    room.put("s", "stool", 2, 2);
    var article = room.space.article(room.piece("s"));
    String part = article.finishes().keySet().iterator().next();
    Finish natural = article.finishes().get(part).finish();
    room.json("{'do':'recolour','pieces':['s'],'part':'" + part + "','colour':'#0a0b0c'}");
    Look look = article.look(part, room.piece("s").finishes());
    assertThat(look.finish()).isEqualTo(natural.withColour("#0A0B0C"));
    assertThat(look.name()).isEqualTo(article.finishes().get(part).name());
    // back to what is usual: nothing of its own is left
    room.json("{'do':'recolour','pieces':['s'],'part':'" + part + "','colour':null}");
    assertThat(room.piece("s").finishes().isEmpty()).isTrue();
  }

  @Test
  void linearLightByTheStandard() {
    // IEC 61966-2-1: 0x80 is 0.2158605 in linear light
    assertThat(Tint.linear("#FF8000"))
        .satisfies(
            rgb -> {
              assertThat(rgb[0]).isEqualTo(1);
              assertThat(rgb[1]).isCloseTo(0.2158605, org.assertj.core.data.Offset.offset(1e-6));
              assertThat(rgb[2]).isZero();
            });
  }
}
