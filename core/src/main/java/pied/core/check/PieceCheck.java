package pied.core.check;

import java.util.List;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.space.Space;
import pied.core.space.Subjects;

/** Whether a piece is in the space, rests on something, stands steady, and has room. */
final class PieceCheck implements Check<Piece> {
  /** One of these; they share what truly carries the piece, which costs most. */
  interface Glance {
    /**
     * @param on what truly carries the piece, whatever is written down
     */
    List<Snag> of(Space space, Piece piece, On on);
  }

  private static final Outside OUTSIDE = new Outside();
  private static final List<Glance> INSIDE =
      List.of(new Hovering(), new Unsteady(), new Overlapping());

  @Override
  public Subjects<Piece> subjects() {
    return Subjects.PIECES;
  }

  @Override
  public List<Snag> of(Space space, Piece piece) {
    On on = Resting.of(space, piece).carrier(piece.pose());
    List<Snag> outside = OUTSIDE.of(space, piece, on);
    return outside.isEmpty()
        ? INSIDE.stream().flatMap(c -> c.of(space, piece, on).stream()).toList()
        : outside;
  }
}
