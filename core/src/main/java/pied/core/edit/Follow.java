package pied.core.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.piece.On;
import pied.core.piece.Partner;
import pied.core.piece.Piece;
import pied.core.piece.Slot;
import pied.core.piece.Stance;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.KeptPart;
import pied.core.space.Motion;
import pied.core.space.Part;
import pied.core.space.Repetition;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Twin;

/**
 * What follows any edit by itself: a repetition that was moved as a whole goes on from where it is,
 * a piece of one that was altered by itself is its own from then on, what was done to one of two
 * twins is done to the other, and lanterns look at what they are aimed at. It is read off what
 * became of the pieces, so that it holds for every edit there is.
 */
final class Follow {
  /** Moved alike to so much, metres and degrees. */
  private static final double ALIKE = Tolerance.FINE;

  private final EditSession session;
  private final Space before;
  private final List<String> touched;
  private final Set<String> ruled;
  private final Set<String> named;

  /** Lines of twins that went along with all that are twins by them. */
  private final Set<String> went = new HashSet<>();

  /**
   * @param before the space before the edit
   * @param touched ids of the pieces it may have altered, put in or taken out
   * @param ruled ids of repetitions and twins that it has set right itself
   * @param named ids of the pieces that the edit was for, the lead last
   */
  Follow(
      EditSession session,
      Space before,
      List<String> touched,
      Set<String> ruled,
      Iterable<String> named) {
    this.session = session;
    this.before = before;
    this.touched = touched;
    this.ruled = Set.copyOf(ruled);
    this.named = new LinkedHashSet<>();
    named.forEach(this.named::add);
  }

  void all() {
    repetitions();
    parts();
    twins();
    AimedHeads.follow(session);
  }

  private @Nullable Piece was(String id) {
    return before.has(id) ? before.piece(id) : null;
  }

  private @Nullable Piece is(String id) {
    return session.space().has(id) ? session.piece(id) : null;
  }

  private static boolean same(Piece a, Piece b) {
    return a.fills(b) && a.finishes().equals(b.finishes()) && a.attached() == b.attached();
  }

  // ---- repetitions

  private void repetitions() {
    Map<String, List<String>> changed = new LinkedHashMap<>();
    for (String id : touched) {
      Piece was = was(id);
      Piece is = is(id);
      Slot slot = was == null ? null : was.keeping().slot();
      String group = was == null ? null : was.keeping().group();
      if (slot == null || group == null || ruled.contains(group)) {
        continue;
      }
      if (is == null) {
        takenOut(group, slot);
      } else if (is.keeping().slot() != null && !is.fills(was)) {
        changed.computeIfAbsent(is.keeping().group(), k -> new ArrayList<>()).add(id);
      }
    }
    changed.forEach(this::altered);
  }

  /** A place of which nothing is left stays empty. */
  private void takenOut(String group, Slot slot) {
    Group g = session.filing().group(group);
    if (g != null && g.repeats() != null && !filled(g, slot.place())) {
      session.file(session.filing().with(g.withRepeats(g.repeats().without(slot.place()))));
    }
  }

  private boolean filled(Group g, long place) {
    return session.space().members(g.id()).stream()
        .map(id -> session.piece(id).keeping().slot())
        .anyMatch(s -> s != null && s.place() == place);
  }

  private void altered(String group, List<String> ids) {
    Group g = session.filing().group(group);
    Repetition r = g == null ? null : g.repeats();
    if (r == null) {
      return;
    }
    long places =
        session.space().members(group).stream()
            .filter(id -> session.piece(id).keeping().slot() != null)
            .count();
    Motion m = ids.size() == places ? together(ids) : null;
    if (m != null) {
      session.file(session.filing().with(g.withRepeats(r.moved(m))));
      return;
    }
    ids.forEach(session::follows);
    session.alter(ids, p -> p.withKeeping(p.keeping().withSlot(p.keeping().slot().asOwn())));
  }

