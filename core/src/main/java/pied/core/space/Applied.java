package pied.core.space;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.piece.Piece;
import pied.core.show.Showing;

/** Makes differences of a space. */
final class Applied {
  private Applied() {}

  /** The space with all of them; the shell first, so that what is built on it finds its place. */
  static Space to(Space space, List<Difference> differences) {
    Set<String> gone = new LinkedHashSet<>();
    List<Piece> altered = new ArrayList<>();
    List<Ordered> put = new ArrayList<>();
    Filing filed = space.filing();
    Showing showing = space.showing();
    List<Difference.OfBuilt> built = new ArrayList<>();
    for (Difference d : differences) {
      if (d instanceof Difference.OfBuilt b) {
        built.add(b);
      } else if (d instanceof Difference.OfFiling f) {
        filed = f.in(filed);
      } else if (d instanceof Difference.OfShown s) {
        showing = s.after() == null ? showing.without(s.key()) : showing.with(s.after());
      } else if (d instanceof Difference.OfPiece p) {
        if (p.stays()) {
          altered.add(p.piece());
        } else {
          if (p.before() != null) {
            gone.add(p.id());
          }
          if (p.after() != null) {
            put.add(p.after());
          }
        }
      }
    }
    Space next =
        built.isEmpty() ? space : space.with(ShellDifference.applied(space.shell(), built));
    next = filed == space.filing() ? next : next.with(filed);
    next = showing == space.showing() ? next : next.with(showing);
    return next.without(gone).with(altered).putting(put);
  }
}
