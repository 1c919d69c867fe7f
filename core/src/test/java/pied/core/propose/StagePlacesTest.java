package pied.core.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.caption.Caption;
import pied.core.edit.Edit;
import pied.core.handover.ScheduleCsv;
import pied.core.phrase.Phrase;
import pied.core.say.Ask;
import pied.core.schedule.Schedule;
import pied.core.space.Twin;
import pied.core.units.LengthUnit;

/** A stage speaks of its sides, and up and down it, without signs. */
class StagePlacesTest {
  private final Rooms stage = Rooms.stage();

  @BeforeEach
  void aStoolStageRightAndUpstage() {
    stage.put("s", "stool", -1.05, -2.3);
  }

  private Edit understood(String text) {
    Ask ask = new Ask(stage.space, List.of("s"), LengthUnit.M, () -> "n");
    List<Edit> edits = Say.understand(ask, text).edits();
    assertThat(edits).as(text).hasSize(1);
    return edits.get(0);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "at 1.05 stage right, 2.30 upstage | -1.05 | -2.3",
        "at 2.30 upstage, 1.05 stage right | -1.05 | -2.3",
        "at 2 left of centre, 0.50 downstage of the setting line | 2 | 0.5",
        "at 2, 0.5 upstage | 2 | -0.5",
        "move 0.30 upstage | -1.05 | -2.6",
        "move 0.30 to stage left | -0.75 | -2.3",
        "move 0.30 downstage | -1.05 | -2.0",
      })
  void itsWordsAreUnderstoodInEitherOrder(String text, double x, double z) {
    stage.apply(understood(text));
    assertThat(stage.piece("s").at().x()).isCloseTo(x, within(1e-9));
    assertThat(stage.piece("s").at().z()).isCloseTo(z, within(1e-9));
  }

  @Test
  void whatIsReadHasNoSignsAndIsReadAgain() {
    Proposal p =
        Proposal.of(
            stage.space,
            Question.of("at 1.2 stage right, 0.4 downstage", List.of("s")),
            LengthUnit.M,
            null,
            () -> "n",
            pied.core.units.Deadline.NONE);
    String written = text(p.understood().words());
    assertThat(written).startsWith("At 1.20 stage right, 0.40 downstage");
    assertThat(understood(written.strip().replaceAll("\\.$", "")))
        .isEqualTo(p.understood().edits().get(0));
  }

  private static String text(List<Phrase> phrases) {
    return String.join("", phrases.stream().map(Phrase::text).toList());
  }

  @Test
  void theScheduleAndItsFileSayTheSame() {
    assertThat(Schedule.of(stage.space, LengthUnit.M).get(0).place())
        .startsWith("1.05 stage right, 2.30 upstage, ")
        .endsWith(" high");
    List<List<String>> rows =
        ScheduleCsv.rows(stage.space, ScheduleCsv.CsvBy.piece, LengthUnit.M, false);
    assertThat(rows.get(0)).hasSameSizeAs(rows.get(1));
    int at = rows.get(0).indexOf("From the centre line (m)");
    assertThat(rows.get(1).subList(at, at + 4))
        .containsExactly("1.05", "stage right", "2.3", "upstage");
    assertThat(rows.get(1)).noneMatch(c -> c.startsWith("-"));
  }

  @Test
  void aNumberBesideTheLineOfTwinsMeansWhatItsWordSays() {
    stage.json("{'do':'twin','pieces':['s'],'about':{'by':'across','at':{'x':-2}}}");
    Twin line = stage.space.filing().twins().get(0);
    String caption = text(Caption.of(stage.space, "Stage", List.of("s"), LengthUnit.M));
    assertThat(caption).contains("a line 2.00 stage right").doesNotContain("-2");
    stage.json("{'do':'twinLine','twin':'" + line.id() + "','off':'1.5'}");
    assertThat(stage.space.filing().twins().get(0).at().x()).isCloseTo(-1.5, within(1e-9));
    stage.json("{'do':'twinLine','twin':'" + line.id() + "','off':'0.5 stage left'}");
    assertThat(stage.space.filing().twins().get(0).at().x()).isCloseTo(0.5, within(1e-9));
  }
}
