package pied.core.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import pied.core.paper.Mark.Anchor;

/**
 * A drawing to scale before it is laid on sheets: millimetres of paper, zero where the model has
 * it.
 */
final class Board {
  /** Heights of type, millimetres. */
  static final double SMALL = 2.2;

  static final double TEXT = 2.8;
  static final double LARGE = 5;

  /** Bodies so near to each other are one, millimetres on paper. */
  private static final double HAIR = 0.02;

  private static final BufferParameters SHARP =
      new BufferParameters(1, BufferParameters.CAP_FLAT, BufferParameters.JOIN_MITRE, 5);

  private final double k;
  private final List<Mark> marks = new ArrayList<>();
  private final TakenRoom texts = new TakenRoom();
  private final Envelope extent = new Envelope();
  private final List<Geometry> solids = new ArrayList<>();
  private String solid = "#000000";

  /** How wide what found no room about a point was. */
  private final Map<Coordinate, Double> crowded = new HashMap<>();

  /**
   * @param scale 50 for 1:50
   */
  Board(int scale) {
    k = 1000.0 / scale;
  }

  /** Millimetres on paper of a metre. */
  double k() {
    return k;
  }

  List<Mark> marks() {
    return marks;
  }

  /** What all of it covers. */
  Envelope extent() {
    return extent;
  }

  TakenRoom texts() {
    return texts;
  }

  // ---- in metres of the model

  void line(double[] xy, Pen pen) {
    add(new Mark.MarkLine(scaled(xy), pen));
  }

  void area(List<double[]> rings, String fill, Pen pen) {
    add(new Mark.MarkArea(rings.stream().map(this::scaled).toList(), fill, pen));
  }

  double[] scaled(double[] xy) {
    double[] out = new double[xy.length];
    for (int i = 0; i < xy.length; i++) {
      out[i] = xy[i] * k;
    }
    return out;
  }

  // ---- in millimetres

  void add(Mark m) {
    marks.add(m);
    if (m instanceof Mark.MarkLine l) {
      extend(l.xy());
    } else if (m instanceof Mark.MarkArea a) {
      a.rings().forEach(this::extend);
    } else if (m instanceof Mark.MarkText t) {
      extent.expandToInclude(TakenRoom.box(t).getEnvelopeInternal());
    }
  }

  private void extend(double[] xy) {
    for (int i = 0; i + 1 < xy.length; i += 2) {
      extent.expandToInclude(xy[i], xy[i + 1]);
    }
  }

  /** Writes a text where it is, whatever is there. */
  void text(String text, double x, double y, double size, Anchor anchor, boolean bold) {
    Mark.MarkText t = new Mark.MarkText(text, x, y, size, anchor, 0, bold);
    texts.add(TakenRoom.box(t));
    add(t);
  }

  /**
   * Writes a text in the middle of a place, or beside it with a line that leads there, so that it
   * covers no other. Up to 240 places are looked at, none a second time for what is in the same
   * place and no narrower.
   *
   * @return whether there was room for it
   */
  boolean about(String text, double x, double y, double size, double room) {
    double down = size * 0.36;
    Mark.MarkText in = new Mark.MarkText(text, x, y + down, size, Anchor.middle, 0, false);
    boolean fits = Type.width(text, size) + 1.2 <= room;
    if (fits && texts.free(TakenRoom.box(in))) {
      put(in);
      return true;
    }
    Coordinate place = new Coordinate(x, y);
    double width = Type.width(text, size);
    if (width >= crowded.getOrDefault(place, Double.POSITIVE_INFINITY)) {
      return false;
    }
    for (double far = size + 1.5; far < 40; far += 2) {
      for (int i = 0; i < 12; i++) {
        double a = Math.PI * (2 * i + 1) / 12;
        double tx = x + far * Math.cos(a);
        double ty = y + far * Math.sin(a);
        Mark.MarkText t = new Mark.MarkText(text, tx, ty + down, size, Anchor.middle, 0, false);
        Geometry box = TakenRoom.box(t);
        if (texts.free(box)) {
          Coordinate end = nearest(box, x, y);
          add(new Mark.MarkLine(new double[] {x, y, end.x, end.y}, Pen.DIMENSION));
          put(t);
          return true;
        }
      }
    }
    crowded.put(place, width);
    return false;
  }

  private static Coordinate nearest(Geometry box, double x, double y) {
    return org.locationtech.jts.operation.distance.DistanceOp.nearestPoints(
        box, TakenRoom.PLANE.createPoint(new Coordinate(x, y)))[0];
  }

  /** Writes a text on a patch of paper, so that it is read over lines. */
  void put(Mark.MarkText t) {
    Geometry box = TakenRoom.box(t);
    texts.add(box);
    add(new Mark.MarkArea(List.of(ring(box.getCoordinates())), "#FFFFFF", null));
    add(t);
  }

  /** Solid material that is cut through: what is built is one, without lines where bodies meet. */
  void cut(List<double[]> rings, String fill) {
    Geometry all = TakenRoom.PLANE.createPolygon();
    for (double[] r : rings) {
      // rings within others are holes
      all = OverlayNGRobust.overlay(all, figure(scaled(r)), OverlayNG.SYMDIFFERENCE);
    }
    solids.add(all.buffer(0));
    solid = fill;
  }

  /** Draws all that is cut through. */
  Geometry drawCut() {
    // a hair wider, so that what touches is joined
    Geometry one =
        UnaryUnionOp.union(solids.stream().map(g -> BufferOp.bufferOp(g, HAIR, SHARP)).toList());
    if (one == null || one.isEmpty()) {
      return TakenRoom.PLANE.createPolygon();
    }
    one = BufferOp.bufferOp(one, -HAIR, SHARP);
    for (int i = 0; i < one.getNumGeometries(); i++) {
      if (one.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
        List<double[]> rings = new ArrayList<>();
        rings.add(ring(p.getExteriorRing().getCoordinates()));
        for (int k = 0; k < p.getNumInteriorRing(); k++) {
          rings.add(ring(p.getInteriorRingN(k).getCoordinates()));
        }
        add(new Mark.MarkArea(rings, solid, Pen.CUT));
      }
    }
    return one;
  }

  private static double[] ring(Coordinate[] c) {
    double[] ring = new double[2 * (c.length - 1)];
    for (int i = 0; i + 1 < c.length; i++) {
      ring[2 * i] = c[i].x;
      ring[2 * i + 1] = c[i].y;
    }
    return ring;
  }

  static Geometry figure(double[] ring) {
    Coordinate[] c = new Coordinate[ring.length / 2 + 1];
    for (int i = 0; i + 1 < c.length; i++) {
      c[i] = new Coordinate(ring[2 * i], ring[2 * i + 1]);
    }
    c[c.length - 1] = c[0].copy();
    return TakenRoom.PLANE.createPolygon(c).buffer(0);
  }
}
