package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.caption.Caption;
import pied.core.phrase.Phrase;
import pied.core.space.Positions.Direction;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

class PositionsTest {
  private static final Shell ROOM = Rooms.empty().shell(); // 6 × 4, its datum in a corner
  private static final Shell STAGE = Rooms.stage().shell(); // 10 × 6, its datum in the middle

  private static double across(Shell shell, String text, int sign, double from) {
    return Positions.typed(Direction.across, text, sign, from, LengthUnit.M, shell);
  }

  @ParameterizedTest
  @CsvSource({
    "2, 3.1, 2", // a position
    "+0.5, 3.1, 3.6",
    "-1.05, 3.1, 2.05", // less by so much
    "-1.05, 0.4, -0.65", // there is no place for either: as everywhere
    "=-1, 3, -1",
    "*2, 1.5, 3",
  })
  void inARoomASignMeansAChange(String text, double from, double read) {
    assertThat(across(ROOM, text, 1, from)).isCloseTo(read, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "-1.05, 1, 3, 1.95", // could be either: less by so much
    "-4.5, 1, -1.5, -4.5", // less by so much would be off the stage: the position
    "-4.5, -1, -3, 1.5", // 3.00 stage right, so much less of it
    "1.05 stage right, 1, 3, -1.05",
    "1.05 stage left, -1, -3, 1.05",
    "50cm stage left, 1, 0, 0.5",
    "2, -1, -3, -2", // where stage right is read, stage right is typed
  })
  void onAStageItIsThePositionWhereItCanOnlyBeThat(
      String text, int sign, double from, double read) {
    assertThat(across(STAGE, text, sign, from)).isCloseTo(read, within(1e-12));
  }

  @Test
  void wordsAreReadUpstageAndDown() {
    double z = Positions.typed(Direction.deep, "1.2 upstage", 1, 0.4, LengthUnit.M, STAGE);
    assertThat(z).isEqualTo(-1.2);
    assertThat(Positions.typed(Direction.deep, "40 downstage", 1, 0, LengthUnit.CM, STAGE))
        .isEqualTo(0.4);
    assertThatThrownBy(() -> across(STAGE, "much stage left", 1, 0)).isInstanceOf(Refusal.class);
  }

  @Test
  void whatASignMeansIsHintedAtOnlyWhereItCouldBeEither() {
    assertThat(hint(new Rooms(), "to.x")).isNull();
    assertThat(hint(Rooms.stage(), "to.stageLeft")).contains("1.05 stage right");
  }

  private static String hint(Rooms in, String slot) {
    in.put("s", "stool", 2, in.shell().stage() == null ? 2 : -2);
    return Caption.of(in.space, "Here", java.util.List.of("s"), LengthUnit.M).stream()
        .filter(p -> p instanceof Phrase.PhraseField f && f.blank().slot().equals(slot))
        .map(p -> (Phrase.PhraseField) p)
        .findFirst()
        .orElseThrow()
        .hint();
  }
}
