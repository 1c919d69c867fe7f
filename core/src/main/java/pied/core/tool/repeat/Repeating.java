package pied.core.tool.repeat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.EditSession;
import pied.core.edit.RepeatedArticle;
import pied.core.material.Finishes;
import pied.core.piece.Form;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Slot;
import pied.core.piece.Stance;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Target;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.Group;
import pied.core.space.Motion;
import pied.core.space.Repetition;
import pied.core.space.Rule;
import pied.core.space.Sample;
import pied.core.space.Spot;
import pied.core.space.Wholes;
import pied.core.units.Refusal;

/** What the edits that repeat have in common: they begin a repetition, or adjust one. */
public final class Repeating {
  private final EditSession session;
  private final List<List<String>> units;
  private final @Nullable Group group;
  private final List<Sample> mix;
  private final boolean renewed;

  private Repeating(
      EditSession session,
      List<List<String>> units,
      @Nullable Group group,
      List<Sample> mix,
      boolean renewed) {
    this.session = session;
    this.units = units;
    this.group = group;
    this.mix = mix;
    this.renewed = renewed;
  }

  /**
   * @param pieces what is repeated: each piece, and each group of which all are among them, is one
   *     of a mix; or all pieces of a repetition, which is adjusted then
   * @param group id of the repetition to adjust
   * @param of articles that are repeated instead
   */
  public static Repeating of(
      EditSession session,
      @Nullable List<String> pieces,
      @Nullable String group,
      @Nullable List<RepeatedArticle> of) {
    List<Sample> kinds = of == null || of.isEmpty() ? null : kinds(session, of);
    Group g = group == null ? null : session.filing().group(group);
    if (group != null && (g == null || g.repeats() == null)) {
      throw new Refusal("There is no such repetition in this space; it may have been dissolved.");
    }
    if (g == null && pieces != null && !pieces.isEmpty()) {
      g = whole(session, pieces);
    }
    if (g != null) {
      return new Repeating(
          session, List.of(), g, kinds == null ? g.repeats().mix() : kinds, kinds != null);
    }
    if (kinds != null) {
      return new Repeating(session, List.of(), null, kinds, false);
    }
    if (pieces == null || pieces.isEmpty()) {
      throw new Refusal("Select what is to be repeated, or name an article.");
    }
    return of(session, session.chosen(pieces));
  }

  /** Pieces that begin a repetition, those of a group as one. */
  private static Repeating of(EditSession session, List<String> chosen) {
    List<String> tops = Carriers.tops(session.space(), chosen);
    int parts = 0;
    List<List<String>> units = new ArrayList<>();
    List<Sample> mix = new ArrayList<>();
    for (List<String> ids : Wholes.of(session.space(), chosen)) {
      List<String> own = ids.stream().filter(tops::contains).toList();
      if (!own.isEmpty()) {
        List<String> all = List.copyOf(session.space().withCarried(own));
        parts += all.size();
        if (parts > Repetition.MOST_PARTS) {
          throw new Refusal(
              "What is repeated has up to {} pieces; keep some of them as one.",
              Repetition.MOST_PARTS);
        }
        units.add(all);
        mix.add(sample(session, all));
      }
    }
    return new Repeating(session, units, null, mix, false);
  }

  /** The repetition that is made of just these pieces. */
  private static @Nullable Group whole(EditSession session, List<String> pieces) {
    List<String> ids = session.chosen(pieces);
    for (String id : session.filing().about(session.piece(ids.get(0)).keeping().group())) {
      Group g = session.filing().group(id);
      if (g.repeats() != null) {
        return session.space().members(id).equals(new HashSet<>(ids)) ? g : null;
      }
    }
    return null;
  }

  private static List<Sample> kinds(EditSession session, List<RepeatedArticle> of) {
    List<Sample> mix = new ArrayList<>();
    for (RepeatedArticle k : of) {
      Article a = session.space().shapes().catalog().article(k.article());
      double share = k.share() == null ? 1 : k.share();
      if (!(share > 0 && share <= 1e6)) {
        throw new Refusal("A share is a number above 0.");
      }
      Form form = new Form(a.id(), a.size());
      Piece p =
          new Piece(
              "0", a.name(), form, new Stance(Vec.ZERO, 0), On.NOTHING, false, Finishes.NONE, null);
      mix.add(new Sample(List.of(p.withKeeping(session.fresh())), share));
    }
    return mix;
  }

