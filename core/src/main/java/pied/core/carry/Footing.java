package pied.core.carry;

import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Stance;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * How the lead stands while it is carried.
 *
 * @param on what carries it
 */
record Footing(Stance stance, On on) {
  Vec at() {
    return stance.at();
  }

  double turn() {
    return stance.turn();
  }

  Lean lean() {
    return stance.lean();
  }

  Footing at(Vec there) {
    return new Footing(stance.withAt(there), on);
  }

  Footing at(double x, double y, double z) {
    return at(new Vec(x, y, z));
  }

  Footing moved(Vec by) {
    return new Footing(stance.moved(by), on);
  }

  Footing turned(double degrees) {
    return new Footing(stance.withTurn(degrees), on);
  }

  Footing on(On carrier) {
    return new Footing(stance, carrier);
  }

  Pose pose() {
    return stance.pose();
  }

  /** A point or a direction in its own frame, seen from the middle of its underside. */
  Vec seen(Vec own) {
    return stance.withAt(Vec.ZERO).pose().direct(own);
  }

  /** Its own level directions, to its right and to its front, were it not leaning. */
  Vec right() {
    return Pose.of(Vec.ZERO, turn()).direct(new Vec(1, 0, 0));
  }

  Vec front() {
    return Pose.of(Vec.ZERO, turn()).direct(new Vec(0, 0, 1));
  }
}