  /** The one move that all of these have made; null if they went about differently. */
  private @Nullable Motion together(List<String> ids) {
    Motion m = Motion.between(was(ids.get(0)).stance(), is(ids.get(0)).stance());
    if (m == null) {
      return null;
    }
    for (String id : ids) {
      Piece was = was(id);
      Piece is = is(id);
      Stance there = m.of(was.stance());
      double turned = Math.abs(Math.IEEEremainder(there.turn() - is.turn(), 360));
      double off = Math.hypot(there.at().x() - is.at().x(), there.at().z() - is.at().z());
      if (!was.form().equals(is.form())
          || !was.lean().equals(is.lean())
          || turned > ALIKE
          || off > ALIKE) {
        return null;
      }
    }
    return m;
  }

  // ---- twins among parts of the shell

  private void parts() {
    Shell was = before.shell();
    if (was == session.space().shell()) {
      return;
    }
    Map<String, List<KeptPart>> lines = new LinkedHashMap<>();
    for (KeptPart k : session.filing().parts()) {
      Partner t = k.keeping().twin();
      Part old = was.part(k.part());
      boolean altered = old != null && !old.equals(session.space().shell().part(k.part()));
      if (t != null && altered && !ruled.contains(t.twin())) {
        lines.computeIfAbsent(t.twin(), l -> new ArrayList<>()).add(k);
      }
    }
    lines.forEach(this::parts);
  }

  /** The others become the images of those that were altered, unless all went alike. */
  private void parts(String line, List<KeptPart> altered) {
    Twin twin = session.filing().twin(line);
    Vec by = altered.size() == Paired.parts(session, line) ? alike(line, altered) : null;
    if (by != null) {
      session.file(session.filing().with(twin.withAt(twin.at().plus(by))));
      went.add(line);
      return;
    }
    Set<String> done = new HashSet<>();
    Shell shell = session.space().shell();
    altered.sort(Comparator.comparing(k -> !k.keeping().twin().first()));
    for (KeptPart k : altered) {
      if (!done.contains(k.part().text())) {
        done.add(k.keeping().twin().piece());
        shell = BuiltIn.image(shell, twin, k);
      }
    }
    if (!shell.equals(session.space().shell())) {
      session.build(shell, Map.of(), altered.get(0).part());
    }
  }

  /** The one way that all parts and pieces by a line have gone; null if they went differently. */
  private @Nullable Vec alike(String line, List<KeptPart> altered) {
    Shell shell = session.space().shell();
    Part first =
        altered.stream()
            .map(k -> before.shell().part(k.part()))
            .filter(p -> p.anchor() != null)
            .findFirst()
            .orElse(null);
    if (first == null) {
      return null;
    }
    Vec by = shell.part(first.name()).anchor().minus(first.anchor());
    for (KeptPart k : altered) {
      Part was = before.shell().part(k.part());
      Part there = was.moved(by, before.shell());
      if (!there.equals(shell.part(k.part()))) {
        return null;
      }
    }
    for (Piece p : session.space().pieces()) {
      Partner t = p.keeping().twin();
      Piece was = was(p.id());
      if (t != null && t.twin().equals(line) && was != null) {
        if (p.at().minus(was.at()).distance(by) > ALIKE || p.turn() != was.turn()) {
          return null;
        }
      }
    }
    return by;
  }

  // ---- twins

  private void twins() {
    Set<String> gone = new LinkedHashSet<>();
    Set<String> lines = new LinkedHashSet<>();
    Map<String, List<String>> both = new LinkedHashMap<>();
    List<String> wanting = new ArrayList<>();
    Set<String> all = new HashSet<>(touched);
    for (String id : touched) {
      Piece was = was(id);
      Piece is = is(id);
      Partner had = was == null ? null : was.keeping().twin();
      Partner has = is == null ? null : is.keeping().twin();
      if (is == null) {
        if (had != null && !ruled.contains(had.twin())) {
          lines.add(had.twin());
          gone.add(had.piece());
        }
      } else if (has == null) {
        if (was == null && twin(is.on()) != null) {
          wanting.add(id);
        }
      } else if (has.piece() == null) {
        wanting.add(id);
      } else if (!isSet(has.twin()) && was != null && !same(was, is)) {
        if (all.contains(has.piece()) && changed(has.piece())) {
          both.computeIfAbsent(has.twin(), k -> new ArrayList<>()).add(id);
        } else {
          image(is);
        }
      }
    }
    both.forEach(this::bothSides);
    gone.removeIf(id -> id == null || !session.space().has(id));
    if (!gone.isEmpty()) {
      gone.forEach(session::follows);
      session.takeOut(gone);
    }
    lines.forEach(line -> Paired.dissolveEmpty(session, line));
    wanting.forEach(this::make);
  }

