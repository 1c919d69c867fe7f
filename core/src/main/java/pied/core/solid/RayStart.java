package pied.core.solid;

/** Where a ray comes near all that a tree holds: from farther away floats would be too coarse. */
final class RayStart {
  /** Directions flatter than this are taken as so flat. */
  private static final float FLAT = 1e-30f;

  private final double[] root = new double[6];
  private double across;

  RayStart(BoxTree boxes) {
    double pad = WideNodes.pad(boxes);
    for (int k = 0; k < 3; k++) {
      root[k] = boxes.bounds[k] - pad;
      root[3 + k] = boxes.bounds[3 + k] + pad;
      across += root[3 + k] - root[k];
    }
  }

  /**
   * Where one begins.
   *
   * @return a little before it enters, 0 from within; negative if it passes by
   */
  double at(double ox, double oy, double oz, double dx, double dy, double dz, double limit) {
    double ix = 1 / steep(dx);
    double iy = 1 / steep(dy);
    double iz = 1 / steep(dz);
    double ax = (root[0] - ox) * ix;
    double bx = (root[3] - ox) * ix;
    double ay = (root[1] - oy) * iy;
    double by = (root[4] - oy) * iy;
    double az = (root[2] - oz) * iz;
    double bz = (root[5] - oz) * iz;
    double near = Math.max(Math.max(Math.min(ax, bx), Math.min(ay, by)), Math.min(az, bz));
    double far = Math.min(Math.min(Math.max(ax, bx), Math.max(ay, by)), Math.max(az, bz));
    return near > Math.min(far, limit) || far < 0 ? -1 : Math.max(0, near - across);
  }

  static double steep(double d) {
    return Math.abs(d) < FLAT ? FLAT : d;
  }

  static float steep(float d) {
    return Math.abs(d) < FLAT ? FLAT : d;
  }
}
