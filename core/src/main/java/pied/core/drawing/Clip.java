package pied.core.drawing;

import org.locationtech.jts.geom.Envelope;

/** Cuts lines off at the frame of a drawing. */
final class Clip {
  private Clip() {}

  /**
   * The part of a segment that lies in a frame, or null.
   *
   * <p>Liang and Barsky, A New Concept and Method for Line Clipping, ACM ToG 3 (1984).
   */
  static double[] segment(double[] l, Envelope frame) {
    double dx = l[2] - l[0];
    double dy = l[3] - l[1];
    double[] p = {-dx, dx, -dy, dy};
    double[] q = {
      l[0] - frame.getMinX(), frame.getMaxX() - l[0], l[1] - frame.getMinY(), frame.getMaxY() - l[1]
    };
    double in = 0;
    double out = 1;
    for (int i = 0; i < 4; i++) {
      if (p[i] == 0) {
        if (q[i] < 0) {
          return null;
        }
      } else if (p[i] < 0) {
        in = Math.max(in, q[i] / p[i]);
      } else {
        out = Math.min(out, q[i] / p[i]);
      }
    }
    return in >= out
        ? null
        : new double[] {l[0] + in * dx, l[1] + in * dy, l[0] + out * dx, l[1] + out * dy};
  }
}
