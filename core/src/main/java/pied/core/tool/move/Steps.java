package pied.core.tool.move;

import java.util.List;
import java.util.Set;
import pied.core.carry.CarryAsk;
import pied.core.piece.Piece;
import pied.core.place.Surfaces;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/**
 * Steps by the arrow keys: they stop at what is in the way, and go up and down from surface to
 * surface.
 */
final class Steps {
  /** Surfaces nearer in height than this are where it stands already, metres. */
  private static final double SAME = 0.01;

  private Steps() {}

  /**
   * What stands goes so far, on the surface where it stands or below; or up or down to the next
   * surface there is.
   *
   * @throws Refusal if there is none
   */
  static CarryAsk to(Space space, List<String> ids, Vec by) {
    Piece lead = space.piece(ids.get(ids.size() - 1));
    if (by.y() != 0) {
      return climb(space, ids, lead, by.y() > 0);
    }
    Vec aside = new Vec(-by.z(), 0, by.x()).unit();
    return CarryAsk.level(ids, new CarryAsk.CarrySight(lead.at().plus(by), aside));
  }

  private static CarryAsk climb(Space space, List<String> ids, Piece lead, boolean up) {
    Set<String> own = space.withCarried(ids);
    Spot spot = new Spot(lead.at().x(), lead.at().z());
    List<Surfaces.Surface> levels = new Surfaces(space, space.article(lead), own).levels(spot);
    int found = -1;
    for (int i = 0; i < levels.size(); i++) {
      double off = levels.get(i).point().y() - lead.at().y();
      if (up && off > SAME) {
        found = i; // the last that is above is the next
      } else if (!up && off < -SAME && found < 0) {
        found = i;
      }
    }
    if (found < 0) {
      String where = up ? "above" : "below";
      throw new Refusal("{} has no surface {} it on which it could stand.", lead.name(), where);
    }
    return CarryAsk.onLevel(ids, spot, found);
  }
}
