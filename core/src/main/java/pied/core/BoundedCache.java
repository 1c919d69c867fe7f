package pied.core;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.ToLongFunction;

/** Keeps what was made, so that it need not be made again. */
public final class BoundedCache {
  /** Sizes are told to this, bytes. */
  private static final int GRAIN = 64;

  private static final int WIDE = 1024;

  private BoundedCache() {}

  /**
   * A map that lets go of what is used least, by room. Safe for threads: who makes one thing holds
   * up nobody who wants another.
   *
   * @param share of the memory there is that it may take at most
   * @param bytes how much room a value takes, roughly
   */
  public static <K, V> Map<K, V> room(double share, ToLongFunction<V> bytes) {
    return Caffeine.newBuilder()
        .initialCapacity(WIDE) // two that share a slot wait for each other
        .maximumWeight((long) (share * Runtime.getRuntime().maxMemory() / GRAIN))
        .weigher(
            (K key, V value) ->
                (int) Math.min(Integer.MAX_VALUE, 4 + bytes.applyAsLong(value) / GRAIN))
        .executor(Runnable::run)
        .<K, V>build()
        .asMap();
  }

  /** A map that holds on to what belongs to a key as long as somebody else holds the key itself. */
  public static <K, V> Map<K, V> weakly() {
    return Caffeine.newBuilder().weakKeys().executor(Runnable::run).<K, V>build().asMap();
  }

  /**
   * A small map that lets go of what was used longest ago. Safe for threads.
   *
   * @param most entries it holds
   */
  public static <K, V> Map<K, V> latest(int most) {
    return Collections.synchronizedMap(
        new LinkedHashMap<>(16, 0.75f, true) {
          private static final long serialVersionUID = 1;

          @Override
          protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
            return size() > most;
          }
        });
  }
}
