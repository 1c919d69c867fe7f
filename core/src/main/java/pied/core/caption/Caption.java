package pied.core.caption;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import pied.core.catalog.Article;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Stage;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/** Writes the caption. Lengths in the chosen unit, without repeating the unit. */
public final class Caption {
  private static final List<Side> ROUND = List.of(Side.back, Side.left, Side.right, Side.front);

  private final Space space;
  private final LengthUnit unit;
  private final Writer writer;
  private final List<Phrase> out;

  private Caption(Space space, LengthUnit unit) {
    this.space = space;
    this.unit = unit;
    this.writer = new Writer(space, unit);
    this.out = writer.out;
  }

  /**
   * The caption of a selection.
   *
   * @param title name of the space
   * @param ids pieces selected, the lead last; may be empty
   * @throws pied.core.Refusal if one is not there
   */
  public static List<Phrase> of(Space space, String title, List<String> ids, LengthUnit unit) {
    Caption c = new Caption(space, unit);
    List<Piece> pieces = ids.stream().map(space::piece).toList();
    if (pieces.isEmpty()) {
      c.room(title);
    } else if (pieces.size() == 1) {
      c.one(pieces.get(0));
    } else {
      c.several(pieces);
    }
    return c.out;
  }

  private void room(String title) {
    Shell shell = space.shell();
    var extent = shell.extent();
    int n = space.pieces().size();
    Stage stage = shell.stage();
    writer.word(title, null).text(" — " + unit.text(extent.x()) + " across × ");
    writer.text(unit.text(extent.z()) + " deep × ");
    writer
        .length(
            shell.height(),
            stage == null ? "Height of the ceiling" : "Height to the grid",
            "height",
            Map.of("do", "build"))
        .text(stage == null ? " high, " : " to the grid, ");
    if (stage != null) {
      writer
          .text("raked ")
          .field(PartCaption.rake(stage), "Rake", "rake", Map.of("do", "build"))
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

  private void one(Piece p) {
    List<String> self = List.of(p.id());
    out.add(Phrase.field(p.name(), "Name", "name", Map.of("do", "rename", "piece", p.id())));
    text(" — ");
    sizes(self, p, unit::fine);
    text(", " + preposition(p) + " ");
    carrier(p);
    if (p.on().kind() != On.Kind.floor) {
      text(", underside at ");
      writer.length(
          p.at().y() - space.shell().datum().y(),
          "Height of the underside above the floor",
          "to.y",
          Map.of("do", "moveTo", "piece", p.id()));
    }
    for (Side side : ROUND) {
      Reach r = Reach.of(space, p, side);
      if (r == null) {
        continue;
      }
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
              Map.of("do", "setDistance", "piece", p.id(), "side", side.name())));
      text(" from ");
      out.add(Phrase.word(r.toName(), space.has(r.to()) ? r.to() : null));
      text(" " + side.words());
    }
    text(", facing ");
    turn(self, p);
    lean(self, p);
    text(", at ");
    writer.place(p.at(), Map.of("do", "moveTo", "piece", p.id()), "to").text(". ");
    swatches(self, p);
  }

