package pied.core.tool.trail;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.measure.Side;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.place.Hung;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.space.PartName;
import pied.core.space.Rule.RepeatFacing;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.Repeated;

/**
 * Such as "24 small trees along walls A and B", "stools along the front of the counter, 0.3 apart,
 * 0.2 off", "5 along the path 1, 1 to 4, 1 to 4, 3, facing along it".
 */
public final class TrailSentence implements Sentence<Trail> {
  private static final List<Clause<Trail>> CLAUSES =
      List.of(TrailSentence::apart, TrailSentence::facing, TrailSentence::other);

  @Override
  public Class<Trail> of() {
    return Trail.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    Edit there = n.repetition(TrailRule.class, Arrangement::adjusting);
    List<Edit> adjusted =
        there == null ? null : Repeated.adjusted(r, n, (Trail) there, Trail::withCount, CLAUSES);
    if (adjusted != null) {
      return adjusted;
    }
    r.quietly("a trail of");
    Repeated what = Repeated.read(r, n);
    if (!r.is("along")) {
      return null;
    }
    Trail e =
        TrailBuilder.builder().count(what.count()).of(what.of()).pieces(what.pieces(n)).build();
    Trail on = path(r, n, e);
    if (on == null) {
      throw r.unread();
    }
    return List.of(Clause.all(r, n, on, CLAUSES));
  }

  private static @Nullable Trail path(Reading r, Nouns n, Trail e) {
    if (r.quietly("its path")) {
      return e;
    }
    if (r.is("walls|the walls")) {
      List<String> walls = new ArrayList<>();
      String wall = n.letter();
      while (wall != null) {
        walls.add("wall:" + wall);
        wall = r.maybe(() -> r.quietly("and|,") ? n.letter() : null);
      }
      return walls.isEmpty() ? null : e.withAlong(walls);
    }
    String wall = n.wall();
    if (wall != null) {
      return e.withAlong(List.of("wall:" + wall));
    }
    if (r.is("the path|a path")) {
      return e.withPath(Points.several(r));
    }
    String bar = n.bar();
    if (bar != null) {
      return e.withAlong(List.of("bar:" + bar));
    }
    if (r.is("the edge of")) {
      String p = n.platform();
      return p == null ? null : e.withAlong(List.of("platform:" + p));
    }
    for (Side s : List.of(Side.front, Side.back, Side.left, Side.right)) {
      if (r.is("the " + s.called() + " of")) {
        String piece = n.piece();
        return piece == null ? null : e.withAlong(List.of(piece)).withSide(s);
      }
    }
    String piece = r.maybe(n::piece);
    if (piece != null && Hung.isRigged(n.space(), piece)) {
      return e.withAlong(List.of(piece)).withSide(null);
    }
    return null;
  }

  private static @Nullable Trail apart(Reading r, Nouns n, Trail e) {
    int before = r.at();
    if (r.is("touching")) {
      return e.withGap(Amount.of(0)).withPitch(null);
    }
    if (r.is("turned")) {
      Amount by = r.angle("an angle");
      return by == null ? null : e.withTurn(by);
    }
    Amount by = r.length("a length");
    if (by == null) {
      r.back(before);
      return null;
    }
    if (r.is("from middle to middle")) {
      return e.withPitch(by).withGap(null);
    }
    if (r.is("apart|gaps")) {
      return e.withGap(by).withPitch(null);
    }
    return r.is("off|off it") ? e.withOffset(by) : null;
  }

  private static @Nullable Trail facing(Reading r, Nouns n, Trail e) {
    for (Map.Entry<RepeatFacing, String> f : Repeated.FACING.entrySet()) {
      if (r.is(f.getValue())) {
        return e.withFacing(f.getKey());
      }
    }
    return null;
  }

  private static @Nullable Trail other(Reading r, Nouns n, Trail e) {
    if (r.is("inside|within it")) {
      return e.withInside(true);
    }
    if (r.is("outside")) {
      return e.withInside(false);
    }
    if (r.is("closed")) {
      return e.withClosed(true);
    }
    return r.is("all places filled") ? e.withRefill(true) : null;
  }

  // ---- writing

