package pied.core.solid;

/**
 * A mesh that moves along a direction, as it is compared with others: all are seen in a frame whose
 * third direction is the way. For an upright way the first is across, for a level one the second is
 * up.
 */
final class Sweep {
  private static final double STEEP = 0.9;

  final Mesh mesh;
  final Pose pose;
  final Vec way;

  /** The frame, row by row. */
  private final Vec[] frame;

  final double[] turn;
  private SweepTree all;
  private SweepTree along;

  /**
   * @param way of length 1, in the frame of the space
   */
  Sweep(Mesh mesh, Pose pose, Vec way) {
    this.mesh = mesh;
    this.pose = pose;
    this.way = way;
    Vec n = way.cross(Math.abs(way.y()) < STEEP ? Vec.UP : new Vec(1, 0, 0)).unit();
    frame = new Vec[] {n, way.cross(n), way};
    turn = turn(pose);
  }

  /** From the frame of a mesh at a pose into that of the way. */
  double[] turn(Pose p) {
    double[] m = new double[9];
    for (int k = 0; k < 3; k++) {
      Vec own = p.undirect(frame[k]);
      m[3 * k] = own.x();
      m[3 * k + 1] = own.y();
      m[3 * k + 2] = own.z();
    }
    return m;
  }

  /** A shift of the space in the frame of the way. */
  Vec seen(Vec by) {
    return new Vec(frame[0].dot(by), frame[1].dot(by), frame[2].dot(by));
  }

  /** A shift in the frame of the way as one of the space. */
  Vec unseen(double x, double y, double z) {
    return frame[0].times(x).plus(frame[1].times(y)).plus(frame[2].times(z));
  }

  /**
   * Whether only what looks at the other counts. Two solids that are apart meet with that: at the
   * first contact its normal is one between those of the faces that meet there, so one of them
   * looks ahead.
   */
  boolean facing(Mesh b, Pose pb) {
    return mesh.isOutward() && b.isOutward() && apart(b, pb) > Travel.TOUCH;
  }

  /** How far it goes at least before its box shares anything with that of another. */
  private double apart(Mesh b, Pose pb) {
    Vec d = pb.undirect(way);
    double[] own = Bodies.corners(pose.within(pb).box(mesh.box()));
    double[] other = Bodies.corners(b.box());
    double in = Travel.enters(own, other, d.x(), d.y(), d.z(), new double[1]);
    Vec back = pose.undirect(way).times(-1);
    double[] theirs = Bodies.corners(pb.within(pose).box(b.box()));
    double[] mine = Bodies.corners(mesh.box());
    return Math.max(in, Travel.enters(theirs, mine, back.x(), back.y(), back.z(), new double[1]));
  }

  /** The tree of what moves. */
  SweepTree own(boolean facing) {
    if (facing) {
      along = along == null ? SweepTree.of(mesh, turn, SweepFacing.ALONG) : along;
      return along;
    }
    all = all == null ? SweepTree.of(mesh, turn, SweepFacing.ALL) : all;
    return all;
  }
}
