package pied.core.handover;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import pied.core.Nullable;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.schedule.PartSchedule;
import pied.core.schedule.Schedule;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Layer;
import pied.core.space.Opening;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * The schedule as comma-separated values by RFC 4180, UTF-8, with a header row. Where the decimal
 * sign is a comma the separator is a semicolon, as spreadsheets there expect it.
 */
public final class ScheduleCsv {
  /** What a line is about. */
  public enum CsvBy {
    piece,
    article,
    /** Doors and windows. */
    opening,
    /** What else is built in. */
    built,
    /** Lamps by their channels, with the levels of each look. */
    look
  }

  private static final Comparator<Schedule.ScheduleRow> BY_ARTICLE =
      Comparator.comparing(Schedule.ScheduleRow::articleName)
          .thenComparing(Schedule.ScheduleRow::alike);

  private final List<List<String>> rows = new ArrayList<>();
  private final LengthUnit unit;
  private final boolean comma;

  private ScheduleCsv(LengthUnit unit, boolean comma) {
    this.unit = unit;
    this.comma = comma;
  }

  /**
   * Its lines, the header first.
   *
   * @param comma whether the decimal sign is a comma
   */
  public static List<List<String>> rows(Space space, CsvBy by, LengthUnit unit, boolean comma) {
    ScheduleCsv csv = new ScheduleCsv(unit, comma);
    switch (by) {
      case piece -> csv.pieces(space);
      case article -> csv.articles(space);
      case opening -> csv.openings(space);
      case built -> csv.built(space);
      case look -> csv.rows.addAll(LooksList.of(space));
      default -> throw new IllegalStateException();
    }
    return csv.rows;
  }

  /**
   * The lists of several spaces one behind the other, each line with the name of its space before.
   *
   * @param names of the spaces, in their order
   */
  public static List<List<String>> rows(
      List<String> names, List<Space> spaces, CsvBy by, LengthUnit unit, boolean comma) {
    List<List<String>> all = new ArrayList<>();
    for (int i = 0; i < spaces.size(); i++) {
      List<List<String>> own = rows(spaces.get(i), by, unit, comma);
      for (int k = 0; k < own.size(); k++) {
        boolean head = k == 0;
        if (head && !all.isEmpty() && own.get(0).size() + 1 == all.get(0).size()) {
          continue; // it is there already; the places of a stage have heads of their own
        }
        List<String> line = new ArrayList<>();
        line.add(head ? "Space" : text(names.get(i)));
        line.addAll(own.get(k));
        all.add(line);
      }
    }
    return all;
  }

