package pied.core.space;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.piece.Piece;

/**
 * Pieces in their order; never changed once made. To put in or take out some costs as much as there
 * are.
 *
 * @param pieces by id, in order
 * @param places by id
 * @param last the place behind which new ones go
 */
record Order(Map<String, Piece> pieces, Map<String, Long> places, long last) {
  static final Order EMPTY = new Order(Map.of(), Map.of(), 0);

  /** With some put in, each at its place. */
  Order with(List<Ordered> more) {
    Map<String, Piece> next = new LinkedHashMap<>(pieces);
    Map<String, Long> at = new HashMap<>(places);
    long end = last;
    boolean sorted = true;
    for (Ordered o : more) {
      long place = o.place() == null ? end + 1 : o.place();
      sorted &= place > end;
      end = Math.max(end, place);
      next.put(o.piece().id(), o.piece());
      at.put(o.piece().id(), place);
    }
    return new Order(sorted ? next : sorted(next, at), at, end);
  }

  private static Map<String, Piece> sorted(Map<String, Piece> all, Map<String, Long> at) {
    List<Piece> list = new ArrayList<>(all.values());
    list.sort(Comparator.comparingLong(p -> at.get(p.id())));
    Map<String, Piece> sorted = new LinkedHashMap<>();
    list.forEach(p -> sorted.put(p.id(), p));
    return sorted;
  }

  /** With some replaced, or put in behind all others. */
  Order replacing(Collection<Piece> changed) {
    List<Ordered> more = new ArrayList<>();
    Map<String, Piece> next = new LinkedHashMap<>(pieces);
    for (Piece p : changed) {
      if (next.replace(p.id(), p) == null) {
        more.add(new Ordered(p, null));
      }
    }
    Order replaced = new Order(next, places, last);
    return more.isEmpty() ? replaced : replaced.with(more);
  }

  Order without(Collection<String> ids) {
    Map<String, Piece> next = new LinkedHashMap<>(pieces);
    Map<String, Long> at = new HashMap<>(places);
    Set<String> gone = Set.copyOf(ids);
    next.keySet().removeAll(gone);
    at.keySet().removeAll(gone);
    return new Order(next, at, last);
  }
}
