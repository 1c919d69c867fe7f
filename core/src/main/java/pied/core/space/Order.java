package pied.core.space;

import io.vavr.collection.HashMap;
import io.vavr.collection.TreeMap;
import java.util.AbstractCollection;
import java.util.Collection;
import java.util.Iterator;
import java.util.List;
import pied.core.piece.Piece;

/**
 * Pieces in their order; never changed once made. Another with some put in or taken out shares all
 * the rest: each costs O(log n).
 *
 * @param byId pieces with their places
 * @param byPlace ids
 * @param last the place behind which new ones go
 */
record Order(HashMap<String, Ordered> byId, TreeMap<Long, Piece> byPlace, long last) {
  static final Order EMPTY = new Order(HashMap.empty(), TreeMap.empty(), 0);

  Piece piece(String id) {
    Ordered o = byId.getOrElse(id, null);
    return o == null ? null : o.piece();
  }

  /** All pieces in their order. */
  Collection<Piece> pieces() {
    return new AbstractCollection<>() {
      @Override
      public Iterator<Piece> iterator() {
        return byPlace.valuesIterator();
      }

      @Override
      public int size() {
        return byId.size();
      }
    };
  }

  /** With some put in, each at its place. */
  Order with(List<Ordered> more) {
    HashMap<String, Ordered> ids = byId;
    TreeMap<Long, Piece> places = byPlace;
    long end = last;
    for (Ordered o : more) {
      long place = o.place() == null ? end + 1 : o.place();
      end = Math.max(end, place);
      Ordered old = ids.getOrElse(o.piece().id(), null);
      places = (old == null ? places : places.remove(old.place())).put(place, o.piece());
      ids = ids.put(o.piece().id(), new Ordered(o.piece(), place));
    }
    return new Order(ids, places, end);
  }

  /** With some replaced, or put in behind all others. */
  Order replacing(Collection<Piece> changed) {
    HashMap<String, Ordered> ids = byId;
    TreeMap<Long, Piece> places = byPlace;
    long end = last;
    for (Piece p : changed) {
      Ordered old = ids.getOrElse(p.id(), null);
      long place = old == null ? ++end : old.place();
      places = places.put(place, p);
      ids = ids.put(p.id(), new Ordered(p, place));
    }
    return new Order(ids, places, end);
  }

  Order without(Collection<String> gone) {
    HashMap<String, Ordered> ids = byId;
    TreeMap<Long, Piece> places = byPlace;
    for (String id : gone) {
      Ordered old = ids.getOrElse(id, null);
      if (old != null) {
        ids = ids.remove(id);
        places = places.remove(old.place());
      }
    }
    return new Order(ids, places, last);
  }
}
