package pied.server.store;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Keeps the store small and has a copy of it: what can no longer be asked for is let go of, a copy
 * is made each day there was something new, and when it is quiet, and at the end, the file is
 * packed.
 */
@Component
public class Housekeeping {
  private static final Logger LOG = LoggerFactory.getLogger(Housekeeping.class);

  /** So long a request may be sent again and is answered as the first time, days. */
  static final int ASKED_AGAIN = 7;

  /** So many copies are kept. */
  private static final int COPIES = 7;

  /** What was done, and can be let go of once nobody can ask for it any more. */
  public interface Past {
    void forget(Instant before);
  }

  private final Ledger ledger;
  private final List<Past> past;
  private final DataSource source;
  private final DataFolder folder;
  private final boolean file;
  private final long quiet;
  private long copied = -1;
  private long packed = -1;
  private LocalDate pruned;

  /**
   * @param quiet nothing written for so long is quiet, seconds
   */
  Housekeeping(
      Ledger ledger,
      List<Past> past,
      DataSource source,
      @Value("${pied.data}") String folder,
      @Value("${spring.datasource.url}") String url,
      @Value("${pied.quiet:20}") long quiet) {
    this.quiet = 1000 * quiet;
    this.ledger = ledger;
    this.past = past;
    this.source = source;
    this.folder = new DataFolder(Path.of(folder));
    file = url.startsWith("jdbc:h2:file:");
  }

  /** Before anybody is answered. */
  @PostConstruct
  void opened() {
    if (file) {
      folder.opened();
    }
  }

  @Scheduled(
      fixedDelayString = "${pied.tidy:30}",
      initialDelayString = "${pied.tidy:30}",
      timeUnit = TimeUnit.SECONDS)
  void tidy() {
    if (!file || ledger.trouble() != null || ledger.quiet() < quiet) {
      return;
    }
    try {
      if (!LocalDate.now().equals(pruned)) {
        forget(Instant.now().minus(Duration.ofDays(ASKED_AGAIN)));
        pruned = LocalDate.now();
      }
      pack();
      copy(LocalDate.now());
    } catch (IOException | SQLException | RuntimeException e) {
      LOG.warn("Housekeeping did not get through: {}", e.getMessage());
    }
  }

  /** Lets go of what was done before a moment and can no longer be asked for. */
  void forget(Instant before) {
    past.forEach(p -> p.forget(before));
  }

  // ---- packing

  /** Packs the file, until somebody goes on working. */
  int pack() throws SQLException {
    long forced = ledger.forced();
    if (forced == packed) {
      return 0;
    }
    try (Connection c = source.getConnection()) {
      int steps = Packing.pack(c, () -> ledger.forced() == forced);
      packed = ledger.forced() == forced ? forced : packed;
      return steps;
    }
  }

  // ---- copies

  /**
   * Makes a copy of this day, if there is none of it yet and something was written since the last;
   * it counts only once it could be opened and read.
   */
  void copy(LocalDate day) throws IOException, SQLException {
    Path copy = folder.copies().resolve(day + ".zip");
    if (Files.exists(copy) || ledger.forced() == copied) {
      return;
    }
    long forced = ledger.forced();
    Files.createDirectories(folder.copies());
    Path part = folder.copies().resolve(day + ".part");
    Files.deleteIfExists(part);
    try (Connection c = source.getConnection();
        Statement s = c.createStatement()) {
      s.execute("backup to '" + part.toString().replace("'", "''") + "'");
    }
    Path unpacked = DataFolder.unpack(part, folder.work());
    try {
      DataFolder.read(DataFolder.url(unpacked, DataFolder.QUIETLY), true);
      Files.move(part, copy, StandardCopyOption.ATOMIC_MOVE);
      copied = forced;
    } finally {
      Files.deleteIfExists(unpacked);
      Files.deleteIfExists(part);
    }
    List<Path> all = folder.goodCopies();
    for (Path old : all.subList(0, Math.max(0, all.size() - COPIES))) {
      Files.delete(old);
    }
  }

  // ---- at the end

  /** Packs the file, if that is worth it; what is acknowledged is on the disk already. */
  @PreDestroy
  void close() throws InterruptedException {
    ledger.close();
    if (!file || ledger.trouble() != null) {
      return;
    }
    try {
      // with it the connection ends too; nobody gives it back
      source.getConnection().createStatement().execute("shutdown compact");
      folder.opened();
    } catch (SQLException | RuntimeException e) {
      LOG.warn("The file was not packed: {}", e.getMessage());
    }
  }
}
