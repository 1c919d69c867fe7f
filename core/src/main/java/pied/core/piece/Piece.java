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
 * @param at the middle of the underside of its box, metres from the datum
 * @param turn degrees about the vertical, counter-clockwise seen from above, 0 = front toward the
 *     foot of the plan; from 0 up to but not including 360
 * @param finishes colours that differ from the article's own, #RRGGBB by finish part
 */
public record Piece(
    String id,
    String article,
    String name,
    Size size,
    Vec at,
    double turn,
    On on,
    Map<String, String> finishes) {

  public Piece {
    finishes = Map.copyOf(finishes);
  }

  public Pose pose() {
    return Pose.of(at, turn);
  }

  public Piece withName(String v) {
    return new Piece(id, article, v, size, at, turn, on, finishes);
  }

  public Piece withSize(Size v) {
    return new Piece(id, article, name, v, at, turn, on, finishes);
  }

  public Piece withAt(Vec v) {
    return new Piece(id, article, name, size, v, turn, on, finishes);
  }

  public Piece withTurn(double v) {
    double t = v % 360;
    return new Piece(id, article, name, size, at, t < 0 ? t + 360 : t + 0.0, on, finishes);
  }

  public Piece withOn(On v) {
    return new Piece(id, article, name, size, at, turn, v, finishes);
  }

  public Piece withFinishes(Map<String, String> v) {
    return new Piece(id, article, name, size, at, turn, on, v);
  }

  public Piece withId(String v) {
    return new Piece(v, article, name, size, at, turn, on, finishes);
  }
}
