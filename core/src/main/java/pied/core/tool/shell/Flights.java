package pied.core.tool.shell;

import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.space.Flight;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Spot;

/** Steps and ramps that lead up to the edges of platforms. */
final class Flights {
  /** Steps go to an edge no farther away than this, metres. */
  private static final double NEAR = 0.6;

  /** Usual slope of a ramp: one in eight. */
  private static final double SLOPE = 8;

  private Flights() {}

  /** At the edge of the platform nearest to a point, or standing free there. */
  static Flight near(Shell shell, Spot p, Flight.FlightKind kind, Flight now) {
    Platform best = null;
    double least = NEAR;
    for (Platform f : shell.platforms()) {
      for (int i = 0; i < f.outline().size(); i++) {
        double d = distance(f, i, p);
        if (d < least) {
          least = d;
          best = f;
        }
      }
    }
    if (best != null) {
      return against(shell, best, p, kind, now);
    }
    double floor = shell.floorAt(p);
    double base = Double.isNaN(floor) ? 0 : floor;
    return new Flight(
        "",
        kind,
        p,
        now == null ? 0 : now.turn(),
        now == null ? 1 : now.width(),
        now == null ? (kind == Flight.FlightKind.ramp ? 1 : 2) : now.count(),
        now == null ? Flight.RISER : now.riser(),
        now == null
            ? (kind == Flight.FlightKind.ramp ? SLOPE * Flight.RISER : Flight.GOING)
            : now.going(),
        base);
  }

  private static double distance(Platform f, int edge, Spot p) {
    Spot a = f.outline().get(edge);
    Spot b = f.outline().get((edge + 1) % f.outline().size());
    double l = a.distance(b);
    double s = ((p.x() - a.x()) * (b.x() - a.x()) + (p.z() - a.z()) * (b.z() - a.z())) / l;
    s = Math.max(0, Math.min(l, s));
    return p.distance(a.plus((b.x() - a.x()) * s / l, (b.z() - a.z()) * s / l));
  }

  /**
   * At an edge of a platform: the one nearest to the point, or the one nearest to the audience. The
   * risers are equal, none higher than {@link Flight#RISER}; the last one leads onto the platform.
   */
  static Flight against(Shell shell, Platform f, Spot p, Flight.FlightKind kind, Flight now) {
    int n = f.outline().size();
    int edge = 0;
    double best = Double.POSITIVE_INFINITY;
    for (int i = 0; i < n; i++) {
      double d = p != null ? distance(f, i, p) : -outward(f, i).z();
      if (d < best - Tolerance.SAME) {
        best = d;
        edge = i;
      }
    }
    Spot a = f.outline().get(edge);
    Spot b = f.outline().get((edge + 1) % n);
    double l = a.distance(b);
    double width = Math.min(l, now == null ? 1 : now.width());
    double s =
        p == null
            ? l / 2
            : ((p.x() - a.x()) * (b.x() - a.x()) + (p.z() - a.z()) * (b.z() - a.z())) / l;
    s = Math.max(width / 2, Math.min(l - width / 2, s));
    Spot at = a.plus((b.x() - a.x()) * s / l, (b.z() - a.z()) * s / l);
    Vec out = outward(f, edge);
    double turn = Math.toDegrees(Math.atan2(out.x(), out.z()));
    turn = ((Math.rint(turn * 1e9) / 1e9) % 360 + 360) % 360;
    return rising(shell, f.height(), at, turn, width, kind, now);
  }

  private static Flight rising(
      Shell shell,
      double top,
      Spot at,
      double turn,
      double width,
      Flight.FlightKind kind,
      Flight now) {
    double base = 0;
    Flight made = null;
    for (int i = 0; i < 2; i++) { // the foot tells the level it begins from
      double rise = Math.max(0.02, top - base);
      if (kind == Flight.FlightKind.ramp) {
        double run = now == null ? SLOPE * rise : now.going();
        made = new Flight("", kind, at, turn, width, 1, rise, run, base);
      } else {
        int risers = Math.max(2, (int) Math.ceil(rise / Flight.RISER - Tolerance.SAME));
        double going = now == null ? Flight.GOING : now.going();
        made = new Flight("", kind, at, turn, width, risers - 1, rise / risers, going, base);
      }
      double floor = shell.floorAt(made.spot(made.run() + 0.01, 0));
      double foot = Double.isNaN(floor) || floor >= top ? 0 : floor;
      if (foot == base) {
        break;
      }
      base = foot;
    }
    return made;
  }

  /** Direction out of a platform at an edge; its outline runs clockwise on the plan. */
  private static Vec outward(Platform f, int edge) {
    Spot a = f.outline().get(edge);
    Spot b = f.outline().get((edge + 1) % f.outline().size());
    return new Vec(b.z() - a.z(), 0, -(b.x() - a.x()) + 0.0).unit();
  }
}
