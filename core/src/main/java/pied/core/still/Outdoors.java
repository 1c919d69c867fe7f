package pied.core.still;

import java.util.List;
import pied.core.Nullable;
import pied.core.light.LinearColour;
import pied.core.light.Sky;
import pied.core.solid.Vec;

/**
 * What is outside: a sky, the level ground under it, the sun, and the openings through which they
 * are looked for.
 */
final class Outdoors {
  /** Light that the ground throws back, of 1 (grass and paving, CIBSE Guide A: 0.1 to 0.3). */
  private static final double GROUND = 0.2;

  /** Half the angle under which the sun is seen, radians. */
  private static final double SUN = Math.toRadians(0.265);

  private static final int RINGS = 180;

  /** How bright it is in a direction, cd/m², red, green and blue. */
  interface Dome {
    void light(double[] way, double[] to);
  }

  /**
   * A flat opening to the outside.
   *
   * @param corner one of its corners
   * @param across from there to the next
   * @param up from there to the other next, square to that
   * @param inward out of its plane, of length 1
   */
  record Portal(double[] corner, double[] across, double[] up, double[] inward, double area) {
    static Portal of(Vec corner, Vec across, Vec up, Vec inward) {
      return new Portal(
          numbers(corner),
          numbers(across),
          numbers(up),
          numbers(inward),
          across.length() * up.length());
    }

    /** Where a ray from inside passes it, metres; negative where it does not. */
    double passes(double[] from, double[] way) {
      double cos = -Frames.dot(inward, way);
      if (cos <= 0) {
        return -1;
      }
      double x = from[0] - corner[0];
      double y = from[1] - corner[1];
      double z = from[2] - corner[2];
      double t = (x * inward[0] + y * inward[1] + z * inward[2]) / cos;
      double px = x + t * way[0];
      double py = y + t * way[1];
      double pz = z + t * way[2];
      double a = (px * across[0] + py * across[1] + pz * across[2]) / Frames.dot(across, across);
      double b = (px * up[0] + py * up[1] + pz * up[2]) / Frames.dot(up, up);
      return t > 0 && a >= 0 && a <= 1 && b >= 0 && b <= 1 ? t : -1;
    }

    /** How much of what is seen from a point it may be. */
    double weight(double[] p) {
      double x = corner[0] + across[0] / 2 + up[0] / 2 - p[0];
      double y = corner[1] + across[1] / 2 + up[1] / 2 - p[1];
      double z = corner[2] + across[2] / 2 + up[2] / 2 - p[2];
      double d2 = x * x + y * y + z * z;
      double before = -(x * inward[0] + y * inward[1] + z * inward[2]);
      return before <= 0 ? 0 : area * (before / Math.sqrt(d2) + 0.1) / (d2 + area);
    }
  }

  private final Dome dome;
  final List<Portal> portals;
  private final @Nullable double[] sun;
  private final double[] sunLux = new double[3];

  /** What of all light that comes in is sky, and sun, for who decides what to look for; lux m². */
  final double skyPower;

  final double sunPower;

  Outdoors(Dome dome, List<Portal> portals, @Nullable Vec toward, double lux, LinearColour colour) {
    this.dome = dome;
    this.portals = List.copyOf(portals);
    sun = toward == null || !(lux > 0) ? null : numbers(toward);
    sunLux[0] = lux * colour.red();
    sunLux[1] = lux * colour.green();
    sunLux[2] = lux * colour.blue();
    double area = portals.stream().mapToDouble(Portal::area).sum();
    double[] l = new double[3];
    double sky = 0;
    for (Portal p : portals) {
      double[] in = p.inward;
      dome.light(new double[] {-in[0], -in[1] + 0.3, -in[2]}, l);
      sky += p.area * Math.PI * LinearColour.luminance(l[0], l[1], l[2]);
    }
    skyPower = sky;
    sunPower = sun == null ? 0 : lux * area * 0.3;
  }

  static double[] numbers(Vec v) {
    return new double[] {v.x(), v.y(), v.z()};
  }

  /** Nothing but the dark. */
  static Outdoors dark() {
    return new Outdoors(
        (way, to) -> to[0] = to[1] = to[2] = 0, List.of(), null, 0, LinearColour.of(1, 1, 1));
  }

