package pied.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import pied.core.Names;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** The list of all pieces of a space. */
public final class Schedule {
  private static final Pattern NUMBER = Pattern.compile("\\d+");

  private Schedule() {}

  /**
   * A line of it.
   *
   * @param kind of the article
   * @param what its name without a number: pieces of the same article, size and this are alike
   * @param size width × depth × height as text
   * @param note what is unusual about it, such as "stretched"; empty for nothing
   * @param on id of the piece it stands on; empty for none
   */
  public record Row(
      String id,
      String name,
      String what,
      String article,
      String kind,
      String size,
      String note,
      String on) {}

  private record Sorted(String key, Row row) {}

  private record Key(LengthUnit unit) {}

  /** All pieces by their names, in which numbers count as such: "Stool 2" before "Stool 10". */
  public static List<Row> of(Space space, LengthUnit unit) {
    return space
        .renewed(new Key(unit), (s, p) -> new Sorted(inOrder(p.name()), row(s, p, unit)))
        .values()
        .stream()
        .sorted(Comparator.comparing(Sorted::key))
        .map(Sorted::row)
        .toList();
  }

  private static Row row(Space space, Piece p, LengthUnit unit) {
    String on = p.on().kind() == On.Kind.piece ? p.on().id() : "";
    String kind = space.article(p).kind();
    String what = Names.bare(p.name());
    return new Row(p.id(), p.name(), what, p.article(), kind, p.size().text(unit), note(p), on);
  }

  private static String note(Piece p) {
    List<String> notes = new ArrayList<>();
    if (p.form().stretched()) {
      notes.add("stretched");
    }
    if (p.form().mirrored()) {
      notes.add("mirrored");
    }
    return String.join(", ", notes);
  }

  /** A name with its numbers padded. */
  private static String inOrder(String name) {
    return NUMBER
        .matcher(name.toLowerCase(Locale.ROOT))
        .replaceAll(m -> " ".repeat(Math.max(0, 9 - m.group().length())) + m.group());
  }
}
