package pied.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.handover.ScheduleCsv;
import pied.core.units.LengthUnit;

class ScheduleTest {
  private final Rooms room = new Rooms();

  private List<Schedule.ScheduleRow> rows(LengthUnit unit) {
    return Schedule.of(room.space, unit);
  }

  @Test
  void namesAreInOrderWithTheirNumbersAsNumbers() {
    for (int i = 0; i < 11; i++) {
      room.put("s" + i, "stool", 0.4 + 0.5 * i, 3);
    }
    room.put("b", "bottle", 3, 1);
    assertThat(rows(LengthUnit.M))
        .extracting(Schedule.ScheduleRow::name)
        .startsWith("Bottle", "Stool", "Stool 2", "Stool 3")
        .endsWith("Stool 9", "Stool 10", "Stool 11");
  }

  @Test
  void aRowSaysWhatAndHowLargeAndOnWhat() {
    room.put("t", "cafe-table", 3, 2);
    room.put("c", "cup-and-saucer", 3, 2);
    Schedule.ScheduleRow cup = rows(LengthUnit.MM).get(0);
    assertThat(cup.id()).isEqualTo("c");
    assertThat(cup.article()).isEqualTo("cup-and-saucer");
    assertThat(cup.on()).isEqualTo("t");
    assertThat(cup.size()).isEqualTo("145 × 145 × 72");
    assertThat(rows(LengthUnit.CM).get(0).size()).isEqualTo("14.5 × 14.5 × 7.2");
    assertThat(rows(LengthUnit.MM).get(1).on()).isEmpty();
  }

  @Test
  void whatIsAlikeHasOneNameWithoutItsNumber() {
    for (int i = 0; i < 3; i++) {
      room.put("s" + i, "stool", 1 + i, 3);
    }
    assertThat(rows(LengthUnit.M)).extracting(Schedule.ScheduleRow::what).containsOnly("Stool");
    room.json("{'do':'rename','piece':'s1','name':'The one by the door'}");
    assertThat(rows(LengthUnit.M))
        .extracting(Schedule.ScheduleRow::what)
        .containsExactly("Stool", "Stool", "The one by the door");
  }

  @Test
  void whatIsAlikeIsSoInEveryList() {
    for (int i = 0; i < 6; i++) {
      room.put("s" + i, "stool", 0.5 + 0.8 * i, 3);
    }
    room.json("{'do':'rename','piece':'s1','name':'The one by the door'}");
    room.json("{'do':'recolour','pieces':['s2'],'part':'seat','colour':'#112233'}");
    room.json("{'do':'size','pieces':['s3'],'size':{'height':0.5}}");
    room.json("{'do':'turn','pieces':['s4'],'to':30}");
    // a name and a turn make no difference; a finish and a size do
    assertThat(rows(LengthUnit.M).stream().map(Schedule.ScheduleRow::alike).distinct()).hasSize(3);
    assertThat(
            ScheduleCsv.rows(room.space, ScheduleCsv.CsvBy.article, LengthUnit.M, false).stream()
                .skip(1)
                .map(line -> line.get(0)))
        .containsExactlyInAnyOrder("4", "1", "1");
  }

  @Test
  void itIsThatOfTheMoment() {
    room.put("a", "stool", 1, 1);
    room.put("b", "stool", 2, 1);
    assertThat(rows(LengthUnit.M))
        .extracting(Schedule.ScheduleRow::name)
        .containsExactly("Stool", "Stool 2");
    room.json("{'do':'rename','piece':'a','name':'The last'}");
    assertThat(rows(LengthUnit.M)).extracting(Schedule.ScheduleRow::id).containsExactly("b", "a");
    room.json("{'do':'remove','pieces':['b']}");
    assertThat(rows(LengthUnit.M))
        .extracting(Schedule.ScheduleRow::name)
        .containsExactly("The last");
    room.json("{'do':'size','pieces':['a'],'size':{'height':0.5}}");
    assertThat(rows(LengthUnit.CM).get(0).size()).endsWith("× 50.0");
  }
}
