package pied.core.tool.lineup;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
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
import pied.core.space.PartName;
import pied.core.tool.lineup.LineUp.LineUpMeeting;
import pied.core.tool.lineup.LineUp.LineUpPart;
import pied.core.tool.lineup.LineUp.LineUpTo;

/**
 * Such as "left sides level with the lead", "line up the undersides and the middles across with all
 * of them", "near sides 0.40 from wall A".
 */
final class LineUpSentence implements Sentence<LineUp> {
  private static final String OWN = "in directions of its own";
  private static final String OF_SPACE = "in the directions of the space";

  private enum LineUpDirection {
    across,
    deep,
    high
  }

  private record NamedPart(LineUpDirection direction, LineUpPart part) {}

  private static final Map<String, NamedPart> PARTS = new LinkedHashMap<>();

  static {
    PARTS.put("left sides", new NamedPart(LineUpDirection.across, LineUpPart.left));
    PARTS.put("middles across", new NamedPart(LineUpDirection.across, LineUpPart.middle));
    PARTS.put("right sides", new NamedPart(LineUpDirection.across, LineUpPart.right));
    PARTS.put("backs", new NamedPart(LineUpDirection.deep, LineUpPart.back));
    PARTS.put("middles deep", new NamedPart(LineUpDirection.deep, LineUpPart.middle));
    PARTS.put("fronts", new NamedPart(LineUpDirection.deep, LineUpPart.front));
    PARTS.put("undersides", new NamedPart(LineUpDirection.high, LineUpPart.under));
    PARTS.put("middles high", new NamedPart(LineUpDirection.high, LineUpPart.middle));
    PARTS.put("tops", new NamedPart(LineUpDirection.high, LineUpPart.top));
  }

  private static final Map<LineUpPart, String> TOWARD =
      Map.of(
          LineUpPart.near, "near sides", LineUpPart.middle, "middles", LineUpPart.far, "far sides");

  @Override
  public Class<LineUp> of() {
    return LineUp.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    LineUp e = LineUpBuilder.builder().pieces(n.selected()).build();
    int begin = r.at();
    boolean said = r.is("line up");
    if (said) {
      r.quietly("their|the");
    } else {
      LineUp from = from(r, n, e);
      if (from != null) {
        return List.of(Clause.all(r, n, from, List.of()));
      }
      r.back(begin);
    }
    LineUpPart toward = toward(r);
    if (toward != null) {
      e = e.withNearness(toward);
    } else {
      LineUp parts = parts(r, e);
      if (parts == null) {
        if (said) {
          throw r.unread();
        }
        return null;
      }
      e = parts;
    }
    r.quietly("level|in line|lined up");
    r.comma();
    boolean end = r.done() || r.then();
    LineUp to = with(r, n, e);
    if (to == null) {
      if (!end) {
        throw r.unread();
      }
      to = e;
    }
    return List.of(Clause.all(r, n, to, List.of(LineUpSentence::own)));
  }

  private static @Nullable LineUp own(Reading r, Nouns n, LineUp e) {
    if (r.is("in directions of its own|as the lead is turned")) {
      return e.withOwn(true);
    }
    return r.is("in the directions of the space") ? e.withOwn(null) : null;
  }

  /** Such as "1.20 from wall B". */
  private static @Nullable LineUp from(Reading r, Nouns n, LineUp e) {
    Amount off = r.length("a length");
    if (off == null || !r.is("from|off")) {
      return null;
    }
    String wall = n.wall();
    return wall == null
        ? null
        : e.withTo(LineUpTo.wall)
            .withWhat("wall:" + wall)
            .withNearness(LineUpPart.near)
            .withOff(off);
  }

  private static @Nullable LineUpPart toward(Reading r) {
    if (r.is(TOWARD.get(LineUpPart.near))) {
      return LineUpPart.near;
    }
    if (r.is(TOWARD.get(LineUpPart.far))) {
      return LineUpPart.far;
    }
    int before = r.at();
    boolean middles = r.quietly("middles");
    int behind = r.at();
    boolean direction = middles && r.quietly("across|deep|high");
    r.back(middles && !direction ? behind : before);
    return middles && !direction ? LineUpPart.middle : null;
  }

  private static @Nullable LineUp parts(Reading r, LineUp e) {
    LineUp now = null;
    do {
      r.quietly("the|their");
      NamedPart named = null;
      for (Map.Entry<String, NamedPart> p : PARTS.entrySet()) {
        if (r.is(p.getKey())) {
          named = p.getValue();
          break;
        }
      }
      if (named == null) {
        return null;
      }
      now = meeting(now == null ? e : now, named.direction, meets(r, named));
    } while (r.quietly("and|,"));
    return now;
  }

