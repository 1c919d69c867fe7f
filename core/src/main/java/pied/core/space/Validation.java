package pied.core.space;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import pied.core.material.Finish;
import pied.core.piece.Keeping;
import pied.core.piece.Lamp;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.piece.Slot;
import pied.core.show.Showing;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * Makes of a space that comes from elsewhere one that edits could have made: what is not sound is
 * left out or set right, and said. It costs what there is, and never more.
 */
public final class Validation {
  /** Most groups, and lines of twins: there are no more pieces than that. */
  private static final int MOST_THINGS = Bounds.MOST_THINGS;

  private final Map<String, Integer> said = new TreeMap<>();

  // ---- how pieces are kept in order

  /**
   * What is sound of how pieces are kept in order.
   *
   * @param pieces ids of those there are
   * @param shell what they are in
   * @throws Refusal if there is out of all measure much of it
   */
  public Filing filing(Filing f, Set<String> pieces, Shell shell) {
    if (f.groups().size() > MOST_THINGS || f.twins().size() > MOST_THINGS) {
      throw new Refusal("It has more groups than a space may hold.");
    }
    return Filing.of(layers(f), groups(f), selections(f, pieces, shell), twins(f), parts(f, shell));
  }

  private List<Layer> layers(Filing f) {
    List<Layer> kept = new ArrayList<>();
    Set<String> ids = new HashSet<>();
    Set<String> names = new HashSet<>();
    for (Layer l : f.layers()) {
      boolean fits = kept.size() < Layer.MOST;
      if (!fits || !isSound(() -> Validity.id(l.id())) || !ids.add(l.id())) {
        say("layer", fits ? "has no id of its own" : "is more than a space may have");
        continue;
      }
      try {
        String name = Text.name("A layer", l.name());
        String colour = l.colour() == null ? null : Finish.colour(l.colour());
        if (names.add(name.toLowerCase(Locale.ROOT))) {
          kept.add(l.withName(name).withColour(colour));
        } else {
          say("layer", "has the name of another");
        }
      } catch (Refusal e) {
        say("layer", "cannot be kept: " + e.getMessage());
      }
    }
    return kept;
  }

  private List<Group> groups(Filing f) {
    Map<String, Group> kept = new TreeMap<>();
    for (Group g : f.groups()) {
      try {
        String name = Text.name("A group", g.name());
        Validity.id(g.id());
        if (g.repeats() != null && !isSound(g.repeats())) {
          say("group", "has a rule that makes no sense, and is kept without it");
          kept.put(g.id(), g.withName(name).withRepeats(null));
        } else {
          kept.put(g.id(), g.withName(name));
        }
      } catch (Refusal e) {
        say("group", "cannot be kept: " + e.getMessage());
      }
    }
    // within one another to no end, too deep, or in one that is not there: then in none
    Map<String, Integer> deep = new TreeMap<>();
    List<String> lost = new ArrayList<>();
    for (String id : kept.keySet()) {
      if (depth(kept, deep, id) > Group.DEEPEST) {
        lost.add(id);
      }
    }
    lost.forEach(id -> kept.put(id, kept.get(id).withIn(null)));
    if (!lost.isEmpty()) {
      said.merge(
          "are in one another without end, and are each by themselves now",
          lost.size(),
          Integer::sum);
    }
    kept.replaceAll((id, g) -> g.in() == null || kept.containsKey(g.in()) ? g : g.withIn(null));
    return List.copyOf(kept.values());
  }

  /** How deep a group is in others; above the most for one that is in itself. */
  private static int depth(Map<String, Group> all, Map<String, Integer> known, String id) {
    Set<String> way = new LinkedHashSet<>();
    String at = id;
    while (at != null && all.containsKey(at) && !known.containsKey(at)) {
      if (!way.add(at)) {
        way.forEach(w -> known.put(w, MOST_THINGS)); // round in a circle
        return MOST_THINGS;
      }
      at = all.get(at).in();
    }
    int n = at == null || !known.containsKey(at) ? 0 : known.get(at);
    List<String> back = new ArrayList<>(way);
    for (int i = back.size() - 1; i >= 0; i--) {
      known.put(back.get(i), n = Math.min(MOST_THINGS, n + 1));
    }
    return known.get(id);
  }

