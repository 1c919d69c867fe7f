package pied.core.solid;

/** An upright box between two corners, metres; {@code min ≤ max} in every direction. */
public record Box(Vec min, Vec max) {
  /** The box around flat coordinates x, y, z, x, y, z…; at least one point. */
  public static Box around(double[] xyz) {
    double[] b = {1e300, 1e300, 1e300, -1e300, -1e300, -1e300};
    for (int i = 0; i < xyz.length; i++) {
      int k = i % 3;
      b[k] = Math.min(b[k], xyz[i]);
      b[k + 3] = Math.max(b[k + 3], xyz[i]);
    }
    return new Box(new Vec(b[0], b[1], b[2]), new Vec(b[3], b[4], b[5]));
  }

  public Vec size() {
    return max.minus(min);
  }

  public Vec centre() {
    return min.plus(max).times(0.5);
  }

  /** The same with so much more on both sides, metres each way. */
  public Box grown(Vec by) {
    return new Box(min.minus(by), max.plus(by));
  }

  public Box union(Box o) {
    return new Box(
        new Vec(
            Math.min(min.x(), o.min.x()),
            Math.min(min.y(), o.min.y()),
            Math.min(min.z(), o.min.z())),
        new Vec(
            Math.max(max.x(), o.max.x()),
            Math.max(max.y(), o.max.y()),
            Math.max(max.z(), o.max.z())));
  }

  /** Whether the two boxes share more than {@code depth} metres in every direction. */
  public boolean overlaps(Box o, double depth) {
    return max.x() - o.min.x() > depth
        && o.max.x() - min.x() > depth
        && max.y() - o.min.y() > depth
        && o.max.y() - min.y() > depth
        && max.z() - o.min.z() > depth
        && o.max.z() - min.z() > depth;
  }

  /** Whether the point lies in the box or within {@code slack} metres of it. */
  public boolean holds(Vec p, double slack) {
    return p.x() >= min.x() - slack
        && p.x() <= max.x() + slack
        && p.y() >= min.y() - slack
        && p.y() <= max.y() + slack
        && p.z() >= min.z() - slack
        && p.z() <= max.z() + slack;
  }
}
