package pied.core.tool.light;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.piece.Piece;
import pied.core.say.Reading;
import pied.core.space.Space;

/** How lamps are named together in sentences: "lamps", "the pendants", "the circuit Bar". */
final class LampNouns {
  private LampNouns() {}

  /** Those meant; null if none are named here. */
  static @Nullable LampsMeant read(Reading r, Space space) {
    int before = r.at();
    r.quietly("all|every");
    r.quietly("the");
    if (r.is("circuit")) {
      for (String c : LampsMeant.circuits(space)) {
        if (r.is(c.toLowerCase(Locale.ROOT))) {
          return new LampsMeant(null, null, c, null);
        }
      }
    }
    for (Map.Entry<String, LampsMeant> e : names(space).entrySet()) {
      if (r.is(e.getKey())) {
        return e.getValue();
      }
    }
    if (r.is("lamps|lights|lanterns")) {
      return LampsMeant.ALL;
    }
    r.back(before);
    return null;
  }

  /** Words for some of the lamps of a space, and what they mean; the longest first. */
  private static Map<String, LampsMeant> names(Space space) {
    Map<String, LampsMeant> all = new LinkedHashMap<>();
    for (Piece p : space.pieces()) {
      Article a = space.article(p);
      if (a.light() != null) {
        String kind = last(a.kind());
        LampsMeant ofKind = new LampsMeant(a.kind(), null, null, null);
        all.putIfAbsent(kind + "s|" + kind + " lamps|" + kind, ofKind);
        String name = a.name().toLowerCase(Locale.ROOT);
        all.putIfAbsent(name + "s|" + name, new LampsMeant(null, null, null, a.id()));
      }
    }
    List<Map.Entry<String, LampsMeant>> sorted =
        all.entrySet().stream()
            .sorted((x, y) -> Integer.compare(y.getKey().length(), x.getKey().length()))
            .toList();
    Map<String, LampsMeant> longestFirst = new LinkedHashMap<>();
    sorted.forEach(e -> longestFirst.put(e.getKey(), e.getValue()));
    return longestFirst;
  }

  private static String last(String kind) {
    return kind.substring(kind.lastIndexOf('/') + 1).toLowerCase(Locale.ROOT);
  }

  /** How those meant are said: "all lamps", "the pendants", "the circuit Bar". */
  static String said(Space space, @Nullable LampsMeant which) {
    if (which == null || which.equals(LampsMeant.ALL)) {
      return "all lamps";
    }
    if (which.circuit() != null) {
      return "the circuit " + which.circuit();
    }
    if (which.article() != null) {
      String name = space.shapes().catalog().article(which.article()).name();
      return "the " + name.toLowerCase(Locale.ROOT) + "s";
    }
    if (which.kind() != null) {
      String kind = last(which.kind());
      return "the " + (kind.endsWith("s") ? kind : kind + "s");
    }
    return "the lamps on the layer " + which.layer();
  }
}
