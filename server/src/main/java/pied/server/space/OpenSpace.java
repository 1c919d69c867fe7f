package pied.server.space;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.BiConsumer;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.function.Supplier;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.edit.Offer;
import pied.core.history.InWords;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.server.space.KeepingWire.FilingView;
import pied.server.space.ShowingWire.ShowingView;
import pied.server.space.SpaceWire.Aside;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;
import pied.server.store.Journal;
import pied.server.store.Ledger;
import pied.server.store.NotKept;

/**
 * A space somebody is at work on. What is seen is what has been kept; its head may be some steps
 * further, which wait to be kept. If they cannot be, the head is read from the store anew.
 */
public final class OpenSpace {
  /** So many changes can be undone; what came before is forgotten. */
  static final int UNDOABLE = 10_000;

  /** Forgotten in one go, so that not every step does. */
  private static final int AT_ONCE = 100;

  /** Held by the one who writes. */
  final ReentrantLock writing = new ReentrantLock(true);

  private final String id;
  private final long no;
  private volatile String name;
  private final String project;
  private final List<BiConsumer<String, Changed>> listeners;
  private final Map<Long, Pending> underWay = new ConcurrentHashMap<>();
  private final AtomicInteger falls = new AtomicInteger();
  private volatile SpaceHistory head;
  private final BiPredicate<String, String> present;
  private int headAfter;
  private boolean gone;
  private volatile Seen seen;
  private volatile @Nullable Aside aside;
  private volatile long used = System.nanoTime();

  /**
   * @param present whether a window looks at a space
   */
  OpenSpace(
      SpaceRow row,
      List<BiConsumer<String, Changed>> listeners,
      SpaceHistory head,
      BiPredicate<String, String> present) {
    this.present = present;
    id = row.id();
    no = row.no();
    name = row.name();
    project = row.project();
    this.listeners = listeners;
    this.head = head;
    seen = head.seen(name, head.revision);
  }

  /** What everyone sees: a space at a revision. */
  public record Seen(String name, Space space, long revision, long shellAt) {}

  /**
   * A step about to be taken.
   *
   * @param over the keys of the changes that a step through the history goes over, in the order in
   *     which it does; none for a change
   * @param by who takes it; null for nobody in particular
   */
  record Step(
      Space after,
      Change change,
      List<String> said,
      List<Offer> offers,
      PartName part,
      List<Long> over,
      By by) {
    /** The same, with more to say of it. */
    Step saying(List<String> more) {
      List<String> all = new ArrayList<>(said);
      all.addAll(more);
      return new Step(after, change, all, offers, part, over, by);
    }
  }

  /** Whose steps one may take back: one's own, and those of windows that are no longer there. */
  Predicate<String> mine(By by) {
    return in -> by == null || in.isEmpty() || in.equals(by.window()) || !present.test(id, in);
  }

  /** Whether there is something to undo, and to redo, for somebody. */
  boolean[] can(By by) {
    SpaceHistory now = head;
    return new boolean[] {now.lastDone(mine(by)) != null, now.firstUndone(mine(by)) != null};
  }

  String name() {
    return name;
  }

  /** What everyone sees of it goes by another name. */
  void rename(String now) {
    name = now;
    Seen s = seen;
    seen = new Seen(now, s.space(), s.revision(), s.shellAt());
  }

  long no() {
    return no;
  }

  String project() {
    return project;
  }

  Seen seen() {
    used = System.nanoTime();
    return seen;
  }

  /** A step that waits to be kept; null if there is none of this key. */
  Pending underWay(long key) {
    return underWay.get(key);
  }

  /** What was removed, and this with it; null if it is there. */
  @Nullable
  Aside aside() {
    return aside;
  }

  void putAside(@Nullable Aside now) {
    aside = now;
  }

  boolean gone() {
    return gone;
  }

  /** Lets go of it, if it has not been used for so many seconds and nothing is under way. */
  boolean letGo(long idleSeconds) {
    if (System.nanoTime() - used < idleSeconds * 1_000_000_000L || !writing.tryLock()) {
      return false;
    }
    try {
      gone = underWay.isEmpty();
      return gone;
    } finally {
      writing.unlock();
    }
  }

  /** The head, to be called with the lock held; read anew if something could not be kept. */
  SpaceHistory head(Supplier<SpaceHistory> anew) {
    used = System.nanoTime();
    int fallen = falls.get();
    if (fallen != headAfter) {
      head = anew.get();
      headAfter = fallen;
      if (head.revision != seen.revision) { // it was kept after all
        seen = head.seen(name, head.revision);
      }
    }
    return head;
  }

  /** Takes a step, with the lock held. */
  Pending take(SpaceHistory past, String request, Step step) {
    Pending k = new Pending(past, request, step, headAfter);
    underWay.put(k.key, k);
    return k;
  }

  /** A step that is being kept. */
  final class Pending implements Ledger.Entry {
    private final long key;
    private final SpaceHistory past;
    private final String request;
    private final Step step;
    private final int builtAfter;
    private final boolean nothing;
    private final Set<Long> undoes = new HashSet<>();
    private final List<Long> dropped = new ArrayList<>();
    private final List<Long> forgotten = new ArrayList<>();
    private final Changed said;
    private final Seen after;
    private final CompletableFuture<Changed> answer = new CompletableFuture<>();
    private @Nullable Long partner;

