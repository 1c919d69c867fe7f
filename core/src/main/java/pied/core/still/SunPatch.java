package pied.core.still;

import pied.core.still.Outdoors.Portal;

/**
 * Where the sun falls within, as many points of it: what it lights there lights the room, and is
 * looked for from everywhere as lamps are. Points are spread evenly over the sun's rays that come
 * through the openings.
 */
final class SunPatch {
  private static final int POINTS = 1 << 15;

  /** A point on which the sun falls. */
  static final class SunPoint {
    final double[] at = new double[3];
    final double[] facing = new double[3];
    final double[] normal = new double[3];
    final double[] colour = new double[3];
    final double[] lux = new double[3];
    final double[] sun = new double[3];
    LitSurface surface;
    double rough;
  }

  private final SunPoint[] points;

  /** Area of the openings as the sun sees them, m². */
  private final double area;

  private final Outdoors outdoors;

  private SunPatch(Outdoors outdoors, SunPoint[] points, double area) {
    this.outdoors = outdoors;
    this.points = points;
    this.area = area;
  }

  static final SunPatch NONE = new SunPatch(Outdoors.dark(), new SunPoint[0], 0);

  boolean isEmpty() {
    return area == 0;
  }

  /** That of a scene. */
  static SunPatch of(StillScene scene) {
    Outdoors out = scene.outdoors;
    if (!out.hasSun()) {
      return NONE;
    }
    double[] frame = new double[9];
    double[] sun = new double[3];
    out.sun(0, 0, frame, sun);
    double area = 0;
    for (Portal p : out.portals) {
      area += p.area() * Math.max(0, -Frames.dot(p.inward(), sun));
    }
    if (!(area > 0)) {
      return NONE;
    }
    LightFinder finder = new LightFinder(scene);
    PathSamples s = new PathSamples();
    SunPoint[] points = new SunPoint[POINTS];
    double[] q = new double[3];
    for (int i = 0; i < POINTS; i++) {
      s.begin(0, i, 0);
      Portal p = picked(out, sun, s.one() * area);
      double u = s.pair();
      double v = s.second();
      for (int k = 0; k < 3; k++) {
        q[k] = p.corner()[k] + u * p.across()[k] + v * p.up()[k];
      }
      double[] lux = out.sun(s.pair(), s.second(), frame, sun);
      points[i] = finder.sunPoint(q, sun, lux);
    }
    return new SunPatch(out, points, area);
  }

  private static Portal picked(Outdoors out, double[] sun, double at) {
    double rest = at;
    Portal last = null;
    for (Portal p : out.portals) {
      double own = p.area() * Math.max(0, -Frames.dot(p.inward(), sun));
      if (own > 0) {
        last = p;
        if (rest < own) {
          break;
        }
        rest -= own;
      }
    }
    return last;
  }

  /** One of them; null for one that the sun does not reach. */
  SunPoint pick(double u) {
    return points[(int) (u * points.length)];
  }

  /** How likely a point of a face is picked, per m². */
  double likely(double[] facing, double[] sun) {
    return Math.max(0, Frames.dot(facing, sun)) / area;
  }

  /** Whether the sun comes to a point through an opening. */
  boolean reaches(double[] at, double[] sun) {
    for (Portal p : outdoors.portals) {
      if (p.passes(at, sun) > 0) {
        return true;
      }
    }
    return false;
  }
}
