package pied.core.tool.beside;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.measure.Side;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.Piece;
import pied.core.solid.Travel;
import pied.core.solid.Vec;

/** Writes how several are beside the lead, and what brings them there. */
public final class BesideCaption {
  private final Writer writer;

  public BesideCaption(Writer writer) {
    this.writer = writer;
  }

  /**
   * @param pieces the lead last
   */
  public void several(List<Piece> pieces) {
    List<String> ids = pieces.stream().map(Piece::id).toList();
    Piece lead = pieces.get(pieces.size() - 1);
    if (pieces.size() == 2) {
      gap(pieces.get(0), lead);
    }
    writer.choice(
        "Beside the lead",
        "Set them beside the lead, touching",
        beside(ids, Side.left, "on its left"),
        beside(ids, Side.right, "on its right"),
        beside(ids, Side.front, "in front of it"),
        beside(ids, Side.back, "behind it"),
        beside(ids, Side.top, "on top of it"));
    writer.text(", ");
    writer.choice(
        "level with it",
        "Bring them to the height of the lead",
        new Phrase.Option("tops level", new Level(ids, Side.top)),
        new Phrase.Option("undersides level", new Level(ids, Side.under)));
    writer.text(". ");
  }

  private static Phrase.Option beside(List<String> ids, Side side, String words) {
    return new Phrase.Option(words, BesideBuilder.builder().pieces(ids).side(side).build());
  }

  /** The gap between two, seen from the side of the lead where the other is. */
  private void gap(Piece other, Piece lead) {
    Vec off = lead.pose().undirect(other.at().minus(lead.at()));
    boolean across =
        Math.abs(off.x()) / lead.size().width() > Math.abs(off.z()) / lead.size().depth();
    Side side =
        across ? off.x() < 0 ? Side.left : Side.right : off.z() < 0 ? Side.back : Side.front;
    Vec way = lead.pose().direct(side.outward()).times(-1);
    Travel.Stop stop =
        Travel.of(
            writer.space.shapes().mesh(other),
            other.pose(),
            writer.space.shapes().mesh(lead),
            lead.pose(),
            way,
            100);
    if (stop.meets()) {
      Edit edit =
          BesideBuilder.builder()
              .pieces(List.of(other.id(), lead.id()))
              .side(side)
              .stay(true)
              .build();
      writer.length(stop.distance(), "Gap between them", "gap", edit).text(" between them. ");
    }
  }
}