  private static Sample sample(EditSession session, List<String> ids) {
    Stance lead = session.piece(ids.get(0)).stance();
    Motion home = new Motion(lead.at(), Vec.ZERO, -lead.turn());
    List<Piece> parts = new ArrayList<>();
    for (String id : ids) {
      Piece p = session.piece(id);
      parts.add(
          p.withStance(home.of(p.stance()))
              .withKeeping(
                  p.keeping().withGroup(null).withSlot(null).withTwin(null).withLocked(false)));
    }
    return new Sample(parts, 1);
  }

  public EditSession session() {
    return session;
  }

  /** The rule there was, if it is of this sort; else null. */
  public <R extends Rule> @Nullable R old(Class<R> sort) {
    Rule rule = group == null ? null : group.repeats().rule();
    return sort.isInstance(rule) ? sort.cast(rule) : null;
  }

  /** The first of what is repeated, where it is; null for what is not in the space yet. */
  @Nullable
  public Piece first() {
    if (group != null) {
      return members().values().stream().findFirst().map(l -> l.get(0)).orElse(null);
    }
    return units.isEmpty() ? null : session.piece(units.get(0).get(0));
  }

  /**
   * Where the first of what is not there yet comes to rest over a point, by its mounting.
   *
   * @throws Refusal if there is nothing that may carry it
   */
  public Stance begins(Spot at) {
    Piece p = mix.get(0).parts().get(0);
    Article a = session.space().article(p);
    Rest rest = new Resting(session.space(), a, p.size(), Set.of()).at(new Target.OnPlan(at), null);
    boolean stands = a.mounting() == Mounting.STANDS;
    double floor = session.space().shell().floorAt(at);
    Vec there = stands ? at.at(floor) : rest.at();
    return new Stance(there, rest.turn());
  }

  /** How high what is not there yet begins, by its mounting: 0 for what stands. */
  public double high(Spot near) {
    Article a = session.space().article(mix.get(0).parts().get(0));
    return a.mounting() == Mounting.STANDS ? 0 : begins(near).at().y();
  }

  /**
   * Where what hangs is under a bar or a truss over a point.
   *
   * @throws Refusal if it does not hang
   */
  public Vec hangs(Spot under) {
    Piece p = mix.get(0).parts().get(0);
    if (session.space().article(p).mounting() != Mounting.HANGS) {
      throw new Refusal("{} does not hang; from a bar or a truss goes only what hangs.", p.name());
    }
    return begins(under).at();
  }

  /** What is repeated for the first time, the first piece of each; none for what is adjusted. */
  public List<Piece> begins() {
    return units.stream().map(ids -> session.piece(ids.get(0))).toList();
  }

  /** Ids of what is repeated, as it is there now. */
  public Set<String> own() {
    Set<String> all = new LinkedHashSet<>();
    units.forEach(all::addAll);
    if (group != null) {
      all.addAll(session.space().members(group.id()));
    }
    return all;
  }

  private TreeMap<Long, List<Piece>> members() {
    TreeMap<Long, List<Piece>> all = new TreeMap<>();
    for (String id : session.space().members(group.id())) {
      Piece p = session.piece(id);
      if (p.keeping().slot() != null) {
        all.computeIfAbsent(p.keeping().slot().place(), k -> new ArrayList<>()).add(p);
      }
    }
    all.values().forEach(l -> l.sort(Comparator.comparingInt(p -> p.keeping().slot().part())));
    return all;
  }

  // ---- what is read from an edit

  /** A length that is given, or that there was. */
  public double length(@Nullable Amount a, double current) {
    double v = session.length(a, current);
    if (!Double.isFinite(v)) {
      throw new Refusal("Say how long that is.");
    }
    return v;
  }

  public static int count(@Nullable Amount a, int current) {
    return a == null ? current : a.whole(current);
  }

