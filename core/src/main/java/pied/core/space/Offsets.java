package pied.core.space;

import java.util.List;
import pied.core.Tolerance;

/** An outline moved outward, each edge by its own distance. */
final class Offsets {
  /** A mitre longer than so many thicknesses is cut off. */
  private static final double LONGEST = 5;

  private Offsets() {}

  /**
   * The outer corners: where the two edges, moved outward, meet.
   *
   * @param by distance of the edge that begins at each corner; negative is inward
   * @return for every corner the end of the edge before it and the beginning of the edge after it;
   *     they differ only where a mitre would be too long
   */
  static Spot[][] around(List<Spot> outline, double[] by) {
    int n = outline.size();
    Spot[][] out = new Spot[n][];
    for (int i = 0; i < n; i++) {
      int before = (i + n - 1) % n;
      out[i] =
          corner(outline.get(before), outline.get(i), outline.get((i + 1) % n), by[before], by[i]);
    }
    return out;
  }

  private static Spot[] corner(Spot a, Spot b, Spot c, double t1, double t2) {
    double l1 = a.distance(b);
    double l2 = b.distance(c);
    // outward normals: the room lies on the right
    double ux = (b.z() - a.z()) / l1;
    double uz = -(b.x() - a.x()) / l1;
    double vx = (c.z() - b.z()) / l2;
    double vz = -(c.x() - b.x()) / l2;
    double det = ux * vz - uz * vx;
    if (Math.abs(det) > Tolerance.SAME) {
      double dx = (t1 * vz - t2 * uz) / det;
      double dz = (ux * t2 - vx * t1) / det;
      if (Math.hypot(dx, dz) <= LONGEST * Math.max(Math.abs(t1), Math.abs(t2))) {
        Spot p = b.plus(dx, dz);
        return new Spot[] {p, p};
      }
    }
    return new Spot[] {b.plus(ux * t1, uz * t1), b.plus(vx * t2, vz * t2)};
  }
}
