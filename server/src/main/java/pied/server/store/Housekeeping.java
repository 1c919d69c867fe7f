package pied.server.store;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.TimeUnit;
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
  private final Journal journal;
  private final DataFolder folder;
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
      Journal journal,
      JournalFile file,
      @Value("${pied.data}") String folder,
      @Value("${pied.quiet:20}") long quiet) {
    this.quiet = 1000 * quiet;
    this.ledger = ledger;
    this.past = past;
    this.journal = journal;
    this.folder = new DataFolder(Path.of(folder), file);
  }

  /** Before anybody is answered. */
  @PostConstruct
  void opened() {
    if (journal.inFile()) {
      folder.opened();
    }
  }

  @Scheduled(
      fixedDelayString = "${pied.tidy:30}",
      initialDelayString = "${pied.tidy:30}",
      timeUnit = TimeUnit.SECONDS)
  void tidy() {
    if (!journal.inFile() || ledger.trouble() != null || ledger.quiet() < quiet) {
      return;
    }
    try {
      if (!LocalDate.now().equals(pruned)) {
        forget(Instant.now().minus(Duration.ofDays(ASKED_AGAIN)));
        pruned = LocalDate.now();
      }
      pack();
      copy(LocalDate.now());
    } catch (IOException | RuntimeException e) {
      LOG.warn("Housekeeping did not get through: {}", e.getMessage());
    }
  }

  /** Lets go of what was done before a moment and can no longer be asked for. */
  void forget(Instant before) {
    past.forEach(p -> p.forget(before));
  }

  // ---- packing

  /** Packs the file, until somebody goes on working. */
  int pack() throws IOException {
    long forced = ledger.forced();
    if (forced == packed) {
      return 0;
    }
    int steps = journal.pack(() -> ledger.forced() == forced);
    packed = ledger.forced() == forced ? forced : packed;
    return steps;
  }

  // ---- copies

  /**
   * Makes a copy of this day, if there is none of it yet and something was written since the last;
   * it counts only once it could be opened and read.
   */
  void copy(LocalDate day) throws IOException {
    Path copy = folder.copies().resolve(day + ".zip");
    if (Files.exists(copy) || ledger.forced() == copied) {
      return;
    }
    long forced = ledger.forced();
    Files.createDirectories(folder.copies());
    Path part = folder.copies().resolve(day + ".part");
    Files.deleteIfExists(part);
    try {
      journal.copy(part, folder.work());
      Files.move(part, copy, StandardCopyOption.ATOMIC_MOVE);
      copied = forced;
    } finally {
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
    if (!journal.inFile() || ledger.trouble() != null) {
      return;
    }
    try {
      journal.close();
      folder.opened();
    } catch (IOException | RuntimeException e) {
      LOG.warn("The file was not packed: {}", e.getMessage());
    }
  }
}