  /** Lines as the text of a file. */
  public static String text(List<List<String>> rows, boolean comma) {
    CSVFormat rfc = CSVFormat.RFC4180.builder().setDelimiter(comma ? ';' : ',').get();
    StringBuilder out = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(out, rfc)) {
      printer.printRecords(rows);
    } catch (IOException e) {
      throw new UncheckedIOException("A text takes whatever is written", e);
    }
    return out.toString();
  }

  private void pieces(Space space) {
    String u = unit();
    List<String> places = places(space);
    line(
        List.of("Name", "Article", "Kind", "Width" + u, "Depth" + u, "Height" + u),
        places,
        List.of(
            "Underside" + u,
            "Top" + u,
            "Facing (°)",
            "On",
            "Layer",
            "Group",
            "Finish",
            "Weight (kg)",
            "Cost",
            "Supplier",
            "Remark",
            "Note"));
    for (Schedule.ScheduleRow r : Schedule.of(space, unit)) {
      piece(space, r);
    }
  }

  /** Heads of the columns in which places are. */
  private List<String> places(Space space) {
    String u = unit();
    return space.shell().stage() != null
        ? List.of("From the centre line" + u, "Side", "From the setting line" + u, "Way")
        : List.of("Across" + u, "Deep" + u);
  }

  private void piece(Space space, Schedule.ScheduleRow r) {
    Piece p = space.piece(r.id());
    Layer layer = space.filing().layer(r.layer());
    Group group = space.filing().group(r.group());
    double datum = space.shell().datum().y();
    line(
        List.of(
            text(r.name()),
            text(r.articleName()),
            text(r.kind()),
            length(p.size().width()),
            length(p.size().depth()),
            length(p.size().height())),
        place(space, r.from()),
        List.of(
            length(space.shapes().low(p) - datum),
            length(space.shapes().high(p) - datum),
            number(r.turn(), 2),
            text(p.on().equals(On.NOTHING) ? "" : space.nameOf(p.on())),
            text(layer == null ? "" : layer.name()),
            text(group == null ? "" : group.name()),
            text(r.finish()),
            known(r.weight(), 1),
            known(r.cost(), 2),
            text(r.supplier()),
            text(r.remark()),
            text(r.note())));
  }

  /** Where it is from the datum; on a stage in its words and without signs. */
  private List<String> place(Space space, Vec from) {
    if (space.shell().stage() == null) {
      return List.of(length(from.x()), length(from.z()));
    }
    return List.of(
        length(Math.abs(from.x())),
        Positions.side(Direction.across, from.x()),
        length(Math.abs(from.z())),
        Positions.side(Direction.deep, from.z()));
  }

  private String unit() {
    return " (" + (unit == LengthUnit.FT ? "ft" : unit.sign()) + ")";
  }

  private void openings(Space space) {
    String u = unit();
    line(
        List.of(
            "Mark",
            "Name",
            "Sort",
            "Wall",
            "From its start" + u,
            "Width" + u,
            "Height" + u,
            "Sill" + u,
            "Hand",
            "Opens",
            "Remark"));
    for (PartSchedule.OpeningRow r : PartSchedule.openings(space)) {
      Opening o = r.opening();
      line(
          List.of(
              r.mark(),
              text(r.name()),
              o.words(),
              text(r.wall()),
              length(o.from()),
              length(o.width()),
              length(o.height()),
              length(o.sill()),
              r.hand(),
              r.opens(),
              text(space.filing().part(o.name()).keeping().remark())));
    }
  }

  private void built(Space space) {
    String u = unit();
    line(
        List.of("Name", "Sort", "Width" + u, "Depth" + u, "Height" + u),
        places(space),
        List.of("Note", "Layer", "Group", "Remark"));
    for (Schedule.ScheduleRow r : PartSchedule.of(space, unit)) {
      if (r.kind().equals(PartSchedule.BUILT)) {
        Layer layer = space.filing().layer(r.layer());
        Group group = space.filing().group(r.group());
        line(
            List.of(
                text(r.name()),
                r.articleName(),
                length(r.measures().width()),
                length(r.measures().depth()),
                length(r.measures().height())),
            place(space, r.from()),
            List.of(
                r.note(),
                text(layer == null ? "" : layer.name()),
                text(group == null ? "" : group.name()),
                text(r.remark())));
      }
    }
  }

  /** Pieces of the same article, size and finish are one line. */
  private void articles(Space space) {
    String u = unit();
    line(
        List.of(
            "Number",
            "Article",
            "Kind",
            "Width" + u,
            "Depth" + u,
            "Height" + u,
            "Finish",
            "Weight, all (kg)",
            "Cost of one",
            "Cost, all",
            "Supplier",
            "Note"));
    Map<String, List<Schedule.ScheduleRow>> alike = new LinkedHashMap<>();
    for (Schedule.ScheduleRow r : Schedule.of(space, unit)) {
      alike.computeIfAbsent(r.alike(), k -> new ArrayList<>()).add(r);
    }
    alike.values().stream()
        .sorted(Comparator.comparing(rows -> rows.get(0), BY_ARTICLE))
        .forEach(this::article);
  }

  /** One line for pieces that are alike. */
  private void article(List<Schedule.ScheduleRow> rows) {
    Schedule.ScheduleRow r = rows.get(0);
    line(
        List.of(
            String.valueOf(rows.size()),
            text(r.articleName()),
            text(r.kind()),
            length(r.measures().width()),
            length(r.measures().depth()),
            length(r.measures().height()),
            text(r.finish()),
            known(rows.stream().mapToDouble(Schedule.ScheduleRow::weight).sum(), 1),
            known(r.cost(), 2),
            known(r.cost() * rows.size(), 2),
            text(r.supplier()),
            text(r.note())));
  }

  private void line(List<String> cells) {
    rows.add(cells);
  }

  /** A line with where it is between what is before and behind that. */
  private void line(List<String> before, List<String> place, List<String> behind) {
    line(Stream.of(before, place, behind).flatMap(List::stream).toList());
  }

  /** With what formulas begin, also in full width, as keyboards of East Asia write them. */
  private static final String FORMULA = "=+-@\u2212\uFF1D\uFF0B\uFF0D\uFF20\uFE62\uFE63\uFE66";

  /** Signs that take no room, and spaces of all sorts: a spreadsheet looks past them. */
  private static boolean isUnseen(int c) {
    return Character.isWhitespace(c)
        || Character.isSpaceChar(c)
        || Character.isISOControl(c)
        || Character.getType(c) == Character.FORMAT
        || Character.getType(c) == Character.NON_SPACING_MARK;
  }

  /**
   * A text that no spreadsheet takes for a formula: what begins like one has an apostrophe before
   * it.
   */
  static String text(@Nullable String s) {
    if (s == null || s.isEmpty()) {
      return "";
    }
    int first = s.codePoints().filter(c -> !isUnseen(c)).findFirst().orElse(' ');
    boolean steers = s.codePoints().anyMatch(c -> c == '\t' || c == '\r');
    return FORMULA.indexOf(first) >= 0 || steers ? "'" + s : s;
  }

  /** Feet and inches are decimal feet here. */
  private String length(double metres) {
    return number(
        metres / unit.metres(), unit == LengthUnit.MM ? 1 : unit == LengthUnit.CM ? 2 : 4);
  }

  private String known(double v, int decimals) {
    return v == 0 ? "" : number(v, decimals);
  }

  private String number(double v, int decimals) {
    String s = String.format(Locale.ROOT, "%." + decimals + "f", v);
    s = s.contains(".") ? s.replaceAll("0+$", "").replaceAll("\\.$", "") : s;
    s = s.equals("-0") ? "0" : s;
    return comma ? s.replace('.', ',') : s;
  }
}
