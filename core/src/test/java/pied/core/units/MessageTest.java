package pied.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Wanting;
import pied.core.tool.shell.BuildBuilder;
import pied.core.tool.size.Resize;
import pied.core.tool.turn.Turn;

/** Every sentence is in the unit chosen, refusals too. */
class MessageTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          M  | 0.05 to 3.048 m
          CM | 5.0 to 304.8 cm
          MM | 50 to 3048 mm
          FT | 1 15/16" to 10'
          """)
  void aLengthIsReadInTheUnitChosen(LengthUnit unit, String read) {
    Message range = Message.of("{} to {}", Message.bare(0.05), Message.length(3.048));
    assertThat(range.in(unit)).isEqualTo(read);
    // also as a part of another
    assertThat(Message.of("It comes {} high.", range).in(unit))
        .isEqualTo("It comes " + read + " high.");
  }

  @Test
  void whatAnybodyTypedIsNeverTakenForAGap() {
    assertThat(Message.of("It is named {}.").in(LengthUnit.FT)).isEqualTo("It is named {}.");
    Message two = Message.of("{} stands on {}.", "Stool {} 2", "{}");
    assertThat(two.in(LengthUnit.M)).isEqualTo("Stool {} 2 stands on {}.");
  }

  @Test
  void theCodeIsTheSameWhateverItIsAboutAndTheArgumentsAreTold() {
    Refusal one = refused(BuildBuilder.builder().height(Amount.of(1)).build(), LengthUnit.CM);
    Refusal other = refused(BuildBuilder.builder().height(Amount.of(1.2)).build(), LengthUnit.M);
    assertThat(one.why().code()).isEqualTo(other.why().code()).contains("{}");
    assertThat(one.why().argumentsIn(one.unit())).contains("100.0 cm").doesNotContain("120.0 cm");
    assertThat(one.of("Edit 2: ").why().code()).isEqualTo(one.why().code());
  }

  @Test
  void whatIsWithoutLengthsStaysOfItsKindInEveryUnit() {
    Rooms room = new Rooms();
    room.put("a", "stool", 2, 2);
    room.json("{'do':'lock','pieces':['a'],'locked':true}");
    Edit turn = new Turn(List.of("a"), null, Amount.of(10));
    for (LengthUnit unit : LengthUnit.values()) {
      assertThat(new Wanting("Click where it is.").in(unit)).isInstanceOf(Wanting.class);
      // so that unlocking is offered
      assertThatThrownBy(() -> Edits.apply(room.space, List.of(turn), unit, () -> "x"))
          .isInstanceOf(Declined.class);
    }
  }

  @Test
  void aMessageIsOfTheMomentInWhichItWasWritten() {
    StringBuilder name = new StringBuilder("Stool");
    Message m = Message.of("{} is taken out.", name);
    name.append(" 2");
    assertThat(m).hasToString("Stool is taken out.");
    assertThat(Message.join(" and ", List.of("a", Message.length(1), "c")))
        .hasToString("a and 1.00 m and c");
  }

  private static Refusal refused(Edit edit, LengthUnit unit) {
    Rooms room = new Rooms();
    room.put("t", "truss", 3, 2);
    return catchThrowableOfType(
        Refusal.class, () -> Edits.apply(room.space, List.of(edit), unit, () -> "x"));
  }

  @Test
  void refusalsOfTheShellAndOfSizesAre() {
    Edit low = BuildBuilder.builder().height(Amount.of(1)).build();
    assertThat(refused(low, LengthUnit.M)).hasMessageContaining("is 1.00 m high");
    assertThat(refused(low, LengthUnit.CM)).hasMessageContaining("is 100.0 cm high");
    assertThat(refused(low, LengthUnit.FT)).hasMessageContaining("is 3' 3 3/8\" high");
    Edit odd = new Resize(List.of("t"), new Edit.Measures(Amount.of(31), null, null), null);
    assertThat(refused(odd, LengthUnit.M))
        .hasMessageContaining("in steps of 0.50 m wide, not 31.00");
    assertThat(refused(odd, LengthUnit.MM))
        .hasMessageContaining("in steps of 500 mm wide, not 31000");
  }

  @Test
  void inARequestOfSeveralItIsSaidOfWhich() {
    Edit good = BuildBuilder.builder().height(Amount.of(3)).build();
    Edit bad = BuildBuilder.builder().height(Amount.of(200)).build();
    Rooms room = new Rooms();
    assertThatThrownBy(() -> Edits.apply(room.space, List.of(good, bad), LengthUnit.CM, () -> "x"))
        .hasMessageStartingWith("Edit 2: ")
        .hasMessageContaining("20000.0 cm high");
  }
}
