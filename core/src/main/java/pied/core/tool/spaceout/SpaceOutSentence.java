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
import pied.core.tool.spaceout.SpaceOut.SpaceOutFrom;
import pied.core.tool.spaceout.SpaceOut.SpaceOutHow;
import pied.core.tool.spaceout.SpaceOut.SpaceOutLine;

/** Such as "even gaps", "0.25 apart along wall A, the last stays", "touching, deep". */
final class SpaceOutSentence implements Sentence<SpaceOut> {
  private static final Map<SpaceOutLine, String> LINES = new EnumMap<>(SpaceOutLine.class);
  private static final Ways<SpaceOutLine> WAYS = new Ways<>(LINES, SpaceOutLine.wall);
  private static final Map<SpaceOutHow, String> WORDS = new EnumMap<>(SpaceOutHow.class);
  private static final Map<SpaceOutFrom, String> FROM = new EnumMap<>(SpaceOutFrom.class);

  static {
    LINES.put(SpaceOutLine.across, "across");
    LINES.put(SpaceOutLine.deep, "deep");
    LINES.put(SpaceOutLine.high, "high");
    LINES.put(SpaceOutLine.width, "along the width of the lead");
    LINES.put(SpaceOutLine.depth, "along the depth of the lead");
    LINES.put(SpaceOutLine.line, "from the first to the last");
    WORDS.put(SpaceOutHow.even, "even gaps");
    WORDS.put(SpaceOutHow.gap, "apart");
    WORDS.put(SpaceOutHow.touching, "touching");
    WORDS.put(SpaceOutHow.middles, "from middle to middle");
    FROM.put(SpaceOutFrom.ends, "the outer two stay");
    FROM.put(SpaceOutFrom.beside, "even to what is beside them");
    FROM.put(SpaceOutFrom.first, "the first stays");
    FROM.put(SpaceOutFrom.last, "the last stays");
    FROM.put(SpaceOutFrom.middle, "the middle stays");
    FROM.put(SpaceOutFrom.lead, "the lead stays");
  }

  @Override
  public Class<SpaceOut> of() {
    return SpaceOut.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    boolean said = r.is("space out|space them out");
    if (!said && n.repetition() != null) {
      return null; // it is said of its rule
    }
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
      return e.withHow(SpaceOutHow.even);
    }
    if (r.is("touching")) {
      return e.withHow(SpaceOutHow.touching);
    }
    r.quietly("gaps of");
    Amount by = r.length("a length");
    if (by == null) {
      return null;
    }
    if (r.is("from middle to middle")) {
      return e.withHow(SpaceOutHow.middles).withBy(by);
    }
    return r.is("apart|gaps|between them|between sides")
        ? e.withHow(SpaceOutHow.gap).withBy(by)
        : null;
  }

  private static @Nullable SpaceOut line(Reading r, Nouns n, SpaceOut e) {
    return WAYS.read(r, n, (l, wall) -> e.withAlong(l).withWall(wall));
  }

  private static @Nullable SpaceOut from(Reading r, Nouns n, SpaceOut e) {
    for (Map.Entry<SpaceOutFrom, String> f : FROM.entrySet()) {
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
    SpaceOutHow how = e.how() == null ? SpaceOutHow.even : e.how();
    SpaceOutFrom from = e.stays(w.space);
    boolean even = how == SpaceOutHow.even;
    SpaceOut exact = e.withFrom(even ? null : e.from());
    Amount by = e.by() == null ? Amount.of(0.2) : e.by();
    w.text("Space out ");
    if (how == SpaceOutHow.gap || how == SpaceOutHow.middles) {
      w.field(Points.length(w, by), "How far apart", "by", e).text(" ");
    }
    w.choice(
        WORDS.get(how),
        "How",
        new Phrase.Option(
            "even gaps", e.withFrom(even ? e.from() : null).withHow(SpaceOutHow.even).withBy(null)),
        new Phrase.Option("apart", exact.withHow(SpaceOutHow.gap).withBy(by)),
        new Phrase.Option("touching", exact.withHow(SpaceOutHow.touching).withBy(null)),
        new Phrase.Option("from middle to middle", exact.withHow(SpaceOutHow.middles).withBy(by)));
    w.text(", ");
    SpaceOutLine line = e.along() == null ? SpaceOutLine.across : e.along();
    w.choice(
        WAYS.text(line, e.wall()),
        "Direction",
        WAYS.options(w, (l, wall) -> e.withAlong(l).withWall(wall)));
    w.text(", ");
    w.choice(
        FROM.get(from),
        "What stays",
        FROM.entrySet().stream()
            .filter(
                f -> even == (f.getKey() == SpaceOutFrom.ends || f.getKey() == SpaceOutFrom.beside))
            .map(f -> new Phrase.Option(f.getValue(), e.withFrom(f.getKey())))
            .toArray(Phrase.Option[]::new));
    w.text(", ");
    sides(w, e);
    w.text(". ");
  }

  private static void sides(Writer w, SpaceOut e) {
    w.choice(
        Boolean.TRUE.equals(e.boxes()) ? "by boxes" : "by true sides",
        "What counts as a side",
        new Phrase.Option("by true sides", e.withBoxes(null)),
        new Phrase.Option("by boxes", e.withBoxes(true)));
  }
}
