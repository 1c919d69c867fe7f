package pied.core;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** Keeps what was made, so that it need not be made again. */
public final class Kept {
  private Kept() {}

  /**
   * A map that lets go of what was used longest ago. Safe for threads.
   *
   * @param most entries it holds
   */
  public static <K, V> Map<K, V> latest(int most) {
    return Collections.synchronizedMap(
        new LinkedHashMap<>(64, 0.75f, true) {
          private static final long serialVersionUID = 1;

          @Override
          protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
            return size() > most;
          }
        });
  }
}
