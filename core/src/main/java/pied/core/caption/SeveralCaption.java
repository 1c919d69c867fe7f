package pied.core.caption;

import java.util.List;
import pied.core.Tolerance;
import pied.core.caption.KeepingCaption.Kept;
import pied.core.catalog.Article;
import pied.core.edit.Edit;
import pied.core.edit.Picked;
import pied.core.measure.Hold;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.Piece;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.tool.beside.BesideCaption;
import pied.core.tool.finish.RecolourBuilder;
import pied.core.tool.light.LampCaption;
import pied.core.tool.move.MoveTo;
import pied.core.tool.move.MoveToBuilder;
import pied.core.tool.size.Handling;
import pied.core.tool.size.SizeCaption;
import pied.core.tool.turn.TurnBuilder;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/** Writes of several pieces, of groups, and of parts of the shell among them. */
final class SeveralCaption {
  private final Writer writer;
  private final Space space;
  private final LengthUnit unit;
  private final List<Phrase> out;
  private final Handling handling;
  private final SizeCaption sizes;
  private final KeepingCaption keeping;
  private final BesideCaption besides;

  SeveralCaption(Writer writer, Handling handling) {
    this.writer = writer;
    this.handling = handling;
    space = writer.space;
    unit = writer.unit;
    out = writer.out;
    sizes = new SizeCaption(writer, handling);
    keeping = new KeepingCaption(writer);
    besides = new BesideCaption(writer);
  }

  void pieces(List<Piece> pieces) {
    List<String> ids = pieces.stream().map(Piece::id).toList();
    Piece lead = pieces.get(pieces.size() - 1);
    List<Kept> kept = keeping.kept(List.of(), pieces);
    Group group = keeping.whole(kept);
    if (group != null) {
      keeping.group(group, count(pieces.size(), "piece"));
      keeping.shown(kept);
      text(" — ");
      sizes.whole(pieces);
    } else {
      out.add(Phrase.word(pieces.size() + " pieces", null));
      keeping.shown(kept);
      text(", the lead is ");
      out.add(Phrase.word(lead.name(), lead.id()));
      text(", picked last — ");
      sizes.several(pieces);
    }
    keeping.layer(kept);
    facing(ids, pieces);
    LampCaption.of(writer, pieces);
    place(new Picked(ids, List.of()), ids);
    text(
        group != null
            ? ". It is moved, turned and sized as one; open it to work on a part. "
            : ". A size typed here is given to each of them. ");
    if (group != null) {
      keeping.repeated(group);
      return;
    }
    besides.several(pieces);
    if (pieces.stream().allMatch(p -> p.article().equals(lead.article()))) {
      swatches(writer, ids, lead);
    }
  }

  private void facing(List<String> ids, List<Piece> pieces) {
    Piece lead = pieces.get(pieces.size() - 1);
    text(", facing ");
    boolean same = pieces.stream().allMatch(p -> Math.abs(p.turn() - lead.turn()) < Tolerance.FINE);
    out.add(
        Phrase.field(
            same ? Angle.text(lead.turn()) : "various",
            "Turn, degrees",
            "to",
            TurnBuilder.builder().pieces(ids).build()));
  }

  /** Parts of the shell, and pieces among them or none. */
  List<Phrase> mixed(List<PartName> parts, List<Piece> pieces) {
    List<Kept> kept = keeping.kept(parts, pieces);
    Picked all = new Picked(pieces.stream().map(Piece::id).toList(), parts);
    Group group = keeping.whole(kept);
    String what =
        count(parts.size(), "part")
            + " of the shell"
            + (pieces.isEmpty() ? "" : " and " + count(pieces.size(), "piece"));
    if (group != null) {
      keeping.group(group, what);
    } else {
      out.add(Phrase.word(what, null));
    }
    keeping.shown(kept);
    Box box = all.box(space);
    text(
        " — "
            + unit.fine(box.max().x() - box.min().x())
            + " across × "
            + unit.fine(box.max().z() - box.min().z())
            + " deep × "
            + unit.fine(box.max().y() - box.min().y())
            + " high");
    keeping.layer(kept);
    place(all, kept.stream().map(Kept::id).toList());
    text(". What stands on a part goes with it. ");
    return out;
  }

  private static String count(int n, String what) {
    return n + " " + what + (n == 1 ? "" : "s");
  }

  /** Where all of it is as one, by the mark that was chosen of the box about it. */
  private void place(Picked all, List<String> ids) {
    String mark = handling.mark();
    Vec at = MoveTo.place(space, all, mark);
    Edit move = MoveToBuilder.builder().pieces(ids).together(true).mark(mark).build();
    text(", ");
    out.add(
        new Phrase.PhraseSetting(
            Hold.pivot(mark).words(), "Where the place of all of it is read", "mark", List.of()));
    text(" at ");
    writer.place(at, move, "to");
    if (all.onlyPieces()) {
      double y = at.y() - space.shell().datum().y();
      text(", ");
      writer.length(y, "Its height above the floor", "to.y", move).text(" high up");
    }
  }

  /** The finishes of pieces of one article, each to be chosen anew. */
  static void swatches(Writer writer, List<String> ids, Piece p) {
    Article article = writer.space.article(p);
    article
        .finishes()
        .forEach(
            (part, finish) ->
                writer.out.add(
                    Phrase.swatch(
                        finish.name(),
                        ids,
                        part,
                        article.look(part, p.finishes()).finish(),
                        RecolourBuilder.builder().pieces(ids).part(part).build())));
  }

  private void text(String s) {
    out.add(Phrase.text(s));
  }
}
