package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static pied.core.carry.Asked.carry;

import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.carry.CarryResult.CarriedWords;
import pied.core.carry.CarryResult.CarryTone;
import pied.core.measure.Side;
import pied.core.units.LengthUnit;

class CarrySentenceTest {
  private final Rooms room = new Rooms();

  @BeforeEach
  void furnish() {
    room.put("s", "stool", 3, 2);
    room.put("t", "cafe-table", 1, 3);
  }

  private CarryResult answer(Asked asked) {
    return Carrying.answer(room.space, asked.asked(), LengthUnit.M);
  }

  private static String read(CarryResult a) {
    return a.said().stream().map(CarriedWords::text).collect(Collectors.joining());
  }

  @Test
  void itSaysWhatWhereAndAllDistancesInTheOrderInWhichOneGoesThroughThem() {
    CarryResult a = answer(carry("s").to(3.5, 2));
    assertThat(read(a)).startsWith("Stool, on the floor: moved 0.50, ").contains(" wall B ");
    assertThat(read(a)).doesNotContain("Stopped").endsWith(". ");
    assertThat(a.said().stream().filter(w -> w.tone() == CarryTone.number).map(CarriedWords::slot))
        .containsExactlyInAnyOrderElementsOf(
            a.measures().stream().map(CarryResult.CarryMeasure::slot).toList())
        .startsWith("moved")
        .endsWith("turn");
    for (CarriedWords w : a.said()) {
      assertThat(w.slot() == null).isEqualTo(w.tone() != CarryTone.number);
    }
  }

  @Test
  void switchesThatAreOnAreNamed() {
    Asked asked = carry("t", "s").to(3.5, 2);
    asked.copy = true;
    asked.keep = CarryAsk.CarryKeep.across;
    asked.each = true;
    asked.free = true;
    CarryResult a = answer(asked);
    assertThat(read(a)).startsWith("Stool and 1 more, ");
    assertThat(a.said())
        .contains(
            new CarriedWords(
                CarryTone.how, "a copy, kept across, each for itself, through everything", null));
    Asked down =
        carry("s").look(new pied.core.solid.Vec(3, 1.5, 3.5), new pied.core.solid.Vec(3, 1, 0));
    down.against = Side.under;
    assertThat(read(answer(down))).contains("its underside onto the face").contains(", turned 0°");
  }

  @Test
  void whatStopsItIsSaidAndWhatRefusesItIsNotSaidTwice() {
    CarryResult stopped = answer(carry("s").to(3, 0.05));
    assertThat(read(stopped)).contains("Stopped by wall A.");
    Asked article = new Asked(null);
    article.article = "stool";
    article.at = new pied.core.space.Spot(3, 3);
    assertThat(read(answer(article))).startsWith("Stool, on the floor: ").doesNotContain("moved");
  }
}
