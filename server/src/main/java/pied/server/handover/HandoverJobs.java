package pied.server.handover;

import jakarta.annotation.PreDestroy;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import pied.core.Nullable;
import pied.core.units.Deadline;
import pied.core.units.Refusal;
import pied.server.store.Later;
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

  /** So many are under way at a time, so many of them for one; what is made is kept so long. */
  private static final int MOST = 60;

  private static final int MOST_OF_ONE = 5;

  /** So many made ones lie there until they are fetched. */
  private static final int MOST_MADE = 60;

  /** So many shared ones are made or wait to be, and so many wait for one of them. */
  private static final int MOST_WAITING = 16;

  private static final int MOST_ASKERS = 400;

  /** So many shared ones lie there, and so long. */
  private static final int MOST_LYING = 16;

  private static final Duration LIES = Duration.ofSeconds(60);

  private static final Duration KEPT = Duration.ofMinutes(10);

  /** What is made for one window, and what others follow, each one after the other. */
  private final ExecutorService maker = Executors.newSingleThreadExecutor(HandoverJobs::thread);

  private final ExecutorService followers = Executors.newSingleThreadExecutor(HandoverJobs::thread);
  private final Map<String, Shared> shared = new LinkedHashMap<>();
  private final Map<String, Running> all = new ConcurrentHashMap<>();
  private final WorkFolder folder;

  HandoverJobs(WorkFolder folder) {
    this.folder = folder;
  }

  private static Later busy() {
    return new Later(
        "Many files are being made at this moment. Nothing is wrong; ask again in 10 seconds.", 10);
  }

  private static Thread thread(Runnable r) {
    Thread t = new Thread(r, "hand-over");
    t.setDaemon(true);
    t.setPriority(Thread.MIN_PRIORITY);
    return t;
  }

  /** Writes something. */
  interface Work {
    void write(OutputStream out, Deadline deadline) throws IOException;
  }

  /** How something comes on. */
  static final class Running {
    private final Instant begun = Instant.now();
    private final String who;
    private final String name;
    private final String type;
    private final int steps;
    private int done;
    private volatile boolean stopped;
    private volatile @Nullable Path file;
    private volatile @Nullable String failed;

    private Running(String who, String name, String type, int steps) {
      this.who = who;
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

    /** Whether it is made, or cannot be. */
    boolean over() {
      return file != null || failed != null || stopped;
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

  /**
   * A file that many may ask for at once: it is made one time for all of them, and whoever waits
   * for it holds no thread. It lies there for a while, for those who come soon after.
   *
   * @param key the same for what is the same
   * @throws Later if too many wait already
   */
  CompletableFuture<Path> shared(String key, Work work) {
    CompletableFuture<Path> made;
    synchronized (shared) {
      tidyShared();
      Shared known = shared.get(key);
      if (known == null) {
        if (waiting() >= MOST_WAITING) {
          throw busy();
        }
        known = new Shared(new CompletableFuture<>());
        shared.put(key, known);
        CompletableFuture<Path> own = known.file;
        followers.execute(() -> makeShared(key, own, work));
      } else if (!known.file.isDone() && ++known.askers > MOST_ASKERS) {
        throw busy();
      }
      made = known.file;
    }
    return made.copy();
  }

  private void makeShared(String key, CompletableFuture<Path> file, Work work) {
    try {
      file.complete(written(work, Deadline.seconds(LONGEST)));
    } catch (IOException | RuntimeException | Error e) {
      synchronized (shared) {
        shared.remove(key); // the next one may try again
      }
      file.completeExceptionally(e);
      if (e instanceof Error x) {
        throw x;
      }
    }
  }

  private long waiting() {
    return shared.values().stream().filter(s -> !s.file.isDone()).count();
  }

  /** What has lain there for long, or more than there is room for, goes; the oldest first. */
  private void tidyShared() {
    Instant before = Instant.now().minus(LIES);
    List<String> done = new ArrayList<>();
    shared.forEach(
        (key, s) -> {
          if (s.file.isDone()) {
            done.add(key);
          }
        });
    int over = done.size() - MOST_LYING;
    for (String key : done) {
      Shared s = shared.get(key);
      if (over-- > 0 || s.begun.isBefore(before)) {
        shared.remove(key);
        s.file.thenAccept(HandoverJobs::delete);
      }
    }
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      LOG.warn("A file of a hand-over is left over", e);
    }
  }

  /** Something that several wait for. */
  private static final class Shared {
    private final Instant begun = Instant.now();
    private final CompletableFuture<Path> file;
    private int askers = 1;

    Shared(CompletableFuture<Path> file) {
      this.file = file;
    }
  }

  private Path written(Work work, Deadline deadline) throws IOException {
    Path file = folder.file("handover");
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
      work.write(out, deadline);
    } catch (IOException | RuntimeException | Error e) {
      Files.deleteIfExists(file);
      throw e;
    }
    return file;
  }

  /**
   * Begins to make it; its id.
   *
   * @param who asks for it; what others have under way does not count
   */
  String begin(String who, String name, String type, int steps, Work work) {
    tidy();
    List<Running> under = all.values().stream().filter(r -> !r.over()).toList();
    if (under.stream().filter(r -> r.who.equals(who)).count() >= MOST_OF_ONE) {
      throw new Refusal(
          "You have {} files under way already; wait for one, or stop one.", MOST_OF_ONE);
    }
    if (under.size() >= MOST) {
      throw busy();
    }
    String id = UUID.randomUUID().toString();
    Running running = new Running(who, name, type, steps);
    all.put(id, running);
    maker.execute(() -> make(running, work));
    return id;
  }

  private void make(Running running, Work work) {
    try {
      running.step();
      Path file = written(work, Deadline.watched(LONGEST, running::step));
      running.file = file;
      if (running.stopped) {
        Files.deleteIfExists(file);
      }
    } catch (Refusal e) {
      running.failed = e.getMessage();
    } catch (IOException e) {
      LOG.warn("Hand-over failed", e);
      running.failed = "It could not be written: the disk may be full. Make room and try again.";
    } catch (RuntimeException e) {
      LOG.error("Hand-over failed", e);
      running.failed = "It could not be made; try a smaller part of the space.";
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
    List<Map.Entry<String, Running>> made =
        all.entrySet().stream()
            .filter(e -> e.getValue().over())
            .sorted(Comparator.comparing(e -> e.getValue().begun))
            .toList();
    made.stream().limit(Math.max(0, made.size() - MOST_MADE)).forEach(e -> stop(e.getKey()));
  }

  private static void delete(Running r) {
    Path file = r.file;
    if (file != null) {
      delete(file);
    }
  }

  /** Files that nobody asks for any more go, also when nobody asks for others. */
  @Scheduled(fixedDelay = 60, initialDelay = 60, timeUnit = TimeUnit.SECONDS)
  void sweep() {
    tidy();
    synchronized (shared) {
      tidyShared();
    }
  }

  /** So long those that write are waited for at the end, seconds. */
  private static final int LAST = 5;

  /** Ends what is being made, and waits until nobody writes any more. */
  @PreDestroy
  void close() throws InterruptedException {
    all.keySet().forEach(this::stop);
    maker.shutdownNow();
    followers.shutdownNow();
    maker.awaitTermination(LAST, TimeUnit.SECONDS);
    followers.awaitTermination(LAST, TimeUnit.SECONDS);
  }
}