  private void several(List<Piece> pieces) {
    List<String> ids = pieces.stream().map(Piece::id).toList();
    Piece lead = pieces.get(pieces.size() - 1);
    out.add(Phrase.word(pieces.size() + " pieces", null));
    text(", the lead is ");
    out.add(Phrase.word(lead.name(), lead.id()));
    text(" — ");
    sizesOfSeveral(pieces, ids);
    text(", facing ");
    boolean same = pieces.stream().allMatch(p -> Math.abs(p.turn() - lead.turn()) < 1e-6);
    out.add(
        Phrase.field(
            same ? Angle.text(lead.turn()) : "various",
            "Turn, degrees",
            "to",
            Map.of("do", "turn", "pieces", ids)));
    text(". A number typed here is given to all of them. ");
    if (pieces.size() == 2) {
      gap(pieces.get(0), lead);
    }
    writer.choice(
        "Beside the lead",
        "Set them beside the lead, touching",
        "side",
        Map.of("do", "beside", "pieces", ids),
        List.of(
            new Writer.Named("left", "on its left"),
            new Writer.Named("right", "on its right"),
            new Writer.Named("front", "in front of it"),
            new Writer.Named("back", "behind it"),
            new Writer.Named("top", "on top of it")));
    text(", ");
    writer.choice(
        "level with it",
        "Bring them to the height of the lead",
        "side",
        Map.of("do", "level", "pieces", ids),
        List.of(
            new Writer.Named("top", "tops level"), new Writer.Named("under", "undersides level")));
    text(". ");
    if (pieces.stream().allMatch(p -> p.article().equals(lead.article()))) {
      swatches(ids, lead);
    }
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
            space.shapes().mesh(other),
            other.pose(),
            space.shapes().mesh(lead),
            lead.pose(),
            way,
            100);
    if (stop.meets()) {
      Map<String, Object> edit =
          Map.of(
              "do",
              "beside",
              "pieces",
              List.of(other.id(), lead.id()),
              "side",
              side.name(),
              "stay",
              true);
      out.add(Phrase.field(unit.fine(stop.distance()), "Gap between them", "gap", edit));
      text(" between them. ");
    }
  }

  private void sizesOfSeveral(List<Piece> pieces, List<String> ids) {
    Map<String, Object> edit = Map.of("do", "size", "pieces", ids);
    shared(pieces, p -> p.size().width(), "Width", "size.width", edit);
    text(" wide × ");
    shared(pieces, p -> p.size().depth(), "Depth", "size.depth", edit);
    text(" deep × ");
    shared(pieces, p -> p.size().height(), "Height", "size.height", edit);
    text(" high");
  }

  private void shared(
      List<Piece> pieces,
      Function<Piece, Double> of,
      String label,
      String slot,
      Map<String, Object> edit) {
    double first = of.apply(pieces.get(0));
    boolean same = pieces.stream().allMatch(p -> Math.abs(of.apply(p) - first) < 1e-7);
    out.add(Phrase.field(same ? unit.fine(first) : "various", label, slot, edit));
  }

  private void sizes(List<String> ids, Piece p, Function<Double, String> print) {
    Map<String, Object> edit = Map.of("do", "size", "pieces", ids);
    out.add(Phrase.field(print.apply(p.size().width()), "Width", "size.width", edit));
    text(" wide × ");
    out.add(Phrase.field(print.apply(p.size().depth()), "Depth", "size.depth", edit));
    text(" deep × ");
    out.add(Phrase.field(print.apply(p.size().height()), "Height", "size.height", edit));
    text(" high");
  }

  private void turn(List<String> ids, Piece p) {
    out.add(
        Phrase.field(
            Angle.text(p.turn()), "Turn, degrees", "to", Map.of("do", "turn", "pieces", ids)));
  }

  /** How it leans; what stands on a slope may stand square on it. */
  private void lean(List<String> ids, Piece p) {
    Map<String, Object> edit = Map.of("do", "lean", "pieces", ids);
    boolean slopes =
        space.shell().stage() != null && space.shell().stage().rake() > 0
            || space.shell().flights().stream().anyMatch(f -> f.id().equals(p.on().id()));
    boolean stands = p.on().kind() == On.Kind.floor || p.on().kind() == On.Kind.platform;
    if (!stands || !slopes && p.lean().by() == 0) {
      return;
    }
    text(", ");
    writer.out.add(
        Phrase.choice(
            p.lean().by() == 0 ? "upright" : "leaning " + Angle.text(p.lean().by()),
            "How it stands",
            List.of(
                new Phrase.Option("upright", with(edit, "by", 0)),
                new Phrase.Option("square on the floor beneath", with(edit, "withFloor", true)))));
  }

  private static Map<String, Object> with(Map<String, Object> edit, String slot, Object value) {
    Map<String, Object> all = new LinkedHashMap<>(edit);
    all.put(slot, value);
    return all;
  }

  private static String preposition(Piece p) {
    if (p.held()) {
      return "attached to";
    }
    return switch (p.on().kind()) {
      case ceiling, bar -> "hanging from";
      case nothing -> "touching";
      case opening -> "in";
      default -> "on";
    };
  }

  private void carrier(Piece p) {
    String words = space.nameOf(p.on());
    out.add(Phrase.word(words, p.on().kind() == On.Kind.piece ? p.on().id() : null));
    if (p.held()) {
      text(" ");
      writer.action("take it off", Map.of("do", "attach", "pieces", List.of(p.id())));
    }
  }

  private void swatches(List<String> ids, Piece p) {
    Article article = space.article(p);
    article
        .finishes()
        .forEach(
            (part, finish) ->
                out.add(
                    Phrase.swatch(
                        finish.name(),
                        p.finishes().getOrDefault(part, finish.colour()),
                        Map.of("do", "recolour", "pieces", ids, "part", part))));
  }

  private void text(String s) {
    out.add(Phrase.text(s));
  }
}
