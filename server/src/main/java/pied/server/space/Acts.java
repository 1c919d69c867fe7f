package pied.server.space;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import pied.core.Nullable;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.space.SpaceWire.Changed;
import pied.server.store.Journal;
import pied.server.store.Ledger;
import pied.server.store.NotKept;

/**
 * One act at a time in each space. It may be in several of them, and is in all of them then, or in
 * none: their locks are taken together, in the order of their ids, and what is written of it is
 * written in one transaction.
 */
final class Acts {
  /** So long a request waits for those before it, seconds. */
  private static final int PATIENCE = 25;

  /** So many requests wait for one space. */
  private static final int QUEUE = 8;

  /** The spaces as they stand, for the one who acts. */
  interface Heads {
    /**
     * @throws Refusal if it was removed
     */
    SpaceHistory of(String space);
  }

  /** What an act is in one space. */
  record ActPart(String space, OpenSpace.Step step) {}

  /** Another space is needed, whose lock must be taken before those held. */
  private static final class Wider extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final String space;

    Wider(String space) {
      super(null, null, false, false);
      this.space = space;
    }
  }

  private final Function<String, OpenSpace> open;
  private final Function<String, SpaceHistory> anew;
  private final Journal journal;
  private final Ledger ledger;

  /**
   * @param open a space by its id
   * @param anew what the store has of it
   */
  Acts(
      Function<String, OpenSpace> open,
      Function<String, SpaceHistory> anew,
      Journal journal,
      Ledger ledger) {
    this.open = open;
    this.anew = anew;
    this.journal = journal;
    this.ledger = ledger;
  }

  /**
   * Acts, and waits until it is kept.
   *
   * @param request its id; asked again with it, the answer of then is given
   * @param seen the revision it is meant for; null for any
   * @param how what is done, first in this space; may be asked twice, if it turns to other spaces
   */
  Changed act(
      String id,
      @Nullable String request,
      @Nullable Long seen,
      Function<Heads, List<ActPart>> how) {
    if (request != null && (request.isBlank() || request.length() > 64 || !Text.whole(request))) {
      throw new Refusal("An id of a request has 1 to 64 letters.");
    }
    NotKept trouble = ledger.trouble();
    if (trouble != null) {
      throw new NotKept(trouble.getMessage(), trouble.full(), trouble);
    }
    SortedSet<String> spaces = new TreeSet<>(List.of(id));
    while (true) {
      Map<String, OpenSpace> held = new LinkedHashMap<>();
      Outcome done;
      try {
        spaces.forEach(s -> held.put(s, entered(s)));
        done = acted(id, request, seen, held, how);
      } catch (Wider w) {
        spaces.add(w.space);
        continue;
      } finally {
        held.values().forEach(o -> o.writing.unlock());
      }
      return done.before() != null ? done.before() : Ledger.await(done.kept().answer());
    }
  }

  /** The answer of then, or what is being kept. */
  private record Outcome(@Nullable Changed before, @Nullable OpenSpace.Pending kept) {}

  private Outcome acted(
      String id,
      @Nullable String request,
      @Nullable Long seen,
      Map<String, OpenSpace> held,
      Function<Heads, List<ActPart>> how) {
    Heads heads = space -> head(space, held);
    SpaceHistory head = heads.of(id);
    Long before = head.asked(request);
    if (before != null) {
      OpenSpace.Pending waits = held.get(id).underWay(before);
      if (waits != null) {
        return new Outcome(null, waits);
      }
      Changed answered = journal.find(StepRow.class, before).map(StepRow::answer).orElse(null);
      if (answered != null) {
        return new Outcome(answered, null);
      }
    }
    if (seen != null && seen != head.revision()) {
      throw new SpaceStore.Stale(seen, head.revision());
    }
    List<OpenSpace.Pending> all = new ArrayList<>();
    for (ActPart p : how.apply(heads)) {
      OpenSpace o = held.get(p.space());
      all.add(o.take(heads.of(p.space()), all.isEmpty() ? request : null, p.step()));
    }
    if (all.size() == 2) {
      all.get(0).joins(all.get(1));
    }
    ledger.keep(all.size() == 1 ? all.get(0) : new Together(all));
    return new Outcome(null, all.get(0));
  }

  private SpaceHistory head(String space, Map<String, OpenSpace> held) {
    OpenSpace o = held.get(space);
    if (o == null) {
      throw new Wider(space);
    }
    if (o.aside() != null) {
      throw new Refusal("{} Nothing is done in it until it is brought back.", o.aside().words());
    }
    return o.head(() -> anew.apply(space));
  }

  /** The space with its lock held: its one writer. */
  private OpenSpace entered(String id) {
    while (true) {
      OpenSpace o = open.apply(id);
      if (o.writing.getQueueLength() >= QUEUE) {
        throw new SpaceStore.Busy();
      }
      try {
        if (!o.writing.tryLock(PATIENCE, TimeUnit.SECONDS)) {
          throw new SpaceStore.Busy();
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new SpaceStore.Busy();
      }
      if (!o.gone()) {
        return o;
      }
      o.writing.unlock(); // it was let go of meanwhile
    }
  }

  /** What is kept together, or not at all. */
  private record Together(List<OpenSpace.Pending> all) implements Ledger.Entry {
    @Override
    public boolean stands() {
      return all.stream().allMatch(OpenSpace.Pending::stands);
    }

    @Override
    public void write(Journal.Transaction t) {
      all.forEach(k -> k.write(t));
    }

    @Override
    public void kept() {
      for (int i = all.size() - 1; i >= 0; i--) { // the first is the one whose answer is waited for
        all.get(i).kept();
      }
    }

    @Override
    public void lost(NotKept why) {
      all.forEach(k -> k.lost(why));
    }
  }
}
