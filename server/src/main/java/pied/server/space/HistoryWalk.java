package pied.server.space;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.edit.Declined;
import pied.core.edit.Offer;
import pied.core.history.Alone;
import pied.core.history.InWords;
import pied.core.history.Rebase;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Space;
import pied.core.units.Message;
import pied.core.units.Refusal;
import pied.server.space.SpaceWire.By;

/** A way through the history of a space: what it goes over, and what comes of it. */
final class HistoryWalk {
  /** So many steps are looked through for what has to do with one before them. */
  private static final int MOST_BETWEEN = 5_000;

  private final SpaceHistory head;
  private final BiFunction<SpaceHistory, Long, Change> changes;
  private final @Nullable By by;
  private final List<Long> over = new ArrayList<>();
  private final Set<String> touched = new LinkedHashSet<>();
  private Space space;

  /**
   * @param changes what was changed, by its key
   * @param by who goes it
   */
  HistoryWalk(SpaceHistory head, BiFunction<SpaceHistory, Long, Change> changes, @Nullable By by) {
    this.head = head;
    this.changes = changes;
    this.by = by;
    space = head.space();
  }

  /**
   * Over the last change, or the first that is undone.
   *
   * @param mine the windows whose changes are meant
   * @param how where others changed the same since; null to refuse that
   */
  OpenSpace.Step step(boolean undo, Predicate<String> mine, @Nullable Offer.OfferStep how) {
    Long key = undo ? head.lastDone(mine) : head.firstUndone(mine);
    if (key == null) {
      throw new Refusal(undo ? "There is nothing to undo." : "There is nothing to redo.");
    }
    if (undo && how == Offer.OfferStep.undoTogether) {
      back(key - 1);
      return taken();
    }
    over(undo, key, how);
    return taken();
  }

  /**
   * Over changes, the first first, that are each undone or done again: what became of them in
   * another space goes on here.
   *
   * @param undo whether they are to be undone; those that are already are left out
   * @param how where others changed the same since; null to refuse that
   * @return the step; null if there is nothing left to do
   */
  @Nullable
  OpenSpace.Step over(boolean undo, List<Long> keys, @Nullable Offer.OfferStep how) {
    for (Long key : keys) {
      if (Boolean.valueOf(undo).equals(head.stands(key))) {
        over(undo, key, how);
      }
    }
    return over.isEmpty() ? null : taken();
  }

  private void over(boolean undo, long key, @Nullable Offer.OfferStep how) {
    Change change = changes.apply(head, key);
    Rebase r = Rebase.of(space, undo ? change.reversed() : change);
    if (!r.left().isEmpty() && how == null) {
      throw declined(undo, change, r);
    }
    go(key, r);
  }

  private Declined declined(boolean undo, Change change, Rebase r) {
    int n = r.left().size();
    String what = n == 1 ? r.left().get(0) : r.left().get(0) + " and " + (n - 1) + " more";
    List<Offer> offers = new ArrayList<>();
    if (!r.possible().none()) {
      Offer.OfferStep possible = undo ? Offer.OfferStep.undoPossible : Offer.OfferStep.redoPossible;
      offers.add(new Offer((undo ? "Undo" : "Redo") + " the rest of it", possible));
    }
    if (undo) {
      offers.add(new Offer("Undo all that came since, too", Offer.OfferStep.undoTogether));
    }
    return new Declined(
        Message.of(
            "“{}” cannot be {} as it is: somebody has changed {} since, in another window.",
            InWords.of(change, space, null),
            undo ? "undone" : "redone",
            what),
        offers);
  }

  /**
   * To where all up to a change stand, and none after it.
   *
   * @throws Refusal if it leads over what others changed since
   */
  OpenSpace.Step to(long key) {
    back(key);
    for (Long k : List.copyOf(head.undone())) {
      if (k <= key) {
        forced(k, changes.apply(head, k));
      }
    }
    if (over.isEmpty()) {
      throw new Refusal("The space is as it was then.");
    }
    return taken();
  }

  /**
   * Over one change alone, which is taken out if it stands, and else done again.
   *
   * @throws Refusal if something that came after it has to do with the same
   */
  OpenSpace.Step alone(long key) {
    Boolean stands = head.stands(key);
    if (stands == null) {
      throw new Refusal("There is no such step in the history of this space.");
    }
    List<Long> after = head.done().stream().filter(k -> k > key).toList();
    if (after.size() > MOST_BETWEEN) {
      throw new Refusal(
          "More than {} steps came after it; it cannot be told whether they have to do with it.",
          MOST_BETWEEN);
    }
    Iterable<Change> later = () -> after.stream().map(k -> changes.apply(head, k)).iterator();
    go(key, new Alone(space, changes.apply(head, key), stands, later).made());
    return taken();
  }

  private void back(long key) {
    for (Long k : List.copyOf(head.done())) {
      if (k > key) {
        forced(k, changes.apply(head, k).reversed());
      }
    }
  }

  private void forced(long key, Change change) {
    Rebase r = Rebase.of(space, change);
    if (!r.left().isEmpty()) {
      throw new Refusal(
          "One cannot go there: {} was changed in another window in an order that cannot"
              + " be undone.",
          r.left().get(0));
    }
    go(key, r);
  }

  private void go(long key, Rebase r) {
    space = r.possible().apply(space);
    r.possible().pieces().map(OfPiece::id).forEach(touched::add);
    over.add(key);
  }

  private OpenSpace.Step taken() {
    Change change = Change.between(head.space(), space, touched);
    return new OpenSpace.Step(space, change, List.of(), List.of(), null, over, by);
  }
}