  private List<NamedSelection> selections(Filing f, Set<String> pieces, Shell shell) {
    List<NamedSelection> kept = new ArrayList<>();
    for (NamedSelection s : f.selections()) {
      Set<String> there = new LinkedHashSet<>(s.pieces());
      there.removeIf(id -> !pieces.contains(id) && shell.part(PartName.read(id)) == null);
      if (kept.size() >= NamedSelection.MOST) {
        say("selection", "is more than a space may have");
      } else if (!isSound(() -> Text.name("A selection", s.name()))) {
        say("selection", "has no name that can be kept");
      } else if (!there.isEmpty()) {
        kept.add(new NamedSelection(Text.name("A selection", s.name()), List.copyOf(there)));
      }
    }
    return kept;
  }

  private List<Twin> twins(Filing f) {
    List<Twin> kept = new ArrayList<>();
    for (Twin t : f.twins()) {
      if (isSound(() -> Validity.id(t.id())) && Validity.near(t.at())) {
        kept.add(t);
      } else {
        say("line of twins", "is nowhere");
      }
    }
    return kept;
  }

  /** Of parts that are there; in groups, and twins of parts, that are there too. */
  private List<KeptPart> parts(Filing f, Shell shell) {
    List<KeptPart> kept = new ArrayList<>();
    for (KeptPart k : f.parts()) {
      try {
        if (shell.part(k.part()) == null) {
          throw new Refusal("is not there");
        }
        String name = k.name() == null ? null : Text.name("A part", k.name());
        Keeping q = k.keeping().withSlot(null);
        q = f.group(q.group()) == null ? q.withGroup(null) : q;
        q = q.twin() == null || isPair(f, k, shell) ? q : q.withTwin(null);
        kept.add(new KeptPart(k.part(), name, remarked(q)));
      } catch (Refusal e) {
        say("part of the shell", "cannot be kept in order: " + e.getMessage());
      }
    }
    return kept;
  }

  private static boolean isPair(Filing f, KeptPart k, Shell shell) {
    Partner there = k.keeping().twin();
    if (there.piece() == null || f.twin(there.twin()) == null) {
      return false;
    }
    PartName other = PartName.read(there.piece());
    Partner back = f.part(other).keeping().twin();
    return shell.part(other) != null
        && back != null
        && back.twin().equals(there.twin())
        && k.part().text().equals(back.piece())
        && back.first() != there.first();
  }

  /**
   * What is sound of how a space is shown.
   *
   * @param pieces ids of those there are
   */
  public Showing showing(Showing s, Set<String> pieces) {
    return ShowingValidation.of(s, pieces, this::say);
  }

  // ---- rules

  private static boolean isSound(Repetition r) {
    int parts = 0;
    for (Sample s : r.mix()) {
      parts += s.parts().size();
      for (Piece p : s.parts()) {
        if (!Validity.near(p.at()) || !isSound(() -> Validity.size(p.name(), p.size()))) {
          return false;
        }
      }
      if (s.parts().isEmpty() || !(s.share() > 0 && s.share() <= 1e6)) {
        return false;
      }
    }
    boolean few = parts > 0 && parts <= Repetition.MOST_PARTS && r.out().size() <= MOST_THINGS;
    return few && r.rule() != null && r.rule().sound();
  }

  // ---- pieces

  /**
   * A piece as it can be kept by itself: what is not of the size its article comes in is stretched.
   *
   * @param ready the space with its layers and groups
   * @throws Refusal if it cannot
   */
  public static Piece piece(Space ready, Piece p) {
    Piece q = p.withOn(On.NOTHING).withAttached(false);
    Keeping k = q.keeping();
    Filing f = ready.filing();
    k = f.layer(k.layer()) == null ? k.withLayer(f.layers().get(0).id()) : k;
    Group g = f.group(k.group());
    k = g == null ? k.withGroup(null) : k;
    Slot slot = k.slot();
    boolean kept = g != null && g.repeats() != null && slot != null && slot.place() >= 0;
    k = kept || slot == null ? k : k.withSlot(null);
    q = q.withLamp(lamp(q.lamp()));
    q = q.withKeeping(remarked(k)).withName(Text.name("A piece", p.name()));
    Validity.pieces(ready, List.of(q));
    if (!q.form().stretched() && !isOfItsKind(ready, q)) {
      q = q.withForm(q.form().withStretched(true));
    }
    return q.withOn(p.on()).withAttached(p.attached());
  }

