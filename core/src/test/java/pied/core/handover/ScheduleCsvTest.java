package pied.core.handover;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.handover.ScheduleCsv.CsvBy;
import pied.core.units.LengthUnit;

class ScheduleCsvTest {
  private final Rooms room = new Rooms();

  private List<List<String>> rows(CsvBy by, LengthUnit unit, boolean comma) {
    return ScheduleCsv.rows(room.space, by, unit, comma);
  }

  private static String cell(List<List<String>> rows, int row, String column) {
    return rows.get(row).get(rows.get(0).indexOf(column));
  }

  @Test
  void aPieceIsALineWithItsPlaceSizeAndHeights() {
    room.put("t", "trunk", 3, 2, 90);
    room.put("b", "books", 3, 2);
    List<List<String>> rows = rows(CsvBy.piece, LengthUnit.M, false);
    assertThat(rows).hasSize(3).allSatisfy(r -> assertThat(r).hasSameSizeAs(rows.get(0)));
    double top = room.space.shapes().high(room.piece("t"));
    int books = cell(rows, 1, "Name").startsWith("Row") ? 1 : 2;
    assertThat(Double.parseDouble(cell(rows, books, "Underside (m)")))
        .isEqualTo(Math.round(top * 1e4) / 1e4);
    assertThat(cell(rows, books, "On")).isEqualTo(room.piece("t").name());
    assertThat(cell(rows, 3 - books, "Facing (°)")).isEqualTo("90");
    assertThat(cell(rows, 3 - books, "Across (m)")).isEqualTo("3");
    assertThat(cell(rows(CsvBy.piece, LengthUnit.CM, false), 3 - books, "Across (cm)"))
        .isEqualTo("300");
  }

  @Test
  void withADecimalCommaCellsAreSetOffBySemicolons() {
    room.put("s", "stool", 2.5, 2);
    String text = ScheduleCsv.text(rows(CsvBy.piece, LengthUnit.M, true), true);
    assertThat(text).contains(";2,5;2;0;0,46;");
    assertThat(text.lines()).hasSize(2);
    assertThat(text).endsWith("\r\n");
  }

  @Test
  void whatIsAlikeIsOneLineWithItsNumberAndSums() {
    for (int i = 0; i < 4; i++) {
      room.put("s" + i, "stool", 1 + i, 2);
    }
    room.json("{'do':'size','pieces':['s3'],'size':{'height':0.6}}");
    List<List<String>> rows = rows(CsvBy.article, LengthUnit.M, false);
    assertThat(rows).hasSize(3);
    assertThat(rows.subList(1, 3)).extracting(r -> r.get(0)).containsExactly("3", "1");
    double one = room.space.article(room.piece("s0")).cost();
    assertThat(Double.parseDouble(cell(rows, 1, "Cost, all"))).isEqualTo(3 * one);
  }

  @ParameterizedTest
  @ValueSource(strings = {"=1+1", "+1", "-1", "@x", "  =1", "\t=1"})
  void nothingTypedBecomesAFormula(String remark) {
    room.put("s", "stool", 2, 2);
    assertThat(ScheduleCsv.text(remark)).startsWith("'");
    room.json("{'do':'remark','pieces':['s'],'remark':'=HYPERLINK(1)'}");
    assertThat(cell(rows(CsvBy.piece, LengthUnit.M, false), 1, "Remark"))
        .isEqualTo("'=HYPERLINK(1)");
  }

  @Test
  void quotesSeparatorsAndLinesAreKept() {
    List<List<String>> rows = List.of(List.of("a", "b"), List.of("x,\"y\"", "1\n2"));
    assertThat(ScheduleCsv.text(rows, false)).isEqualTo("a,b\r\n\"x,\"\"y\"\"\",\"1\n2\"\r\n");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "=1+1",
        "+1",
        "-1",
        "@x",
        "\uFF1D1+1",
        "\uFF0B1",
        "\uFF0D1",
        "\uFF20x",
        "\u200B=1",
        "\u00A0=1",
        "\uFEFF=1",
        "  =1",
        "\u2060+1",
        "a\tb",
        "\u22121"
      })
  void noSpreadsheetTakesItForAFormula(String name) {
    assertThat(ScheduleCsv.text(name)).isEqualTo("'" + name);
  }

  @ParameterizedTest
  @ValueSource(strings = {"Stool", "a=b", "1 - 2", "\u00C4pfel", "\u65E5\u672C"})
  void whatIsNoneStaysAsItIs(String name) {
    assertThat(ScheduleCsv.text(name)).isEqualTo(name);
  }
}
