package pied.core.carry;

import java.util.Set;
import org.joml.Matrix3d;
import org.joml.Quaterniond;
import org.joml.Vector3d;
import pied.core.Tolerance;
import pied.core.measure.Side;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Resting;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * A side of a piece goes flat onto a face, be it level, sloping or upright; on a curved face it is
 * tangent to it. It never goes into it: it backs off along the face's normal until it is free.
 */
final class FaceDown {
  private final Space space;
  private final Piece piece;
  private final CarryAsk q;
  private final double by;
  private final Set<String> own;

  /**
   * @param by how far it is turned in the face, degrees
   */
  FaceDown(Space space, Piece piece, CarryAsk q, double by, Set<String> own) {
    this.space = space;
    this.piece = piece;
    this.q = q;
    this.by = by;
    this.own = own;
  }

  /** How it stands then, and on what, in words. */
  record FacedDown(Footing stance, String words) {}

  FacedDown place() {
    Bodies.RayMet met = face();
    Vec n = met.normal().unit();
    Matrix3d r = facing(n);
    Quaterniond spun =
        new Quaterniond()
            .fromAxisAngleRad(n.x(), n.y(), n.z(), Math.toRadians(by))
            .mul(new Quaterniond().setFromNormalized(r));
    Quaterniond turnOnly = twist(spun);
    double turn = Math.toDegrees(2 * Math.atan2(turnOnly.y, turnOnly.w));
    Lean lean = lean(spun, turnOnly);
    Vec middle = q.against().middle(piece.size());
    Vec off = Stance.pose(Vec.ZERO, turn, lean).direct(middle);
    Vec at = met.point().minus(off);
    // out of what it would be sunk in, then back until it touches
    Mesh mesh = space.shapes().mesh(piece);
    double away =
        space
            .bodies()
            .toFree(
                mesh, Stance.pose(at, turn, lean), n, b -> !own.contains(b.id()), Resting.ASIDE);
    if (away > Resting.ASIDE) {
      throw new Refusal("There is no room for it on that face.");
    }
    at = at.along(n, away);
    Pose from = Stance.pose(at.along(n, Resting.CONTACT), turn, lean);
    Bodies.Met back = space.bodies().travel(mesh, from, n.times(-1), 1, b -> !own.contains(b.id()));
    if (back.stop().meets()) {
      at = from.at().along(n.times(-1), back.stop().distance());
    }
    boolean touches =
        space.bodies().near(Stance.pose(at, turn, lean).box(mesh.box())).contains(met.body());
    Body body = touches || !back.stop().meets() ? met.body() : back.body();
    String words = "its " + words(q.against()) + " flat on " + space.nameOf(met.body().id());
    return new FacedDown(new Footing(new Stance(at, turn, lean), on(body)), words);
  }

  private static String words(Side s) {
    return s == Side.under
        ? "underside"
        : s == Side.left || s == Side.right ? s + " side" : s.name();
  }

  private Bodies.RayMet face() {
    Bodies.RayMet met = CarryPointed.at(space, q, own);
    if (met == null) {
      throw new Refusal("Point at the face it is to go onto.");
    }
    return met;
  }

  /** The rotation that turns the side against a face with this normal, upright as far as may be. */
  private Matrix3d facing(Vec n) {
    Side side = q.against();
    boolean flat = side == Side.under || side == Side.top;
    // of the piece: the side's way out, and the direction that is to point up the face
    Vec out = side.outward();
    Vec up = flat ? new Vec(0, 0, -1) : Vec.UP;
    // of the space: into the face, and up it
    Vec into = n.times(-1);
    Vec high = Vec.UP.minus(n.times(n.y()));
    if (high.length() < Tolerance.FINE) { // a level face: the front stays where it was
      Vec front = piece.pose().direct(flat ? new Vec(0, 0, -1) : Vec.UP);
      high = front.minus(n.times(front.dot(n)));
      high = high.length() < Tolerance.FINE ? new Vec(0, 0, -1) : high;
    }
    high = high.unit();
    Vec side1 = out.cross(up);
    Vec side2 = into.cross(high);
    // columns of the frames, put together: R takes (out, up, side1) to (into, high, side2)
    Matrix3d from = frame(out, up, side1);
    Matrix3d to = frame(into, high, side2);
    return to.mul(from.transpose());
  }

  private static Matrix3d frame(Vec a, Vec b, Vec c) {
    return new Matrix3d(vector(a), vector(b), vector(c));
  }

  private static Vector3d vector(Vec v) {
    return new Vector3d(v.x(), v.y(), v.z());
  }

  /** The part of a rotation that is about the vertical. */
  private static Quaterniond twist(Quaterniond r) {
    Quaterniond t = new Quaterniond(0, r.y, 0, r.w);
    return t.lengthSquared() < Tolerance.NONE ? new Quaterniond() : t.normalize();
  }

  /** What is left of it: the top leaning some way. */
  private static Lean lean(Quaterniond r, Quaterniond turnOnly) {
    Quaterniond tilt = new Quaterniond(turnOnly).conjugate().mul(r);
    Vector3d up = tilt.transform(new Vector3d(0, 1, 0));
    double by = Math.toDegrees(Math.atan2(Math.hypot(up.x, up.z), up.y));
    if (by < Tolerance.SAME) {
      return Lean.NONE;
    }
    return new Lean(Math.toDegrees(Math.atan2(up.x, up.z)), by);
  }

  /** What carries it from then on: of a door its wall, of a column the floor it stands on. */
  private On on(Body body) {
    PartName part = PartName.of(body);
    if (part == null) {
      return On.piece(body.id());
    }
    return part.kind() == PartKind.opening
        ? On.wall(space.shell().opening(part.id()).wall())
        : part.carrier();
  }
}
