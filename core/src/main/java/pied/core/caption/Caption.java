package pied.core.caption;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.Tolerance;
import pied.core.caption.KeepingCaption.Kept;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Picked;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.space.Group;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Stage;
import pied.core.tool.keep.RenameBuilder;
import pied.core.tool.light.LampCaption;
import pied.core.tool.move.AttachBuilder;
import pied.core.tool.move.Drop;
import pied.core.tool.move.HangBuilder;
import pied.core.tool.move.MoveToBuilder;
import pied.core.tool.move.SetDistanceBuilder;
import pied.core.tool.move.Settle;
import pied.core.tool.move.TopAtBuilder;
import pied.core.tool.shell.BuildBuilder;
import pied.core.tool.shell.PartCaption;
import pied.core.tool.shell.SpaceExtentBuilder;
import pied.core.tool.size.Handling;
import pied.core.tool.size.SizeCaption;
import pied.core.tool.turn.LeanOverBuilder;
import pied.core.tool.turn.TurnBuilder;
import pied.core.tool.turn.TurnCaption;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/** Writes the caption. Lengths in the chosen unit, without repeating the unit. */
public final class Caption {
  private static final List<Side> ROUND = List.of(Side.back, Side.left, Side.right, Side.front);

  private final Space space;
  private final LengthUnit unit;
  private final Writer writer;
  private final List<Phrase> out;
  private final Handling handling;
  private final SizeCaption sizes;
  private final KeepingCaption keeping;

  private Caption(Space space, LengthUnit unit, Handling handling) {
    this.space = space;
    this.unit = unit;
    this.handling = handling;
    this.writer = new Writer(space, unit);
    this.sizes = new SizeCaption(writer, handling);
    this.keeping = new KeepingCaption(writer);
    this.out = writer.out;
  }

  /**
   * The caption of a selection.
   *
   * @param title name of the space
   * @param ids pieces and names of parts of the shell that are selected, the lead last; may be none
   * @throws pied.core.units.Refusal if one is not there
   */
  public static List<Phrase> of(Space space, String title, List<String> ids, LengthUnit unit) {
    return of(space, title, ids, unit, Handling.NONE);
  }

  /**
   * As above.
   *
   * @param handling how one goes about with them
   */
  public static List<Phrase> of(
      Space space, String title, List<String> ids, LengthUnit unit, Handling handling) {
    Caption c = new Caption(space, unit, handling);
    List<PartName> parts =
        ids.stream().filter(id -> Picked.isPart(space, id)).map(PartName::read).toList();
    List<Piece> pieces =
        ids.stream().filter(id -> !Picked.isPart(space, id)).map(space::piece).toList();
    if (!parts.isEmpty()) {
      return parts.size() == 1 && pieces.isEmpty()
          ? of(space, parts.get(0), unit)
          : new SeveralCaption(c.writer, handling).mixed(parts, pieces);
    }
    if (pieces.isEmpty()) {
      c.room(title);
    } else if (handling.at() != null) {
      c.handled(pieces);
    } else if (pieces.size() == 1) {
      c.one(pieces.get(0));
    } else {
      new SeveralCaption(c.writer, handling).pieces(pieces);
    }
    return c.out;
  }

  /**
   * The caption of a part of the shell.
   *
   * @param part may also be a wall or a corner of the outline
   * @throws pied.core.units.Refusal if it is not there
   */
  public static List<Phrase> of(Space space, PartName part, LengthUnit unit) {
    return PartCaption.of(
        space,
        part,
        unit,
        (w, p) -> {
          KeepingCaption keeping = new KeepingCaption(w);
          List<Kept> kept = keeping.kept(List.of(p), List.of());
          keeping.layer(kept);
          keeping.twin(kept.get(0));
          keeping.shown(kept);
        });
  }

  private void room(String title) {
    Shell shell = space.shell();
    var extent = shell.extent();
    int n = space.pieces().size();
    Stage stage = shell.stage();
    SpaceExtentBuilder whole = SpaceExtentBuilder.builder();
    String away = stage == null ? "it grows away from the datum" : "it grows to both sides";
    String up = stage == null ? "it grows away from the datum" : "it grows upstage";
    writer
        .word(title, null)
        .text(" — ")
        .length(extent.x(), "Width of the space; " + away, "width", whole.build())
        .text(" across × ")
        .length(extent.z(), "Depth of the space; " + up, "depth", whole.build())
        .text(" deep × ")
        .length(
            shell.height(),
            stage == null ? "Height of the ceiling" : "Height to the grid",
            "height",
            BuildBuilder.builder().build())
        .text(stage == null ? " high, " : " to the grid, ");
    if (stage != null) {
      writer
          .text("raked ")
          .field(PartCaption.rake(stage), "Rake", "rake", BuildBuilder.builder().build())
          .text(", the audience at the foot, ");
    }
    writer.text(
        unit.area(shell.area())
            + " of floor, with "
            + (n == 0 ? "nothing in it yet" : n == 1 ? "one piece" : n + " pieces")
            + ". ");
    text(
        n == 0
            ? "Drag something in from the catalog, or press Enter on a card and click where it goes."
            : "Click a piece to read and change its size and place; drag another one in from the catalog.");
  }

  private void handled(List<Piece> pieces) {
    TurnCaption turns = new TurnCaption(writer, handling);
    boolean one = pieces.size() == 1;
    if (handling.at() == Handling.HandlingAt.size) {
      Group group = keeping.whole(keeping.kept(List.of(), pieces));
      if (group != null) {
        sizes.sizing(group, pieces);
      } else if (one) {
        sizes.sizing(pieces.get(0));
      } else {
        sizes.sizing(pieces);
      }
    } else if (one) {
      turns.turning(pieces.get(0));
    } else {
      turns.turning(pieces);
    }
  }

