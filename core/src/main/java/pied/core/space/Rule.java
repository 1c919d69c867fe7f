package pied.core.space;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import pied.core.Nullable;

/**
 * Where pieces are that are repeated: in a row, along a path, around something, strewn about. Each
 * rule is in the room of its tool.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "as")
public interface Rule {
  /** The same somewhere else. */
  Rule moved(Motion m);

  /** What they are called: row, trail, ring, scatter. */
  String called();

  /** Whether all it says is within bounds; what is stored or comes from outside may be anything. */
  boolean sound();

  /**
   * A distance from one to the next.
   *
   * @param by metres
   * @param middles whether between middles, and not between sides
   */
  record Apart(double by, boolean middles) {
    /** Whether a distance is given, and within bounds. */
    public static boolean isSound(@Nullable Apart a) {
      return a != null && Bounds.length(a.by);
    }
  }

  /** Which way pieces on a path or around something look. */
  enum RepeatFacing {
    /** Along the path. */
    along,
    /** Into the room; toward what they are around. */
    inward,
    outward,
    /** All the same way. */
    fixed
  }
}
