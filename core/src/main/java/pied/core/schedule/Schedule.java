package pied.core.schedule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.material.Finish;
import pied.core.material.FinishWords;
import pied.core.piece.Keeping;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Positions;
import pied.core.space.Space;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/** The list of all pieces of a space. */
public final class Schedule {
  private static final Pattern NUMBER = Pattern.compile("\\d+");

  private Schedule() {}

  /**
   * A line of it.
   *
   * @param kind of the article
   * @param what its name without a number
   * @param alike the same for pieces that are alike: of one article, size, finish and note; one
   *     line in every list, on the screen, as CSV and on paper
   * @param articleName that of the article
   * @param size width × depth × height as text
   * @param measures the same as numbers, metres
   * @param note what is unusual about it, such as "stretched"; empty for nothing
   * @param on id of the piece it stands on; empty for none
   * @param place from the datum, as text: across, deep and high
   * @param from the same as numbers, metres
   * @param facing its turn as text
   * @param turn degrees
   * @param finish what is not the article's own, in words; empty for none
   * @param weight kg, reckoned from that at natural size by its room; 0 if not known
   * @param cost 0 if not known
   * @param remark what was written beside it
   * @param locked whether it is by itself
   * @param hidden likewise
   * @param layer id
   * @param group id of the innermost; null for none
   */
  public record ScheduleRow(
      String id,
      String name,
      String what,
      String alike,
      String article,
      String articleName,
      String kind,
      String size,
      Size measures,
      String note,
      String place,
      Vec from,
      String facing,
      double turn,
      String finish,
      double weight,
      double cost,
      String supplier,
      String remark,
      boolean locked,
      boolean hidden,
      String on,
      String layer,
      @Nullable String group) {}

  private record SortedBy(String key, ScheduleRow row) {}

  private record ScheduleKey(LengthUnit unit) {}

  /** All pieces by their names, in which numbers count as such: "Stool 2" before "Stool 10". */
  public static List<ScheduleRow> of(Space space, LengthUnit unit) {
    return space
        .renewed(new ScheduleKey(unit), (s, p) -> new SortedBy(inOrder(p.name()), row(s, p, unit)))
        .values()
        .stream()
        .sorted(Comparator.comparing(SortedBy::key))
        .map(SortedBy::row)
        .toList();
  }

  private static ScheduleRow row(Space space, Piece p, LengthUnit unit) {
    Article article = space.article(p);
    Keeping k = p.keeping();
    Vec from = p.at().minus(space.shell().datum());
    String size = p.size().text(unit);
    String finish = finish(p, article);
    String note = note(space, p);
    return new ScheduleRow(
        p.id(),
        p.name(),
        Names.bare(p.name()),
        String.join("\n", p.article(), size, p.finishes().toString(), note),
        p.article(),
        article.name(),
        article.kind(),
        size,
        p.size(),
        note,
        Positions.words(space.shell(), from, unit),
        from,
        Angle.text(p.turn()),
        p.turn(),
        finish,
        article.weight(p.size()),
        article.cost(),
        article.supplier(),
        k.remark(),
        k.locked(),
        k.hidden(),
        p.on().kind() == On.OnKind.piece ? p.on().id() : "",
        space.layer(p).id(),
        k.group());
  }

  private static String finish(Piece p, Article article) {
    List<String> others = new ArrayList<>();
    article
        .finishes()
        .forEach(
            (part, f) -> {
              Finish own = p.finishes().of(part);
              if (own != null) {
                Finish shown = own.over(f.finish());
                others.add(f.name().toLowerCase(Locale.ROOT) + " " + FinishWords.of(shown));
              }
            });
    return String.join("; ", others);
  }

  /** What is unusual about it; mirrored is only what is another then. */
  private static String note(Space space, Piece p) {
    List<String> notes = new ArrayList<>();
    if (p.form().stretched()) {
      notes.add("stretched");
    }
    if (p.form().mirrored() && !space.shapes().symmetric(p.form())) {
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