  private static Lamp lamp(Lamp l) {
    boolean aimed = l.aim() == null || Validity.near(l.aim().at());
    boolean filter = l.filter() == null || isSound(() -> Finish.colour(l.filter()));
    boolean circuit = l.circuit() == null || isSound(() -> Text.name("A circuit", l.circuit()));
    return l.withAim(aimed ? l.aim() : null)
        .withFilter(filter ? l.filter() : null)
        .withCircuit(circuit ? l.circuit() : null);
  }

  private static Keeping remarked(Keeping k) {
    int most = Math.min(k.remark().length(), Keeping.LONGEST_REMARK);
    return k.withRemark(Text.clean(k.remark().substring(0, most)));
  }

  private static boolean isOfItsKind(Space ready, Piece p) {
    return isSound(() -> ready.article(p).check(p.name(), p.size()));
  }

  /**
   * A space in which what carries what has an end, and who is whose twin is so from both sides.
   *
   * @param space its pieces are sound, each by itself
   */
  public Space whole(Space space) {
    List<Piece> next = new ArrayList<>();
    Set<String> ends = new HashSet<>();
    for (Piece p : space.pieces()) {
      Piece q = p;
      if (!Validity.there(space, p.on()) || !hasEnd(space, p, ends)) {
        q = q.withOn(On.NOTHING).withAttached(false);
        say("piece", "was carried by nothing there is");
      }
      Partner t = p.keeping().twin();
      if (t != null && !isTwin(space, p, t)) {
        q = q.withKeeping(q.keeping().withTwin(null));
      }
      if (!q.equals(p)) {
        next.add(q);
      }
    }
    return space.with(next);
  }

  private static boolean hasEnd(Space space, Piece p, Set<String> ends) {
    Set<String> way = new HashSet<>();
    Piece at = p;
    while (at.on().kind() == On.OnKind.piece && !ends.contains(at.id())) {
      if (!way.add(at.id()) || !space.has(at.on().id())) {
        return false;
      }
      at = space.piece(at.on().id());
    }
    ends.addAll(way);
    return true;
  }

  private static boolean isTwin(Space space, Piece p, Partner t) {
    if (space.filing().twin(String.valueOf(t.twin())) == null
        || t.piece() == null
        || !space.has(t.piece())
        || t.piece().equals(p.id())) {
      return false;
    }
    Partner other = space.piece(t.piece()).keeping().twin();
    return other != null && p.id().equals(other.piece()) && t.twin().equals(other.twin());
  }

  // ---- what was done

  /**
   * Whether what was done leads from one sound space to another.
   *
   * @param after what is there then
   */
  public static boolean leads(Space after, List<Difference> done) {
    try {
      for (Difference d : done) {
        if (d instanceof Difference.OfPiece p && p.piece() != null) {
          Validity.pieces(after, List.of(after.piece(p.id()).withOn(On.NOTHING)));
        }
      }
      boolean filed = done.stream().anyMatch(d -> d instanceof Difference.OfFiling);
      Validation look = new Validation();
      Set<String> ids = new HashSet<>();
      if (filed) {
        after.pieces().forEach(p -> ids.add(p.id()));
        look.filing(after.filing(), ids, after.shell());
      }
      if (done.stream().anyMatch(d -> d instanceof Difference.OfShown)) {
        look.showing(after.showing(), ids);
      }
      return look.said.isEmpty() && carried(after, done);
    } catch (RuntimeException e) { // whatever may be in it
      return false;
    }
  }

  private static boolean carried(Space after, List<Difference> done) {
    Set<String> ends = new HashSet<>();
    Predicate<Piece> ok = p -> Validity.there(after, p.on()) && hasEnd(after, p, ends);
    return done.stream()
        .filter(d -> d instanceof Difference.OfPiece p && p.piece() != null)
        .allMatch(d -> ok.test(after.piece(((Difference.OfPiece) d).id())));
  }

  // ---- words

  /** What was left out or set right, in sentences. */
  public List<String> said() {
    return said.entrySet().stream().map(e -> sentence(e.getValue(), e.getKey())).toList();
  }

  private void say(String what, String why) {
    said.merge(what + " " + why, 1, Integer::sum);
  }

  private static String sentence(int n, String what) {
    if (what.startsWith("are ")) {
      return n + " groups " + what + ".";
    }
    String end = what.endsWith(".") ? "" : ".";
    return (n == 1 ? "One " : n + " times a ") + what + end;
  }

  static boolean isSound(Runnable look) {
    try {
      look.run();
      return true;
    } catch (Refusal e) {
      return false;
    }
  }
}
