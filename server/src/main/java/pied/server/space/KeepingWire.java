package pied.server.space;

import java.util.List;
import pied.core.tool.keep.Paste.Bundle;
import pied.core.tool.keep.Paste.PastedPiece;

/** What is asked and answered about pieces that are held ready. */
public final class KeepingWire {
  private KeepingWire() {}

  /**
   * @param pieces ids, the lead last
   */
  public record ClipRequest(List<String> pieces) {}

  /**
   * Pieces to be pasted.
   *
   * @param pieces those that were asked for, last, and all that stands on them
   * @param groups the groups they are in
   */
  public record ClipView(long revision, List<PastedPiece> pieces, List<Bundle> groups) {}
}
