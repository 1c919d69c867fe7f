package pied.core.solid;

import java.util.Arrays;
import org.joml.Matrix3d;
import org.joml.Quaterniond;
import org.joml.Quaterniondc;

/**
 * Where a mesh stands and how it is turned: a rotation followed by a shift. Immutable. Mirroring is
 * not a pose; a mirrored piece has a mirrored mesh.
 */
public final class Pose {
  public static final Pose HERE = new Pose(Vec.ZERO, 1, 0, 0, 0, 1, 0, 0, 0, 1);

  final double m00, m01, m02, m10, m11, m12, m20, m21, m22;
  private final Vec at;

  private Pose(
      Vec at,
      double m00,
      double m01,
      double m02,
      double m10,
      double m11,
      double m12,
      double m20,
      double m21,
      double m22) {
    this.at = at;
    this.m00 = m00;
    this.m01 = m01;
    this.m02 = m02;
    this.m10 = m10;
    this.m11 = m11;
    this.m12 = m12;
    this.m20 = m20;
    this.m21 = m21;
    this.m22 = m22;
  }

  /**
   * Upright at a place.
   *
   * @param turn degrees about the vertical, counter-clockwise seen from above; quarter turns are
   *     exact
   */
  public static Pose of(Vec at, double turn) {
    double t = turn % 360;
    if (t < 0) {
      t += 360;
    }
    double c = t == 0 ? 1 : t == 180 ? -1 : t == 90 || t == 270 ? 0 : Math.cos(Math.toRadians(t));
    double s = t == 90 ? 1 : t == 270 ? -1 : t == 0 || t == 180 ? 0 : Math.sin(Math.toRadians(t));
    return new Pose(at, c, 0, s, 0, 1, 0, -s, 0, c);
  }

  /**
   * Turned about the vertical, and leaning.
   *
   * @param turn degrees, as in {@link #of(Vec, double)}
   * @param toward direction in which its top leans, degrees counter-clockwise from its own front
   * @param lean degrees out of the upright
   */
  public static Pose of(Vec at, double turn, double toward, double lean) {
    if (lean == 0) {
      return of(at, turn);
    }
    double a = Math.toRadians(toward);
    double t = Math.toRadians(turn);
    // the top goes toward (sin a, 0, cos a): about the level axis at a right angle to that
    return of(
        at,
        new Quaterniond()
            .rotateY(t)
            .rotateAxis(Math.toRadians(lean), Math.cos(a), 0, -Math.sin(a)));
  }

  /** The rotation alone. */
  public Rotation rotation() {
    Quaterniond q =
        new Quaterniond()
            .setFromNormalized(new Matrix3d(m00, m10, m20, m01, m11, m21, m02, m12, m22));
    return new Rotation(q.x, q.y, q.z, q.w);
  }

  /** Turned in any way; the quaternion is of length 1. */
  public static Pose of(Vec at, Quaterniondc q) {
    Matrix3d m = new Matrix3d().set(q);
    return new Pose(at, m.m00, m.m10, m.m20, m.m01, m.m11, m.m21, m.m02, m.m12, m.m22);
  }

  /** Turned so that its own right, up and front go these ways, at right angles to each other. */
  public static Pose of(Vec at, Vec right, Vec up, Vec front) {
    return new Pose(
        at, right.x(), up.x(), front.x(), right.y(), up.y(), front.y(), right.z(), up.z(),
        front.z());
  }

  public Vec at() {
    return at;
  }

  public Pose moved(Vec by) {
    return new Pose(at.plus(by), m00, m01, m02, m10, m11, m12, m20, m21, m22);
  }

  /** A point of the mesh as a point of the space. */
  public Vec apply(Vec p) {
    return direct(p).plus(at);
  }

  /** A direction of the mesh as a direction of the space. */
  public Vec direct(Vec d) {
    return new Vec(
        m00 * d.x() + m01 * d.y() + m02 * d.z(),
        m10 * d.x() + m11 * d.y() + m12 * d.z(),
        m20 * d.x() + m21 * d.y() + m22 * d.z());
  }

  /** A direction of the space as a direction of the mesh. */
  public Vec undirect(Vec d) {
    return new Vec(
        m00 * d.x() + m10 * d.y() + m20 * d.z(),
        m01 * d.x() + m11 * d.y() + m21 * d.z(),
        m02 * d.x() + m12 * d.y() + m22 * d.z());
  }

  /** A point of the space as a point of the mesh. */
  public Vec unapply(Vec p) {
    return undirect(p.minus(at));
  }

  /** This pose as seen from the frame of {@code other}. */
  public Pose within(Pose o) {
    return new Pose(
        o.unapply(at),
        o.m00 * m00 + o.m10 * m10 + o.m20 * m20,
        o.m00 * m01 + o.m10 * m11 + o.m20 * m21,
        o.m00 * m02 + o.m10 * m12 + o.m20 * m22,
        o.m01 * m00 + o.m11 * m10 + o.m21 * m20,
        o.m01 * m01 + o.m11 * m11 + o.m21 * m21,
        o.m01 * m02 + o.m11 * m12 + o.m21 * m22,
        o.m02 * m00 + o.m12 * m10 + o.m22 * m20,
        o.m02 * m01 + o.m12 * m11 + o.m22 * m21,
        o.m02 * m02 + o.m12 * m12 + o.m22 * m22);
  }

  /** The upright box around a box at this pose. */
  public Box box(Box b) {
    Vec c = apply(b.centre());
    Vec h = b.size().times(0.5);
    Vec e =
        new Vec(
            Math.abs(m00) * h.x() + Math.abs(m01) * h.y() + Math.abs(m02) * h.z(),
            Math.abs(m10) * h.x() + Math.abs(m11) * h.y() + Math.abs(m12) * h.z(),
            Math.abs(m20) * h.x() + Math.abs(m21) * h.y() + Math.abs(m22) * h.z());
    return new Box(c.minus(e), c.plus(e));
  }

  private double[] numbers() {
    return new double[] {m00, m01, m02, m10, m11, m12, m20, m21, m22};
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Pose p && p.at.equals(at) && Arrays.equals(p.numbers(), numbers());
  }

  @Override
  public int hashCode() {
    return 31 * at.hashCode() + Arrays.hashCode(numbers());
  }
}
