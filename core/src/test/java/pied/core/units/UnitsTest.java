package pied.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UnitsTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "1.4|1.4",
        "1,4 m|1.4",
        ".5|0.5",
        "140cm|1.4",
        "140 CM|1.4",
        "1400 mm|1.4",
        "4'7\"|1.397",
        "4' 7 1/2\"|1.4097",
        "4-7 1/2|1.4097",
        "4’ 7 1/2”|1.4097",
        "4 ft 7 in|1.397",
        "4ft|1.2192",
        "6'|1.8288",
        "55in|1.397",
        "55\"|1.397",
        "3/4\"|0.01905",
        "1 3/4\"|0.04445",
        "=-0.5|-0.5",
        "0|0",
      })
  void readsLengths(String text, double metres) {
    assertThat(Entry.length(text, LengthUnit.M)).isInstanceOf(Entry.EntryValue.class);
    assertThat(Entry.length(text, LengthUnit.M).from(99)).isCloseTo(metres, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "+0.1|2.1",
        "-2\"|1.9492",
        "−10cm|1.9",
        "*1.5|3",
        "150%|3",
        "50 %|1",
        "*0,5|1",
        "+ 5 mm|2.005"
      })
  void readsChanges(String text, double from2) {
    assertThat(Entry.length(text, LengthUnit.M).from(2)).isCloseTo(from2, within(1e-12));
  }

  @Test
  void aBareNumberIsInTheChosenUnit() {
    assertThat(Entry.length("140", LengthUnit.CM).from(0)).isCloseTo(1.4, within(1e-12));
    assertThat(Entry.length("1400", LengthUnit.MM).from(0)).isCloseTo(1.4, within(1e-12));
    assertThat(Entry.length("5", LengthUnit.FT).from(0)).isCloseTo(1.524, within(1e-12));
    assertThat(Entry.length("7 1/2", LengthUnit.FT).from(0)).isCloseTo(0.1905, within(1e-12));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "  ",
        "abc",
        "1.2.3",
        "1 4",
        "4'7'",
        "1/0\"",
        "--1",
        "1e9",
        "NaN",
        "1.4 miles",
        "*",
        "%",
        "+"
      })
  void refusesWhatItCannotRead(String text) {
    assertThatThrownBy(() -> Entry.length(text, LengthUnit.M))
        .isInstanceOf(Refusal.class)
        .hasMessageMatching("(?s).*(Type a number|divides by zero).*");
  }

  @Test
  void refusesOverlongTextWithoutRepeatingIt() {
    assertThatThrownBy(() -> Entry.length("1".repeat(1_000_000), LengthUnit.M))
        .isInstanceOf(Refusal.class)
        .satisfies(e -> assertThat(e.getMessage().length()).isLessThan(120));
  }

  @ParameterizedTest
  @CsvSource({"45,45", "45°,45", "-90,-90", "+15,105", "*2,180", "22.5 deg,22.5"})
  void readsAngles(String text, double from90) {
    assertThat(Entry.angle(text).from(90)).isCloseTo(from90, within(1e-12));
  }

  @Test
  void refusesWhatIsNoAngle() {
    assertThatThrownBy(() -> Entry.angle("left")).hasMessageContaining("Type degrees");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "0|0\"",
        "1.4|4' 7 1/8\"",
        "1.4097|4' 7 1/2\"",
        "1.2192|4'",
        "0.01905|3/4\"",
        "0.3047|1'",
        "-0.3302|-1' 1\"",
        "1.8287|6'",
        "0.0005|0\"",
        "1.23825|4' 3/4\"",
      })
  void writesFeetAndInchesToTheSixteenth(double metres, String text) {
    assertThat(LengthUnit.FT.text(metres)).isEqualTo(text);
  }

  @Test
  void writesMetric() {
    assertThat(LengthUnit.M.text(1.4)).isEqualTo("1.40");
    assertThat(LengthUnit.CM.text(1.4)).isEqualTo("140.0");
    assertThat(LengthUnit.MM.text(1.4)).isEqualTo("1400");
    assertThat(LengthUnit.M.text(-0.001)).isEqualTo("0.00");
    assertThat(LengthUnit.M.fine(1.405)).isEqualTo("1.405");
    assertThat(LengthUnit.M.fine(1.4)).isEqualTo("1.40");
  }

  @Property
  void whatIsWrittenIsReadBack(@ForAll @DoubleRange(min = 0, max = 90) double metres) {
    for (LengthUnit unit : LengthUnit.values()) {
      double read = Entry.length(unit.text(metres), unit).from(0);
      double step = unit == LengthUnit.FT ? 0.0254 / 16 : unit == LengthUnit.M ? 0.01 : 0.001;
      assertThat(read).isCloseTo(metres, within(step / 2 + 1e-9));
    }
  }
}
