package pied.server.handover;

import jakarta.annotation.PreDestroy;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Semaphore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import pied.core.Effort;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.server.store.WorkFolder;

/**
 * What is handed over is made one at a time, into a file that is gone when it was fetched, so that
 * neither memory nor those who work meanwhile have much to do with it.
 */
@Component
class HandoverJobs {
  private static final Logger LOG = LoggerFactory.getLogger(HandoverJobs.class);

  /** Longest time one may take, seconds. */
  private static final int LONGEST = 120;

  /** So many are kept at a time, and so long. */
  private static final int MOST = 20;

  private static final Duration KEPT = Duration.ofMinutes(10);

  private final Semaphore one = new Semaphore(1, true);
  private final ExecutorService maker =
      Executors.newSingleThreadExecutor(
          r -> {
            Thread t = new Thread(r, "hand-over");
            t.setDaemon(true);
            t.setPriority(Thread.MIN_PRIORITY);
            return t;
          });
  private final Map<String, Running> all = new ConcurrentHashMap<>();
  private final WorkFolder folder;

  HandoverJobs(WorkFolder folder) {
    this.folder = folder;
  }

  /** Writes something. */
  interface Work {
    void write(OutputStream out, Effort effort) throws IOException;
  }

  /** How something comes on. */
  static final class Running {
    private final Instant begun = Instant.now();
    private final String name;
    private final String type;
    private final int steps;
    private int done;
    private volatile boolean stopped;
    private volatile @Nullable Path file;
    private volatile @Nullable String failed;

    private Running(String name, String type, int steps) {
      this.name = name;
      this.type = type;
      this.steps = steps;
    }

    private synchronized void step() {
      if (stopped) {
        throw new Refusal("It was stopped.");
      }
      done++;
    }

    /** 0 to 1. */
    synchronized double share() {
      return file != null ? 1 : Math.min(0.97, done / (double) steps);
    }

    String name() {
      return name;
    }

    String type() {
      return type;
    }

    @Nullable
    Path file() {
      return file;
    }

    @Nullable
    String failed() {
      return failed;
    }
  }

  /** Makes it now, in this thread; the file is the caller's to delete. */
  Path now(Work work) throws IOException {
    one.acquireUninterruptibly();
    try {
      return written(work, Effort.seconds(LONGEST));
    } finally {
      one.release();
    }
  }

  private Path written(Work work, Effort effort) throws IOException {
    Path file = folder.file("handover");
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
      work.write(out, effort);
    } catch (IOException | RuntimeException | Error e) {
      Files.deleteIfExists(file);
      throw e;
    }
    return file;
  }

  /** Begins to make it; its id. */
  String begin(String name, String type, int steps, Work work) {
    tidy();
    if (all.size() >= MOST) {
      throw new Refusal("So much is being made already; fetch or stop some of it first.");
    }
    String id = UUID.randomUUID().toString();
    Running running = new Running(name, type, steps);
    all.put(id, running);
    maker.execute(() -> make(running, work));
    return id;
  }

  private void make(Running running, Work work) {
    one.acquireUninterruptibly();
    try {
      running.step();
      Path file = written(work, Effort.watched(LONGEST, running::step));
      running.file = file;
      if (running.stopped) {
        Files.deleteIfExists(file);
      }
    } catch (Refusal e) {
      running.failed = e.getMessage();
    } catch (IOException e) {
      LOG.warn("Hand-over failed", e);
      running.failed = "It could not be written: the disk may be full. Make room and try again.";
    } catch (RuntimeException | OutOfMemoryError e) {
      LOG.error("Hand-over failed", e);
      running.failed = "It could not be made; try a smaller part of the space.";
    } finally {
      one.release();
    }
  }

  @Nullable
  Running running(String id) {
    return all.get(id);
  }

  /** It is not made any further, and nothing of it is kept. */
  void stop(String id) {
    Running r = all.remove(id);
    if (r != null) {
      r.stopped = true;
      delete(r);
    }
  }

  private void tidy() {
    Instant before = Instant.now().minus(KEPT);
    all.forEach(
        (id, r) -> {
          if (r.begun.isBefore(before)) {
            stop(id);
          }
        });
  }

  private static void delete(Running r) {
    try {
      if (r.file != null) {
        Files.deleteIfExists(r.file);
      }
    } catch (IOException e) {
      LOG.warn("A file of a hand-over is left over", e);
    }
  }

  @PreDestroy
  void close() {
    all.keySet().forEach(this::stop);
    maker.shutdownNow();
  }
}
