package pied.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import pied.core.BoundedCache;
import pied.core.Tolerance;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * The level faces of a mesh, joined to figures of the plan, one for each height. Those of a mesh
 * that stands upright are found once, in its own directions.
 *
 * @param up faces that look up
 * @param down faces that look down
 * @param feet its lowest corners, where it has no level face there: legs that splay stand on a rim
 * @param middle of the mass, taken as uniform
 */
record Flats(List<Flat> up, List<Flat> down, List<Vec> feet, Vec middle) {
  /** Faces count as level whose normals rise by more than this: the cosine. */
  private static final double LEVEL = 0.999;

  /** Faces so near in height are one, metres. */
  private static final double SAME = Tolerance.FINE;

  /** What leans no more than this stands upright: the cosine. */
  private static final double UPRIGHT = 1 - Tolerance.NONE;

  /** Figures that share less than a strip so wide only touch, metres. */
  private static final double STRIP = Tolerance.WIDE;

  static final GeometryFactory PLANE = new GeometryFactory();
  private static final Map<Mesh, Flats> KNOWN = BoundedCache.weakly();

  /**
   * Level faces at one height.
   *
   * @param core the figure without its rim
   * @param hull the convex figure about it
   * @param ready the figure, for being asked often
   */
  record Flat(double y, Geometry area, Geometry core, Geometry hull, PreparedGeometry ready) {
    Flat(double y, Geometry area) {
      this(y, area, area.buffer(-STRIP), area.convexHull(), PreparedGeometryFactory.prepare(area));
    }
  }

  static boolean upright(Pose pose) {
    return pose.direct(Vec.UP).y() >= UPRIGHT;
  }

  /** In a mesh's own directions. */
  static Flats of(Mesh mesh) {
    return KNOWN.computeIfAbsent(mesh, m -> of(m, v -> v));
  }

  /** Of a mesh at a pose at which it need not stand upright, in the directions of the space. */
  static Flats of(Mesh mesh, Pose pose) {
    return of(mesh, pose::apply);
  }

  private static Flats of(Mesh mesh, UnaryOperator<Vec> where) {
    List<Flat> down = faces(mesh, where, -1);
    return new Flats(
        faces(mesh, where, 1), down, feet(mesh, where, down), where.apply(Support.middle(mesh)));
  }

  private static List<Vec> feet(Mesh m, UnaryOperator<Vec> where, List<Flat> down) {
    List<Vec> all = new ArrayList<>();
    double low = Double.POSITIVE_INFINITY;
    for (int v = 0; 3 * v < m.xyz().length; v++) {
      Vec p = where.apply(m.vertex(v));
      if (p.y() < low - SAME) {
        all.clear();
      }
      low = Math.min(low, p.y());
      if (p.y() <= low + SAME) {
        all.add(p);
      }
    }
    boolean level = !down.isEmpty() && down.get(0).y() <= low + SAME;
    return level ? List.of() : List.copyOf(all);
  }

  /** What takes figures of the plan from the directions of one upright pose to those of another. */
  static AffineTransformation from(Pose own, Pose other) {
    Vec x = other.undirect(own.direct(new Vec(1, 0, 0)));
    Vec at = other.unapply(own.at());
    return new AffineTransformation(x.x(), -x.z(), at.x(), x.z(), x.x(), at.z());
  }

  private static List<Flat> faces(Mesh m, UnaryOperator<Vec> where, int way) {
    TreeMap<Double, List<Geometry>> at = new TreeMap<>();
    for (int t = 0; t < m.triangles(); t++) {
      Vec a = where.apply(m.vertex(m.corners()[3 * t]));
      Vec b = where.apply(m.vertex(m.corners()[3 * t + 1]));
      Vec c = where.apply(m.vertex(m.corners()[3 * t + 2]));
      Vec n = b.minus(a).cross(c.minus(a));
      double l = n.length();
      if (l > Tolerance.NONE && n.y() * way > LEVEL * l) {
        double y = (a.y() + b.y() + c.y()) / 3;
        Double near = at.floorKey(y + SAME);
        double height = near != null && near > y - SAME ? near : y;
        Coordinate first = at(a);
        at.computeIfAbsent(height, k -> new ArrayList<>())
            .add(PLANE.createPolygon(new Coordinate[] {first, at(b), at(c), first}));
      }
    }
    List<Flat> all = new ArrayList<>();
    at.forEach((y, faces) -> all.add(new Flat(y, UnaryUnionOp.union(faces))));
    return all;
  }

  private static Coordinate at(Vec v) {
    return new Coordinate(v.x(), v.z());
  }
}
