package pied.server.store;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManagerFactory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.hibernate.SessionFactory;
import org.hibernate.StatelessSession;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
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

  private static final int BATCH = 100;

  /**
   * What H2 says when its file is at fault: a general error, not readable or writable, corrupt (two
   * kinds), closed (two kinds), object closed.
   */
  private static final Set<Integer> FILE = Set.of(50000, 90028, 90030, 90031, 90098, 90121, 90007);

  /** Something to write. */
  public interface Entry {
    /** Whether it still makes sense: what it builds on was kept. */
    boolean stands();

    void write(StatelessSession session);

    /** It is on the disk. */
    void kept();

    /** It is not, and will not be. */
    void lost(NotKept why);
  }

  private final SessionFactory sessions;
  private final DataSource source;
  private final Path folder;
  private final long reserve;
  private final BlockingQueue<Entry> waiting = new LinkedBlockingQueue<>();
  private final AtomicLong forced = new AtomicLong();
  private final Thread hand;
  private volatile NotKept trouble;
  private volatile boolean over;
  private volatile long quietSince = System.nanoTime();

  /**
   * @param folder the data are in
   * @param reserve room that is left free on its disk, MB: H2 needs some to end a write, and to
   *     close the file
   */
  Ledger(
      EntityManagerFactory entities,
      DataSource source,
      @Value("${pied.data}") String folder,
      @Value("${pied.reserve:48}") long reserve) {
    this.sessions = entities.unwrap(SessionFactory.class);
    this.source = source;
    this.folder = Path.of(folder);
    this.reserve = reserve << 20;
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
  public void keep(Consumer<StatelessSession> how) {
    CompletableFuture<Void> done = new CompletableFuture<>();
    keep(
        new Entry() {
          @Override
          public boolean stands() {
            return true;
          }

          @Override
          public void write(StatelessSession session) {
            how.accept(session);
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

  private void all(List<Entry> some) {
    quietSince = System.nanoTime();
    List<Entry> good = new ArrayList<>();
    NotKept broken = trouble;
    for (Entry e : some) {
      if (broken != null || !e.stands()) {
        e.lost(
            broken != null
                ? broken
                : new NotKept("What came before could not be kept.", false, null));
      } else {
        good.add(e);
      }
    }
    if (good.isEmpty()) {
      return;
    }
    try {
      room();
      write(session -> good.forEach(e -> e.write(session)));
    } catch (RuntimeException | Error e) {
      if (good.size() > 1 && !broken(e)) { // one of them is at fault: each for itself
        good.forEach(g -> all(List.of(g)));
        return;
      }
      NotKept why = why(e);
      if (broken(e)) {
        fall(why);
      }
      good.forEach(g -> g.lost(why));
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

  /** Whether the file itself is at fault, and not what was to be written. */
  private static boolean broken(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      boolean file = t instanceof SQLException s && FILE.contains(s.getErrorCode());
      if (file || t instanceof NotKept || t instanceof SQLTransientException) {
        return true;
      }
    }
    return false;
  }

  private void write(Consumer<StatelessSession> how) {
    try (StatelessSession session = sessions.openStatelessSession()) {
      session.setJdbcBatchSize(BATCH);
      session.beginTransaction();
      try {
        how.accept(session);
        session.getTransaction().commit();
      } catch (RuntimeException | Error e) {
        rollBack(session);
        throw e;
      }
      session.doWork(Ledger::force);
      forced.incrementAndGet();
    }
  }

  private static void rollBack(StatelessSession session) {
    try {
      session.getTransaction().rollback();
    } catch (RuntimeException e) {
      LOG.debug("Nothing to roll back: {}", e.getMessage());
    }
  }

  /** Writes what is in H2's memory and forces it onto the disk. */
  private static void force(Connection c) throws SQLException {
    try (Statement s = c.createStatement()) {
      s.execute("checkpoint sync");
    }
  }

  private void room() {
    long free;
    try {
      free = Files.exists(folder) ? Files.getFileStore(folder).getUsableSpace() : Long.MAX_VALUE;
    } catch (IOException e) {
      LOG.warn("How much room there is on the disk cannot be told: {}", e.getMessage());
      return;
    }
    if (free < reserve) {
      throw full(null);
    }
  }

  private NotKept full(Throwable cause) {
    return new NotKept(
        "The disk is full, so nothing can be saved. Make room on the disk that holds "
            + folder.toAbsolutePath().normalize()
            + " ("
            + (reserve >> 20)
            + " MB at least); Pied goes on by itself.",
        true,
        cause);
  }

  private NotKept why(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      String m = String.valueOf(t.getMessage());
      if (t instanceof NotKept n) {
        return n;
      }
      if (m.contains("No space left") || m.contains("quota exceeded")) {
        return full(e);
      }
    }
    LOG.error("Something could not be kept", e);
    return new NotKept(
        "It could not be saved: the file in "
            + folder.toAbsolutePath().normalize()
            + " cannot be written. Pied tries again by itself; the log says more.",
        false,
        e);
  }

  private void fall(NotKept why) {
    LOG.warn("{}", why.getMessage());
    // after a failed write H2 closes the file; a fresh connection opens it at its last whole state
    if (source instanceof HikariDataSource h && h.getHikariPoolMXBean() != null) {
      h.getHikariPoolMXBean().softEvictConnections();
    }
    trouble = why;
  }

  /** Whether it can be written again. */
  private void probe() {
    try {
      room();
      write(
          s ->
              s.createNativeMutationQuery(
                      "merge into mark (name, said) key (name) values ('tried', :said)")
                  .setParameter("said", java.time.Instant.now().toString())
                  .executeUpdate());
      trouble = null;
      LOG.warn("It can be saved again.");
    } catch (RuntimeException e) {
      NotKept why = why(e);
      if (source instanceof HikariDataSource h && h.getHikariPoolMXBean() != null) {
        h.getHikariPoolMXBean().softEvictConnections();
      }
      trouble = why;
    }
  }

  /** Writes what waits; nothing is taken any more. */
  @PreDestroy
  void close() throws InterruptedException {
    over = true;
    hand.join(20_000);
  }
}
