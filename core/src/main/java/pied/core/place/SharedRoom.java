package pied.core.place;

import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.space.Space;

/** Which things may be in the same place, without that being a fault. */
public final class SharedRoom {
  private SharedRoom() {}

  /** Whether a piece and something else may: one lies flat under the other, or they are joined. */
  public static boolean lets(Space space, Piece piece, Body other) {
    return Underlay.lets(space, piece, other)
        || space.has(other.id()) && Joined.at(space, piece, space.piece(other.id()));
  }
}
