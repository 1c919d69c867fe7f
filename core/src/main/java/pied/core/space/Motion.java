package pied.core.space;

import pied.core.Nullable;
import pied.core.piece.Stance;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/**
 * A move over the floor with a turn about the vertical.
 *
 * @param from a point before it
 * @param to where that is afterwards
 * @param turn degrees, as a piece is turned
 */
public record Motion(Vec from, Vec to, double turn) {
  /** That which takes one stance to another; null if it leans otherwise then. */
  public static @Nullable Motion between(Stance a, Stance b) {
    return a.lean().equals(b.lean()) ? new Motion(a.at(), b.at(), b.turn() - a.turn()) : null;
  }

  /** A point after it. */
  public Vec of(Vec p) {
    return turn == 0 ? p.plus(to.minus(from)) : to.plus(direct(p.minus(from)));
  }

  /** A point of the plan after it. */
  public Spot of(Spot p) {
    Vec q = of(p.at(0));
    return new Spot(q.x(), q.z());
  }

  /** A direction after it. */
  public Vec direct(Vec d) {
    return turn == 0 ? d : Pose.of(Vec.ZERO, turn).direct(d);
  }

  /** A stance after it. */
  public Stance of(Stance s) {
    return s.withAt(of(s.at())).withTurn(s.turn() + turn);
  }
}
