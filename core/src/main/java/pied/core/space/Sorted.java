package pied.core.space;

import io.vavr.collection.HashMap;
import io.vavr.collection.TreeSet;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.Function;
import pied.core.Nullable;
import pied.core.piece.Piece;

/**
 * Ids of pieces by something they have in common; never changed once made. Costs what is altered.
 *
 * @param by what they are sorted by; null for a piece that is not
 */
record Sorted(Function<Piece, String> by, HashMap<String, TreeSet<String>> ids) {
  static Sorted by(Function<Piece, String> by) {
    return new Sorted(by, HashMap.empty());
  }

  /** As it is when a piece is another, came (null before), or went (null after). */
  Sorted with(@Nullable Piece before, @Nullable Piece after) {
    String was = before == null ? null : by.apply(before);
    String is = after == null ? null : by.apply(after);
    if (was == null ? is == null : was.equals(is)) {
      return this;
    }
    HashMap<String, TreeSet<String>> next = ids;
    if (was != null) {
      TreeSet<String> left = next.get(was).get().remove(before.id());
      next = left.isEmpty() ? next.remove(was) : next.put(was, left);
    }
    if (is != null) {
      next = next.put(is, next.getOrElse(is, TreeSet.empty()).add(after.id()));
    }
    return new Sorted(by, next);
  }

  TreeSet<String> of(String key) {
    return ids.getOrElse(key, TreeSet.empty());
  }

  /** Where pieces are sorted by others: those of any of these, of those again, and so on. */
  Set<String> below(Collection<String> keys) {
    Set<String> found = new LinkedHashSet<>();
    Set<String> given = keys instanceof Set<String> s ? s : Set.copyOf(keys);
    Deque<String> left = new ArrayDeque<>(given);
    while (!left.isEmpty()) {
      for (String id : of(left.poll())) {
        if (!given.contains(id) && found.add(id)) {
          left.add(id);
        }
      }
    }
    return found;
  }
}
