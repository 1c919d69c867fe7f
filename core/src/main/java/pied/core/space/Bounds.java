package pied.core.space;

import java.util.List;
import pied.core.Nullable;

/** What may be said at all: how many, how far, how long. What comes from outside is held to it. */
public final class Bounds {
  /** Most things that one may be about. */
  public static final int MOST_THINGS = Validity.MOST_PIECES;

  private Bounds() {}

  public static boolean within(int n, int least, int most) {
    return n >= least && n <= most;
  }

  /** Whether a length, metres, is one that a space may have; or none is given. */
  public static boolean length(@Nullable Double v) {
    return v == null || Math.abs(v) <= Validity.FARTHEST;
  }

  /** Whether a path has at least so many corners, and not too many, all of them in reach. */
  public static boolean path(List<Spot> path, int least) {
    return path.size() >= least
        && path.size() <= ShellCheck.MOST_CORNERS
        && path.stream().allMatch(s -> Validity.near(s.at(0)));
  }
}
