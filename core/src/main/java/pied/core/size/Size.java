package pied.core.size;

import pied.core.Tolerance;
import pied.core.units.LengthUnit;

/**
 * The finished outside size of a piece, metres: along its own x (width), z (depth) and y (height).
 */
public record Size(double width, double depth, double height) {
  /** Smallest and largest measure anything may have, metres. */
  public static final double LEAST = 0.001;

  public static final double MOST = 200;

  /** So many times as large. */
  public Size times(double factor) {
    return new Size(width * factor, depth * factor, height * factor);
  }

  public boolean sameAs(Size o) {
    return Math.abs(width - o.width) < Tolerance.SIZE
        && Math.abs(depth - o.depth) < Tolerance.SIZE
        && Math.abs(height - o.height) < Tolerance.SIZE;
  }

  /** As it is written on cards and in the schedule: width × depth × height. */
  public String text(LengthUnit u) {
    return u.fine(width) + " × " + u.fine(depth) + " × " + u.fine(height);
  }
}
