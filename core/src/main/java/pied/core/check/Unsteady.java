package pied.core.check;

import java.util.List;
import pied.core.catalog.Mounting;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Support;
import pied.core.space.Space;

/** What stands on something, but with its middle beside it. */
final class Unsteady implements PieceCheck.Glance {
  @Override
  public List<Snag> of(Space space, Piece p, On on) {
    if (space.article(p).mounting() != Mounting.STANDS || p.attached()) {
      return List.of();
    }
    boolean flat = on.kind() == On.OnKind.piece && space.article(space.piece(on.id())).liesFlat();
    boolean raised = on.kind() == On.OnKind.piece && !flat || on.kind() == On.OnKind.platform;
    double off = raised ? Support.beside(space, p) : 0;
    if (off == 0) {
      return List.of();
    }
    String words = p.name() + " would tip off " + space.nameOf(on) + ": its middle is not over it.";
    return List.of(new Snag(p.id(), Snag.SnagKind.unstable, words, off, null));
  }
}
