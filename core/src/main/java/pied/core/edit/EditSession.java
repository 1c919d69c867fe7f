package pied.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.show.Showing;
import pied.core.solid.Vec;
import pied.core.space.Filing;
import pied.core.space.Locked;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * The working copy of a space, on which edits are made one after the other. Whatever an edit does
 * to pieces goes through one gate: it has to choose them first, and with a piece all that it
 * carries is chosen. What is not chosen cannot be altered.
 */
public final class EditSession {
  /** Most pieces a space may hold. */
  public static final int MOST_PIECES = Validity.MOST_PIECES;

  private final Space before;
  private final LengthUnit unit;
  private final Supplier<String> newId;
  private final Deadline deadline;
  private final @Nullable String layer;
  private final Set<String> left = new LinkedHashSet<>();
  private final List<String> said = new ArrayList<>();
  private final List<Offer> offers = new ArrayList<>();
  private final Set<String> touched = new LinkedHashSet<>();
  private final Set<String> open = new HashSet<>();
  private final Set<String> named = new LinkedHashSet<>();
  private final Set<String> since = new LinkedHashSet<>();
  private final Set<String> ruled = new HashSet<>();
  private final FreeNames names = new FreeNames();
  private PartName part;
  private Edit making;
  private Space space;

  /** With the id of the layer on which new pieces come; null for the first. */
  EditSession(
      Space space,
      LengthUnit unit,
      @Nullable String layer,
      Supplier<String> newId,
      Deadline deadline) {
    this.layer = layer;
    this.before = space;
    this.space = space;
    this.unit = unit;
    this.newId = newId;
    this.deadline = deadline;
  }

  /** Makes one more edit. */
  void make(Edit edit) {
    deadline.check();
    open.clear();
    named.clear();
    since.clear();
    ruled.clear();
    Space was = space;
    making = edit;
    try {
      edit.make(this);
      new Follow(this, was, List.copyOf(since), ruled, named).all();
    } catch (Locked e) {
      throw Locks.declined(space, e, edit);
    } catch (PiecesOnly e) {
      throw e.of(edit);
    }
  }

  /** What has come of it. */
  Outcome outcome() {
    EmptyGroups.dissolve(this, left);
    Change change = Change.between(before, space, touched);
    Validity.pieces(space, change.changed());
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

  public Deadline deadline() {
    return deadline;
  }

  public Piece piece(String id) {
    return space.piece(id);
  }

  public Article article(String id) {
    return space.article(space.piece(id));
  }

  /** The layers, groups and named selections. */
  public Filing filing() {
    return space.filing();
  }

  /** How a new piece is kept: on the layer that is the current one. */
  public Keeping fresh() {
    return layer == null || filing().layer(layer) == null
        ? Keeping.PLAIN.withLayer(filing().layers().get(0).id())
        : Keeping.PLAIN.withLayer(layer);
  }

  // ---- the gate

  /**
   * The pieces that an edit is for, each once; with them all they carry may be altered. A group may
   * be named in place of all that is in it.
   *
   * @throws Refusal if none was named, one is not there, or one is a part of the shell
   */
  public List<String> chosen(List<String> ids) {
    Picked picked = picked(ids);
    if (!picked.onlyPieces()) {
      throw new PiecesOnly(
          space, picked.parts(), making == null ? WhyNot.PIECES : making.ofParts());
    }
    return picked.pieces();
  }

  /**
   * The pieces and the parts of the shell that an edit is for; as above.
   *
   * @throws Refusal if none was named, or one is not there
   */
  public Picked picked(List<String> ids) {
    Picked picked = Picked.of(space, ids);
    PiecesOnly.outline(space, picked.parts());
    named.addAll(picked.pieces());
    open.addAll(space.withCarried(picked.pieces()));
    return picked;
  }

  /**
   * The one piece that an edit is for.
   *
   * @throws Refusal if it is not there
   */
  public Piece chosen(String id) {
    boolean one = space.has(id) || Picked.isBuilt(space, id);
    return space.piece(one ? chosen(List.of(id)).get(0) : id);
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
    List<Piece> locked = new ArrayList<>();
    for (String id : ids) {
      if (!open.contains(id)) {
        throw new IllegalStateException("The piece " + id + " is altered but was not chosen.");
      }
      Piece old = space.piece(id);
      Piece p = how.apply(old);
      if (!p.equals(old.shownAs(p)) && isLocked(old)) {
        locked.add(old);
      }
      String group = old.keeping().group();
      if (group != null && !group.equals(p.keeping().group())) {
        left.add(group);
      }
      if (!p.name().equals(old.name())) {
        names.forget();
      }
      next.add(p);
    }
    unlocked(locked);
    next.forEach(p -> Validity.place(p.name(), p.at()));
    touch(ids);
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
      throw new Refusal("A space holds at most {} pieces; no more fit into one.", MOST_PIECES);
    }
    for (Piece p : made) {
      if (space.has(Validity.id(p.id()))) {
        throw new Refusal("There is a piece with the id “{}” already.", p.id());
      }
      Article article = space.article(p);
      article.finishes(p.finishes());
      open.add(p.id());
      touch(List.of(p.id()));
      names.taken(p.name());
    }
    space = space.with(made);
  }

