package pied.core.space;

import io.vavr.collection.HashMap;
import io.vavr.collection.TreeSet;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.Set;
import pied.core.Nullable;
import pied.core.piece.On;
import pied.core.piece.Piece;

/**
 * Which pieces carry which; never changed once made. What is carried is found in the time it takes
 * to name it.
 *
 * @param carried ids of what stands on a piece, by its id
 */
record Carriers(HashMap<String, TreeSet<String>> carried) {
  static final Carriers NONE = new Carriers(HashMap.empty());

  /** As it is when a piece is another, came (null before), or went (null after). */
  Carriers with(@Nullable Piece before, @Nullable Piece after) {
    String was = before == null ? null : carrier(before);
    String is = after == null ? null : carrier(after);
    if (was == null ? is == null : was.equals(is)) {
      return this;
    }
    HashMap<String, TreeSet<String>> next = carried;
    if (was != null) {
      TreeSet<String> left = next.get(was).get().remove(before.id());
      next = left.isEmpty() ? next.remove(was) : next.put(was, left);
    }
    if (is != null) {
      next = next.put(is, next.getOrElse(is, TreeSet.empty()).add(after.id()));
    }
    return new Carriers(next);
  }

  private static String carrier(Piece p) {
    return p.on().kind() == On.Kind.piece ? p.on().id() : null;
  }

  /** All that is carried by any of these, and by those, without these themselves. */
  Set<String> carriedBy(Collection<String> ids) {
    Set<String> found = new LinkedHashSet<>();
    Set<String> given = ids instanceof Set<String> s ? s : Set.copyOf(ids);
    Deque<String> left = new ArrayDeque<>(given);
    while (!left.isEmpty()) {
      for (String id : carried.getOrElse(left.poll(), TreeSet.empty())) {
        if (!given.contains(id) && found.add(id)) {
          left.add(id);
        }
      }
    }
    return found;
  }
}
