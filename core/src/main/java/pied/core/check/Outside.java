package pied.core.check;

import java.util.List;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Inset;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.place.BringIn;

/** What lies beyond the walls, under the floor or over the ceiling. */
final class Outside implements PieceCheck.Glance {
  @Override
  public List<Snag> of(Space space, Piece p, On on) {
    boolean inWall = on.kind() == On.OnKind.opening || Inset.holding(space.shell(), p.at()) != null;
    boolean beyond = !inWall && !space.shell().holds(new Spot(p.at().x(), p.at().z()));
    boolean under = p.at().y() + p.size().height() < 0;
    boolean over = p.at().y() > space.shell().height();
    if (!beyond && !under && !over) {
      return List.of();
    }
    Remedy remedy = new Remedy("Bring it in", List.of(new BringIn(List.of(p.id()))));
    String words = p.name() + " is outside the room.";
    return List.of(new Snag(p.id(), Snag.SnagKind.outside, words, null, remedy));
  }
}
