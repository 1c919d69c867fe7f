package pied.core.check;

import java.util.ArrayList;
import java.util.List;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.place.SharedRoom;
import pied.core.solid.Body;
import pied.core.space.Space;

/** What shares room with something else; of two pieces the one whose id comes first says so. */
final class Overlapping implements PieceCheck.Glance {
  /** So many of a piece are named; who stands in a heap need not know of all. */
  private static final int NAMED = 12;

  @Override
  public List<Snag> of(Space space, Piece p, On on) {
    List<Snag> snags = new ArrayList<>();
    List<Body> met =
        space
            .bodies()
            .someOverlapping(
                space.shapes().mesh(p),
                p.pose(),
                Resting.CONTACT,
                b ->
                    !b.id().equals(p.id())
                        && (b.id().compareTo(p.id()) > 0 || !space.has(b.id()))
                        && !SharedRoom.lets(space, p, b),
                NAMED + 1);
    for (Body other : met.subList(0, Math.min(NAMED, met.size()))) {
      String words = p.name() + " overlaps " + space.nameOf(other.id()) + ".";
      snags.add(new Snag(p.id(), Snag.SnagKind.overlaps, words, null, null));
    }
    if (met.size() > NAMED) {
      String words = p.name() + " overlaps more than these.";
      snags.add(new Snag(p.id(), Snag.SnagKind.overlaps, words, null, null));
    }
    return snags;
  }
}
