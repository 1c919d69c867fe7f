package pied.core.tool.row;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.say.Ways;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.Repeated;
import pied.core.tool.row.Row.RowLine;

/**
 * Such as "8 in a row, 0.2 apart, along wall A", "6 rows of 9, rows 1.0 from middle to middle", "5
 * stools in a row at 2.0, 1.5".
 */
final class RowSentence implements Sentence<Row> {
  /** Of a row that is there, the way it goes. */
  private static final String AS_IT_GOES = "as it goes";

  private static final Map<RowLine, String> LINES = new EnumMap<>(RowLine.class);
  private static final Ways<RowLine> WAYS = new Ways<>(LINES, RowLine.wall);

  static {
    LINES.put(RowLine.right, "to its right");
    LINES.put(RowLine.left, "to its left");
    LINES.put(RowLine.front, "to its front");
    LINES.put(RowLine.back, "to its back");
    LINES.put(RowLine.up, "upward");
    LINES.put(RowLine.across, "across");
    LINES.put(RowLine.deep, "deep");
  }

  @Override
  public Class<Row> of() {
    return Row.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    Edit there = n.repetition(RowRule.class, Arrangement::adjusting);
    List<Edit> adjusted =
        there == null ? null : Repeated.adjusted(r, n, (Row) there, Row::withCount, clauses());
    if (adjusted != null) {
      return adjusted;
    }
    r.quietly("a row of");
    Repeated what = Repeated.read(r, n);
    Row e = RowBuilder.builder().count(what.count()).of(what.of()).pieces(what.pieces(n)).build();
    if (r.is("in a row|in a line")) {
      return List.of(Clause.all(r, n, e, clauses()));
    }
    if (what.count() != null && r.is("rows of")) {
      Repeated each = Repeated.read(r, n);
      if (each.count() == null) {
        throw r.unread();
      }
      e =
          e.withRows(what.count())
              .withCount(each.count())
              .withOf(each.of())
              .withPieces(each.pieces(n));
      return List.of(Clause.all(r, n, e, clauses()));
    }
    return null;
  }

  private static List<Clause<Row>> clauses() {
    return List.of(
        RowSentence::rows,
        RowSentence::apart,
        RowSentence::line,
        RowSentence::length,
        RowSentence::other,
        RowSentence::turning,
        RowSentence::at);
  }

  private static @Nullable Row turning(Reading r, Nouns n, Row e) {
    if (r.is("not turned")) {
      return e.withTurning(Amount.of(0));
    }
    if (!r.is("turned at random by up to|turned by chance by up to")) {
      return null;
    }
    Amount by = r.angle("an angle");
    return by == null ? null : e.withTurning(by);
  }

  private static @Nullable Row apart(Reading r, Nouns n, Row e) {
    if (r.quietly("touching")) {
      return e.withGap(Amount.of(0)).withPitch(null);
    }
    Amount by = r.length("a length");
    if (by == null) {
      return null;
    }
    if (r.is("from middle to middle")) {
      return e.withPitch(by).withGap(null);
    }
    return r.is("apart|gaps") ? e.withGap(by).withPitch(null) : null;
  }

  private static @Nullable Row rows(Reading r, Nouns n, Row e) {
    int before = r.at();
    Amount many = r.whole("how many");
    if (many != null && r.is("rows|row")) {
      return e.withRows(many);
    }
    r.back(before);
    many = r.whole("how many");
    if (many != null && r.is("tiers|tier")) {
      return e.withTiers(many);
    }
    r.back(before);
    if (r.is("rows")) {
      Amount by = r.length("a length");
      if (by == null) {
        throw r.unread();
      }
      if (r.is("from middle to middle|from row to row")) {
        return e.withRowPitch(by).withRowGap(null);
      }
      return r.is("apart") ? e.withRowGap(by).withRowPitch(null) : null;
    }
    if (r.is("tiers")) {
      Amount by = r.length("a length");
      return by != null && r.is("apart") ? e.withTierGap(by) : null;
    }
    return null;
  }

  private static @Nullable Row line(Reading r, Nouns n, Row e) {
    if (r.quietly(AS_IT_GOES)) {
      return e;
    }
    return WAYS.read(r, n, (l, wall) -> e.withAlong(l).withWall(wall));
  }

  private static @Nullable Row length(Reading r, Nouns n, Row e) {
    if (!r.is("filling|over a length of")) {
      return null;
    }
    Amount by = r.length("a length");
    return by == null ? null : e.withLength(by);
  }

  private static @Nullable Row other(Reading r, Nouns n, Row e) {
    if (r.is("evened out")) {
      return e.withEvened(true);
    }
    if (r.is("not evened out")) {
      return e.withEvened(false);
    }
    if (r.is("staggered")) {
      return e.withStaggered(true);
    }
    if (r.is("not staggered")) {
      return e.withStaggered(false);
    }
    return r.is("all places filled") ? e.withRefill(true) : null;
  }