  /** A distance from one to the next: a gap, or one between middles, or what there was. */
  public Rule.Apart apart(@Nullable Amount gap, @Nullable Amount pitch, @Nullable Rule.Apart now) {
    if (gap != null && pitch != null) {
      throw new Refusal("Say how far apart, or how far from middle to middle, and not both.");
    }
    if (pitch != null) {
      return new Rule.Apart(length(pitch, now == null || !now.middles() ? 0 : now.by()), true);
    }
    if (gap != null) {
      return new Rule.Apart(length(gap, now == null || now.middles() ? 0 : now.by()), false);
    }
    return now;
  }

  // ---- doing it

  /**
   * Puts everything at its place.
   *
   * @param refill whether places that were taken out are filled again
   */
  public void lay(Rule rule, boolean refill) {
    lay(rule, refill, false);
  }

  /**
   * Puts everything at its place.
   *
   * @param stays whether what is repeated stays where it is, as one of them
   */
  public void lay(Rule rule, boolean refill, boolean stays) {
    Set<Long> empty = group == null || refill ? Set.of() : group.repeats().out();
    Repetition r = new Repetition(rule, mix, new TreeSet<>(empty));
    Group g = group == null ? begun(r) : group.withRepeats(r);
    session.rules(g.id());
    session.file(session.filing().with(g));
    if (group == null) {
      units.stream().flatMap(List::stream).forEach(session::follows);
    }
    Map<Long, List<Piece>> there = group == null ? null : members();
    Set<String> ignored = new HashSet<>();
    boolean begins = there == null && stays;
    if (begins) {
      there = Map.of(); // it is in the way of the others
    } else if (there == null) {
      units.forEach(ignored::addAll);
    } else {
      there.values().stream()
          .flatMap(List::stream)
          .filter(p -> !p.keeping().slot().own())
          .forEach(p -> ignored.addAll(session.space().withCarried(List.of(p.id()))));
    }
    LaidOut laid =
        Arrangement.of(g)
            .laid(session.space(), new Mixed(session.space(), r), ignored, session.deadline());
    if (begins || there == null) {
      there = assigned(laid);
    }
    if (begins) {
      there = standing(g, there);
    }
    boolean named = !units.isEmpty() || group != null;
    new Filling(session, g, r, renewed, named).fill(laid, there);
    laid.said().forEach(s -> session.say(s));
  }

  /** What is repeated stays where it is: each fills its place in a way of its own. */
  private Map<Long, List<Piece>> standing(Group g, Map<Long, List<Piece>> there) {
    Map<Long, List<Piece>> all = new LinkedHashMap<>();
    there.forEach(
        (place, pieces) -> {
          for (int k = 0; k < pieces.size(); k++) {
            Piece p = pieces.get(k);
            Slot slot = new Slot(place, k, true);
            session.set(p.withKeeping(p.keeping().withGroup(g.id()).withSlot(slot)));
          }
          all.put(place, pieces.stream().map(p -> session.piece(p.id())).toList());
        });
    return all;
  }

  /** What is repeated fills the first place of its sort. */
  private Map<Long, List<Piece>> assigned(LaidOut laid) {
    Map<Long, List<Piece>> there = new LinkedHashMap<>();
    boolean[] had = new boolean[units.size()];
    for (LaidOut.LaidPlace p : laid.places()) {
      if (p.sample() < had.length && !had[p.sample()]) {
        had[p.sample()] = true;
        there.put(p.number(), units.get(p.sample()).stream().map(session::piece).toList());
      }
    }
    return there;
  }

  private Group begun(Repetition r) {
    String called = mix.get(0).parts().get(0).name();
    Set<String> taken =
        session.filing().groups().stream().map(Group::name).collect(Collectors.toSet());
    String name = Names.free(Names.bare(called) + " " + r.rule().called(), taken);
    String in = null;
    if (!units.isEmpty()) {
      // within the group in which what is repeated is only a part
      for (String about :
          session.filing().about(session.piece(units.get(0).get(0)).keeping().group())) {
        if (!own().containsAll(session.space().members(about))) {
          in = about;
          break;
        }
      }
    }
    return new Group(session.newId(), name, in, r);
  }
}
