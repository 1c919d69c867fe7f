package pied.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * Where something is and how it is turned.
 *
 * @param at the middle of the underside of its box, metres, in the directions of the space
 * @param turn degrees about the vertical, counter-clockwise seen from above, 0 = front toward the
 *     foot of the plan; any angle may be given, it is from 0 up to but not including 360
 * @param lean out of the upright; null for none
 */
@RecordBuilder
public record Stance(Vec at, double turn, Lean lean) implements StanceBuilder.With {
  public Stance {
    turn = round(turn);
    lean = lean == null ? Lean.NONE : lean;
  }

  /** Upright. */
  public Stance(Vec at, double turn) {
    this(at, turn, Lean.NONE);
  }

  public Pose pose() {
    return pose(at, turn, lean);
  }

  /**
   * The stance of something turned in any way: how far it is turned about the vertical, and then
   * leans. Angles are kept to a billionth of a degree.
   *
   * @param turned of which the rotation counts
   */
  public static Stance of(Vec at, Pose turned) {
    Vec up = turned.direct(Vec.UP);
    double level = Math.hypot(up.x(), up.z());
    double by = even(Math.toDegrees(Math.atan2(level, up.y())));
    double toward = by == 0 || by == 180 ? 0 : Math.toDegrees(Math.atan2(up.x(), up.z()));
    // taken back upright about the level axis it leans about, what is left is its turn
    Vec front = Pose.of(Vec.ZERO, 0, toward, by).undirect(turned.direct(new Vec(0, 0, 1)));
    double turn = even(Math.toDegrees(Math.atan2(front.x(), front.z())));
    return new Stance(at, turn, new Lean(even(toward - turn), by));
  }

  private static double even(double degrees) {
    return Math.rint(degrees * 1e9) / 1e9 + 0.0;
  }

  /** The pose of something turned, by any angle, and leaning at a place. */
  public static Pose pose(Vec at, double turn, Lean lean) {
    return Pose.of(at, turn, lean.toward(), lean.by());
  }

  /** By how much its plan, drawn with turn 0, is turned on the sheet, degrees clockwise. */
  public double onSheet() {
    return round(-turn);
  }

  /** Moved by a vector. */
  public Stance moved(Vec by) {
    return withAt(at.plus(by));
  }

  /**
   * An angle from 0 up to but not including 360, degrees. What is so already stays as it is to the
   * last bit, so that to read what was written changes nothing.
   */
  static double round(double degrees) {
    double t = degrees % 360;
    double r = t < 0 ? t + 360 : t + 0.0;
    return r == 360 ? 0 : r;
  }
}
