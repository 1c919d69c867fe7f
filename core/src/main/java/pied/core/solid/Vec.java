package pied.core.solid;

/** A point or direction in space, metres, right-handed, y up. */
public record Vec(double x, double y, double z) {
  public static final Vec ZERO = new Vec(0, 0, 0);
  public static final Vec UP = new Vec(0, 1, 0);
  public static final Vec DOWN = new Vec(0, -1, 0);

  public Vec plus(Vec o) {
    return new Vec(x + o.x, y + o.y, z + o.z);
  }

  public Vec minus(Vec o) {
    return new Vec(x - o.x, y - o.y, z - o.z);
  }

  public Vec times(double f) {
    return new Vec(x * f, y * f, z * f);
  }

  /** This point moved by {@code distance} metres along {@code direction}. */
  public Vec along(Vec direction, double distance) {
    return new Vec(
        x + direction.x * distance, y + direction.y * distance, z + direction.z * distance);
  }

  public double dot(Vec o) {
    return x * o.x + y * o.y + z * o.z;
  }

  public Vec cross(Vec o) {
    return new Vec(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
  }

  public double length() {
    return Math.sqrt(dot(this));
  }

  public double distance(Vec o) {
    return minus(o).length();
  }

  /**
   * The direction of this vector at length 1.
   *
   * @throws IllegalArgumentException if the length is zero
   */
  public Vec unit() {
    double l = length();
    if (!(l > 0)) {
      throw new IllegalArgumentException("A direction of length zero points nowhere");
    }
    return times(1 / l);
  }

  public boolean finite() {
    return Double.isFinite(x) && Double.isFinite(y) && Double.isFinite(z);
  }
}
