package pied.core.carry;

import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * How the lead stands while it is carried.
 *
 * @param at the middle of its underside
 * @param turn degrees
 * @param on what carries it
 */
record Stance(Vec at, double turn, Lean lean, On on) {
  Stance at(Vec there) {
    return new Stance(there, turn, lean, on);
  }

  Stance at(double x, double y, double z) {
    return at(new Vec(x, y, z));
  }

  Stance moved(Vec by) {
    return at(at.plus(by));
  }

  Stance turned(double degrees) {
    return new Stance(at, degrees, lean, on);
  }

  Stance on(On carrier) {
    return new Stance(at, turn, lean, carrier);
  }

  Pose pose() {
    return Piece.pose(at, turn, lean);
  }

  /** A point or a direction in its own frame, seen from the middle of its underside. */
  Vec seen(Vec own) {
    return Piece.pose(Vec.ZERO, turn, lean).direct(own);
  }

  /** Its own level directions, to its right and to its front, were it not leaning. */
  Vec right() {
    return Pose.of(Vec.ZERO, turn).direct(new Vec(1, 0, 0));
  }

  Vec front() {
    return Pose.of(Vec.ZERO, turn).direct(new Vec(0, 0, 1));
  }
}
