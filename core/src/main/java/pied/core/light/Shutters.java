package pied.core.light;

import java.util.ArrayList;
import java.util.List;

/**
 * The blades of a lantern that cut its light, as seen along it. How far each is pushed in, of the
 * width of its field: 0 is out, 0.5 to the middle, 1 all across.
 */
public record Shutters(double left, double right, double top, double bottom) {
  public static final Shutters OUT = new Shutters(0, 0, 0, 0);

  /** Rings and spokes in which light is summed up. */
  private static final int FINE = 48;

  private static final int SIDES = 36;

  public Shutters {
    left = share(left);
    right = share(right);
    top = share(top);
    bottom = share(bottom);
  }

  private static double share(double v) {
    return Double.isFinite(v) ? Math.max(0, Math.min(1, v)) : 0;
  }

  /**
   * A place in the field that a blade leaves free.
   *
   * @param u to the right, 1 at the edge of the field
   * @param v upward, likewise
   */
  public boolean passes(double u, double v) {
    return (left == 0 || u >= 2 * left - 1)
        && (right == 0 || u <= 1 - 2 * right)
        && (bottom == 0 || v >= 2 * bottom - 1)
        && (top == 0 || v <= 1 - 2 * top);
  }

  /** What is left of all the light of a beam, of 1. */
  public double through(Beam beam) {
    if (equals(OUT) || beam.isRound()) {
      return 1;
    }
    double tan = Math.tan(Math.toRadians(beam.field() / 2));
    double all = 0;
    double free = 0;
    for (int i = 0; i < FINE; i++) {
      double angle = beam.edge() * (i + 0.5) / FINE;
      double light = beam.share(angle) * Math.sin(Math.toRadians(angle));
      double r = angle < 89 ? Math.tan(Math.toRadians(angle)) / tan : 1e3;
      for (int k = 0; k < FINE; k++) {
        double a = 2 * Math.PI * (k + 0.5) / FINE;
        all += light;
        free += passes(r * Math.cos(a), r * Math.sin(a)) ? light : 0;
      }
    }
    return free / all;
  }

  /** The edge of what is left of the field: (u, v) in order, a circle that is cut straight. */
  public List<double[]> outline() {
    List<double[]> ring = new ArrayList<>();
    for (int i = 0; i < SIDES; i++) {
      double a = 2 * Math.PI * i / SIDES;
      ring.add(new double[] {Math.cos(a), Math.sin(a)});
    }
    ring = cut(ring, 0, -1, 1 - 2 * left);
    ring = cut(ring, 0, 1, 1 - 2 * right);
    ring = cut(ring, 1, -1, 1 - 2 * bottom);
    return cut(ring, 1, 1, 1 - 2 * top);
  }

  /** What of a convex figure lies where sign × coordinate is at most so much (Sutherland, 1974). */
  private static List<double[]> cut(List<double[]> ring, int axis, int sign, double most) {
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i < ring.size(); i++) {
      double[] a = ring.get(i);
      double[] b = ring.get((i + 1) % ring.size());
      double da = sign * a[axis] - most;
      double db = sign * b[axis] - most;
      if (da <= 0) {
        out.add(a);
      }
      if (da < 0 && db > 0 || da > 0 && db < 0) {
        double t = da / (da - db);
        out.add(new double[] {a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])});
      }
    }
    return out;
  }
}
