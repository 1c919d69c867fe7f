package pied.server.space;

import java.util.List;
import pied.core.Nullable;
import pied.core.piece.Keeping;
import pied.core.space.Filing;
import pied.core.space.Group;
import pied.core.space.KeptPart;
import pied.core.space.Layer;
import pied.core.space.Twin;
import pied.core.tool.keep.Paste.Bundle;
import pied.core.tool.keep.Paste.PastedPiece;

/** How pieces are kept in order, and held ready to be pasted. */
public final class KeepingWire {
  private KeepingWire() {}

  /**
   * How the pieces of a space are kept in order.
   *
   * @param layers in their order
   * @param selections the names that selections were given
   */
  public record FilingView(
      List<Layer> layers,
      List<GroupView> groups,
      List<SelectionName> selections,
      List<Twin> twins,
      List<PartView> parts) {
    public static FilingView of(Filing f) {
      return new FilingView(
          f.layers(),
          f.groups().stream().map(g -> GroupView.of(g, f)).toList(),
          f.selections().stream().map(s -> new SelectionName(s.name(), s.pieces().size())).toList(),
          f.twins(),
          f.parts().stream().map(PartView::of).toList());
    }
  }

  /**
   * A group.
   *
   * @param about ids of itself and of those it is in, the innermost first
   * @param rule what it is kept by: a row, block, trail, ring or scatter; null for nothing
   */
  public record GroupView(
      String id, String name, @Nullable String in, List<String> about, @Nullable String rule) {
    static GroupView of(Group g, Filing f) {
      String rule = g.repeats() == null ? null : g.repeats().rule().called();
      return new GroupView(g.id(), g.name(), g.in(), f.about(g.id()), rule);
    }
  }

  /**
   * How a part of the shell is kept that is not kept plainly.
   *
   * @param part its name, such as "platform:platform 1"
   * @param twin what it is a twin by
   */
  public record PartView(
      String part,
      @Nullable String name,
      String layer,
      @Nullable String group,
      boolean locked,
      boolean hidden,
      @Nullable String twin) {
    static PartView of(KeptPart p) {
      Keeping k = p.keeping();
      return new PartView(
          p.part().text(),
          p.name(),
          k.layer(),
          k.group(),
          k.locked(),
          k.hidden(),
          k.twin() == null ? null : k.twin().twin());
    }
  }

  /** A named selection, with how many pieces were in it. */
  public record SelectionName(String name, int pieces) {}

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
