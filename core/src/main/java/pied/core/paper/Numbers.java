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
final class Numbers {
  /** A line of the legend. */
  record Entry(int number, String name, String size) {}

  private final Map<String, Entry> byPiece = new HashMap<>();

  Numbers(Space space, LengthUnit unit) {
    List<Schedule.Row> rows = new ArrayList<>(Schedule.of(space, unit));
    rows.sort(
        java.util.Comparator.comparing(Schedule.Row::kind)
            .thenComparing(Schedule.Row::articleName));
    Map<String, Entry> all = new LinkedHashMap<>();
    for (Schedule.Row r : rows) {
      String name = r.articleName() + (r.finish().isEmpty() ? "" : ", " + r.finish());
      Entry e = all.computeIfAbsent(r.alike(), k -> new Entry(all.size() + 1, name, r.size()));
      byPiece.put(r.id(), e);
    }
  }

  Entry of(Piece p) {
    return byPiece.get(p.id());
  }
}
