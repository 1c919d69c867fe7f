package pied.core.tool.twin;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.PlanPoint;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.space.PartName;
import pied.core.tool.twin.TwinLine.TwinBy;

/** Such as "twin about the centre line", "twin about 3.20 across", "twin turned about 3.0, 2.0". */
final class TwinSentence implements Sentence<MakeTwins> {
  @Override
  public Class<MakeTwins> of() {
    return MakeTwins.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    if (!r.is("twin|twins")) {
      return null;
    }
    if (r.is("turned about")) {
      PlanPoint at = r.is("a point") ? null : Points.two(r);
      TwinLine point = new TwinLine(TwinBy.point, null, at, null);
      return List.of(Clause.all(r, n, new MakeTwins(n.selected(), point), List.of()));
    }
    if (!r.is("about")) {
      throw r.unread();
    }
    TwinLine line = line(r, n);
    if (line == null) {
      throw r.unread();
    }
    return List.of(Clause.all(r, n, new MakeTwins(n.selected(), line), List.of()));
  }

  static @Nullable TwinLine line(Reading r, Nouns n) {
    if (r.is("the centre line|the centre")) {
      return new TwinLine(TwinBy.centre, null, null, null);
    }
    if (r.is("their middle|its middle")) {
      return new TwinLine(TwinBy.middle, null, null, null);
    }
    if (r.is("the middle of")) {
      String wall = n.wall();
      if (wall != null) {
        return new TwinLine(TwinBy.wall, "wall:" + wall, null, null);
      }
      String piece = n.piece();
      return piece == null ? null : TwinLine.ofPiece(piece);
    }
    if (r.is("the line from")) {
      PlanPoint a = Points.two(r);
      return new TwinLine(TwinBy.drawn, null, a, r.is("to") ? Points.two(r) : null);
    }
    if (r.is("a line")) {
      return new TwinLine(TwinBy.drawn, null, null, null);
    }
    Amount by = r.length("a length");
    if (by == null) {
      return null;
    }
    if (r.is("across")) {
      return new TwinLine(TwinBy.across, null, new PlanPoint(by, null), null);
    }
    return r.is("deep") ? new TwinLine(TwinBy.deep, null, new PlanPoint(null, by), null) : null;
  }

  @Override
  public void write(Writer w, MakeTwins e) {
    TwinLine l = e.about();
    w.text("Twin ");
    Phrase.Option[] lines = lines(w, e);
    switch (l.by()) {
      case centre -> w.choice("about the centre line", "About what", lines);
      case wall ->
          w.choice("about the middle of wall " + PartName.read(l.wall()).id(), "About what", lines);
      case drawn ->
          w.choice(
              l.at() == null
                  ? "about a line"
                  : "about the line from "
                      + Points.two(w, l.at())
                      + (l.to() == null ? "" : " to " + Points.two(w, l.to())),
              "About what",
              lines);
      case point ->
          w.choice(
              "turned about " + (l.at() == null ? "a point" : Points.two(w, l.at())),
              "About what",
              lines);
      case piece ->
          w.choice("about the middle of " + w.space.piece(l.of()).name(), "About what", lines);
      case middle -> w.choice("about their middle", "About what", lines);
      case across -> {
        w.choice("about", "About what", lines).text(" ");
        w.field(Points.length(w, l.at().x()), "Across from the datum", "about.at.x", e);
        w.text(" across");
      }
      case deep -> {
        w.choice("about", "About what", lines).text(" ");
        w.field(Points.length(w, l.at().z()), "Deep from the datum", "about.at.z", e);
        w.text(" deep");
      }
      default -> throw new IllegalStateException();
    }
    w.text(". ");
  }

  private static Phrase.Option[] lines(Writer w, MakeTwins e) {
    List<Phrase.Option> all = new ArrayList<>();
    all.add(option("about the centre line", e, new TwinLine(TwinBy.centre, null, null, null)));
    for (String name : Nouns.walls(w.shell)) {
      TwinLine of = new TwinLine(TwinBy.wall, "wall:" + name, null, null);
      all.add(option("about the middle of wall " + name, e, of));
    }
    all.add(option("about their middle", e, new TwinLine(TwinBy.middle, null, null, null)));
    String lead = e.pieces().get(e.pieces().size() - 1);
    if (e.pieces().size() > 1 && w.space.has(lead)) {
      String words = "about the middle of " + w.space.piece(lead).name();
      all.add(option(words, e, TwinLine.ofPiece(lead)));
    }
    Amount zero = Amount.of(0);
    all.add(
        option(
            "about a line so far across",
            e,
            new TwinLine(TwinBy.across, null, new PlanPoint(zero, null), null)));
    all.add(
        option(
            "about a line so far deep",
            e,
            new TwinLine(TwinBy.deep, null, new PlanPoint(null, zero), null)));
    all.add(option("about a line that is drawn", e, new TwinLine(TwinBy.drawn, null, null, null)));
    all.add(option("turned about a point", e, new TwinLine(TwinBy.point, null, null, null)));
    return all.toArray(Phrase.Option[]::new);
  }

  private static Phrase.Option option(String words, MakeTwins e, TwinLine line) {
    return new Phrase.Option(words, e.withAbout(line));
  }
}
