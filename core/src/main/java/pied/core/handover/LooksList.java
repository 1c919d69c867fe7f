package pied.core.handover;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.lighting.LampLight;
import pied.core.piece.Piece;
import pied.core.show.Day;
import pied.core.show.LightLook;
import pied.core.show.LightLook.LampLevel;
import pied.core.space.Space;
import pied.core.units.Decimal;

/**
 * Looks as a list of channels and levels: a channel is a circuit, or a lamp on none; a column is a
 * look. The last lines say how long each takes to fade, and its day.
 */
final class LooksList {
  private LooksList() {}

  static List<List<String>> of(Space space) {
    List<LightLook> looks = space.showing().looks();
    List<List<String>> rows = new ArrayList<>();
    List<String> head = new ArrayList<>(List.of("Channel", "Name", "Lamps", "Power (W)", "Now"));
    looks.forEach(l -> head.add(ScheduleCsv.text(l.name())));
    rows.add(head);
    int n = 0;
    for (Map.Entry<String, List<Piece>> c : channels(space).entrySet()) {
      n++;
      List<Piece> lamps = c.getValue();
      double watts = lamps.stream().mapToDouble(p -> LampLight.of(space, p).watts()).sum();
      List<String> row = new ArrayList<>();
      row.add(Integer.toString(n));
      row.add(ScheduleCsv.text(c.getKey()));
      row.add(Integer.toString(lamps.size()));
      row.add(Decimal.text(watts, 10));
      row.add(percent(lamps.stream().map(p -> p.lamp().burning()).toList()));
      for (LightLook l : looks) {
        row.add(
            percent(
                lamps.stream()
                    .map(p -> l.levels().get(p.id()))
                    .filter(v -> v != null)
                    .map(LooksList::burning)
                    .toList()));
      }
      rows.add(row);
    }
    last(rows, "Seconds to fade", looks.stream().map(l -> Decimal.text(l.fade(), 10)).toList());
    last(rows, "Day", looks.stream().map(l -> day(l.day())).toList());
    return rows;
  }

  private static void last(List<List<String>> rows, String what, List<String> of) {
    List<String> row = new ArrayList<>(List.of("", what, "", "", ""));
    row.addAll(of);
    rows.add(row);
  }

  private static String day(Day day) {
    return day == null ? "" : day.name() + " " + day.sky();
  }

  private static double burning(LampLevel v) {
    return v.on() ? v.level() : 0;
  }

  /** Lamps by what they are switched with, in the order in which they came. */
  private static Map<String, List<Piece>> channels(Space space) {
    Map<String, List<Piece>> all = new LinkedHashMap<>();
    for (Piece p : space.pieces()) {
      if (space.article(p).light() != null) {
        String with = p.lamp().circuit() == null ? p.name() : p.lamp().circuit();
        all.computeIfAbsent(with, k -> new ArrayList<>()).add(p);
      }
    }
    return all;
  }

  /** One level, or from the least to the most. */
  private static String percent(List<Double> levels) {
    if (levels.isEmpty()) {
      return "";
    }
    long least = Math.round(100 * levels.stream().mapToDouble(v -> v).min().orElse(0));
    long most = Math.round(100 * levels.stream().mapToDouble(v -> v).max().orElse(0));
    return least == most ? least + " %" : least + " to " + most + " %";
  }
}
