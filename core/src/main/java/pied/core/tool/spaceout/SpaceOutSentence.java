package pied.core.tool.spaceout;

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
import pied.core.tool.spaceout.SpaceOut.From;
import pied.core.tool.spaceout.SpaceOut.How;
import pied.core.tool.spaceout.SpaceOut.Line;

/** Such as "even gaps", "0.25 apart along wall A, the last stays", "touching, deep". */
final class SpaceOutSentence implements Sentence<SpaceOut> {
  private static final Map<Line, String> LINES = new EnumMap<>(Line.class);
  private static final Ways<Line> WAYS = new Ways<>(LINES, Line.wall);
  private static final Map<From, String> FROM = new EnumMap<>(From.class);

  static {
    LINES.put(Line.across, "across");
    LINES.put(Line.deep, "deep");
    LINES.put(Line.high, "high");
    LINES.put(Line.width, "along the width of the lead");
    LINES.put(Line.depth, "along the depth of the lead");
    LINES.put(Line.line, "from the first to the last");
    FROM.put(From.ends, "the outer two stay");
    FROM.put(From.beside, "even to what is beside them");
    FROM.put(From.first, "the first stays");
    FROM.put(From.last, "the last stays");
    FROM.put(From.middle, "the middle stays");
    FROM.put(From.lead, "the lead stays");
  }

  @Override
  public Class<SpaceOut> of() {
    return SpaceOut.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    boolean said = r.is("space out|space them out");
    SpaceOut e = SpaceOutBuilder.builder().pieces(n.selected()).build();
    r.comma();
    SpaceOut how = r.done() && said ? e : how(r, n, e);
    if (how == null) {
      if (said) {
        throw r.unread();
      }
      return null;
    }
    return List.of(
        Clause.all(
            r,
            n,
            how,
            List.of(SpaceOutSentence::line, SpaceOutSentence::from, SpaceOutSentence::boxes)));
  }

  private static @Nullable SpaceOut how(Reading r, Nouns n, SpaceOut e) {
    r.quietly("with|to");
    if (r.is("even gaps|evenly spaced|evenly")) {
      return e.withHow(How.even);
    }
    if (r.is("touching")) {
      return e.withHow(How.touching);
    }
    r.quietly("gaps of");
    Amount by = r.length("a length");
    if (by == null) {
      return null;
    }
    if (r.is("from middle to middle")) {
      return e.withHow(How.middles).withBy(by);
    }
    return r.is("apart|gaps|between them|between sides") ? e.withHow(How.gap).withBy(by) : null;
  }

  private static @Nullable SpaceOut line(Reading r, Nouns n, SpaceOut e) {
    return WAYS.read(r, n, (l, wall) -> e.withAlong(l).withWall(wall));
  }

  private static @Nullable SpaceOut from(Reading r, Nouns n, SpaceOut e) {
    for (Map.Entry<From, String> f : FROM.entrySet()) {
      if (r.is(f.getValue())) {
        return e.withFrom(f.getKey());
      }
    }
    return null;
  }

  private static @Nullable SpaceOut boxes(Reading r, Nouns n, SpaceOut e) {
    if (r.is("by true sides")) {
      return e.withBoxes(null);
    }
    return r.is("by boxes") ? e.withBoxes(true) : null;
  }

  @Override
  public void write(Writer w, SpaceOut e) {
    How how = e.how() == null ? How.even : e.how();
    From from = e.stays(w.space);
    boolean even = how == How.even;
    SpaceOut exact = e.withFrom(even ? null : e.from());
    Amount by = e.by() == null ? Amount.of(0.2) : e.by();
    w.text("Space out ");
    if (how == How.gap || how == How.middles) {
      w.field(Points.length(w, by), "How far apart", "by", e).text(" ");
    }
    String words =
        switch (how) {
          case even -> "even gaps";
          case gap -> "apart";
          case touching -> "touching";
          case middles -> "from middle to middle";
        };
    w.choice(
        words,
        "How",
        new Phrase.Option(
            "even gaps", e.withFrom(even ? e.from() : null).withHow(How.even).withBy(null)),
        new Phrase.Option("apart", exact.withHow(How.gap).withBy(by)),
        new Phrase.Option("touching", exact.withHow(How.touching).withBy(null)),
        new Phrase.Option("from middle to middle", exact.withHow(How.middles).withBy(by)));
    w.text(", ");
    Line line = e.along() == null ? Line.across : e.along();
    w.choice(
        WAYS.text(line, e.wall()),
        "Direction",
        WAYS.options(w, (l, wall) -> e.withAlong(l).withWall(wall)));
    w.text(", ");
    w.choice(
        FROM.get(from),
        "What stays",
        FROM.entrySet().stream()
            .filter(f -> even == (f.getKey() == From.ends || f.getKey() == From.beside))
            .map(f -> new Phrase.Option(f.getValue(), e.withFrom(f.getKey())))
            .toArray(Phrase.Option[]::new));
    w.text(", ");
    w.choice(
        Boolean.TRUE.equals(e.boxes()) ? "by boxes" : "by true sides",
        "What counts as a side",
        new Phrase.Option("by true sides", e.withBoxes(null)),
        new Phrase.Option("by boxes", e.withBoxes(true)));
    w.text(". ");
  }
}
