package pied.core.units;

/** How angles are written. */
public final class Angle {
  private Angle() {}

  /** Degrees to a tenth, with their sign: {@code 22.5°}. */
  public static String text(double degrees) {
    double t = Math.round(degrees * 10) / 10.0;
    return (t == Math.rint(t) ? String.valueOf((int) t) : String.valueOf(t)) + "°";
  }
}
