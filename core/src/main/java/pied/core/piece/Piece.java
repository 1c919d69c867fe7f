package pied.core.piece;

import java.util.Map;
import pied.core.size.Size;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * One article placed in a space.
 *
 * @param article id of the article
 * @param size finished outside size
 * @param at the middle of the underside of its box, metres, in the directions of the space
 * @param turn degrees about the vertical, counter-clockwise seen from above, 0 = front toward the
 *     foot of the plan; from 0 up to but not including 360
 * @param lean out of the upright
 * @param finishes colours that differ from the article's own, #RRGGBB by finish part
 * @param held whether it is attached to its carrier, and stays with it without standing on it
 */
public record Piece(
    String id,
    String article,
    String name,
    Size size,
    Vec at,
    double turn,
    Lean lean,
    On on,
    Map<String, String> finishes,
    boolean held) {

  public Piece {
    lean = lean == null ? Lean.NONE : lean;
    finishes = Map.copyOf(finishes);
  }

  /** An upright piece. */
  public Piece(
      String id,
      String article,
      String name,
      Size size,
      Vec at,
      double turn,
      On on,
      Map<String, String> finishes) {
    this(id, article, name, size, at, turn, Lean.NONE, on, finishes, false);
  }

  public Pose pose() {
    return pose(at, turn, lean);
  }

  /** Whether it is where another is, in the same size and shape. */
  public boolean fills(Piece o) {
    return this == o
        || article.equals(o.article)
            && size.equals(o.size)
            && at.equals(o.at)
            && turn == o.turn
            && lean.equals(o.lean);
  }

  /** The pose of something turned and leaning at a place. */
  public static Pose pose(Vec at, double turn, Lean lean) {
    return Pose.of(at, turn, lean.toward(), lean.by());
  }

  public Piece withName(String v) {
    return new Piece(id, article, v, size, at, turn, lean, on, finishes, held);
  }

  public Piece withSize(Size v) {
    return new Piece(id, article, name, v, at, turn, lean, on, finishes, held);
  }

  public Piece withAt(Vec v) {
    return new Piece(id, article, name, size, v, turn, lean, on, finishes, held);
  }

  public Piece withTurn(double v) {
    return new Piece(id, article, name, size, at, round(v), lean, on, finishes, held);
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

  public Piece withLean(Lean v) {
    return new Piece(id, article, name, size, at, turn, v, on, finishes, held);
  }

  /** Attached to a carrier, or with false no longer. */
  public Piece withHeld(boolean v) {
    return new Piece(id, article, name, size, at, turn, lean, on, finishes, v);
  }

  public Piece withOn(On v) {
    return new Piece(id, article, name, size, at, turn, lean, v, finishes, held);
  }

  public Piece withFinishes(Map<String, String> v) {
    return new Piece(id, article, name, size, at, turn, lean, on, v, held);
  }

  public Piece withId(String v) {
    return new Piece(v, article, name, size, at, turn, lean, on, finishes, held);
  }
}
