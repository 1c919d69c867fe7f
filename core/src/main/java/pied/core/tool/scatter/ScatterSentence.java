package pied.core.tool.scatter;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
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
import pied.core.space.Shell;
import pied.core.tool.repeat.Repeated;

/**
 * Such as "40 books and cups on these shelves, seed 7", "scatter 12 over the floor, 0.4 between
 * them", "9 planters within 1.5 of 3.0, 2.0, sizes by up to 20%".
 */
final class ScatterSentence implements Sentence<Scatter> {
  @Override
  public Class<Scatter> of() {
    return Scatter.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    boolean said = r.is("scatter|strew");
    Repeated what = Repeated.read(r, n);
    Scatter e =
        ScatterBuilder.builder().count(what.count()).of(what.of()).pieces(what.pieces(n)).build();
    if (!said && what.count() == null) {
      return null;
    }
    Scatter where = where(r, n, e, what.of() != null);
    if (where == null) {
      if (said) {
        throw r.unread();
      }
      return null;
    }
    return List.of(
        Clause.all(
            r,
            n,
            where,
            List.of(ScatterSentence::distances, ScatterSentence::chance, ScatterSentence::other)));
  }

  private static @Nullable Scatter where(Reading r, Nouns n, Scatter e, boolean articles) {
    if (r.is("over the floor|on the floor")) {
      return e;
    }
    if (r.is("over the outline|in the outline|over an outline|in an outline")) {
      return e.withOutline(Points.several(r));
    }
    if (r.is("within")) {
      Amount radius = r.length("a length");
      if (radius == null || !r.is("of")) {
        return null;
      }
      r.quietly("the point");
      if (r.length()) {
        return e.withRadius(radius).withAbout(Points.two(r));
      }
      String piece = n.piece();
      if (piece == null) {
        return null;
      }
      var at = n.space().piece(piece).at();
      return e.withRadius(radius).withAbout(new PlanPoint(Amount.of(at.x()), Amount.of(at.z())));
    }
    if (!r.is("on|onto")) {
      return null;
    }
    List<String> onto = n.pieces();
    if (onto == null) {
      return null;
    }
    Scatter on = e.withOnto(onto);
    return articles || on.pieces() == null
        ? on
        : on.withPieces(on.pieces().stream().filter(id -> !onto.contains(id)).toList());
  }

  private static @Nullable Scatter distances(Reading r, Nouns n, Scatter e) {
    int before = r.at();
    Amount many = r.angle("a number");
    if (many != null && r.is("to the square metre")) {
      return e.withDensity(many).withCount(null);
    }
    r.back(before);
    Amount by = r.length("a length");
    if (by == null) {
      return null;
    }
    if (r.is("between them|apart")) {
      return e.withLeast(by);
    }
    return r.is("off all else") ? e.withOff(by) : null;
  }

  private static @Nullable Scatter chance(Reading r, Nouns n, Scatter e) {
    if (r.is("turned by up to")) {
      Amount by = r.angle("an angle");
      return by == null ? null : e.withTurning(by);
    }
    if (r.is("turned")) {
      Amount by = r.angle("an angle");
      return by == null ? null : e.withTurn(by);
    }
    if (r.is("sizes by up to")) {
      Amount by = r.angle("a share of a hundred");
      r.quietly("%");
      return by == null ? null : e.withSizing(by);
    }
    return null;
  }

  private static @Nullable Scatter other(Reading r, Nouns n, Scatter e) {
    if (r.is("seed")) {
      Amount seed = r.whole("a whole number");
      return seed == null ? null : e.withSeed(seed);
    }
    return r.is("all places filled") ? e.withRefill(true) : null;
  }

  @Override
  public void write(Writer w, Scatter e) {
    w.text("Scatter ");
    if (e.density() == null) {
      Amount count = e.count() == null ? Amount.of(12) : e.count();
      w.field(Points.number(count), "How many", "count", e);
    }
    Repeated.write(w, e.of());
    w.text(" ");
    where(w, e);
    if (e.density() != null) {
      w.text(", ")
          .field(Points.number(e.density()), "How many to the square metre", "density", e)
          .text(" to the square metre");
    }
    Amount least = e.least() == null ? Amount.of(0.02) : e.least();
    w.text(", ").field(Points.length(w, least), "Least gap", "least", e).text(" between them");
    Amount turning = e.turning() == null ? Amount.of(180) : e.turning();
    w.text(", turned by up to ").field(Points.angle(turning), "Turned by chance", "turning", e);
    if (e.turn() != null) {
      w.text(", turned ").field(Points.angle(e.turn()), "Turn", "turn", e);
    }
    if (e.sizing() != null) {
      w.text(", sizes by up to ")
          .field(Points.number(e.sizing()) + "%", "Sizes by chance", "sizing", e);
    }
    if (e.off() != null) {
      w.text(", ").field(Points.length(w, e.off()), "Least gap to all else", "off", e);
      w.text(" off all else");
    }
    Amount seed = e.seed() == null ? Amount.of(1) : e.seed();
    w.text(", seed ").field(Points.number(seed), "Seed", "seed", e);
    w.text(". ");
    w.more("another, more …", "What else", more(e, seed));
  }

  private static List<Phrase.Option> more(Scatter e, Amount seed) {
    List<Phrase.Option> more = new ArrayList<>();
    int now = seed.text() == null ? (int) seed.number() : 1;
    more.add(new Phrase.Option("another", e.withSeed(Amount.of(now + 1))));
    if (e.sizing() == null) {
      more.add(new Phrase.Option("of several sizes", e.withSizing(Amount.of(10))));
    }
    if (e.off() == null) {
      more.add(new Phrase.Option("off all else", e.withOff(Amount.of(0.2))));
    }
    more.add(
        e.density() == null
            ? new Phrase.Option(
                "so many to the square metre", e.withDensity(Amount.of(2)).withCount(null))
            : new Phrase.Option("by their number", e.withDensity(null).withCount(Amount.of(12))));
    return more;
  }

  private static void where(Writer w, Scatter e) {
    Scatter floor = e.withOnto(null).withOutline(null).withAbout(null).withRadius(null);
    List<Phrase.Option> all = new ArrayList<>();
    all.add(new Phrase.Option("over the floor", floor));
    all.add(new Phrase.Option("over an outline that is drawn", floor.withOutline(List.of())));
    Coordinate middle = Shell.envelope(w.shell.outline()).centre();
    PlanPoint about = new PlanPoint(Amount.of(middle.x), Amount.of(middle.y));
    all.add(new Phrase.Option("about a point", floor.withAbout(about).withRadius(Amount.of(1))));
    String now = "over the floor";
    if (e.onto() != null && !e.onto().isEmpty()) {
      List<String> names = e.onto().stream().map(id -> Nouns.name(w.space, id)).toList();
      now = "on " + String.join(" and ", names);
    } else if (e.outline() != null) {
      boolean none = e.outline().isEmpty();
      now = none ? "over an outline" : "over the outline " + Points.several(w, e.outline());
    } else if (e.about() != null) {
      Amount radius = e.radius() == null ? Amount.of(1) : e.radius();
      w.text("within ").field(Points.length(w, radius), "How far they reach", "radius", e);
      w.text(" ");
      now = "of the point " + Points.two(w, e.about());
    }
    w.choice(now, "Where", all.toArray(Phrase.Option[]::new));
  }
}
