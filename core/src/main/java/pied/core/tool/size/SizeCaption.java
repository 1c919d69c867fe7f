package pied.core.tool.size;

import java.util.ArrayList;
import java.util.List;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Sizing;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.Measures;
import pied.core.measure.Hold;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.space.Group;

/** Writes of the sizes of what is selected, and of what can be done about them. */
public final class SizeCaption {
  private final Writer writer;
  private final Handling handling;

  public SizeCaption(Writer writer, Handling handling) {
    this.writer = writer;
    this.handling = handling;
  }

  // ---- of one

  /** Its three measures to be typed, and whether they go together. */
  public void measures(Piece p) {
    Article article = writer.space.article(p);
    Sizing sizing = article.sizing();
    Edit edit = edit(List.of(p));
    for (Measure m : Measure.values()) {
      Sizing.SizingRule rule = sizing.rule(m);
      String value = writer.unit.fine(m.of(p.size()));
      boolean flat = article.isFlat(m);
      String can = flat ? "it is flat" : rule.words().in(writer.unit);
      boolean fixed = (flat || rule.least() == rule.most()) && !p.form().stretched();
      writer.out.add(
          fixed
              ? Phrase.fixed(value, label(m), slot(m), edit, can)
              : Phrase.field(value, label(m), slot(m), edit, can + "; " + all(p.size())));
      writer.text(" " + m.words() + (m == Measure.height ? "" : " × "));
    }
    if (!sizing.fixed() && !sizing.proportional()) {
      writer.text(" (");
      together(article);
      writer.text(")");
    }
    if (sizing.proportional() && !sizing.fixed()) {
      writer.text(" (always in proportion, as it is made)");
    }
    if (p.form().stretched()) {
      writer.text(", stretched ");
      writer.action("take a size it comes in", natural(List.of(p)));
    }
    if (article.project() != null) {
      writer.text(", " + Likeness.of(p.size().height()));
    }
  }

  /** What is said of one while it is sized. */
  public void sizing(Piece p) {
    writer.out.add(Phrase.word(p.name(), null));
    writer.text(" — ");
    measures(p);
    writer.text("; ");
    hold();
    along();
    Article article = writer.space.article(p);
    writer.text(". By nature " + article.size().text(writer.unit) + ". ");
    if (!article.size().sameAs(p.size())) {
      writer.action("back to that", natural(List.of(p)));
    }
    writer.text("Pull a tab, click one and type, or click a mark to hold it. ");
  }

  /** What else may be typed, in the unit chosen. */
  private String all(Size s) {
    return "all three at once: " + s.text(writer.unit).replace('×', 'x') + "; 150% of natural";
  }

  private static String label(Measure m) {
    return Character.toUpperCase(m.name().charAt(0)) + m.name().substring(1);
  }

  private static String slot(Measure m) {
    return "size." + m.name();
  }

  private Resize edit(List<Piece> pieces) {
    boolean sizing = handling.at() == Handling.HandlingAt.size;
    return ResizeBuilder.builder()
        .pieces(pieces.stream().map(Piece::id).toList())
        .together(handling.usually())
        .hold(sizing ? handling.hold() : null)
        .alongSpace(sizing && handling.alongSpace() ? true : null)
        .build();
  }

  private static Edit natural(List<Piece> pieces) {
    Amount whole = Amount.typed("100%");
    return ResizeBuilder.builder()
        .pieces(pieces.stream().map(Piece::id).toList())
        .size(new Measures(whole, whole, whole))
        .natural(true)
        .build();
  }

  private void together(Article article) {
    Together t = handling.together(article);
    List<Phrase.PhraseValue> all = new ArrayList<>();
    for (Together one : Together.values()) {
      if (one != Together.usual) {
        all.add(new Phrase.PhraseValue(words(one), one.name()));
      }
    }
    writer.out.add(
        new Phrase.PhraseSetting(
            words(t), "Which measures keep their proportions", "together", all));
  }

  private static String words(Together t) {
    return switch (t) {
      case usual, none -> "each by itself";
      case all -> "in proportion";
      case widthDepth -> "width and depth in proportion";
      case widthHeight -> "width and height in proportion";
      case depthHeight -> "depth and height in proportion";
    };
  }

  /** What stays where it is. */
  private void hold() {
    String words =
        handling.hold() == null ? "what touches or carries it" : Hold.read(handling.hold()).words();
    writer.out.add(
        new Phrase.PhraseSetting(
            words, "What stays where it is while it is sized", "hold", List.of()));
    writer.text(" stays; ");
  }

  private void along() {
    List<Phrase.PhraseValue> ways =
        List.of(
            new Phrase.PhraseValue("along its own sides", ""),
            new Phrase.PhraseValue("across and deep in the space", "true"));
    writer.text("measured ");
    writer.out.add(
        new Phrase.PhraseSetting(
            ways.get(handling.alongSpace() ? 1 : 0).text(),
            "Which way it is measured",
            "alongSpace",
            ways));
  }

  // ---- of several

  /** What each of several measures, and all of them as one. */
  public void several(List<Piece> pieces) {
    Piece lead = pieces.get(pieces.size() - 1);
    Resize edit = edit(pieces);
    for (Measure m : Measure.values()) {
      double first = m.of(lead.size());
      boolean same =
          pieces.stream().allMatch(p -> Math.abs(m.of(p.size()) - first) < Tolerance.SIZE);
      String value = same ? writer.unit.fine(first) : "various";
      writer.out.add(Phrase.field(value, label(m), slot(m), edit, all(lead.size())));
      writer.text(" " + m.words() + (m == Measure.height ? " for all (" : " × "));
    }
    together(writer.space.article(lead));
    writer.text(")");
  }

  /** What is said of several while they are sized. */
  public void sizing(List<Piece> pieces) {
    writer.out.add(Phrase.word(pieces.size() + " pieces", null));
    writer.text(" — ");
    several(pieces);
    writer.text("; ");
    hold();
    along();
    writer.text(". As one whole ");
    whole(pieces);
    writer.text("; ");
    writer.action("each back to its natural size", natural(pieces));
    writer.text(" ");
  }

  /** What is said of a group while it is sized. */
  public void sizing(Group group, List<Piece> pieces) {
    writer.out.add(Phrase.word(group.name(), null));
    writer.text(", a group — ");
    whole(pieces);
    writer.text(" (");
    together(writer.space.article(pieces.get(pieces.size() - 1)));
    writer.text("); ");
    hold();
    writer.text(". Each keeps its place in it. ");
  }

  /** What they measure as one, to be typed. */
  public void whole(List<Piece> pieces) {
    List<String> ids = pieces.stream().map(Piece::id).toList();
    Size size = SizeAsOne.size(SizeAsOne.whole(writer.space, ids));
    Edit edit =
        SizeAsOneBuilder.builder()
            .pieces(ids)
            .together(handling.usually())
            .hold(handling.hold())
            .build();
    String[] words = {" across × ", " deep × ", " high"};
    for (Measure m : Measure.values()) {
      String value = writer.unit.fine(m.of(size));
      writer.out.add(
          Phrase.field(value, label(m) + " of the whole", slot(m), edit, "each keeps its place"));
      writer.text(words[m.ordinal()]);
    }
  }
}
