package pied.server.space;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.NavigableMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.Predicate;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.space.Space;

/** A space with all that can be asked of what was done in it. */
final class SpaceHistory {
  Space space;
  long revision;
  long last;

  /** Windows in which they were done, by their keys; empty where that is not known. */
  final NavigableMap<Long, String> done = new ConcurrentSkipListMap<>();

  final NavigableMap<Long, String> undone = new ConcurrentSkipListMap<>();
  final Map<String, Long> requests = new HashMap<>();
  final Map<Long, Change> changes = new ConcurrentHashMap<>();

  /** Steps in other spaces that were one act with one here, by the key of that. */
  final Map<Long, Long> partners = new HashMap<>();

  /**
   * @param revision it began with
   */
  SpaceHistory(Space space, long revision) {
    this.space = space;
    this.revision = revision;
  }

  /** The step in another space that was one act with one here; null for none. */
  @Nullable
  Long partner(long key) {
    return partners.get(key);
  }

  /** Whether a change stands (true), or is undone (false); null if it is neither. */
  @Nullable
  Boolean stands(long key) {
    return done.containsKey(key) ? Boolean.TRUE : undone.containsKey(key) ? Boolean.FALSE : null;
  }

  /** One more of the steps of its past, in order. */
  void add(
      long key,
      long at,
      StepRow.StepKind kind,
      String request,
      String window,
      @Nullable Long partner) {
    String in = window == null ? "" : window;
    revision = Math.max(revision, at);
    last = StepRow.n(key);
    if (kind == StepRow.StepKind.DONE) {
      done.put(key, in);
    } else if (kind == StepRow.StepKind.UNDONE) {
      undone.put(key, in);
    }
    if (request != null) {
      requests.put(request, key);
    }
    if (partner != null) {
      partners.put(key, partner);
    }
  }

  Space space() {
    return space;
  }

  long revision() {
    return revision;
  }

  Long asked(String request) {
    return request == null ? null : requests.get(request);
  }

  /** Changes that stand, the latest first. */
  Collection<Long> done() {
    return done.descendingKeySet();
  }

  /** Changes that are undone, the first first. */
  Collection<Long> undone() {
    return undone.keySet();
  }

  /** The last that stands of those that are meant; null for none. */
  Long lastDone(Predicate<String> window) {
    return first(done.descendingMap(), window);
  }

  /** The first that is undone of those that are meant; null for none. */
  Long firstUndone(Predicate<String> window) {
    return first(undone, window);
  }

  private static Long first(Map<Long, String> of, Predicate<String> window) {
    for (Map.Entry<Long, String> e : of.entrySet()) {
      if (window.test(e.getValue())) {
        return e.getKey();
      }
    }
    return null;
  }

  /** A change that is not in the store yet. */
  Change underWay(long key) {
    return changes.get(key);
  }

  OpenSpace.Seen seen(String name, long shellAt) {
    return new OpenSpace.Seen(name, space, revision, shellAt);
  }
}
