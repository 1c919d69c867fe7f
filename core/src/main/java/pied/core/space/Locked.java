package pied.core.space;

import java.util.List;
import pied.core.piece.Piece;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Something would be done to pieces that are locked. */
public final class Locked extends Refusal {
  private static final long serialVersionUID = 1;

  private final transient List<Piece> pieces;

  /**
   * @param pieces those that are locked, at least one
   */
  public Locked(Space space, List<Piece> pieces) {
    super(words(space, pieces));
    this.pieces = List.copyOf(pieces);
  }

  /** Those that are locked. */
  public List<Piece> pieces() {
    return pieces;
  }

  private static Message words(Space space, List<Piece> locked) {
    Piece first = locked.get(0);
    if (locked.size() > 1) {
      return Message.of(
          "{} of these pieces are locked, {} among them, so nothing is done to them.",
          locked.size(),
          first.name());
    }
    Layer layer = space.layer(first);
    return first.keeping().locked() || !layer.locked()
        ? Message.of("{} is locked, so nothing is done to it.", first.name())
        : Message.of(
            "{} is on the layer {}, which is locked, so nothing is done to it.",
            first.name(),
            layer.name());
  }
}
