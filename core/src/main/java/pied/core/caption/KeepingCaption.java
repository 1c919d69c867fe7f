package pied.core.caption;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.Keeping;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.register.Sentences;
import pied.core.solid.Vec;
import pied.core.space.Filing;
import pied.core.space.Group;
import pied.core.space.Layer;
import pied.core.space.PartName;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.space.Space;
import pied.core.space.Twin;
import pied.core.tool.group.Dissolve;
import pied.core.tool.group.RenameGroup;
import pied.core.tool.keep.HideBuilder;
import pied.core.tool.keep.LockBuilder;
import pied.core.tool.layer.SetLayerBuilder;
import pied.core.tool.layer.ToLayerBuilder;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.twin.MoveTwinsBuilder;
import pied.core.tool.twin.PartTwins;

/** Writes of how pieces are kept: their group and layer, and whether they are locked or hidden. */
final class KeepingCaption {
  private final Writer writer;
  private final Space space;
  private final Filing filing;

  KeepingCaption(Writer writer) {
    this.writer = writer;
    space = writer.space;
    filing = space.filing();
  }

  /** The innermost group that is made of just this; null for none. */
  @Nullable
  Group whole(List<Kept> kept) {
    Set<String> ids = Set.copyOf(ids(kept));
    for (String g : filing.about(kept.get(0).keeping().group())) {
      Set<String> all = new HashSet<>(space.members(g));
      space.filing().partsIn(g).forEach(p -> all.add(p.text()));
      if (all.size() >= ids.size()) {
        return all.equals(ids) ? filing.group(g) : null;
      }
    }
    return null;
  }

  /** The name of a group, to be typed, and how much is in it. */
  void group(Group g, String what) {
    writer
        .field(g.name(), "Name of the group", "name", new RenameGroup(g.id(), g.name()))
        .text(", a group of " + what);
  }

  /**
   * Something that is kept in order: a piece, or a part of the shell.
   *
   * @param id of the piece, or name of the part
   */
  record Kept(String id, Keeping keeping) {
    static Kept of(Piece p) {
      return new Kept(p.id(), p.keeping());
    }
  }

  /** Pieces, and parts of the shell before them. */
  List<Kept> kept(List<PartName> parts, List<Piece> pieces) {
    List<Kept> all = new ArrayList<>();
    parts.forEach(p -> all.add(new Kept(p.text(), filing.part(p).keeping())));
    pieces.forEach(p -> all.add(Kept.of(p)));
    return all;
  }

  /** That something is locked or hidden, and what undoes that. */
  void shown(List<Kept> pieces) {
    List<Kept> locked =
        pieces.stream()
            .filter(p -> p.keeping().locked() || space.layer(p.keeping()).locked())
            .toList();
    if (!locked.isEmpty()) {
      writer.text(", ").word(many(locked, pieces) + "locked", null).text(" ");
      List<String> own = ids(locked.stream().filter(p -> p.keeping().locked()).toList());
      if (own.isEmpty()) {
        Layer l = space.layer(locked.get(0).keeping());
        writer.action(
            "unlock the layer " + l.name(),
            SetLayerBuilder.builder().layer(l.id()).locked(false).build());
      } else {
        writer.action("unlock", LockBuilder.builder().pieces(own).locked(false).build());
      }
    }
    List<Kept> hidden =
        pieces.stream()
            .filter(p -> p.keeping().hidden() || space.layer(p.keeping()).hidden())
            .toList();
    if (!hidden.isEmpty()) {
      writer.text(", ").word(many(hidden, pieces) + "hidden", null).text(" ");
      List<String> own = ids(hidden.stream().filter(p -> p.keeping().hidden()).toList());
      if (own.isEmpty()) {
        Layer l = space.layer(hidden.get(0).keeping());
        writer.action(
            "show the layer " + l.name(),
            SetLayerBuilder.builder().layer(l.id()).hidden(false).build());
      } else {
        writer.action("show", HideBuilder.builder().pieces(own).hidden(false).build());
      }
    }
  }

  /** The rule by which a group is kept, with all of it to be adjusted; nothing if there is none. */
  void repeated(Group g) {
    if (g.repeats() == null) {
      return;
    }
    writer.out.addAll(Sentences.write(space, Arrangement.of(g).adjusting(g.id()), writer.unit));
    Edit refilled = Arrangement.refilled(g);
    if (refilled != null) {
      int n = g.repeats().out().size();
      writer.text(n == 1 ? "One of them is taken out. " : n + " of them are taken out. ");
      writer.action("fill " + (n == 1 ? "the place" : n + " places") + " taken out", refilled);
    }
    writer.action("keep by no rule", new Dissolve(g.id()));
  }

  /** Whose twin a piece is, and the line they are twins by. */
  void twin(Kept p) {
    Partner pair = p.keeping().twin();
    Twin line = pair == null ? null : filing.twin(pair.twin());
    if (line == null) {
      return;
    }
    writer.text(", twin of ");
    if (space.has(pair.piece())) {
      writer.word(space.piece(pair.piece()).name(), pair.piece());
    } else {
      writer.part(space.nameOf(PartName.read(pair.piece())), pair.piece());
    }
    Edit move = MoveTwinsBuilder.builder().twin(line.id()).build();
    Vec from = line.at().minus(space.shell().datum());
    if (line.turned()) {
      writer.text(" about the point ");
      beside(Direction.across, from.x(), "Point of the twins, across", "off", move).text(", ");
      beside(Direction.deep, from.z(), "Point of the twins, deep", "deep", move);
    } else {
      line(line, from.dot(line.reading()), move);
    }
    writer.text(" ").action("part them", new PartTwins(List.of(p.id())));
  }

  private void line(Twin line, double from, Edit move) {
    boolean across = Math.abs(line.reading().x()) > Math.abs(line.reading().z());
    boolean stage = space.shell().stage() != null;
    Direction d = across ? Direction.across : Direction.deep;
    if (stage && across && Math.abs(from) < Tolerance.SIZE) {
      writer.text(" about the centre line, ");
      writer.length(0, "Line of the twins", "off", move).text(" off it");
      return;
    }
    writer.text(" about a line ");
    beside(d, from, "Line of the twins", "off", move);
    writer.text(stage ? "" : across ? " across" : " deep");
  }

  /** A position from the datum to be read and typed; on a stage with its word. */
  private Writer beside(Direction d, double from, String label, String slot, Edit edit) {
    boolean stage = space.shell().stage() != null;
    writer.length(stage ? Math.abs(from) : from, label, slot, edit);
    return stage ? writer.text(" " + Positions.side(d, from)) : writer;
  }

  private static String many(List<Kept> some, List<Kept> of) {
    return some.size() == of.size() ? "" : some.size() + " ";
  }

  /** The layer they are on, with the others to choose from; nothing while there is only one. */
  void layer(List<Kept> pieces) {
    if (filing.layers().size() < 2) {
      return;
    }
    Layer first = space.layer(pieces.get(0).keeping());
    boolean same = pieces.stream().allMatch(p -> space.layer(p.keeping()).equals(first));
    List<String> ids = ids(pieces);
    writer.text(same ? ", on the layer " : ", on ");
    writer.choice(
        same ? first.name() : "various layers",
        "Layer",
        filing.layers().stream()
            .map(
                l ->
                    new Phrase.Option(
                        l.name(), ToLayerBuilder.builder().pieces(ids).layer(l.id()).build()))
            .toArray(Phrase.Option[]::new));
  }

  private static List<String> ids(List<Kept> pieces) {
    return pieces.stream().map(Kept::id).toList();
  }
}