    private Pending(SpaceHistory past, String request, Step step, int builtAfter) {
      this.past = past;
      this.request = request;
      this.step = step;
      this.builtAfter = builtAfter;
      nothing = step.over.isEmpty() && step.change.none();
      key = StepRow.key(no, ++past.last);
      if (!nothing) {
        past.revision++;
        past.space = step.after;
        if (step.over.isEmpty()) {
          record();
        }
        step.over.forEach(this::turn);
      }
      if (request != null) {
        past.requests.put(request, key);
      }
      boolean shell = step.change.shellDrawn();
      after = past.seen(name, shell ? past.revision : -1);
      said =
          new Changed(
              past.revision,
              step.change.changed(),
              step.change.gone(),
              made(step.change),
              step.said,
              step.offers,
              shell,
              step.change.filing() ? FilingView.of(step.after.filing()) : null,
              shell || step.change.showing() ? ShowingView.of(step.after) : null,
              step.part == null ? null : step.part.text(),
              step.by == null ? null : step.by.window(),
              past.lastDone(mine(step.by)) != null,
              past.firstUndone(mine(step.by)) != null);
    }

    /** All that was not there before, parts of the shell before the pieces. */
    private static List<String> made(Change change) {
      List<String> all = new ArrayList<>();
      change.madeParts().forEach(p -> all.add(p.text()));
      all.addAll(change.made());
      return all;
    }

    /** What was done is undone by this, or the other way round. */
    private void turn(Long over) {
      String in = past.done.remove(over);
      if (in != null) {
        past.undone.put(over, in);
        undoes.add(over);
      } else {
        past.done.put(over, past.undone.remove(over));
      }
    }

    private void record() {
      past.changes.put(key, step.change);
      Predicate<String> mine = mine(step.by);
      past.undone.forEach(
          (k, in) -> {
            if (mine.test(in)) {
              dropped.add(k);
            }
          });
      past.undone.keySet().removeAll(dropped);
      past.done.put(key, step.by == null ? "" : step.by.window());
      if (past.done.size() >= UNDOABLE + AT_ONCE) {
        while (past.done.size() > UNDOABLE) {
          forgotten.add(past.done.pollFirstEntry().getKey());
        }
        past.requests.values().removeAll(java.util.Set.copyOf(forgotten));
        past.partners.keySet().removeAll(forgotten);
      }
    }

    /** It is one act with a step of another space; with the locks of both held. */
    void joins(Pending other) {
      if (step.over.isEmpty() && !nothing && !other.nothing) {
        partner = other.key;
        other.partner = key;
        past.partners.put(key, other.key);
        other.past.partners.put(other.key, key);
      }
    }

    CompletableFuture<Changed> answer() {
      return answer;
    }

    @Override
    public boolean stands() {
      return builtAfter == falls.get();
    }

    @Override
    public void write(Journal.Transaction s) {
      if (nothing && request == null) {
        return;
      }
      pieces(s);
      FilingRows.write(s, id, step.change);
      if (step.change.shell()) {
        s.update(new SpaceRow(id, project, name, step.after.shell(), said.revision()));
      }
      if (!dropped.isEmpty()) {
        s.alter(
            "update StepRow set kind = PAST, change = null, longChange = null where id in :ids",
            Map.of("ids", dropped));
      }
      if (!forgotten.isEmpty()) {
        s.alter("delete from StepRow where id in :ids", Map.of("ids", forgotten));
      }
      boolean change = !nothing && step.over.isEmpty();
      for (Long over : step.over) {
        turn(s, over, undoes.contains(over) ? StepRow.StepKind.UNDONE : StepRow.StepKind.DONE);
      }
      s.insert(
          new StepRow(
              key,
              said.revision(),
              change ? StepRow.StepKind.DONE : StepRow.StepKind.PAST,
              request,
              change ? step.change : null,
              said,
              step.by,
              change ? StoredWords.write(InWords.of(step.change, step.after, step.part)) : null,
              partner));
    }

    private void turn(Journal.Transaction s, long over, StepRow.StepKind kind) {
      s.alter("update StepRow set kind = :kind where id = :id", Map.of("kind", kind, "id", over));
    }

    private void pieces(Journal.Transaction s) {
      step.change
          .pieces()
          .forEach(
              d -> {
                // the space knows the place, which one stored in an old form does not say
                PieceRow row =
                    new PieceRow(id, d.after() == null ? d.before() : step.after.ordered(d.id()));
                if (d.after() == null) {
                  s.delete(row);
                } else if (d.before() == null) {
                  s.insert(row);
                } else {
                  s.update(row);
                }
              });
    }

    @Override
    public void kept() {
      past.changes.remove(key);
      underWay.remove(key);
      if (!nothing) {
        long shellAt = after.shellAt < 0 ? seen.shellAt : after.shellAt;
        seen = new Seen(name, after.space, after.revision, shellAt);
        listeners.forEach(l -> l.accept(id, said));
      }
      answer.complete(said);
    }

    @Override
    public void lost(NotKept why) {
      falls.compareAndSet(builtAfter, builtAfter + 1);
      underWay.remove(key);
      answer.completeExceptionally(why);
    }
  }
}
