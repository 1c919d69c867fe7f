package pied.core.tool.keep;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;

/** Which pieces of a space are meant when some are named. */
public enum WhichPieces {
  /** Those. */
  these,
  /** All but those. */
  others,
  /** All there are. */
  all;

  /**
   * The pieces meant; they may be altered then.
   *
   * @param named may be none if all are meant
   * @param which null for those named
   */
  static List<String> chosen(
      EditSession session, @Nullable List<String> named, @Nullable WhichPieces which) {
    WhichPieces w = which == null ? these : which;
    if (w == these) {
      return session.chosen(named);
    }
    Set<String> but = w == all ? Set.of() : new HashSet<>(session.chosen(named));
    List<String> meant = new ArrayList<>();
    for (Piece p : session.space().pieces()) {
      if (!but.contains(p.id())) {
        meant.add(p.id());
      }
    }
    return meant.isEmpty() ? meant : session.chosen(meant);
  }
}
