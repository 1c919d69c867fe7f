package pied.core.select;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/**
 * A figure drawn in a drawing, and what lies in it by its true outline: every triangle of a mesh is
 * seen where it is. A piece whose box lies wholly inside or outside is decided by that, so that the
 * cost is that of the pieces over which the line runs.
 */
final class Figure {
  /** Most corners of a line drawn by hand. */
  private static final int MOST = 4_000;

  private static final GeometryFactory FACTORY = new GeometryFactory();

  private final PreparedGeometry area;
  private final Lens lens;

  /**
   * @param corners at least two, which are those of a rectangle across; a line drawn by hand may
   *     cross itself
   * @throws Refusal if it is none
   */
  Figure(List<Spot> corners, Lens lens) {
    this.lens = lens;
    area = PreparedGeometryFactory.prepare(area(corners));
  }

  private static Geometry area(List<Spot> corners) {
    boolean sound =
        corners != null
            && corners.size() >= 2
            && corners.size() <= MOST
            && corners.stream()
                .allMatch(c -> c != null && Double.isFinite(c.x()) && Double.isFinite(c.z()));
    if (!sound) {
      throw new Refusal("Draw a figure of 2 to {} corners round what is meant.", MOST);
    }
    List<Coordinate> ring = new ArrayList<>();
    if (corners.size() == 2) {
      Spot a = corners.get(0);
      Spot b = corners.get(1);
      ring.add(new Coordinate(a.x(), a.z()));
      ring.add(new Coordinate(b.x(), a.z()));
      ring.add(new Coordinate(b.x(), b.z()));
      ring.add(new Coordinate(a.x(), b.z()));
    } else {
      corners.forEach(c -> ring.add(new Coordinate(c.x(), c.z())));
    }
    ring.add(ring.get(0));
    return around(FACTORY.createLineString(ring.toArray(new Coordinate[0])));
  }

  /** All that a line goes round, also where it crosses itself. */
  @SuppressWarnings("unchecked")
  private static Geometry around(Geometry line) {
    Polygonizer faces = new Polygonizer();
    faces.add(line.union()); // cut where it crosses itself
    return FACTORY.buildGeometry(new ArrayList<Geometry>(faces.getPolygons())).union();
  }

  /** How something lies to the figure. */
  private enum FigureLies {
    inside,
    across,
    outside
  }

  /**
   * Whether it takes a mesh.
   *
   * @param touched whether it is enough that the figure touches it
   */
  boolean takes(Mesh mesh, Pose pose, boolean touched) {
    FigureLies box = lies(points(corners(mesh.box(), pose)), true);
    if (box != FigureLies.across) {
      return box == FigureLies.inside;
    }
    Coordinate[] at = points(vertices(mesh, pose));
    int[] corners = mesh.corners();
    for (int t = 0; t < corners.length; t += 3) {
      Coordinate[] triangle = {at[corners[t]], at[corners[t + 1]], at[corners[t + 2]]};
      FigureLies lies = lies(triangle, false);
      if (touched && lies != FigureLies.outside) {
        return true;
      }
      if (!touched && lies != FigureLies.inside) {
        return false;
      }
    }
    return !touched;
  }

  /**
   * Whether it takes what has these corners.
   *
   * @param touched whether it is enough that the figure touches it
   */
  boolean takes(List<Vec> corners, boolean touched) {
    FigureLies lies = lies(points(corners.toArray(Vec[]::new)), false);
    return lies == FigureLies.inside || touched && lies == FigureLies.across;
  }

  /**
   * @param loose whether "across" may also be said of what is outside or inside
   */
  private FigureLies lies(Coordinate[] points, boolean loose) {
    for (Coordinate c : points) {
      if (c == null) {
        return loose
            ? FigureLies.across
            : FigureLies.outside; // it lies behind the eye, at least in part
      }
    }
    Geometry hull = FACTORY.createMultiPointFromCoords(points).convexHull();
    if (area.covers(hull)) {
      return FigureLies.inside;
    }
    return area.intersects(hull) ? FigureLies.across : FigureLies.outside;
  }

  private Coordinate[] points(Vec[] all) {
    Coordinate[] at = new Coordinate[all.length];
    for (int i = 0; i < at.length; i++) {
      double[] p = lens.at(all[i]);
      at[i] = p == null ? null : new Coordinate(p[0], p[1]);
    }
    return at;
  }

  private static Vec[] vertices(Mesh mesh, Pose pose) {
    Vec[] all = new Vec[mesh.xyz().length / 3];
    for (int i = 0; i < all.length; i++) {
      all[i] = pose.apply(mesh.vertex(i));
    }
    return all;
  }

  private static Vec[] corners(Box b, Pose pose) {
    Vec[] all = new Vec[8];
    for (int i = 0; i < 8; i++) {
      all[i] =
          pose.apply(
              new Vec(
                  (i & 1) == 0 ? b.min().x() : b.max().x(),
                  (i & 2) == 0 ? b.min().y() : b.max().y(),
                  (i & 4) == 0 ? b.min().z() : b.max().z()));
    }
    return all;
  }
}
