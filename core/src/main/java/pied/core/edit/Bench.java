package pied.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import pied.core.Effort;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Sound;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.core.units.Said;

/**
 * The working copy of a space, on which edits are made one after the other. Whatever an edit does
 * to pieces goes through one gate: it has to choose them first, and with a piece all that it
 * carries is chosen. What is not chosen cannot be altered.
 */
public final class Bench {
  /** Most pieces a space may hold. */
  public static final int MOST_PIECES = 20_000;

  private final Space before;
  private final LengthUnit unit;
  private final Supplier<String> newId;
  private final Effort effort;
  private final List<String> said = new ArrayList<>();
  private final List<Offer> offers = new ArrayList<>();
  private final Set<String> touched = new LinkedHashSet<>();
  private final Set<String> open = new HashSet<>();
  private final Map<String, Integer> numbers = new HashMap<>();
  private Set<String> names;
  private PartName part;
  private Space space;

  Bench(Space space, LengthUnit unit, Supplier<String> newId, Effort effort) {
    this.before = space;
    this.space = space;
    this.unit = unit;
    this.newId = newId;
    this.effort = effort;
  }

  /** Makes one more edit. */
  void make(Edit edit) {
    effort.goOn();
    open.clear();
    edit.make(this);
  }

  /** What has come of it. */
  Outcome outcome() {
    Change change = Change.between(before, space, touched);
    Sound.pieces(space, change.changed());
    return new Outcome(space, change, said, offers, part);
  }

  // ---- what is there

  public Space space() {
    return space;
  }

  /** What a bare number in a typed text means. */
  public LengthUnit unit() {
    return unit;
  }

  /** Bounds how long it may take. */
  public Effort effort() {
    return effort;
  }

  public Piece piece(String id) {
    return space.piece(id);
  }

  public Article article(String id) {
    return space.article(space.piece(id));
  }

  /** Whether all of these stand, by their mounting. */
  public boolean stand(Collection<String> ids) {
    return ids.stream().allMatch(id -> article(id).mounting() == Mounting.STANDS);
  }

  // ---- the gate

  /**
   * The pieces that an edit is for, each once; with them all they carry may be altered.
   *
   * @throws Refusal if none was named, or one is not there
   */
  public List<String> chosen(List<String> ids) {
    if (ids == null || ids.isEmpty()) {
      throw new Refusal("No piece was named.");
    }
    if (ids.size() > MOST_PIECES) {
      throw new Refusal("A space holds at most " + MOST_PIECES + " pieces; more were named.");
    }
    ids.forEach(space::piece);
    open.addAll(space.withCarried(ids));
    return List.copyOf(new LinkedHashSet<>(ids));
  }

  /**
   * The one piece that an edit is for.
   *
   * @throws Refusal if it is not there
   */
  public Piece chosen(String id) {
    Piece p = space.piece(id);
    open.addAll(space.withCarried(List.of(id)));
    return p;
  }

  /** A piece that follows what is done to the shell; nobody chose it. */
  public void follows(String id) {
    open.addAll(space.withCarried(List.of(id)));
  }

  // ---- doing

  /** Alters one piece that was chosen. */
  public void set(Piece p) {
    if (!p.equals(space.piece(p.id()))) {
      alter(List.of(p.id()), old -> p);
    }
  }

  /**
   * Alters pieces that were chosen.
   *
   * @throws Refusal if one is locked, or would be out of all measure
   */
  public void alter(Collection<String> ids, UnaryOperator<Piece> how) {
    List<Piece> next = new ArrayList<>();
    for (String id : ids) {
      if (!open.contains(id)) {
        throw new IllegalStateException("The piece " + id + " is altered but was not chosen.");
      }
      Piece old = space.piece(id);
      Piece p = how.apply(old);
      if (!p.equals(old.withKeeping(p.keeping()))) {
        unlocked(old);
      }
      if (!p.name().equals(old.name())) {
        numbers.clear();
        names = null;
      }
      next.add(p);
    }
    next.forEach(p -> Sound.place(p.name(), p.at()));
    touched.addAll(ids);
    space = space.with(next);
  }

  /** Moves pieces and all they carry by a vector. */
  public void shift(Collection<String> ids, Vec by) {
    alter(space.withCarried(ids), p -> p.moved(by));
  }