  private void one(Piece p) {
    List<String> self = List.of(p.id());
    out.add(Phrase.field(p.name(), "Name", "name", RenameBuilder.builder().piece(p.id()).build()));
    keeping.shown(List.of(Kept.of(p)));
    text(" — ");
    sizes.measures(p);
    text(", " + preposition(p) + " ");
    Hung hung = hangs(p) ? Hung.of(space, p) : null;
    if (hung != null) {
      writer
          .length(
              hung.below(),
              "How far below " + space.nameOf(p.on()) + " it hangs",
              "below",
              HangBuilder.builder().pieces(self).build())
          .text(" below ");
    }
    carrier(p);
    heights(p);
    distances(p);
    text(", facing ");
    turn(self, p);
    lean(self, p);
    text(", at ");
    writer.place(p.at(), MoveToBuilder.builder().pieces(List.of(p.id())).build(), "to");
    keeping.layer(List.of(Kept.of(p)));
    keeping.twin(Kept.of(p));
    LampCaption.of(writer, List.of(p));
    text(". ");
    SeveralCaption.swatches(writer, self, p);
  }

  private void distances(Piece p) {
    for (Reach r : neighbours(p)) {
      Side side = r.side();
      text(", ");
      if (r.distance() < 0) {
        text("overlapping ");
        out.add(Phrase.word(r.toName(), space.has(r.to()) ? r.to() : null));
        break;
      }
      out.add(
          Phrase.field(
              unit.fine(r.distance()),
              "Distance " + side.words(),
              "distance",
              SetDistanceBuilder.builder().piece(p.id()).side(side).build()));
      text(" from ");
      out.add(Phrase.word(r.toName(), space.has(r.to()) ? r.to() : null));
      text(" " + side.words());
    }
  }

  private boolean hangs(Piece p) {
    boolean may = space.article(p).mounting() == Mounting.HANGS;
    return may && !p.attached() && p.on().kind() != On.OnKind.nothing;
  }

  private void underside(Piece p) {
    writer.length(
        space.shapes().low(p) - space.shell().datum().y(),
        "Height of the underside above the floor",
        "to.y",
        MoveToBuilder.builder().pieces(List.of(p.id())).build());
  }

  /** From where to where it is, above the floor. */
  private void heights(Piece p) {
    double top = space.shapes().high(p) - space.shell().datum().y();
    if (!p.on().held()) {
      text(", underside at ");
      underside(p);
    }
    writer
        .text(", top at ")
        .length(
            top,
            "Height of the top above the floor",
            "height",
            TopAtBuilder.builder().pieces(List.of(p.id())).build());
    if (!Double.isNaN(Drop.hem(space, p))) {
      writer.text(" ").action("let its hem reach the floor", Drop.reaching(space, p));
    }
  }

  /** The free distances round about; of one neighbour only the least. */
  private Collection<Reach> neighbours(Piece p) {
    Map<String, Reach> nearest = new LinkedHashMap<>();
    for (Side side : ROUND) {
      Reach r = Reach.of(space, p, side);
      if (r != null) {
        nearest.merge(r.to(), r, (x, y) -> y.distance() < x.distance() - Tolerance.SAME ? y : x);
      }
    }
    return nearest.values();
  }

  private void turn(List<String> ids, Piece p) {
    out.add(
        Phrase.field(
            Angle.text(p.turn()),
            "Turn, degrees",
            "to",
            TurnBuilder.builder().pieces(ids).build()));
  }

  /** How it leans; what stands on a slope may stand square on it. */
  private void lean(List<String> ids, Piece p) {
    boolean slopes =
        space.shell().stage() != null && space.shell().stage().rake() > 0
            || space.shell().flights().stream().anyMatch(f -> f.id().equals(p.on().id()));
    boolean stands = p.on().kind() == On.OnKind.floor || p.on().kind() == On.OnKind.platform;
    boolean upright = p.lean().by() == 0;
    if (!stands || !slopes && upright) {
      return;
    }
    text(", ");
    boolean leans = p.lean().by() < 90 && !upright;
    writer.choice(
        TurnCaption.stands(p.lean()) + (leans ? " by " + Angle.text(p.lean().by()) : ""),
        "How it stands",
        new Phrase.Option(
            "upright", LeanOverBuilder.builder().pieces(ids).by(Amount.of(0)).build()),
        new Phrase.Option(
            "square on the floor beneath",
            LeanOverBuilder.builder().pieces(ids).withFloor(true).build()));
  }

  private String preposition(Piece p) {
    if (p.attached()) {
      return "attached to";
    }
    if (hangs(p)) {
      return "hanging";
    }
    return switch (p.on().kind()) {
      case ceiling, bar -> "hanging from";
      case nothing -> "touching";
      case held -> "held at";
      case opening -> "in";
      default -> "on";
    };
  }

  private void carrier(Piece p) {
    if (p.on().held()) {
      underside(p);
      text(" with nothing under it ");
      writer.action("let it down", new Settle(List.of(p.id())));
      return;
    }
    String words = space.nameOf(p.on());
    out.add(Phrase.word(words, p.on().kind() == On.OnKind.piece ? p.on().id() : null));
    if (p.attached()) {
      text(" ");
      writer.action("take it off", AttachBuilder.builder().pieces(List.of(p.id())).build());
    }
  }

  private void text(String s) {
    out.add(Phrase.text(s));
  }
}