  /** Of what they come to another part may be meant. */
  private static LineUpMeeting meets(Reading r, NamedPart named) {
    int before = r.at();
    if (r.is("to")) {
      r.quietly("the|its");
      for (Map.Entry<String, NamedPart> p : PARTS.entrySet()) {
        if (p.getValue().direction == named.direction && r.is(p.getKey())) {
          LineUpPart with = p.getValue().part;
          return new LineUpMeeting(named.part, with == named.part ? null : with);
        }
      }
      r.back(before);
    }
    return new LineUpMeeting(named.part, null);
  }

  private static LineUp meeting(LineUp e, LineUpDirection d, @Nullable LineUpMeeting m) {
    return switch (d) {
      case across -> e.withAcross(m);
      case deep -> e.withDeep(m);
      case high -> e.withHigh(m);
    };
  }

  private static @Nullable LineUp with(Reading r, Nouns n, LineUp e) {
    Amount off = r.length() ? r.length("a length") : null;
    boolean with = r.is("with") || r.is("from|at|on|onto|against");
    LineUp to = e.withOff(off);
    if (r.is("the lead")) {
      return to.withTo(LineUpTo.lead);
    }
    if (r.is("all of them|one another")) {
      return to.withTo(LineUpTo.all);
    }
    if (r.is("the centre line|the centre")) {
      return to.withTo(LineUpTo.centre);
    }
    if (r.is("the datum")) {
      return to.withTo(LineUpTo.datum);
    }
    if (r.is("the floor")) {
      return to.withTo(LineUpTo.floor);
    }
    if (r.is("the point")) {
      return to.withTo(LineUpTo.point).withAt(Points.three(r));
    }
    if (r.is("a point")) {
      return to.withTo(LineUpTo.point);
    }
    if (r.is("the edge of")) {
      String p = n.platform();
      return p == null ? null : to.withTo(LineUpTo.edge).withWhat("platform:" + p);
    }
    String wall = n.wall();
    if (wall != null) {
      return to.withTo(LineUpTo.wall).withWhat("wall:" + wall);
    }
    String piece = with ? n.piece() : null;
    return piece == null ? null : to.withTo(LineUpTo.piece).withWhat(piece);
  }

  // ---- writing

  @Override
  public void write(Writer w, LineUp e) {
    LineUpTo to = e.to() == null ? LineUpTo.lead : e.to();
    w.text("Line up ");
    if (to == LineUpTo.wall || to == LineUpTo.edge) {
      w.choice(
          TOWARD.get(e.nearness() == null ? LineUpPart.near : e.nearness()),
          "Which side of each",
          options(
              List.of(LineUpPart.near, LineUpPart.middle, LineUpPart.far),
              TOWARD::get,
              e::withNearness));
      w.text(" ");
      if (e.off() != null) {
        w.field(Points.length(w, e.off()), "Distance from it", "off", e).text(" from ");
      } else {
        w.text("on ");
      }
    } else {
      parts(w, e);
      w.text(" with ");
    }
    w.choice(words(w, e, to), "With what", targets(w, e));
    boolean own = Boolean.TRUE.equals(e.own());
    if (own || to == LineUpTo.lead) {
      w.text(", ")
          .choice(
              own ? OWN : OF_SPACE,
              "Directions",
              new Phrase.Option(own ? OWN : OF_SPACE, e),
              new Phrase.Option(own ? OF_SPACE : OWN, e.withOwn(own ? null : true)));
    }
    w.text(". ");
    if (to != LineUpTo.wall && to != LineUpTo.edge) {
      more(w, e);
    }
  }

  private static void parts(Writer w, LineUp e) {
    int had = 0;
    for (LineUpDirection d : LineUpDirection.values()) {
      LineUpMeeting m = meeting(e, d);
      if (m == null) {
        continue;
      }
      w.text(had++ == 0 ? "" : " and ");
      w.choice(name(d, m.part()), "Which of their sides", choices(e, d));
      if (m.with() != null && m.with() != m.part()) {
        w.text(" to the ");
        List<Phrase.Option> with = new ArrayList<>();
        PARTS.forEach(
            (words, p) -> {
              if (p.direction == d) {
                with.add(
                    new Phrase.Option(words, meeting(e, d, new LineUpMeeting(m.part(), p.part))));
              }
            });
        w.choice(name(d, m.with()), "Which side of that", with.toArray(Phrase.Option[]::new));
      }
    }
  }

