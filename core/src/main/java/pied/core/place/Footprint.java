package pied.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import pied.core.BoundedCache;
import pied.core.Tolerance;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/** What a mesh covers of the plan, seen from above: figures of x and z. */
public final class Footprint {
  /** Smaller faces than this do not widen an outline, m². */
  private static final double SPECK = Tolerance.ANGLE;

  private static final GeometryFactory PLANE = Flats.PLANE;
  private static final Map<Mesh, Geometry> KNOWN = BoundedCache.weakly();
  private static final Map<Mesh, Coordinate[]> HULLS = BoundedCache.weakly();

  private Footprint() {}

  /** Its true outline, in its own directions; found once for each mesh. */
  public static Geometry of(Mesh mesh) {
    return KNOWN.computeIfAbsent(mesh, Footprint::found);
  }

  /** Its true outline where it stands, upright or not. */
  public static Geometry of(Mesh mesh, Pose pose) {
    return Flats.upright(pose)
        ? Flats.from(pose, Pose.HERE).transform(of(mesh))
        : union(mesh, pose);
  }

  /** The corners of the convex figure about all of it, in its own directions; found once. */
  public static Coordinate[] hull(Mesh mesh) {
    return HULLS.computeIfAbsent(
        mesh,
        m -> {
          Coordinate[] all = new Coordinate[m.xyz().length / 3];
          for (int v = 0; v < all.length; v++) {
            all[v] = at(m.vertex(v));
          }
          return PLANE.createMultiPointFromCoords(all).convexHull().getCoordinates();
        });
  }

  /**
   * How far a mesh reaches along a direction, of length 1, from the place it stands at, metres: by
   * its true vertices. What stands upright is looked at by its hull alone.
   */
  public static double reach(Mesh mesh, Pose pose, Vec way) {
    Vec own = pose.undirect(way);
    double most = Double.NEGATIVE_INFINITY;
    if (Math.abs(own.y()) < Tolerance.NONE) {
      for (Coordinate c : hull(mesh)) {
        most = Math.max(most, c.x * own.x() + c.y * own.z());
      }
      return most;
    }
    double[] xyz = mesh.xyz();
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      most = Math.max(most, xyz[i] * own.x() + xyz[i + 1] * own.y() + xyz[i + 2] * own.z());
    }
    return most;
  }

  /** Moved and turned over the plan. */
  public static Geometry moved(Geometry figure, Pose upright) {
    return Flats.from(upright, Pose.HERE).transform(figure);
  }

  private static Geometry found(Mesh mesh) {
    return union(mesh, Pose.HERE);
  }

  private static Geometry union(Mesh mesh, Pose pose) {
    List<Geometry> faces = new ArrayList<>();
    int[] c = mesh.corners();
    for (int t = 0; t < mesh.triangles(); t++) {
      Coordinate a = at(pose.apply(mesh.vertex(c[3 * t])));
      Coordinate b = at(pose.apply(mesh.vertex(c[3 * t + 1])));
      Coordinate d = at(pose.apply(mesh.vertex(c[3 * t + 2])));
      double twice = (b.x - a.x) * (d.y - a.y) - (d.x - a.x) * (b.y - a.y);
      // one of two faces over one another is enough where it is closed
      if (mesh.isClosed() ? twice > SPECK : Math.abs(twice) > SPECK) {
        faces.add(PLANE.createPolygon(new Coordinate[] {a, b, d, a.copy()}));
      }
    }
    if (faces.isEmpty()) { // a sheet on its edge
      Coordinate[] all = new Coordinate[mesh.xyz().length / 3];
      for (int v = 0; v < all.length; v++) {
        all[v] = at(pose.apply(mesh.vertex(v)));
      }
      return PLANE.createMultiPointFromCoords(all).convexHull();
    }
    return UnaryUnionOp.union(faces);
  }

  private static Coordinate at(Vec v) {
    return new Coordinate(v.x(), v.z());
  }
}