  @Override
  public void write(Writer w, Trail e) {
    boolean spaced = e.gap() != null || e.pitch() != null;
    Amount count = e.count() == null ? Amount.of(5) : e.count();
    boolean counted = !spaced || e.count() != null;
    if (counted) {
      w.field(Points.number(count), "How many", "count", e);
    }
    Repeated.write(w, e.of());
    w.text(counted || e.of() != null ? " along " : "Along ");
    path(w, e);
    if (spaced) {
      spacing(w, e);
    }
    if (e.offset() != null) {
      w.text(", ").field(Points.length(w, e.offset()), "How far off it", "offset", e).text(" off");
    }
    RepeatFacing facing =
        e.facing() != null
            ? e.facing()
            : e.path() == null ? RepeatFacing.inward : RepeatFacing.along;
    w.text(", ").choice(Repeated.FACING.get(facing), "How they face", facings(e));
    if (e.turn() != null) {
      w.text(", turned ").field(Points.angle(e.turn()), "Turn", "turn", e);
    }
    if (e.inside() != null) {
      w.text(e.inside() ? ", inside" : ", outside");
    }
    if (Boolean.TRUE.equals(e.closed())) {
      w.text(", closed");
    }
    w.text(". ");
    w.more("more …", "What else", more(e, spaced, count));
  }

  private static void spacing(Writer w, Trail e) {
    boolean middles = e.pitch() != null;
    Amount by = middles ? e.pitch() : e.gap();
    w.text(", ").field(Points.length(w, by), "How far apart", middles ? "pitch" : "gap", e);
    w.text(" ")
        .choice(
            middles ? "from middle to middle" : "apart",
            "From where to where",
            new Phrase.Option("apart", e.withGap(by).withPitch(null)),
            new Phrase.Option("from middle to middle", e.withPitch(by).withGap(null)));
  }

  private static List<Phrase.Option> more(Trail e, boolean spaced, Amount count) {
    List<Phrase.Option> more = new ArrayList<>();
    if (spaced) {
      boolean walls = e.along() != null && !e.along().isEmpty();
      String whole = walls ? "from end to end" : "over all of it";
      more.add(new Phrase.Option(whole, e.withGap(null).withPitch(null).withCount(count)));
    }
    if (!spaced || e.count() != null) {
      Amount gap = e.gap() != null || e.pitch() != null ? e.gap() : Amount.of(0.2);
      if (!spaced) {
        more.add(new Phrase.Option("that many, so far apart", e.withCount(count).withGap(gap)));
      }
      more.add(new Phrase.Option("as many as fit, so far apart", e.withCount(null).withGap(gap)));
    } else {
      more.add(new Phrase.Option("so many of them", e.withCount(count)));
    }
    if (e.offset() == null) {
      more.add(new Phrase.Option("off it", e.withOffset(Amount.of(0.1))));
    }
    if (e.turn() == null) {
      more.add(new Phrase.Option("turned", e.withTurn(Amount.of(90))));
    }
    return more;
  }

  private static Phrase.Option[] facings(Trail e) {
    return Repeated.FACING.entrySet().stream()
        .map(f -> new Phrase.Option(f.getValue(), e.withFacing(f.getKey())))
        .toArray(Phrase.Option[]::new);
  }

  private static void path(Writer w, Trail e) {
    if (e.path() != null && e.path().isEmpty()) {
      w.text("a path");
      return;
    }
    if (e.path() != null) {
      w.text("the path " + Points.several(w, e.path()));
      return;
    }
    List<String> along = e.along() == null ? List.of() : e.along();
    List<Phrase.Option> all = new ArrayList<>();
    if (along.isEmpty()) {
      all.add(new Phrase.Option("its path", e));
    }
    for (String name : Nouns.walls(w.shell)) {
      all.add(new Phrase.Option("wall " + name, e.withAlong(List.of("wall:" + name))));
    }
    w.shell
        .platforms()
        .forEach(
            p ->
                all.add(
                    new Phrase.Option(
                        "the edge of " + p.id(), e.withAlong(List.of("platform:" + p.id())))));
    w.shell
        .bars()
        .forEach(b -> all.add(new Phrase.Option(b.id(), e.withAlong(List.of("bar:" + b.id())))));
    w.choice(along(w, e, along), "Along what", all.toArray(Phrase.Option[]::new));
  }

  private static String along(Writer w, Trail e, List<String> along) {
    if (along.isEmpty()) {
      return "its path";
    }
    if (w.space.has(along.get(0)) && Hung.isRigged(w.space, along.get(0))) {
      return Nouns.name(w.space, along.get(0));
    }
    if (along.get(0).startsWith("bar:")) {
      return PartName.read(along.get(0)).id();
    }
    if (w.space.has(along.get(0))) {
      Side s = e.side() == null ? Side.front : e.side();
      return "the " + s.called() + " of " + Nouns.name(w.space, along.get(0));
    }
    PartName first = PartName.read(along.get(0));
    if (first.kind() == PartName.PartKind.platform) {
      return "the edge of " + first.id();
    }
    List<String> names = along.stream().map(a -> PartName.read(a).id()).toList();
    return (names.size() == 1 ? "wall " : "walls ") + String.join(" and ", names);
  }
}