  /** Equally bright all around, cd/m². */
  static Outdoors even(double candela) {
    return new Outdoors(
        (way, to) -> to[0] = to[1] = to[2] = candela, List.of(), null, 0, LinearColour.of(1, 1, 1));
  }

  /**
   * The sky of a day, so bright that a level surface under it has the light that is said of it, and
   * the ground lit by both.
   *
   * @param toward the sun, also where it is down
   * @param altitude of the sun, degrees
   * @param sunLux square to it; 0 behind clouds
   */
  static Dome dome(Sky sky, Vec toward, double altitude, double sunLux, LinearColour ofSun) {
    double high = Math.max(0, altitude);
    double[] way = {toward.x(), toward.y(), toward.z()};
    double[] sum = {0};
    for (int i = 0; i < RINGS; i++) {
      double up = Math.PI / 2 * (i + 0.5) / RINGS;
      for (int k = 0; k < RINGS; k++) {
        double a = 2 * Math.PI * k / RINGS;
        double[] d = {Math.cos(up) * Math.cos(a), Math.sin(up), Math.cos(up) * Math.sin(a)};
        sum[0] += sky.luminance(Math.toDegrees(up), away(d, way), high) * d[1] * Math.cos(up);
      }
    }
    double lux = sky.skyLux(altitude);
    double zenith = lux / (sum[0] * Math.PI / 2 / RINGS * 2 * Math.PI / RINGS);
    LinearColour c = LinearColour.of(sky.kelvin());
    double[] colour = {c.red(), c.green(), c.blue()};
    double level = sunLux * Math.max(0, toward.y());
    double[] ground = {
      GROUND / Math.PI * (lux * c.red() + level * ofSun.red()),
      GROUND / Math.PI * (lux * c.green() + level * ofSun.green()),
      GROUND / Math.PI * (lux * c.blue() + level * ofSun.blue())
    };
    return (d, to) -> {
      if (d[1] < 0) {
        System.arraycopy(ground, 0, to, 0, 3);
        return;
      }
      double l = Math.sqrt(Frames.dot(d, d));
      double up = Math.toDegrees(Math.asin(Math.min(1, d[1] / l)));
      double bright = zenith * sky.luminance(up, away(d, way), high);
      for (int k = 0; k < 3; k++) {
        to[k] = bright * colour[k];
      }
    };
  }

  private static double away(double[] a, double[] b) {
    double l = Math.sqrt(Frames.dot(a, a));
    return Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, Frames.dot(a, b) / l))));
  }

  void light(double[] way, double[] to) {
    dome.light(way, to);
  }

  boolean hasSun() {
    return sun != null;
  }

  /**
   * A direction in which the sun is.
   *
   * @return light square to it, lux, red, green and blue
   */
  double[] sun(double u, double v, double[] frame, double[] way) {
    double r = SUN * Math.sqrt(u);
    Frames.about(sun, frame);
    double[] local = {r * Math.cos(2 * Math.PI * v), r * Math.sin(2 * Math.PI * v), 1};
    Frames.outOf(frame, local, way);
    Frames.unit(way);
    return sunLux;
  }

  /**
   * A direction from a point through one of the openings.
   *
   * @return how likely it is that it goes there, per steradian; 0 if it goes through none
   */
  double sample(double[] p, double pick, double u, double v, double[] way) {
    double sum = 0;
    for (Portal o : portals) {
      sum += o.weight(p);
    }
    if (!(sum > 0)) {
      return 0;
    }
    double rest = pick * sum;
    int i = 0;
    while (i < portals.size() - 1 && rest >= portals.get(i).weight(p)) {
      rest -= portals.get(i++).weight(p);
    }
    Portal o = portals.get(i);
    for (int k = 0; k < 3; k++) {
      way[k] = o.corner[k] + u * o.across[k] + v * o.up[k] - p[k];
    }
    Frames.unit(way);
    return likely(p, way);
  }

  /** How likely {@link #sample} goes in a direction, per steradian. */
  double likely(double[] p, double[] way) {
    double sum = 0;
    double there = 0;
    for (Portal o : portals) {
      double w = o.weight(p);
      sum += w;
      double t = w > 0 ? o.passes(p, way) : -1;
      if (t > 0) {
        there += w * t * t / (o.area * -Frames.dot(o.inward, way));
      }
    }
    return sum > 0 ? there / sum : 0;
  }
}