  private void touch(Collection<String> ids) {
    touched.addAll(ids);
    since.addAll(ids);
  }

  /** A repetition, or twins, of this id are set right by the edit itself. */
  public void rules(String id) {
    ruled.add(id);
  }

  /** What was only now put in may still be set right. */
  private boolean isLocked(Piece p) {
    return space.locked(p) && before.has(p.id());
  }

  private void unlocked(List<Piece> locked) {
    if (!locked.isEmpty()) {
      // with all others that the edit is for, so that it is unlocked once
      Set<Piece> all = new LinkedHashSet<>(locked);
      named.stream().filter(space::has).map(space::piece).filter(this::isLocked).forEach(all::add);
      throw new Locked(space, List.copyOf(all));
    }
  }

  /** Keeps the pieces in another order. */
  public void file(Filing filing) {
    space = space.with(filing);
  }

  /** Shows the space otherwise. */
  public void show(Showing showing) {
    space = space.with(showing);
  }

  /** A group is no longer in another, which goes if nothing is left in it. */
  public void leave(@Nullable String group) {
    if (group != null) {
      left.add(group);
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
          String group = space.piece(id).keeping().group();
          if (group != null) {
            left.add(group);
          }
        });
    unlocked(ids.stream().map(space::piece).filter(this::isLocked).toList());
    touch(ids);
    names.forget();
    space = space.without(ids);
  }

  /** Takes out pieces that were chosen; what they carried comes to rest on what is beneath. */
  public void takeOut(Collection<String> ids) {
    new Settling(this).takeOut(Set.copyOf(ids));
  }

  /**
   * Builds the shell otherwise; the pieces follow.
   *
   * @param renamed walls that have other names now, by those they had
   * @param altered the part that was made or altered; null for none in particular
   */
  public Followers.Followed build(
      Shell shell, Map<String, String> renamed, @Nullable PartName altered) {
    Space next = space.with(shell);
    Followers followers = new Followers(this, next, renamed);
    space = next;
    part = altered;
    return followers.follow();
  }

  public String newId() {
    String id = newId.get();
    if (space().has(id) || filing().group(id) != null) {
      throw new Refusal("What is made would have an id that something has already; ask again.");
    }
    return id;
  }

  /** The name itself, or with the first free number behind it; it is then taken. */
  public String freeName(String name) {
    return names.free(space, name);
  }

  // ---- coming to rest

  /**
   * Lets pieces come to rest, the lowest first, each with what it carries.
   *
   * @param always also those that touch their carrier are tried again
   */
  public void settle(Collection<String> ids, boolean always) {
    new Settling(this).settle(ids, always, false);
  }

  /** Also what was held at a height. */
  public void letDown(Collection<String> ids) {
    new Settling(this).settle(ids, true, true);
  }

  /** Works out anew what carries pieces that were put exactly somewhere. */
  public void carriers(Collection<String> ids) {
    new Settling(this).carriers(ids);
  }

  // ---- words

  /** Adds a remark: a text with a gap for each argument, as in {@link Message}. */
  public void say(String text, Object... arguments) {
    say(Message.of(text, arguments));
  }

  /** Adds a remark. */
  public void say(Message sentence) {
    said.add(sentence.in(unit));
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
      throw new Refusal("The edit lacks “{}”.", name);
    }
    return value;
  }
}
