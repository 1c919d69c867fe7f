package pied.core.space;

/**
 * A bar across the space to hang things from.
 *
 * @param id its name, such as "bar 1"
 * @param x its middle across, metres
 * @param z how deep it hangs, metres
 * @param trim height of the middle of the tube, metres
 * @param length metres
 */
public record Bar(String id, double x, double z, double trim, double length) {
  /** Outer diameter of the tube, metres: the common scaffold tube of EN 39. */
  public static final double TUBE = 0.0483;
}
