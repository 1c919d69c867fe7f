package pied.core.space;

import io.vavr.collection.HashSet;
import io.vavr.collection.Set;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Vec;

/**
 * What was worked out piece by piece for a space, or for one before it, and which pieces have been
 * touched since. Safe for threads.
 */
final class Renewed {
  /** What is solid no farther away than this counts as near, metres. */
  private static final double NEAR = 1e-3;

  private static final int LEAST = 64;

  /**
   * @param at the space it was worked out for
   * @param touched ids since then
   */
  private record FoundBody(Space at, Map<String, Object> values, Set<String> touched) {}

  /**
   * What is kept under a key like this depends on how a piece is called, where it is and how large.
   */
  record RenewedSolid(Object key) {}

  private final Map<Object, FoundBody> found = new ConcurrentHashMap<>(4);

  /**
   * For a space in which some pieces are others; what most of it changed for is let go of.
   *
   * @param solid those of them that are others for what asks only for what is solid
   */
  Renewed after(Space before, Collection<String> touched, Collection<String> solid, int pieces) {
    Renewed next = new Renewed();
    found.forEach(
        (key, f) -> {
          Set<String> all = f.touched.addAll(key instanceof RenewedSolid ? solid : touched);
          if (all.size() <= Math.max(LEAST, pieces / 4)) {
            next.found.put(key, new FoundBody(f.at, f.values, all));
          }
        });
    return next;
  }

  @SuppressWarnings("unchecked")
  <T> Map<String, T> of(Space space, Object key, Space.Each<T> each) {
    FoundBody last = found.get(key);
    if (last != null && last.touched.isEmpty()) {
      return (Map<String, T>) last.values;
    }
    java.util.Set<String> stale = last == null ? null : stale(space, last);
    Map<String, Object> all = new LinkedHashMap<>(2 * space.pieces().size());
    for (Piece p : space.pieces()) {
      boolean same = stale != null && !stale.contains(p.id());
      all.put(p.id(), same ? last.values.get(p.id()) : each.of(space, p));
    }
    found.put(key, new FoundBody(space, all, HashSet.empty()));
    return (Map<String, T>) all;
  }

  /** Pieces that were touched, and those near where they were or are. */
  private static java.util.Set<String> stale(Space now, FoundBody last) {
    java.util.Set<String> stale = new LinkedHashSet<>();
    Vec margin = new Vec(NEAR, NEAR, NEAR);
    for (String id : last.touched) {
      stale.add(id);
      for (Space s : new Space[] {last.at, now}) {
        Body body = s.bodies().body(id);
        if (body != null) {
          Box near = new Box(body.box().min().minus(margin), body.box().max().plus(margin));
          now.bodies().near(near).forEach(b -> stale.add(b.id()));
        }
      }
    }
    return stale;
  }
}
