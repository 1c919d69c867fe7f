package pied.core.place;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Space;

/**
 * Whether what stands would stay standing: the middle of its mass, taken as uniform, has to lie
 * over the hull of all points where it touches what carries it.
 */
public final class Support {
  /** Faces this near to one another touch, metres. */
  private static final double NEAR = 3e-4;

  /** So far beyond the hull the middle may lie before it counts, metres. */
  private static final double SLACK = 1e-4;

  private static final GeometryFactory PLANE = new GeometryFactory();

  private Support() {}

  /**
   * Whether a standing piece rests securely; also where it touches in points that are not found.
   */
  public static boolean stable(Space space, Piece p) {
    Geometry hull = hull(space, p);
    if (hull.isEmpty()) {
      return true; // it touches on round faces, of which there is nothing flat to be found
    }
    Vec m = middle(space.shapes().mesh(p), p.pose());
    return hull.distance(PLANE.createPoint(new Coordinate(m.x(), m.z()))) <= SLACK;
  }

  /** The support polygon on the plan (x, z); empty if no flat contact is found. */
  public static Geometry hull(Space space, Piece p) {
    Mesh mesh = space.shapes().mesh(p);
    List<Geometry> touched = new ArrayList<>();
    Box box = p.pose().box(mesh.box());
    List<Face> own = faces(mesh, p.pose(), -1, box.min().y() + mesh.box().size().length());
    Vec a = new Vec(NEAR, NEAR, NEAR);
    for (Body body : space.bodies().near(new Box(box.min().minus(a), box.max().plus(a)))) {
      if (body.id().equals(p.id())) {
        continue;
      }
      for (Face top : faces(body.mesh(), body.pose(), 1, 1e9)) {
        for (Face under : own) {
          if (Math.abs(top.y - under.y) < NEAR && top.area.getEnvelope().intersects(under.area)) {
            touched.add(top.area.intersection(under.area));
          }
        }
      }
    }
    return touched.isEmpty() ? PLANE.createPolygon() : UnaryUnionOp.union(touched).convexHull();
  }

  private record Face(double y, Geometry area) {}

  /** Level faces that look up (1) or down (-1), as figures of the plan. */
  private static List<Face> faces(Mesh m, Pose pose, int way, double most) {
    List<Face> all = new ArrayList<>();
    for (int t = 0; t < m.triangles(); t++) {
      Vec a = pose.apply(m.vertex(m.corners()[3 * t]));
      Vec b = pose.apply(m.vertex(m.corners()[3 * t + 1]));
      Vec c = pose.apply(m.vertex(m.corners()[3 * t + 2]));
      Vec n = b.minus(a).cross(c.minus(a));
      double l = n.length();
      if (l > 1e-12 && n.y() * way > 0.999 * l && a.y() < most) {
        Coordinate first = at(a);
        all.add(
            new Face(
                (a.y() + b.y() + c.y()) / 3,
                PLANE.createPolygon(new Coordinate[] {first, at(b), at(c), first})));
      }
    }
    return all;
  }

  private static Coordinate at(Vec v) {
    return new Coordinate(v.x(), v.z());
  }

  /** The middle of the mass of a closed mesh of one material; of an open one, of its box. */
  static Vec middle(Mesh m, Pose pose) {
    double six = 0;
    Vec sum = Vec.ZERO;
    for (int t = 0; t < m.corners().length; t += 3) {
      Vec a = m.vertex(m.corners()[t]);
      Vec b = m.vertex(m.corners()[t + 1]);
      Vec c = m.vertex(m.corners()[t + 2]);
      double v = a.dot(b.cross(c));
      six += v;
      sum = sum.plus(a.plus(b).plus(c).times(v / 4));
    }
    return pose.apply(six > 1e-12 ? sum.times(1 / six) : m.box().centre());
  }
}
