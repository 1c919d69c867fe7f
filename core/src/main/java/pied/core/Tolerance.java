package pied.core;

/**
 * The table of tolerances. Lengths are in metres; a space reaches 10 km from its zero at most, so
 * that a double has 12 digits behind the comma left at its far end.
 */
public final class Tolerance {
  /**
   * Two numbers that were reckoned in different ways are the same within this: sums and turnings of
   * lengths of a room leave some 1e-13, of unit vectors some 1e-15, and a thousand of them are far
   * below. It is less than anybody can type (a tenth of a millimetre is the finest).
   */
  public static final double SAME = 1e-9;

  /** A micrometre: what is shorter has no direction that could be relied on, and nobody sees it. */
  public static final double FINE = 1e-6;

  /** What squares, products and shares of {@link #FINE} are compared with: its square. */
  public static final double NONE = FINE * FINE;

  /** Two sizes are the same within this: a model's coordinates are floats, good to 1e-7 of 1 m. */
  public static final double SIZE = 1e-7;

  /** Two angles are the same within this, degrees: it moves the far end of 10 m by 2e-11 m. */
  public static final double ANGLE = 1e-10;

  /** A millimetre: what is nearer touches for whoever builds it, and is looked at as near. */
  public static final double NEAR = 1e-3;

  /** Half a millimetre: less is rounded away wherever whole millimetres are written. */
  public static final double HALF = 5e-4;

  /** A tenth of a millimetre: contact is known to this, and the finest length shown. */
  public static final double HAIR = 1e-4;

  /** By so much boxes in single precision are wider, lest rounding lose what lies on their edge. */
  public static final double WIDE = 1e-5;

  /** Twice the area of a triangle, m²: a smaller one has no normal; its corners are floats. */
  public static final double FLAT = 1e-14;

  /** The same of the square of a length, for triangles far smaller than a model is drawn with. */
  public static final double FLAT_SQUARED = 1e-24;

  /** Length of a normal as it is summed up, before it is none. */
  public static final double SMALL = 1e-18;

  /** Square of the length of an edge below which it is a point: that of {@link #FLAT}. */
  public static final double SMALL_SQUARED = FLAT * FLAT;

  /** Stands for a direction's part that is zero, so that dividing by it is large and finite. */
  public static final double STEEP = 1e-20;

  private Tolerance() {}
}
