package pied.core.tool.ring;

import java.util.ArrayList;
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
import pied.core.space.Rule.RepeatFacing;
import pied.core.tool.repeat.Repeated;

/**
 * Such as "ring of 6 around the round table, 0.1 off, facing in", "5 stools around 3.0, 1.5, radius
 * 1.2, over 120° from -60°".
 */
final class RingSentence implements Sentence<Ring> {
  @Override
  public Class<Ring> of() {
    return Ring.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    boolean said = r.is("ring of|a ring of");
    Repeated what = Repeated.read(r, n);
    if (!r.is("around|round")) {
      if (said) {
        throw r.unread();
      }
      return null;
    }
    Ring e = RingBuilder.builder().count(what.count()).of(what.of()).pieces(what.pieces(n)).build();
    if (r.quietly("its middle")) {
      return List.of(all(r, n, e));
    }
    if (r.quietly("the point") || r.length()) {
      e = e.withAt(Points.two(r));
    } else {
      String piece = n.piece();
      if (piece == null) {
        throw r.unread();
      }
      e = e.withAround(piece);
      if (e.pieces() != null && e.pieces().contains(piece)) {
        e = e.withPieces(e.pieces().stream().filter(id -> !id.equals(piece)).toList());
      }
    }
    return List.of(all(r, n, e));
  }

  private static Ring all(Reading r, Nouns n, Ring e) {
    return Clause.all(
        r, n, e, List.of(RingSentence::off, RingSentence::facing, RingSentence::other));
  }

  private static @Nullable Ring off(Reading r, Nouns n, Ring e) {
    if (r.is("radius")) {
      Amount by = r.length("a length");
      return by == null ? null : e.withRadius(by).withGap(null);
    }
    Amount by = r.length("a length");
    return by != null && r.is("off|off it") ? e.withGap(by).withRadius(null) : null;
  }

  private static @Nullable Ring facing(Reading r, Nouns n, Ring e) {
    for (Map.Entry<RepeatFacing, String> f : Repeated.FACING.entrySet()) {
      if (r.is(f.getValue())) {
        return e.withFacing(f.getKey());
      }
    }
    return null;
  }

  private static @Nullable Ring other(Reading r, Nouns n, Ring e) {
    if (r.is("over")) {
      Amount arc = r.angle("an angle");
      return arc == null ? null : e.withArc(arc);
    }
    if (r.is("from")) {
      Amount from = r.angle("an angle");
      return from == null ? null : e.withFrom(from);
    }
    if (r.is("turned")) {
      Amount by = r.angle("an angle");
      return by == null ? null : e.withTurn(by);
    }
    return r.is("all places filled") ? e.withRefill(true) : null;
  }

  @Override
  public void write(Writer w, Ring e) {
    Amount count = e.count() == null ? Amount.of(6) : e.count();
    w.text("Ring of ").field(Points.number(count), "How many", "count", e);
    Repeated.write(w, e.of());
    w.text(" around ");
    if (e.at() != null) {
      w.text("the point " + Points.two(w, e.at()));
    } else if (e.around() != null) {
      w.word(Nouns.name(w.space, e.around()), null);
    } else {
      w.text("its middle");
    }
    w.text(", ");
    if (e.radius() != null) {
      w.text("radius ").field(Points.length(w, e.radius()), "Radius", "radius", e);
    } else {
      Amount gap = e.gap() == null ? Amount.of(0.1) : e.gap();
      w.field(Points.length(w, gap), "How far off the edge", "gap", e).text(" off");
    }
    RepeatFacing facing = e.facing() == null ? RepeatFacing.inward : e.facing();
    w.text(", ")
        .choice(
            Repeated.FACING.get(facing),
            "How they face",
            Repeated.FACING.entrySet().stream()
                .map(f -> new Phrase.Option(f.getValue(), e.withFacing(f.getKey())))
                .toArray(Phrase.Option[]::new));
    if (e.arc() != null) {
      w.text(", over ").field(Points.angle(e.arc()), "Arc", "arc", e);
    }
    if (e.from() != null) {
      w.text(", from ").field(Points.angle(e.from()), "Where it begins", "from", e);
    }
    if (e.turn() != null) {
      w.text(", turned ").field(Points.angle(e.turn()), "Turn", "turn", e);
    }
    w.text(". ");
    w.more("more …", "What else", more(e));
  }

  private static List<Phrase.Option> more(Ring e) {
    List<Phrase.Option> more = new ArrayList<>();
    more.add(
        e.radius() == null
            ? new Phrase.Option("by a radius", e.withRadius(Amount.of(1.2)).withGap(null))
            : new Phrase.Option("by the edge", e.withGap(Amount.of(0.1)).withRadius(null)));
    if (e.arc() == null) {
      more.add(
          new Phrase.Option("over an arc", e.withArc(Amount.of(180)).withFrom(Amount.of(-90))));
    }
    if (e.turn() == null) {
      more.add(new Phrase.Option("turned", e.withTurn(Amount.of(15))));
    }
    return more;
  }
}
