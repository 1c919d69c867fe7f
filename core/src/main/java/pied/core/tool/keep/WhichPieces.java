package pied.core.tool.keep;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.piece.Piece;
import pied.core.space.KeptPart;
import pied.core.space.PartName;

/** Which pieces of a space are meant when some are named. */
public enum WhichPieces {
  /** Those. */
  these,
  /** All but those. */
  others,
  /** All there are. */
  all;

  /**
   * What is meant; it may be altered then. Parts of the shell are meant only if they are named, or
   * all are: what is hidden but for some pieces is not the room about them.
   *
   * @param named may be none if all are meant
   * @param which null for those named
   */
  static Picked picked(
      EditSession session, @Nullable List<String> named, @Nullable WhichPieces which) {
    WhichPieces w = which == null ? these : which;
    if (w == these) {
      return session.picked(named);
    }
    Set<String> but = w == all ? Set.of() : new HashSet<>(session.picked(named).pieces());
    List<String> meant = new ArrayList<>();
    for (Piece p : session.space().pieces()) {
      if (!but.contains(p.id())) {
        meant.add(p.id());
      }
    }
    List<PartName> parts =
        w == all ? session.filing().parts().stream().map(KeptPart::part).toList() : List.of();
    return new Picked(meant.isEmpty() ? meant : session.chosen(meant), parts);
  }
}
