package pied.core.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.piece.Piece;
import pied.core.schedule.Schedule;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * Numbers of what there is in a space: what is alike has the same. They are those of the whole
 * space, so that all its drawings agree.
 */
final class SheetNumbers {
  /** A line of the legend. */
  record LegendEntry(int number, String name, String size) {}

  private final Map<String, LegendEntry> byPiece = new HashMap<>();

  SheetNumbers(Space space, LengthUnit unit) {
    List<Schedule.ScheduleRow> rows = new ArrayList<>(Schedule.of(space, unit));
    rows.sort(
        java.util.Comparator.comparing(Schedule.ScheduleRow::kind)
            .thenComparing(Schedule.ScheduleRow::articleName));
    Map<String, LegendEntry> all = new LinkedHashMap<>();
    Map<String, String> names = names(rows);
    for (Schedule.ScheduleRow r : rows) {
      String name = names.get(r.alike()) + (r.finish().isEmpty() ? "" : ", " + r.finish());
      LegendEntry e =
          all.computeIfAbsent(r.alike(), k -> new LegendEntry(all.size() + 1, name, r.size()));
      byPiece.put(r.id(), e);
    }
  }

  /** The name that all that is alike was given; where they have several, that of the article. */
  private static Map<String, String> names(List<Schedule.ScheduleRow> rows) {
    Map<String, String> names = new HashMap<>();
    for (Schedule.ScheduleRow r : rows) {
      names.merge(r.alike(), r.what(), (a, b) -> a.equals(b) ? a : r.articleName());
    }
    return names;
  }

  LegendEntry of(Piece p) {
    return byPiece.get(p.id());
  }
}
