package pied.core.tool.turn;

import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.measure.Hold;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.tool.size.Handling;
import pied.core.units.Angle;

/** Writes how what is selected is turned and leans, and what it is turned about. */
public final class TurnCaption {
  private final Writer writer;
  private final Handling handling;

  public TurnCaption(Writer writer, Handling handling) {
    this.writer = writer;
    this.handling = handling;
  }

  /** What is said of one while it is turned. */
  public void turning(Piece p) {
    List<String> ids = List.of(p.id());
    writer.out.add(Phrase.word(p.name(), null));
    writer.text(" faces ");
    turn(ids, Angle.text(p.turn()));
    about();
    over(ids, p.lean());
    if (writer.space.article(p).mounting() == Mounting.STANDS) {
      writer.text("; ");
      lean(ids, p);
    }
    faces(ids);
    writer.text(
        ". Pull its front round on the dial, or type; click a mark and it turns about that. ");
  }

  /** What is said of several while they are turned. */
  public void turning(List<Piece> pieces) {
    List<String> ids = pieces.stream().map(Piece::id).toList();
    Piece lead = pieces.get(pieces.size() - 1);
    boolean same = pieces.stream().allMatch(p -> Math.abs(p.turn() - lead.turn()) < Tolerance.FINE);
    writer.out.add(Phrase.word(pieces.size() + " pieces", null));
    writer.text(" face ");
    turn(ids, same ? Angle.text(lead.turn()) : "various");
    writer.text(" each");
    about();
    writer.text("; together by ");
    writer.out.add(
        Phrase.field(
            "0°",
            "Turned together, degrees",
            "by",
            TurnBuilder.builder().pieces(ids).together(true).about(handling.about()).build()));
    Lean lean = lead.lean();
    over(ids, pieces.stream().allMatch(p -> p.lean().equals(lean)) ? lean : null);
    faces(ids);
    writer.text(", ");
    writer.action(
        "all as the lead", TurnAsBuilder.builder().pieces(ids).about(handling.about()).build());
    writer.text(" ");
  }

  private void turn(List<String> ids, String value) {
    writer.out.add(
        Phrase.field(
            value,
            "Turn, degrees",
            "to",
            TurnBuilder.builder().pieces(ids).about(handling.about()).build(),
            "+15 turns it by so much, counter-clockwise"));
  }

  private void about() {
    writer.text(", turned about ");
    writer.out.add(
        new Phrase.PhraseSetting(
            Hold.pivot(handling.about()).words(), "What it is turned about", "about", List.of()));
  }

  /**
   * Over its edges, about the mark: how far it is tipped, or, where it leans aslant, by how much
   * more.
   *
   * @param lean of all of them; null if they lean differently
   */
  private void over(List<String> ids, @Nullable Lean lean) {
    tip(ids, Axis.width, lean, "forward", "backward");
    tip(ids, Axis.depth, lean, "to its left", "to its right");
  }

  private void tip(
      List<String> ids, Axis axis, @Nullable Lean lean, String words, String opposite) {
    double tipped = lean == null ? Double.NaN : axis.tipped(lean);
    boolean more = Double.isNaN(tipped);
    writer.text(axis == Axis.width ? "; tip it " : " and ");
    writer.text((more ? "farther " : "") + words + " by ");
    var edit = TurnBuilder.builder().pieces(ids).axis(axis).about(handling.about()).build();
    writer.out.add(
        Phrase.field(
            Angle.text(more ? 0 : tipped),
            "Tip it " + words + ", degrees",
            more ? "by" : "to",
            edit,
            "-90 tips it " + opposite));
  }

  private void lean(List<String> ids, Piece p) {
    writer.choice(
        stands(p.lean()),
        "How it stands",
        lies(ids, "upright", 0, 0),
        lies(ids, "on its back", 180, 90),
        lies(ids, "on its front", 0, 90),
        lies(ids, "on its left side", 270, 90),
        lies(ids, "on its right side", 90, 90),
        lies(ids, "on its head", 0, 180));
    if (p.lean().by() > 0 && p.lean().by() < 90) {
      writer.text(" by ");
      writer.out.add(
          Phrase.field(
              Angle.text(p.lean().by()),
              "How far it leans, degrees",
              "by",
              LeanOverBuilder.builder().pieces(ids).build()));
    }
  }

  private static Phrase.Option lies(List<String> ids, String words, double toward, double by) {
    return new Phrase.Option(
        words,
        LeanOverBuilder.builder().pieces(ids).toward(Amount.of(toward)).by(Amount.of(by)).build());
  }

  /** How it stands or lies, in words. */
  public static String stands(Lean lean) {
    if (lean.by() == 0) {
      return "upright";
    }
    String[] sides = {"front", "right side", "back", "left side"};
    double quarter = lean.toward() / 90;
    boolean square = Math.abs(quarter - Math.rint(quarter)) < Tolerance.FINE;
    String side = square ? sides[(int) Math.rint(quarter) % 4] : null;
    if (Math.abs(lean.by() - 180) < Tolerance.FINE) {
      return "on its head";
    }
    if (Math.abs(lean.by() - 90) < Tolerance.FINE) {
      return side == null ? "lying down" : "on its " + side;
    }
    return side == null ? "leaning" : "leaning to its " + side;
  }

  private void faces(List<String> ids) {
    writer.text("; ");
    boolean stage = writer.shell.stage() != null;
    writer.choice(
        "let it face",
        "What it shall face",
        stage
            ? new Phrase.Option[] {
              face(ids, "the audience", Face.FaceWhat.audience, false),
              face(ids, "away from the audience", Face.FaceWhat.audience, true),
              face(ids, "the nearest wall", Face.FaceWhat.wall, false),
              face(ids, "away from the nearest wall", Face.FaceWhat.wall, true)
            }
            : new Phrase.Option[] {
              face(ids, "the nearest wall", Face.FaceWhat.wall, false),
              face(ids, "away from the nearest wall", Face.FaceWhat.wall, true)
            });
  }

  private Phrase.Option face(List<String> ids, String words, Face.FaceWhat what, boolean away) {
    return new Phrase.Option(
        words,
        FaceBuilder.builder()
            .pieces(ids)
            .what(what)
            .away(away ? true : null)
            .about(handling.about())
            .build());
  }
}