  /** Sides in directions of which nothing is said yet. */
  private static void more(Writer w, LineUp e) {
    List<Phrase.Option> more = new ArrayList<>();
    PARTS.forEach(
        (words, p) -> {
          if (meeting(e, p.direction) == null) {
            more.add(
                new Phrase.Option(words, meeting(e, p.direction, new LineUpMeeting(p.part, null))));
          }
        });
    if (!more.isEmpty()) {
      w.more("and …", "More of their sides", more);
    }
  }

  private static @Nullable LineUpMeeting meeting(LineUp e, LineUpDirection d) {
    return switch (d) {
      case across -> e.across();
      case deep -> e.deep();
      case high -> e.high();
    };
  }

  private static String name(LineUpDirection d, LineUpPart part) {
    return PARTS.entrySet().stream()
        .filter(p -> p.getValue().equals(new NamedPart(d, part)))
        .map(Map.Entry::getKey)
        .findFirst()
        .orElse(part.name());
  }

  /** In place of one part any other of any direction, or none if another is left. */
  private static Phrase.Option[] choices(LineUp e, LineUpDirection d) {
    List<Phrase.Option> all = new ArrayList<>();
    LineUp without = meeting(e, d, null);
    PARTS.forEach(
        (words, p) -> {
          if (p.direction == d || meeting(e, p.direction) == null) {
            all.add(
                new Phrase.Option(
                    words, meeting(without, p.direction, new LineUpMeeting(p.part, null))));
          }
        });
    if (without.across() != null || without.deep() != null || without.high() != null) {
      all.add(new Phrase.Option("as they are", without));
    }
    return all.toArray(Phrase.Option[]::new);
  }

  private static <T> Phrase.Option[] options(
      List<T> values, Function<T, String> words, Function<T, ? extends Edit> edit) {
    return values.stream()
        .map(v -> new Phrase.Option(words.apply(v), edit.apply(v)))
        .toArray(Phrase.Option[]::new);
  }

  private static String words(Writer w, LineUp e, LineUpTo to) {
    return switch (to) {
      case lead -> "the lead";
      case all -> "all of them";
      case centre -> "the centre line";
      case datum -> "the datum";
      case floor -> "the floor";
      case point -> e.at() == null ? "a point" : "the point " + Points.three(w, e.at());
      case edge -> "the edge of " + PartName.read(e.what()).id();
      case wall -> "wall " + PartName.read(e.what()).id();
      case piece -> Nouns.name(w.space, e.what());
    };
  }

  private static Phrase.Option[] targets(Writer w, LineUp e) {
    LineUp sides = e.withNearness(null).withOff(null).withWhat(null);
    if (sides.across() == null && sides.deep() == null && sides.high() == null) {
      sides = sides.withAcross(new LineUpMeeting(LineUpPart.left, null));
    }
    List<Phrase.Option> all = new ArrayList<>();
    if (e.to() == LineUpTo.point || e.to() == LineUpTo.piece) {
      all.add(new Phrase.Option(words(w, e, e.to()), e));
    }
    all.add(new Phrase.Option("the lead", sides.withTo(LineUpTo.lead)));
    all.add(new Phrase.Option("all of them", sides.withTo(LineUpTo.all)));
    all.add(new Phrase.Option("the centre line", sides.withTo(LineUpTo.centre)));
    all.add(new Phrase.Option("the datum", sides.withTo(LineUpTo.datum)));
    if (e.to() != LineUpTo.point) {
      all.add(new Phrase.Option("a point", sides.withTo(LineUpTo.point)));
    }
    LineUp toward =
        e.withAcross(null)
            .withDeep(null)
            .withHigh(null)
            .withNearness(e.nearness() == null ? LineUpPart.near : e.nearness());
    for (String name : Nouns.walls(w.shell)) {
      all.add(
          new Phrase.Option("wall " + name, toward.withTo(LineUpTo.wall).withWhat("wall:" + name)));
    }
    w.shell
        .platforms()
        .forEach(
            p ->
                all.add(
                    new Phrase.Option(
                        "the edge of " + p.id(),
                        toward.withTo(LineUpTo.edge).withWhat("platform:" + p.id()))));
    return all.toArray(Phrase.Option[]::new);
  }
}