  private static @Nullable Row at(Reading r, Nouns n, Row e) {
    return r.is("at|from") ? e.withAt(Points.two(r)) : null;
  }

  // ---- writing

  @Override
  public void write(Writer w, Row e) {
    Amount count = e.count() == null ? Amount.of(4) : e.count();
    boolean fills =
        e.length() != null && e.length().number() != 0
            || e.length() != null && e.length().text() != null;
    if (!fills) {
      w.field(Points.number(count), "How many", "count", e);
    }
    Repeated.write(w, e.of());
    w.text(fills && e.of() == null ? "In a row, " : " in a row, ");
    boolean middles = e.pitch() != null;
    Amount by = middles ? e.pitch() : e.gap() == null ? Amount.of(0.1) : e.gap();
    w.field(Points.length(w, by), "How far apart", middles ? "pitch" : "gap", e);
    w.text(" ");
    w.choice(
        middles ? "from middle to middle" : "apart",
        "From where to where",
        new Phrase.Option("apart", e.withGap(by).withPitch(null)),
        new Phrase.Option("from middle to middle", e.withPitch(by).withGap(null)));
    w.text(", ");
    RowLine line = e.along() == null ? RowLine.right : e.along();
    boolean goes = e.group() != null && e.along() == null;
    w.choice(
        goes ? AS_IT_GOES : WAYS.text(line, e.wall()),
        "Which way",
        WAYS.options(w, (l, wall) -> e.withAlong(l).withWall(wall)));
    if (fills) {
      filling(w, e);
    }
    rows(w, e);
    turned(w, e);
    if (e.at() != null) {
      w.text(", at " + Points.two(w, e.at()));
    }
    w.text(". ");
    more(w, e, fills);
  }

  private static void turned(Writer w, Row e) {
    if (e.turning() != null) {
      w.text(", turned at random by up to ")
          .field(Points.angle(e.turning()), "Turned by chance, degrees", "turning", e);
    }
  }

  private static void filling(Writer w, Row e) {
    w.text(", filling ").field(Points.length(w, e.length()), "Length to fill", "length", e);
    boolean evened = Boolean.TRUE.equals(e.evened());
    w.text(", ")
        .choice(
            evened ? "evened out" : "not evened out",
            "The gaps",
            new Phrase.Option("evened out", e.withEvened(true)),
            new Phrase.Option("not evened out", e.withEvened(false)));
  }

  private static void rows(Writer w, Row e) {
    if (e.rows() != null) {
      boolean middles = e.rowPitch() != null;
      Amount by = middles ? e.rowPitch() : e.rowGap() == null ? Amount.of(0.1) : e.rowGap();
      w.text(", ").field(Points.number(e.rows()), "How many rows", "rows", e).text(" rows, rows ");
      w.field(Points.length(w, by), "How far rows are apart", middles ? "rowPitch" : "rowGap", e);
      w.text(" ")
          .choice(
              middles ? "from row to row" : "apart",
              "From where to where, of rows",
              new Phrase.Option("apart", e.withRowGap(by).withRowPitch(null)),
              new Phrase.Option("from row to row", e.withRowPitch(by).withRowGap(null)));
      boolean staggered = Boolean.TRUE.equals(e.staggered());
      w.text(", ")
          .choice(
              staggered ? "staggered" : "not staggered",
              "Every other row",
              new Phrase.Option("staggered", e.withStaggered(true)),
              new Phrase.Option("not staggered", e.withStaggered(false)));
    }
    if (e.tiers() != null) {
      Amount by = e.tierGap() == null ? Amount.of(0) : e.tierGap();
      w.text(", ")
          .field(Points.number(e.tiers()), "How many tiers", "tiers", e)
          .text(" tiers, tiers ");
      w.field(Points.length(w, by), "How far tiers are apart", "tierGap", e).text(" apart");
    }
  }

  private static void more(Writer w, Row e, boolean fills) {
    List<Phrase.Option> more = new ArrayList<>();
    if (e.rows() == null) {
      more.add(new Phrase.Option("in rows", e.withRows(Amount.of(2)).withRowGap(Amount.of(0.3))));
    }
    if (e.tiers() == null) {
      more.add(new Phrase.Option("in tiers", e.withTiers(Amount.of(2)).withTierGap(Amount.of(0))));
    }
    more.add(
        fills
            ? new Phrase.Option(
                "by their number",
                e.withLength(e.group() == null ? null : Amount.of(0)).withEvened(null))
            : new Phrase.Option("filling a length", e.withLength(Amount.of(3)).withEvened(false)));
    if (e.turning() == null) {
      more.add(new Phrase.Option("turned at random", e.withTurning(Amount.of(15))));
    }
    w.more("more …", "What else", more);
  }
}
