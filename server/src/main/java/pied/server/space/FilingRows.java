package pied.server.space;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.show.Showing;
import pied.core.space.Difference;
import pied.core.space.Filing;
import pied.core.space.KeptPart;
import pied.core.space.Layer;
import pied.server.store.Journal;

/** Reads and writes how the pieces of a space are kept in order, and how it is shown. */
@Component
class FilingRows {
  private final Rows.Layers layers;
  private final Rows.Groups groups;
  private final Rows.Selections selections;
  private final Rows.Twins twins;
  private final Rows.KeptParts parts;
  private final Rows.Showings showings;

  FilingRows(
      Rows.Layers layers,
      Rows.Groups groups,
      Rows.Selections selections,
      Rows.Twins twins,
      Rows.KeptParts parts,
      Rows.Showings showings) {
    this.layers = layers;
    this.groups = groups;
    this.selections = selections;
    this.twins = twins;
    this.parts = parts;
    this.showings = showings;
  }

  Filing of(String space) {
    return Filing.of(
        layers.ofSpace(space).stream().map(LayerRow::live).toList(),
        groups.ofSpace(space).stream().map(GroupRow::live).toList(),
        selections.ofSpace(space).stream().map(SelectionRow::live).toList(),
        twins.ofSpace(space).stream().map(TwinRow::live).toList(),
        parts.ofSpace(space).stream().map(KeptPartRow::live).toList());
  }

  Showing showing(String space) {
    return Showing.of(showings.ofSpace(space).stream().map(ShownRow::live).toList());
  }

  /** What a change altered of it. */
  static void write(Journal.Transaction s, String space, Change change) {
    for (Difference d : change.all()) {
      if (d instanceof Difference.OfLayers l) {
        layers(s, space, l.after());
      } else if (d instanceof Difference.OfGroup g) {
        put(
            s,
            g.before() == null ? null : new GroupRow(space, g.before()),
            g.after() == null ? null : new GroupRow(space, g.after()));
      } else if (d instanceof Difference.OfSelection n) {
        put(
            s,
            n.before() == null ? null : new SelectionRow(space, n.before()),
            n.after() == null ? null : new SelectionRow(space, n.after()));
      } else if (d instanceof Difference.OfTwin t) {
        put(
            s,
            t.before() == null ? null : new TwinRow(space, t.before()),
            t.after() == null ? null : new TwinRow(space, t.after()));
      } else if (d instanceof Difference.OfKeptPart k) {
        put(s, row(space, k.before()), row(space, k.after()));
      } else if (d instanceof Difference.OfShown v) {
        put(
            s,
            v.before() == null ? null : new ShownRow(space, v.before()),
            v.after() == null ? null : new ShownRow(space, v.after()));
      }
    }
  }

  /** There are few of them, and their places all change together. */
  private static void layers(Journal.Transaction s, String space, List<Layer> now) {
    s.alter("delete from LayerRow where key.space = :space", Map.of("space", space));
    for (int i = 0; i < now.size(); i++) {
      s.insert(new LayerRow(space, i, now.get(i)));
    }
  }

  private static @Nullable KeptPartRow row(String space, KeptPart p) {
    return p.plainly() ? null : new KeptPartRow(space, p);
  }

  private static void put(Journal.Transaction s, Object before, Object after) {
    if (after == null) {
      s.delete(before);
    } else if (before == null) {
      s.insert(after);
    } else {
      s.update(after);
    }
  }
}
