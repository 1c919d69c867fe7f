package pied.core.tool.scatter;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.locationtech.jts.geom.Geometry;
import pied.core.solid.Vec;

/**
 * Those that have their places, by squares of the floor, so that only the near ones are looked at.
 */
final class StrewnGrid {
  /** One that has its place. */
  record Strewn(Vec at, Geometry outline, double radius) {}

  private final Map<Long, List<Strewn>> squares = new HashMap<>();
  private final double cell;
  private final double least;
  private double reach;

  /**
   * @param cell side of a square, metres
   * @param least distance that stays between two of them, metres
   */
  StrewnGrid(double cell, double least) {
    this.cell = cell;
    this.least = least;
  }

  void add(Strewn lies) {
    reach = Math.max(reach, lies.radius);
    squares.computeIfAbsent(key(lies.at.x(), lies.at.z()), k -> new ArrayList<>()).add(lies);
  }

  private long key(double x, double z) {
    return (long) Math.floor(x / cell) * 1_000_003L + (long) Math.floor(z / cell);
  }

  /**
   * Whether one is nearer than a distance, from middle to middle.
   *
   * @param floor whether they lie on the floor; of boards over one another only what is on the same
   *     one counts
   */
  boolean tooNear(Vec at, double apart, boolean floor) {
    return apart > 0 && any(at, apart, l -> same(l, at, floor) && flat(l.at, at) < apart);
  }

  /** Whether it would touch one, or come nearer to it than the least distance. */
  boolean touches(Strewn lies, boolean floor) {
    return any(
        lies.at,
        lies.radius + reach + least,
        l ->
            same(l, lies.at, floor)
                && flat(l.at, lies.at) < lies.radius + l.radius + least
                && (least > 0
                    ? lies.outline.isWithinDistance(l.outline, least)
                    : lies.outline.intersects(l.outline)));
  }

  private static double flat(Vec a, Vec b) {
    return Math.hypot(a.x() - b.x(), a.z() - b.z());
  }

  private static boolean same(Strewn l, Vec at, boolean floor) {
    return floor || Math.abs(l.at.y() - at.y()) < 0.02;
  }

  private boolean any(Vec at, double within, Predicate<Strewn> near) {
    int r = (int) Math.ceil(within / cell);
    for (int i = -r; i <= r; i++) {
      for (int j = -r; j <= r; j++) {
        List<Strewn> all = squares.get(key(at.x() + i * cell, at.z() + j * cell));
        for (int k = 0; all != null && k < all.size(); k++) {
          if (near.test(all.get(k))) {
            return true;
          }
        }
      }
    }
    return false;
  }
}
