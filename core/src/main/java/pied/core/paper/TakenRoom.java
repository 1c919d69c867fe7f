package pied.core.paper;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.index.quadtree.Quadtree;

/** What is taken on a drawing already, so that texts and chains keep clear of one another. */
final class TakenRoom {
  static final GeometryFactory PLANE = new GeometryFactory();

  private final Quadtree all = new Quadtree();

  void add(Geometry g) {
    if (!g.isEmpty()) {
      all.insert(g.getEnvelopeInternal(), PreparedGeometryFactory.prepare(g));
    }
  }

  boolean free(Geometry g) {
    @SuppressWarnings("unchecked")
    List<PreparedGeometry> near = all.query(g.getEnvelopeInternal());
    return near.stream().noneMatch(p -> p.intersects(g));
  }

  /** The box of a text, with a little room around it. */
  static Geometry box(Mark.MarkText t) {
    double w = Type.width(t.text(), t.size());
    double from =
        switch (t.anchor()) {
          case start -> 0;
          case middle -> -w / 2;
          case end -> -w;
        };
    double pad = 0.3;
    double up = t.size() * 0.75;
    return turned(t.x(), t.y(), t.turn(), from - pad, -up - pad, from + w + pad, pad);
  }

  /** A rectangle about a point, turned counter-clockwise on the sheet. */
  static Geometry turned(
      double x, double y, double turn, double x0, double y0, double x1, double y1) {
    double c = Math.cos(Math.toRadians(turn));
    double s = Math.sin(Math.toRadians(turn));
    double[][] p = {{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}, {x0, y0}};
    Coordinate[] ring = new Coordinate[5];
    for (int i = 0; i < 5; i++) {
      ring[i] = new Coordinate(x + p[i][0] * c + p[i][1] * s, y - p[i][0] * s + p[i][1] * c);
    }
    return PLANE.createPolygon(ring);
  }
}
