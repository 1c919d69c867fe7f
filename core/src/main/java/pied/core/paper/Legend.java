package pied.core.paper;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What is numbered on a drawing, and how many there are of each. */
final class Legend {
  private final Map<Integer, SheetNumbers.LegendEntry> entries = new TreeMap<>();
  private final Map<Integer, Integer> counts = new TreeMap<>();
  private final List<String[]> marks = new ArrayList<>();
  private int leftOut;

  /** One more of it. */
  void add(SheetNumbers.LegendEntry e) {
    entries.put(e.number(), e);
    counts.merge(e.number(), 1, Integer::sum);
  }

  /** One of the numbers has no room on the drawing. */
  void leftOut() {
    leftOut++;
  }

  /**
   * A door or a window with its mark.
   *
   * @param name what it is and how it opens
   */
  void mark(String mark, String name, String size) {
    marks.add(new String[] {mark, "", name, size});
  }

  /** Doors and windows with their marks: mark, nothing, what it is, its size. */
  List<String[]> marks() {
    return marks;
  }

  /** How many numbers the drawing has no room for. */
  int withoutRoom() {
    return leftOut;
  }

  /** By their numbers. */
  Map<SheetNumbers.LegendEntry, Integer> all() {
    Map<SheetNumbers.LegendEntry, Integer> all = new LinkedHashMap<>();
    entries.forEach((n, e) -> all.put(e, counts.get(n)));
    return all;
  }
}
