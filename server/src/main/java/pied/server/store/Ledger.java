package pied.server.store;

import jakarta.annotation.PreDestroy;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * The one hand that writes into the store. What waits is written in one transaction, forced onto
 * the disk, and only then acknowledged: everything that came meanwhile shares the next force. So a
 * thing acknowledged is there after a kill and after a power cut.
 *
 * <p>If something cannot be kept, nothing that waits is; no more is taken until a try succeeds,
 * which is made every second.
 */
@Component
public class Ledger {
  private static final Logger LOG = LoggerFactory.getLogger(Ledger.class);

  /** At most so many in one transaction. */
  private static final int TOGETHER = 200;

  /** Something to write. */
  public interface Entry {
    /** Whether it still makes sense: what it builds on was kept. */
    boolean stands();

    void write(Journal.Transaction t);

    /** It is on the disk. */
    void kept();

    /** It is not, and will not be. */
    void lost(NotKept why);
  }

  private final Journal journal;
  private final BlockingQueue<Entry> waiting = new LinkedBlockingQueue<>();
  private final AtomicLong forced = new AtomicLong();
  private final Thread hand;
  private volatile NotKept trouble;
  private volatile boolean over;
  private volatile long quietSince = System.nanoTime();

  Ledger(Journal journal) {
    this.journal = journal;
    hand = new Thread(this::run, "ledger");
    hand.start();
  }

  /** Takes something to be kept; it hears of it. */
  public void keep(Entry e) {
    NotKept t = trouble;
    if (over) {
      t = new NotKept("Pied is closing.", false, null);
    }
    if (t != null) {
      e.lost(t);
    } else {
      waiting.add(e);
    }
  }

  /**
   * Writes something and waits until it is kept.
   *
   * @throws NotKept if it cannot be
   */
  public void keep(Consumer<Journal.Transaction> how) {
    CompletableFuture<Void> done = new CompletableFuture<>();
    keep(
        new Entry() {
          @Override
          public boolean stands() {
            return true;
          }

          @Override
          public void write(Journal.Transaction t) {
            how.accept(t);
          }

          @Override
          public void kept() {
            done.complete(null);
          }

          @Override
          public void lost(NotKept why) {
            done.completeExceptionally(why);
          }
        });
    await(done);
  }

  /** Waits for something that is kept or not. */
  public static <T> T await(CompletableFuture<T> done) {
    try {
      return done.join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof NotKept n) {
        throw new NotKept(n.getMessage(), n.full(), n);
      }
      throw e;
    }
  }

  /** Why nothing can be kept at present; null if it can. */
  public NotKept trouble() {
    return trouble;
  }

  /** How often it has forced onto the disk. */
  public long forced() {
    return forced.get();
  }

  /** How long nothing has been written, milliseconds. */
  long quiet() {
    return (System.nanoTime() - quietSince) / 1_000_000;
  }

  private void run() {
    while (!over || !waiting.isEmpty()) {
      try {
        List<Entry> some = new ArrayList<>();
        Entry first = waiting.poll(1, TimeUnit.SECONDS);
        if (first != null) {
          some.add(first);
          waiting.drainTo(some, TOGETHER - 1);
          all(some);
        } else if (trouble != null && !over) {
          probe();
        }
      } catch (InterruptedException e) {
        return;
      } catch (RuntimeException | Error e) {
        LOG.error("The ledger stumbled", e);
      }
    }
  }

  /** Those that can still be kept; the others hear that they are lost. */
  private List<Entry> standing(List<Entry> some) {
    List<Entry> good = new ArrayList<>();
    NotKept broken = trouble;
    for (Entry e : some) {
      if (broken == null && e.stands()) {
        good.add(e);
        continue;
      }
      e.lost(
          broken != null
              ? broken
              : new NotKept("What came before could not be kept.", false, null));
    }
    return good;
  }

  private void all(List<Entry> some) {
    quietSince = System.nanoTime();
    List<Entry> good = standing(some);
    if (good.isEmpty()) {
      return;
    }
    try {
      write(good.stream().<Consumer<Journal.Transaction>>map(e -> e::write).toList());
    } catch (NotKept e) {
      LOG.warn("{}", e.getMessage());
      trouble = e;
      good.forEach(g -> g.lost(e));
      return;
    } catch (RuntimeException | Error e) { // one of them is at fault
      if (good.size() > 1) {
        good.forEach(g -> all(List.of(g))); // each for itself
      } else {
        LOG.error("Something could not be kept", e);
        good.get(0).lost(new NotKept("It could not be saved; the log says more.", false, e));
      }
      return;
    }
    for (Entry e : good) {
      try {
        e.kept();
      } catch (RuntimeException x) {
        LOG.error("What was kept could not be told", x);
      }
    }
    quietSince = System.nanoTime();
  }

  private void write(List<? extends Consumer<Journal.Transaction>> all) {
    journal.append(all);
    forced.incrementAndGet();
  }

  /** Whether it can be written again. */
  private void probe() {
    try {
      write(List.of(t -> mark(t, "tried", Instant.now().toString())));
      trouble = null;
      LOG.warn("It can be saved again.");
    } catch (NotKept e) {
      trouble = e;
    }
  }

  private static void mark(Journal.Transaction t, String name, String said) {
    t.alter("delete from MarkRow where name = :name", Map.of("name", name));
    t.insert(new MarkRow(name, said));
  }

  /** Writes what waits; nothing is taken any more. */
  @PreDestroy
  void close() throws InterruptedException {
    over = true;
    hand.join(20_000);
  }
}
