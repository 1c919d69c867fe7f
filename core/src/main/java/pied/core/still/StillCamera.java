package pied.core.still;

import java.util.ArrayList;
import java.util.List;
import pied.core.Tolerance;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Shell;
import pied.core.space.Spot;

/**
 * Where a picture is taken from: which ray goes through which of its dots.
 *
 * @param ahead where it looks, of length 1
 * @param wide half of what it sees across, as a tangent
 * @param high half of what it sees over its height
 * @param shift by so much of half its height it is shifted up, so that verticals stay upright
 * @param round whether it sees all around: across goes once around, down from straight up
 */
record StillCamera(
    Vec eye, Vec right, Vec up, Vec ahead, double wide, double high, double shift, boolean round) {
  /** The angle over the height of one who looks at a model from outside, degrees. */
  private static final double MODEL = 36;

  /** Steepest look that a shift makes good, as a tangent. */
  private static final double STEEPEST = Math.tan(Math.toRadians(40));

  /** Of the picture a space may fill so much. */
  private static final double FILLS = 0.94;

  private static final double STEP = 1.03;
  private static final double FARTHEST = 400;

  /**
   * That of a viewpoint.
   *
   * @param ratio width of the picture by its height
   */
  static StillCamera of(Viewpoint v, double ratio, Shell shell) {
    if (v.fits()) {
      return around(v, ratio, shell);
    }
    double high = Math.tan(Math.toRadians(v.high(ratio)) / 2);
    return looking(v.eye(), v.target(), high * ratio, high, v.upright());
  }

  /** All around from an eye, the middle of the picture where it looks. */
  static StillCamera round(Viewpoint v) {
    Vec level = new Vec(v.target().x(), v.eye().y(), v.target().z());
    StillCamera c = looking(v.eye(), level, 1, 1, false);
    return new StillCamera(c.eye, c.right, c.up, c.ahead, 1, 1, 0, true);
  }

  static StillCamera looking(Vec eye, Vec target, double wide, double high, boolean upright) {
    Vec way = target.minus(eye);
    double rise = way.y() / Math.max(Tolerance.SAME, Math.hypot(way.x(), way.z()));
    boolean shifted = upright && Math.abs(rise) < STEEPEST;
    Vec ahead = (shifted ? new Vec(way.x(), 0, way.z()) : way).unit();
    Vec side = ahead.cross(Vec.UP);
    Vec right = side.length() < Tolerance.FINE ? new Vec(1, 0, 0) : side.unit();
    double shift = shifted ? rise / high : 0;
    return new StillCamera(eye, right, right.cross(ahead), ahead, wide, high, shift, false);
  }

  /** Steps back until the whole space is in the picture. */
  private static StillCamera around(Viewpoint v, double ratio, Shell shell) {
    List<Vec> corners = new ArrayList<>();
    for (Spot s : shell.outline()) {
      corners.add(s.at(0));
      corners.add(s.at(shell.height()));
    }
    Vec away = v.eye().minus(v.target()).unit();
    double high = Math.tan(Math.toRadians(MODEL) / 2);
    StillCamera c = null;
    for (double far = 2; far < FARTHEST; far *= STEP) {
      c = looking(v.target().along(away, far), v.target(), high * ratio, high, false);
      if (corners.stream().allMatch(c::isInside)) {
        break;
      }
    }
    return c;
  }

  private boolean isInside(Vec p) {
    Vec d = p.minus(eye);
    double deep = d.dot(ahead);
    return deep > 0
        && Math.abs(d.dot(right)) < FILLS * wide * deep
        && Math.abs(d.dot(up)) < FILLS * high * deep;
  }

  /**
   * The ray through a place of the picture.
   *
   * @param x from its left, of its width
   * @param y from its top, of its height
   * @param way is set, of length 1
   */
  void ray(double x, double y, double[] way) {
    double a;
    double b;
    double c = 1;
    if (round) {
      double turn = 2 * Math.PI * (x - 0.5);
      double rise = Math.PI * (0.5 - y);
      a = Math.sin(turn) * Math.cos(rise);
      b = Math.sin(rise);
      c = Math.cos(turn) * Math.cos(rise);
    } else {
      a = (2 * x - 1) * wide;
      b = (1 - 2 * y + shift) * high;
    }
    way[0] = a * right.x() + b * up.x() + c * ahead.x();
    way[1] = a * right.y() + b * up.y() + c * ahead.y();
    way[2] = a * right.z() + b * up.z() + c * ahead.z();
    Frames.unit(way);
  }

  /** The angle that one dot takes, of a picture so many high. */
  double cone(int dots) {
    return round ? Math.PI / dots : 2 * high / dots;
  }
}