  private boolean isSet(String line) {
    return ruled.contains(line) || went.contains(line);
  }

  private boolean changed(String id) {
    Piece was = was(id);
    Piece is = is(id);
    return was != null && is != null && !same(was, is);
  }

  /** What the carrier of a piece is a twin by. */
  private @Nullable Partner twin(On on) {
    if (on.kind() != On.OnKind.piece) {
      return null;
    }
    Partner p = session.piece(on.id()).keeping().twin();
    return p == null || p.piece() == null ? null : p;
  }

  /** The other one of a pair becomes the image of this one; what stands on it goes along. */
  private void image(Piece p) {
    Partner pair = p.keeping().twin();
    Twin line = session.filing().twin(pair.twin());
    if (line == null || !session.space().has(pair.piece())) {
      return;
    }
    Piece other = session.piece(pair.piece());
    Piece wanted = line.image(p);
    Piece next =
        other
            .withStance(wanted.stance())
            .withForm(wanted.form())
            .withFinishes(p.finishes())
            .withAttached(p.attached());
    session.follows(other.id());
    Motion m = Motion.between(other.stance(), next.stance());
    Set<String> along = session.space().carriedBy(other.id());
    along.removeIf(id -> session.piece(id).keeping().twin() != null);
    if (m != null) {
      session.alter(along, q -> q.withStance(m.of(q.stance())));
    }
    session.set(next);
    rest(p, next.id());
  }

  /** The carrier of an image: the image of the carrier, or what is really there. */
  private void rest(Piece p, String image) {
    Partner under = twin(p.on());
    if (under != null && under.twin().equals(p.keeping().twin().twin())) {
      session.set(session.piece(image).withOn(On.piece(under.piece())));
      session.sayOverlaps(List.of(image));
    } else {
      Paired.rest(session, List.of(image));
    }
  }

  /** Both sides were altered: all alike, and the line goes along; else by the lead. */
  private void bothSides(String twin, List<String> ids) {
    Motion m = together(ids);
    Twin line = session.filing().twin(twin);
    if (m != null
        && line != null
        && ids.size() == Paired.pieces(session, twin)
        && Paired.parts(session, twin) == 0) {
      session.file(session.filing().with(line.moved(m)));
      return;
    }
    List<String> order = new ArrayList<>(named);
    Set<String> done = new HashSet<>();
    ids.stream()
        .sorted(Comparator.comparingInt(id -> -order.indexOf(id)))
        .forEach(
            id -> {
              if (!done.contains(id)) {
                done.add(session.piece(id).keeping().twin().piece());
                image(session.piece(id));
              }
            });
  }

  /** Makes the other one of what was copied, or came to stand on one of a pair. */
  private void make(String id) {
    Piece p = session.piece(id);
    Partner pair = p.keeping().twin() == null ? twin(p.on()) : p.keeping().twin();
    Twin line = pair == null ? null : session.filing().twin(pair.twin());
    session.follows(id);
    if (line == null) {
      session.set(p.withKeeping(p.keeping().withTwin(null)));
      return;
    }
    boolean onOne = p.keeping().twin() == null;
    Paired.make(session, line, List.of(id));
    onTwin(id);
    if (onOne) { // whether the other gets it too is for one to say
      session.say("{} is on one of two twins, and another one is on the other.", p.name());
      session.offer(new Offer("Only this one", List.of(new Single(id))));
    }
  }

  /** What stands on one of a pair has its twin on the other. */
  private void onTwin(String id) {
    Partner under = twin(session.piece(id).on());
    Piece other = session.piece(session.piece(id).keeping().twin().piece());
    if (under != null && under.twin().equals(other.keeping().twin().twin())) {
      session.set(other.withOn(On.piece(under.piece())));
    }
  }
}
