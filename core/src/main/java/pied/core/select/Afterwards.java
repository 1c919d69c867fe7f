package pied.core.select;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.edit.Picked;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.space.Difference;
import pied.core.space.Difference.OfGroup;
import pied.core.space.Group;
import pied.core.space.PartName;
import pied.core.space.Space;

/** What is selected once something is done. */
public final class Afterwards {
  private Afterwards() {}

  /**
   * What was made, each with those of its repetition that were there, without twins of what was
   * selected, which follow that; where nothing was made, all of a repetition whose rule is another
   * now; else what was selected.
   *
   * @param now the space after the change
   * @param before ids of what was selected, the lead last
   * @return ids, the lead last
   */
  public static List<String> selected(Space now, List<String> before, Change change) {
    Set<String> chosen = Set.copyOf(before);
    Set<String> all = new LinkedHashSet<>();
    for (PartName made : change.madeParts()) {
      Partner twin = now.filing().part(made).keeping().twin();
      if (twin == null || !chosen.contains(twin.piece())) {
        all.add(made.text());
      }
    }
    for (String id : change.made()) {
      Piece p = now.piece(id);
      Partner twin = p.keeping().twin();
      if (twin != null && twin.piece() != null && chosen.contains(twin.piece())) {
        continue;
      }
      if (p.keeping().slot() != null) {
        all.addAll(now.members(p.keeping().group()));
      } else {
        all.add(id);
      }
    }
    if (!all.isEmpty()) {
      return List.copyOf(all);
    }
    List<String> left =
        before.stream().filter(id -> now.has(id) || Picked.isPart(now, id)).toList();
    change.all().stream()
        .filter(Afterwards::ruled)
        .map(d -> now.members(((OfGroup) d).after().id()))
        .filter(members -> left.isEmpty() || left.stream().anyMatch(members::contains))
        .forEach(all::addAll);
    return all.isEmpty() ? left : List.copyOf(all);
  }

  private static boolean ruled(Difference d) {
    return d instanceof OfGroup g
        && rule(g.after()) != null
        && !rule(g.after()).equals(rule(g.before()));
  }

  private static @Nullable Object rule(@Nullable Group g) {
    return g == null || g.repeats() == null ? null : g.repeats().rule();
  }
}
