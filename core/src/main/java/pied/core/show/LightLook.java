package pied.core.show;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Map;
import java.util.TreeMap;
import pied.core.Nullable;

/**
 * Lamps and day as they were when it was kept.
 *
 * @param place among the looks; the least is the first
 * @param fade seconds it takes until it stands
 * @param day null where the day has no part in it
 * @param levels of all lamps there were, by their ids
 */
@RecordBuilder
public record LightLook(
    String id,
    String name,
    double place,
    double fade,
    @Nullable Day day,
    Map<String, LampLevel> levels)
    implements Shown, LightLookBuilder.With {
  /** Most of a space. */
  public static final int MOST = 200;

  /** Longest time to fade, seconds. */
  public static final double LONGEST = 3600;

  public LightLook {
    levels = java.util.Collections.unmodifiableMap(new TreeMap<>(levels));
  }

  /**
   * How a lamp is switched.
   *
   * @param level of 1
   */
  public record LampLevel(boolean on, double level) {}

  /** The key of one of an id. */
  public static String key(String id) {
    return "look:" + id;
  }

  @Override
  public String key() {
    return key(id);
  }

  @Override
  public String sort() {
    return "look";
  }
}
