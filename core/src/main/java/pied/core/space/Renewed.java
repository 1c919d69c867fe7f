package pied.core.space;

import io.vavr.collection.HashSet;
import io.vavr.collection.Set;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;

/**
 * What was worked out one by one for a space, or for one before it, and which pieces have been
 * touched since. Safe for threads.
 */
final class Renewed {
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
  <S, T> Map<String, T> of(
      Space space, Object key, Subjects<S> subjects, BiFunction<Space, S, T> each) {
    FoundBody last = found.get(key);
    if (last != null && last.touched.isEmpty()) {
      return (Map<String, T>) last.values;
    }
    java.util.Set<String> stale =
        last == null ? null : subjects.altered(last.at, space, last.touched.toJavaSet());
    Map<String, Object> all =
        new LinkedHashMap<>(last == null ? 2 * space.pieces().size() : 2 * last.values.size());
    subjects.all(
        space,
        (id, s) -> {
          boolean same = stale != null && !stale.contains(id) && last.values.containsKey(id);
          all.put(id, same ? last.values.get(id) : each.apply(space, s));
        });
    found.put(key, new FoundBody(space, all, HashSet.empty()));
    return (Map<String, T>) all;
  }
}
