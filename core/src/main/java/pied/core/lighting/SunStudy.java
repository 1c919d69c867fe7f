package pied.core.lighting;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.MultiPoint;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import pied.core.Tolerance;
import pied.core.show.Day;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Decimal;

/**
 * Where the sun falls on the floor, and how long on a point.
 *
 * @param patches figures of the plan on which the sun falls at this moment through openings, past
 *     what hangs before them; furniture does not count
 * @param area how much that is, m²
 */
public record SunStudy(List<List<Spot>> patches, double area) {
  private static final GeometryFactory PLANE = new GeometryFactory();

  /** The sun is looked for every so many hours. */
  private static final double EVERY = 1.0 / 12;

  /** Less of the sun than this is none, of 1. */
  private static final double LEAST = 0.2;

  private static final double FAR = 500;

  /** A lower sun throws no patch that could be drawn, its direction's rise. */
  private static final double LOWEST = 0.02;

  /** The patches of a moment. */
  public static SunStudy of(Space space, Day day) {
    Shell shell = space.shell();
    SunLight sun = Daylight.sun(space, day);
    if (sun == null || sun.toward().y() < LOWEST) {
      return new SunStudy(List.of(), 0);
    }
    Geometry all = PLANE.createPolygon();
    for (OuterOpening o : OuterOpening.of(shell)) {
      if (sun.toward().dot(o.wall().inward()) < 0) {
        all = join(all, patch(space, o.wall(), o.opening(), sun.toward()));
      }
    }
    all = overlay(all, shell.within(), OverlayNG.INTERSECTION);
    List<List<Spot>> patches = new ArrayList<>();
    for (int i = 0; i < all.getNumGeometries(); i++) {
      if (all.getGeometryN(i) instanceof Polygon p && p.getArea() > Tolerance.NEAR) {
        patches.add(spots(p));
      }
    }
    return new SunStudy(patches, all.getArea());
  }

  private static List<Spot> spots(Polygon p) {
    List<Spot> ring = new ArrayList<>();
    Coordinate[] c = p.getExteriorRing().getCoordinates();
    for (int i = 0; i + 1 < c.length; i++) {
      ring.add(new Spot(c[i].x, c[i].y));
    }
    return ring;
  }

  /** What comes through both faces of the wall, without what hangs before it. */
  private static Geometry patch(Space space, Wall wall, Opening o, Vec toward) {
    Geometry in = thrown(face(wall, o, 0), toward);
    Geometry out = thrown(face(wall, o, -wall.thickness()), toward);
    Geometry lit = overlay(in, out, OverlayNG.INTERSECTION);
    for (Body b : space.bodies().near(before(wall, o))) {
      if (space.has(b.id()) && space.seen(b) && !lit.isEmpty()) {
        lit = overlay(lit, shadow(b, toward), OverlayNG.DIFFERENCE);
      }
    }
    return lit;
  }

  private static List<Vec> face(Wall wall, Opening o, double off) {
    Spot a = wall.spot(o.from(), off);
    Spot b = wall.spot(o.from() + o.width(), off);
    double top = o.sill() + o.height();
    return List.of(a.at(o.sill()), b.at(o.sill()), b.at(top), a.at(top));
  }

  /** The room before an opening. */
  private static Box before(Wall wall, Opening o) {
    Spot a = wall.spot(o.from(), 0);
    Spot b = wall.spot(o.from() + o.width(), OuterOpening.BEFORE);
    return new Box(
        new Vec(Math.min(a.x(), b.x()), o.sill(), Math.min(a.z(), b.z())),
        new Vec(Math.max(a.x(), b.x()), o.sill() + o.height(), Math.max(a.z(), b.z())));
  }

  /** The hull of a body on the floor, thrown along the sun. */
  private static Geometry shadow(Body b, Vec toward) {
    Mesh mesh = b.mesh();
    List<Vec> points = new ArrayList<>();
    for (int v = 0; 3 * v < mesh.xyz().length; v++) {
      points.add(b.pose().apply(mesh.vertex(v)));
    }
    return thrown(points, toward);
  }

  private static Geometry thrown(List<Vec> points, Vec toward) {
    Coordinate[] c = new Coordinate[points.size()];
    for (int i = 0; i < c.length; i++) {
      Vec p = points.get(i);
      double t = Math.max(0, p.y()) / toward.y();
      c[i] = new Coordinate(p.x() - toward.x() * t, p.z() - toward.z() * t);
    }
    MultiPoint all = PLANE.createMultiPointFromCoords(c);
    return all.convexHull();
  }

  private static Geometry join(Geometry a, Geometry b) {
    return b.isEmpty() ? a : a.isEmpty() ? b : overlay(a, b, OverlayNG.UNION);
  }

  private static Geometry overlay(Geometry a, Geometry b, int how) {
    return OverlayNGRobust.overlay(a, b, how);
  }

  /**
   * From when to when the sun is on a point.
   *
   * @param from hour by the clocks there
   */
  public record SunSpan(double from, double to) {
    @Override
    public String toString() {
      return Day.clock(from) + " to " + Day.clock(to);
    }
  }

  /**
   * When the sun is on a point, through panes and past all there is, looked for every five minutes.
   *
   * @param point metres
   */
  public static List<SunSpan> hours(Space space, Day day, Vec point) {
    Passing passing = new Passing(space);
    List<SunSpan> spans = new ArrayList<>();
    double began = Double.NaN;
    Vec at = point.plus(new Vec(0, Tolerance.NEAR, 0));
    for (double h = 0; h <= 24 + Tolerance.SAME; h += EVERY) {
      Day then = day.withHour(Math.min(24, h));
      SunLight sun = Daylight.sun(space, then);
      boolean on = sun != null && passing.share(at, sun.toward(), FAR, b -> true) > LEAST;
      if (on && Double.isNaN(began)) {
        began = h;
      } else if (!on && !Double.isNaN(began)) {
        spans.add(new SunSpan(began, h));
        began = Double.NaN;
      }
    }
    return spans;
  }

  /** The same in a sentence. */
  public static String said(List<SunSpan> spans, Day day) {
    if (spans.isEmpty()) {
      return "No sun falls there on " + day.date() + ".";
    }
    double sum = spans.stream().mapToDouble(s -> s.to - s.from).sum();
    String when = String.join(", ", spans.stream().map(SunSpan::toString).toList());
    return "On %s the sun is there from %s: %s h."
        .formatted(day.date(), when, Decimal.text(sum, 10));
  }
}
