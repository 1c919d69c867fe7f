package pied.core.space;

import java.util.List;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Something would be done to pieces, or parts of the shell, that are locked. */
public final class Locked extends Refusal {
  private static final long serialVersionUID = 1;

  private final transient List<Piece> pieces;
  private final transient List<PartName> parts;

  /**
   * @param pieces those that are locked, at least one
   */
  public Locked(Space space, List<Piece> pieces) {
    this(space, pieces, List.of());
  }

  /**
   * @param parts those that are locked; at least one if no piece is
   */
  public Locked(Space space, List<Piece> pieces, List<PartName> parts) {
    super(words(space, pieces, parts));
    this.pieces = List.copyOf(pieces);
    this.parts = List.copyOf(parts);
  }

  /** Parts of the shell that are locked. */
  public List<PartName> parts() {
    return parts;
  }

  /** Those that are locked. */
  public List<Piece> pieces() {
    return pieces;
  }

  private static Message words(Space space, List<Piece> locked, List<PartName> parts) {
    int n = locked.size() + parts.size();
    boolean piece = !locked.isEmpty();
    String first = piece ? locked.get(0).name() : space.nameOf(parts.get(0));
    String name = piece ? first : KeptPart.title(space, parts.get(0));
    if (n > 1) {
      return Message.of(
          "{} of these {} are locked, {} among them, so nothing is done to them.",
          n,
          parts.isEmpty() ? "pieces" : "things",
          first);
    }
    Keeping k = piece ? locked.get(0).keeping() : space.filing().part(parts.get(0)).keeping();
    Layer layer = space.layer(k);
    return k.locked() || !layer.locked()
        ? Message.of("{} is locked, so nothing is done to it.", name)
        : Message.of(
            "{} is on the layer {}, which is locked, so nothing is done to it.",
            name,
            layer.name());
  }
}
