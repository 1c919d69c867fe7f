package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import pied.core.material.Appearance;
import pied.core.material.Finish;
import pied.core.material.Materials;
import pied.core.material.pattern.Pattern;

/** The joints of what a flat side is covered with, at their true places. */
final class Hatching {
  private static final GeometryFactory PLANE = new GeometryFactory();

  /** Lines that lie closer than this on the whole are left out: one would see grey, metres. */
  private static final double CLOSEST = 0.02;

  /** So many lines are looked at; what has more is left out. */
  private static final int MOST = 20_000;

  private Hatching() {}

  /** Whether it has joints that are drawn, if they do not lie too close. */
  static boolean has(Finish finish) {
    Pattern pattern = Materials.of(finish.material()).pattern();
    return pattern != null && !pattern.lines().isEmpty();
  }

  /**
   * The lines.
   *
   * @param finish of the side; complete
   * @param region of it that is seen: to the right and down from where its pattern is measured from
   * @return x1, y1, x2, y2 each in the same directions, metres; none where nothing is drawn of it
   */
  static List<double[]> of(Finish finish, Geometry region) {
    if (!has(finish) || region.isEmpty()) {
      return List.of();
    }
    Pattern pattern = Materials.of(finish.material()).pattern();
    List<double[]> lines = pattern.lines();
    Appearance.Tiled tile = Appearance.of(finish).tile();
    double larger = tile.width() / pattern.width();
    double length = lines.stream().mapToDouble(l -> Math.hypot(l[2] - l[0], l[3] - l[1])).sum();
    if (pattern.width() * pattern.height() / length * larger < CLOSEST) {
      return List.of();
    }
    Repeats r = Repeats.over(region.getEnvelopeInternal(), tile.matrix());
    if (r.number() * lines.size() > MOST) {
      return List.of();
    }
    PreparedGeometry within = PreparedGeometryFactory.prepare(region);
    List<double[]> out = new ArrayList<>();
    for (int i = r.left; i <= r.right; i++) {
      for (int j = r.top; j <= r.bottom; j++) {
        for (double[] l : lines) {
          Coordinate a = r.place(i + l[0] / pattern.width(), j - l[1] / pattern.height());
          Coordinate b = r.place(i + l[2] / pattern.width(), j - l[3] / pattern.height());
          clip(PLANE.createLineString(new Coordinate[] {a, b}), within, out);
        }
      }
    }
    return out;
  }

  private static void clip(LineString line, PreparedGeometry within, List<double[]> out) {
    if (within.containsProperly(line)) {
      add(line, out);
    } else if (within.intersects(line)) {
      Geometry in = line.intersection(within.getGeometry());
      for (Object part : LinearComponentExtracter.getLines(in)) {
        add((LineString) part, out);
      }
    }
  }

  private static void add(LineString line, List<double[]> out) {
    Coordinate a = line.getCoordinateN(0);
    Coordinate b = line.getCoordinateN(line.getNumPoints() - 1);
    if (a.distance(b) >= SeenEdges.SHORT) {
      out.add(new double[] {a.x, a.y, b.x, b.y});
    }
  }

  /** Which repeats lie on a region, and where their places are on it. */
  private record Repeats(double[] m, int left, int right, int top, int bottom) {
    static Repeats over(Envelope box, double[] m) {
      Envelope tiles = new Envelope();
      for (double x : new double[] {box.getMinX(), box.getMaxX()}) {
        for (double y : new double[] {box.getMinY(), box.getMaxY()}) {
          tiles.expandToInclude(m[0] * x + m[1] * y + m[2], m[3] * x + m[4] * y + m[5]);
        }
      }
      // lines run on a little over the sides of their repeat
      return new Repeats(
          m,
          (int) Math.floor(tiles.getMinX()) - 1,
          (int) Math.ceil(tiles.getMaxX()),
          (int) Math.floor(tiles.getMinY()),
          (int) Math.ceil(tiles.getMaxY()) + 1);
    }

    long number() {
      return (right - left + 1L) * (bottom - top + 1L);
    }

    /** Where a place of the tile, in repeats, is: the matrix backwards. */
    Coordinate place(double x, double y) {
      double det = m[0] * m[4] - m[1] * m[3];
      double dx = x - m[2];
      double dy = y - m[5];
      return new Coordinate((m[4] * dx - m[1] * dy) / det, (m[0] * dy - m[3] * dx) / det);
    }
  }
}
