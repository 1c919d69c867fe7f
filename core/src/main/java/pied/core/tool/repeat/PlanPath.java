package pied.core.tool.repeat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.buffer.OffsetCurve;
import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/** A path over the plan, by the length gone along it. */
public final class PlanPath {
  /** Where it turns by more than this there is a corner, degrees. */
  private static final double CORNER = 12;

  private static final double LEAST = Tolerance.FINE;

  private static final GeometryFactory PLANE = new GeometryFactory();

  private final List<Vec> points;
  private final double[] at;
  private final boolean closed;

  private PlanPath(List<Vec> points, boolean closed) {
    this.points = points;
    this.closed = closed;
    at = new double[points.size()];
    for (int i = 1; i < at.length; i++) {
      at[i] = at[i - 1] + points.get(i).distance(points.get(i - 1));
    }
  }

  /**
   * @throws Refusal if it leads nowhere
   */
  public static PlanPath of(List<Spot> corners, boolean closed) {
    List<Vec> points = new ArrayList<>();
    for (Spot s : corners) {
      Vec p = s.at(0);
      if (points.isEmpty() || points.get(points.size() - 1).distance(p) > LEAST) {
        points.add(p);
      }
    }
    if (closed
        && points.size() > 2
        && points.get(0).distance(points.get(points.size() - 1)) > LEAST) {
      points.add(points.get(0));
    }
    if (points.size() < 2) {
      throw new Refusal("The path leads nowhere; draw it with two points at least.");
    }
    return new PlanPath(points, closed);
  }

  /** The same path so far to its right, as one sees the plan; corners are kept sharp. */
  public PlanPath offset(double by) {
    if (Math.abs(by) < LEAST) {
      return this;
    }
    Coordinate[] line =
        points.stream().map(p -> new Coordinate(p.x(), p.z())).toArray(Coordinate[]::new);
    Geometry moved =
        OffsetCurve.getCurve(
            closed ? PLANE.createLinearRing(line) : PLANE.createLineString(line),
            by,
            8,
            BufferParameters.JOIN_MITRE,
            5);
    Coordinate[] c = moved.getCoordinates();
    List<Spot> spots = new ArrayList<>();
    for (Coordinate p : c) {
      spots.add(new Spot(p.x, p.y));
    }
    if (spots.size() < 2) {
      throw new Refusal("The path has no room for them at that distance from it.");
    }
    // it goes the same way as before
    Vec first = points.get(1).minus(points.get(0));
    PlanPath way = of(spots, closed);
    Vec now = way.points.get(1).minus(way.points.get(0));
    if (!closed && first.dot(now) < 0) {
      Collections.reverse(spots);
      way = of(spots, false);
    }
    return way;
  }

  public double length() {
    return at[at.length - 1];
  }

  public boolean closed() {
    return closed;
  }

  private int leg(double s) {
    int lo = 0;
    int hi = at.length - 2;
    while (lo < hi) {
      int mid = (lo + hi + 1) / 2;
      if (at[mid] <= s) {
        lo = mid;
      } else {
        hi = mid - 1;
      }
    }
    return lo;
  }

  private double round(double s) {
    if (!closed) {
      return s;
    }
    double r = s % length();
    return r < 0 ? r + length() : r;
  }

  /** The point so far along it; beyond its ends it goes straight on. */
  public Vec point(double s) {
    double r = round(s);
    int i = leg(r);
    return points.get(i).along(direction(i), r - at[i]);
  }

  /** The direction there, of length 1. */
  public Vec direction(double s) {
    return direction(leg(round(s)));
  }

  private Vec direction(int leg) {
    return points.get(leg + 1).minus(points.get(leg)).unit();
  }

  /** Whether it turns sharply somewhere from s on for so long. */
  public boolean turns(double s, double length) {
    for (int i = leg(round(s)); i < 2 * points.size(); i++) {
      int n = at.length - 1;
      double corner = (i / n) * length() + at[i % n + 1];
      if (corner - round(s) > length + LEAST || !closed && i + 1 >= n) {
        return false;
      }
      Vec a = direction(i % n);
      Vec b = direction((i + 1) % n);
      if (corner - round(s) > -LEAST && Math.toDegrees(Math.acos(clamp(a.dot(b)))) > CORNER) {
        return true;
      }
    }
    return false;
  }

  /** How far along it is what is nearest to a point of the plan. */
  public double nearest(Vec p) {
    Coordinate[] line =
        points.stream().map(q -> new Coordinate(q.x(), q.z())).toArray(Coordinate[]::new);
    return new LengthIndexedLine(PLANE.createLineString(line))
        .project(new Coordinate(p.x(), p.z()));
  }

  private static double clamp(double v) {
    return Math.max(-1, Math.min(1, v));
  }

  /** The direction of a level vector as a turn, degrees. */
  public static double bearing(Vec d) {
    double t = Math.toDegrees(Math.atan2(d.x(), d.z()));
    double near = Math.rint(t);
    return Math.abs(t - near) < Tolerance.SAME ? near : t;
  }

  /** Whether two figures have more in common than that they touch. */
  public static boolean share(Geometry a, Geometry b) {
    return a.intersects(b) && a.buffer(-Tolerance.FINE).intersects(b);
  }
}
