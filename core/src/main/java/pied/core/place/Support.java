package pied.core.place;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import pied.core.Tolerance;
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

  /**
   * What stands on the rim of something laid on a top, such as a leather or a cloth, tilts no
   * farther than this before the top holds it, metres.
   */
  private static final double LOWER = 0.003;

  /** So far beyond the hull the middle may lie before it counts, metres. */
  private static final double SLACK = Tolerance.HAIR;

  private Support() {}

  /**
   * How far the middle of a standing piece lies beside what it stands on, metres; 0 if it rests
   * securely, and where it touches in points that are not found.
   */
  public static double beside(Space space, Piece p) {
    List<Contact> contacts = contacts(space, p, LOWER);
    if (contacts.isEmpty()) {
      return 0; // it touches on round faces, of which there is nothing flat to be found
    }
    Flats own = own(space, p);
    boolean one = contacts.size() == 1 && contacts.get(0).whole;
    Geometry hull = one ? contacts.get(0).under.hull() : hull(contacts);
    Vec middle = middle(own);
    Vec m = one ? middle : pose(p).apply(middle);
    double off = hull.distance(Flats.PLANE.createPoint(new Coordinate(m.x(), m.z())));
    return off <= SLACK ? 0 : off;
  }

  /**
   * The middle of the mass. What would fall over on any floor, were it of one material, has a
   * weighted foot, as lamps with an arm have: then it is that of its foot.
   */
  private static Vec middle(Flats own) {
    Vec m = own.middle();
    if (own.down().isEmpty()) {
      return m;
    }
    Geometry foot = own.down().get(0).hull();
    if (foot.isWithinDistance(Flats.PLANE.createPoint(new Coordinate(m.x(), m.z())), SLACK)) {
      return m;
    }
    var centre = foot.getCentroid();
    return new Vec(centre.getX(), m.y(), centre.getY());
  }

  /**
   * Whether all of the foot of a standing piece is on what is beneath it, with nothing of it over a
   * rim; also where it touches in points that are not found.
   */
  public static boolean wholly(Space space, Piece p) {
    return contacts(space, p, NEAR).stream().allMatch(Contact::whole);
  }

  /** The support polygon on the plan (x, z). */
  private static Geometry hull(List<Contact> contacts) {
    return Flats.PLANE.buildGeometry(contacts.stream().map(Contact::shared).toList()).convexHull();
  }

  /**
   * Where a level face of a piece meets one of a body beneath it.
   *
   * @param under the face of the piece
   * @param foot that face in the directions of the body
   * @param whole whether all of it lies on that body
   */
  private record Contact(
      Flats.Flat under, Geometry foot, boolean whole, Flats.Flat top, Pose body) {
    /** The figure of the plan that both have in common. */
    Geometry shared() {
      Geometry both =
          whole ? foot : OverlayNGRobust.overlay(foot, top.area(), OverlayNG.INTERSECTION);
      return Flats.from(body, Pose.HERE).transform(both);
    }
  }

  /** The directions its level faces are given in: its own if it stands upright. */
  private static Pose pose(Piece p) {
    return Flats.upright(p.pose()) ? p.pose() : Pose.HERE;
  }

  private static Flats own(Space space, Piece p) {
    Mesh mesh = space.shapes().mesh(p);
    return Flats.upright(p.pose()) ? Flats.of(mesh) : Flats.of(mesh, p.pose());
  }

  /**
   * @param lower so far below its foot a top holds it as well, metres
   */
  private static List<Contact> contacts(Space space, Piece p, double lower) {
    Box box = p.pose().box(space.shapes().mesh(p).box());
    Vec a = new Vec(NEAR, lower, NEAR);
    List<Contact> all = new ArrayList<>();
    Flats own = null;
    for (Body body : space.bodies().near(box.grown(a))) {
      if (!body.id().equals(p.id())) {
        own = own == null ? own(space, p) : own;
        touching(own, pose(p), body, lower, all);
      }
    }
    return all;
  }

  private static void touching(Flats own, Pose from, Body body, double lower, List<Contact> all) {
    boolean upright = Flats.upright(body.pose());
    Flats other = upright ? Flats.of(body.mesh()) : Flats.of(body.mesh(), body.pose());
    Pose to = upright ? body.pose() : Pose.HERE;
    double up = from.at().y() - to.at().y();
    AffineTransformation there = null;
    for (Flats.Flat under : own.down()) {
      for (Flats.Flat top : other.up()) {
        double gap = under.y() + up - top.y();
        if (gap > -NEAR && gap < lower) {
          there = there == null ? Flats.from(from, to) : there;
          Geometry foot = there.transform(under.area());
          if (top.ready().intersects(foot)) {
            all.add(new Contact(under, foot, top.ready().covers(foot), top, to));
          }
        }
      }
    }
  }

  /** The middle of the mass of a closed mesh of one material; of an open one, of its box. */
  static Vec middle(Mesh m) {
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
    return six > Tolerance.NONE ? sum.times(1 / six) : m.box().centre();
  }
}