  /**
   * Puts in new pieces, all at once; what they carry among themselves is named by their ids.
   *
   * @throws Refusal if an id is taken or none, a finish is none, or there are too many
   */
  public void put(List<Piece> made) {
    if (space.pieces().size() + made.size() > MOST_PIECES) {
      throw new Refusal("A space holds at most " + MOST_PIECES + " pieces; no more fit into one.");
    }
    for (Piece p : made) {
      if (space.has(Sound.id(p.id()))) {
        throw new Refusal("There is a piece with the id “" + p.id() + "” already.");
      }
      Article article = space.article(p);
      p.finishes().forEach(article::finish);
      open.add(p.id());
      touched.add(p.id());
      if (names != null) {
        names.add(p.name());
      }
    }
    space = space.with(made);
  }

  private static void unlocked(Piece p) {
    if (p.keeping().locked()) {
      throw new Refusal(p.name() + " is locked, so nothing is done to it.");
    }
  }

  /**
   * Takes out pieces that were chosen.
   *
   * @throws Refusal if one is locked
   */
  public void remove(List<String> ids) {
    ids.forEach(
        id -> {
          if (!open.contains(id)) {
            throw new IllegalStateException("The piece " + id + " is removed but was not chosen.");
          }
          unlocked(space.piece(id));
        });
    touched.addAll(ids);
    numbers.clear();
    names = null;
    space = space.without(ids);
  }

  /** The same pieces in another shell. */
  public void rebuild(Shell shell, @Nullable PartName altered) {
    space = space.with(shell);
    part = altered;
  }

  public String newId() {
    return newId.get();
  }

  /** The name itself, or with the first free number behind it; it is then taken. */
  public String freeName(String name) {
    if (names == null) {
      names = new HashSet<>();
      space.pieces().forEach(p -> names.add(p.name()));
    }
    // of many in one request the numbers below were tried before
    String free = Names.free(name, numbers.getOrDefault(name, 1), names);
    numbers.put(name, Names.number(free, name));
    names.add(free);
    return free;
  }

  /** Of some pieces those that are not carried by others of them. */
  public List<String> tops(List<String> ids) {
    Set<String> all = space.withCarried(ids);
    List<String> tops = new ArrayList<>(ids);
    tops.removeIf(
        id -> {
          On on = space.piece(id).on();
          return on.kind() == On.Kind.piece && all.contains(on.id());
        });
    return tops;
  }

  /** The same pieces, what carries others before them, since those go along. */
  public List<String> carriersFirst(List<String> ids) {
    return ids.stream().sorted(Comparator.comparingInt(this::carriersOf)).toList();
  }

  /** What is attached to a piece, and all that is carried by that. */
  public Set<String> attachedTo(String id) {
    Set<String> all = new HashSet<>();
    for (String c : space.carriedBy(id)) {
      Piece q = piece(c);
      if (q.attached() && q.on().equals(On.piece(id))) {
        all.addAll(space.withCarried(List.of(c)));
      }
    }
    return all;
  }

  private int carriersOf(String id) {
    int n = 0;
    for (On on = piece(id).on(); on.kind() == On.Kind.piece; on = piece(on.id()).on()) {
      n++;
    }
    return n;
  }

  // ---- coming to rest

  /**
   * Lets pieces come to rest, the lowest first, each with what it carries.
   *
   * @param always also those that touch their carrier are tried again
   */
  public void settle(Collection<String> ids, boolean always) {
    new Settling(this).settle(ids, always);
  }

  /** Works out anew what carries pieces that were put exactly somewhere. */
  public void carriers(Collection<String> ids) {
    new Settling(this).carriers(ids);
  }

  // ---- words

  /** Adds a remark: a sentence, lengths in it by {@link Said}. */
  public void say(String sentence) {
    said.add(Said.in(sentence, unit));
  }

  public void offer(Offer offer) {
    offers.add(offer);
  }

  /** Says which of these pieces overlap something. */
  public void sayOverlaps(Collection<String> ids) {
    new Settling(this).sayOverlaps(ids);
  }

  /** The length meant, metres, given the one that stands there; that one if none was named. */
  public double length(@Nullable Amount amount, double current) {
    return amount == null ? current : amount.length(unit, current);
  }

  /**
   * A value that an edit must have.
   *
   * @throws Refusal if it is missing
   */
  public static <T> T need(T value, String name) {
    if (value == null) {
      throw new Refusal("The edit lacks “" + name + "”.");
    }
    return value;
  }
}
