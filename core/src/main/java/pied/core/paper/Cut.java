package pied.core.paper;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** Takes what of a drawing is in a window, to another place. */
final class Cut {
  private final Envelope window;
  private final Geometry pane;
  private final double dx;
  private final double dy;

  /**
   * @param dx and dy by which it goes elsewhere, millimetres
   */
  Cut(Envelope window, double dx, double dy) {
    this.window = window;
    this.pane = TakenRoom.PLANE.toGeometry(window);
    this.dx = dx;
    this.dy = dy;
  }

  void add(Mark m, List<Mark> out) {
    if (m instanceof Mark.MarkLine l) {
      line(l, out);
    } else if (m instanceof Mark.MarkArea a) {
      area(a, out);
    } else if (m instanceof Mark.MarkText t && window.contains(t.x(), t.y())) {
      out.add(
          new Mark.MarkText(
              t.text(), t.x() + dx, t.y() + dy, t.size(), t.anchor(), t.turn(), t.bold()));
    }
  }

  private void line(Mark.MarkLine l, List<Mark> out) {
    Envelope box = box(l.xy());
    if (window.contains(box)) {
      out.add(new Mark.MarkLine(moved(l.xy()), l.pen()));
    } else if (window.intersects(box)) {
      LineString whole = TakenRoom.PLANE.createLineString(coordinates(l.xy(), false));
      Geometry in = OverlayNGRobust.overlay(whole, pane, OverlayNG.INTERSECTION);
      for (int i = 0; i < in.getNumGeometries(); i++) {
        if (in.getGeometryN(i) instanceof LineString part && !part.isEmpty()) {
          out.add(new Mark.MarkLine(moved(numbers(part, 0)), l.pen()));
        }
      }
    }
  }

  private void area(Mark.MarkArea a, List<Mark> out) {
    Envelope box = new Envelope();
    a.rings().forEach(r -> box.expandToInclude(box(r)));
    if (window.contains(box)) {
      out.add(new Mark.MarkArea(a.rings().stream().map(this::moved).toList(), a.fill(), a.pen()));
      return;
    }
    if (!window.intersects(box)) {
      return;
    }
    List<double[]> rings = new ArrayList<>();
    Geometry in = TakenRoom.PLANE.createPolygon();
    for (double[] r : a.rings()) { // even and odd: rings within others are holes
      Polygon p = TakenRoom.PLANE.createPolygon(coordinates(r, true));
      in = OverlayNGRobust.overlay(in, p.buffer(0), OverlayNG.SYMDIFFERENCE);
    }
    in = OverlayNGRobust.overlay(in, pane, OverlayNG.INTERSECTION);
    for (int i = 0; i < in.getNumGeometries(); i++) {
      if (in.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
        rings.add(moved(numbers(p.getExteriorRing(), 1)));
        for (int k = 0; k < p.getNumInteriorRing(); k++) {
          rings.add(moved(numbers(p.getInteriorRingN(k), 1)));
        }
      }
    }
    if (!rings.isEmpty()) {
      out.add(new Mark.MarkArea(rings, a.fill(), a.pen()));
    }
  }

  private double[] moved(double[] xy) {
    double[] out = new double[xy.length];
    for (int i = 0; i < xy.length; i += 2) {
      out[i] = xy[i] + dx;
      out[i + 1] = xy[i + 1] + dy;
    }
    return out;
  }

  private static Envelope box(double[] xy) {
    Envelope e = new Envelope();
    for (int i = 0; i < xy.length; i += 2) {
      e.expandToInclude(xy[i], xy[i + 1]);
    }
    return e;
  }

  private static Coordinate[] coordinates(double[] xy, boolean ring) {
    int n = xy.length / 2;
    Coordinate[] c = new Coordinate[ring ? n + 1 : n];
    for (int i = 0; i < n; i++) {
      c[i] = new Coordinate(xy[2 * i], xy[2 * i + 1]);
    }
    if (ring) {
      c[n] = c[0].copy();
    }
    return c;
  }

  /** Its points, without so many at the end. */
  private static double[] numbers(LineString l, int without) {
    int n = l.getNumPoints() - without;
    double[] xy = new double[2 * n];
    for (int i = 0; i < n; i++) {
      xy[2 * i] = l.getCoordinateN(i).x;
      xy[2 * i + 1] = l.getCoordinateN(i).y;
    }
    return xy;
  }
}
