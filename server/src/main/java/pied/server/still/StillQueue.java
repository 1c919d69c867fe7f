package pied.server.still;

import jakarta.annotation.PreDestroy;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import pied.core.Nullable;
import pied.core.space.Space;
import pied.core.still.Developed;
import pied.core.still.StillRun;
import pied.core.units.Refusal;
import pied.server.IdleDetector;
import pied.server.space.OpenSpace;
import pied.server.space.SpaceStore;
import pied.server.still.StillRow.StillState;
import pied.server.store.Json;
import pied.server.store.NotKept;

/** Makes stills, one after the other, and lets those who work come first. */
@Component
class StillQueue {
  private static final Logger LOG = LoggerFactory.getLogger(StillQueue.class);

  /** Longest side of one that grows, dots, and how often it is looked at anew at most, seconds. */
  private static final int GROWING = 720;

  private static final double AGAIN = 0.6;

  /** So long nobody need ask for anything until it is looked all the same, milliseconds. */
  private static final long QUIET = 60_000;

  private static final String FULL =
      "The picture is made, but could not be written: the disk may be full. Make room and go on;"
          + " nothing has to be made again.";

  private final StillStore stills;
  private final StillFiles files;
  private final SpaceStore spaces;
  private final IdleDetector idle;
  private final double every;
  private final Map<String, Space> asked = new ConcurrentHashMap<>();
  private final Map<String, Developed> unwritten = new ConcurrentHashMap<>();
  private final Thread hand = new Thread(this::work, "stills");
  private final Object bell = new Object();
  private boolean rung;
  private volatile @Nullable Making making;
  private volatile boolean over;

  /**
   * @param every so often what is done is kept, seconds
   */
  StillQueue(
      StillStore stills,
      StillFiles files,
      SpaceStore spaces,
      IdleDetector idle,
      @Value("${pied.stills.kept-every:10}") double every) {
    this.every = every;
    this.stills = stills;
    this.files = files;
    this.spaces = spaces;
    this.idle = idle;
    hand.setDaemon(true);
    hand.setPriority(Thread.MIN_PRIORITY);
  }

  /** One that is under way. */
  static final class Making {
    final String id;
    final StillRun run;
    volatile boolean stopped;
    volatile boolean notKept;
    private byte[] seen = new byte[0];
    private long seenAt;
    private volatile double took = AGAIN / 4;

    Making(String id, StillRun run) {
      this.id = id;
      this.run = run;
    }

    /** What there is of it to look at; looking costs no more than a part of the time. */
    synchronized byte[] seen() throws IOException {
      long now = System.nanoTime();
      if (seen.length == 0 || (now - seenAt) / 1e9 > Math.max(AGAIN, 4 * took)) {
        BufferedImage image = run.picture(GROWING);
        seen = StillFiles.jpeg(image);
        took = (System.nanoTime() - now) / 1e9;
        seenAt = System.nanoTime();
      }
      return seen;
    }

    /** Another one as often as it is looked at anew. */
    int version() {
      return 1 + (int) (run.seconds() / Math.max(AGAIN, 4 * took));
    }
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    hand.start();
  }

  /** Takes one that waits; the space is as it was when it was asked for. */
  void take(String id, Space space) {
    asked.put(id, space);
    ring();
  }

  void ring() {
    synchronized (bell) {
      rung = true;
      bell.notifyAll();
    }
  }

  private void await() throws InterruptedException {
    synchronized (bell) {
      if (!rung) {
        bell.wait(QUIET);
      }
      rung = false;
    }
  }

  /** What is under way of one; null for nothing. */
  @Nullable
  Making making(String id) {
    Making m = making;
    return m != null && m.id.equals(id) ? m : null;
  }

  /** It is not made any further now; what is done is kept. */
  void stop(String id) {
    Making m = making(id);
    if (m != null) {
      m.stopped = true;
    }
  }

  /** Nothing of it is needed any more. */
  void forget(String id) {
    stop(id);
    asked.remove(id);
    unwritten.remove(id);
  }

  private void work() {
    while (!over) {
      try {
        StillRow next = stills.next();
        if (next == null) {
          await();
        } else {
          make(next);
        }
      } catch (InterruptedException e) {
        return;
      } catch (RuntimeException | Error e) {
        LOG.error("A picture stumbled", e);
        pause();
      }
    }
  }

  private static void pause() {
    try {
      Thread.sleep(1000);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void make(StillRow row) throws InterruptedException {
    String id = row.id();
    try {
      Developed d = unwritten.get(id);
      if (d == null) {
        d = run(row);
      }
      if (d != null) {
        write(row, d);
      }
    } catch (Refusal e) {
      stills.put(id, StillState.failed, e.getMessage());
    } catch (OutOfMemoryError e) {
      LOG.error("A picture is too large", e);
      stills.put(id, StillState.failed, "There is not enough memory for it; make it smaller.");
    } catch (NotKept e) {
      throw e; // nothing can be kept at present, this neither
    } catch (RuntimeException e) { // or it would be tried again for ever
      LOG.error("A picture could not be made", e);
      stills.put(id, StillState.failed, "It could not be made; the log says more.");
    } finally {
      making = null;
      if (stills.stateOf(id) == null) {
        files.forget(id); // it was removed while it was made
      }
    }
  }

  /** Null if it was stopped. */
  private @Nullable Developed run(StillRow row) {
    StoredStill told = Json.read(row.told(), StoredStill.class);
    Space space = stills.lit(space(row), told.look());
    int threads = Math.max(1, Runtime.getRuntime().availableProcessors());
    StillRun run = new StillRun(space, told.wish(), threads);
    files.takeUp(row.id(), run);
    Making m = new Making(row.id(), run);
    making = m;
    if (stills.stateOf(row.id()) != row.state()) {
      return null; // it was stopped or removed meanwhile
    }
    stills.put(row.id(), StillState.working, null);
    double[] keptAt = {run.seconds()};
    boolean made =
        run.run(
            () -> goesOn(m),
            () -> {
              if (run.seconds() - keptAt[0] > every) {
                keep(m);
                keptAt[0] = run.seconds();
              }
            });
    if (made) {
      return run.result();
    }
    keep(m);
    files.seen(m.id, m::seen);
    if (m.stopped) {
      stills.put(row.id(), StillState.stopped, null);
    }
    return null;
  }

  private boolean goesOn(Making m) {
    try {
      idle.letPass();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
    return !m.stopped && !over;
  }

  private void keep(Making m) {
    try {
      files.keep(m.id, m.run);
      m.notKept = false;
    } catch (IOException e) {
      LOG.warn("What is done of a picture cannot be kept meanwhile", e);
      m.notKept = true;
    }
  }

  private Space space(StillRow row) {
    Space then = asked.get(row.id());
    if (then != null) {
      return then;
    }
    OpenSpace.Seen now = spaces.seen(row.space());
    if (now.revision() != row.revision()) {
      throw new Refusal("The space was changed while Pied was closed. Make it anew.");
    }
    return now.space();
  }

  private void write(StillRow row, Developed d) {
    Making m = making;
    try {
      Map<String, String> words = new LinkedHashMap<>();
      words.put("Software", "Pied");
      words.put("Title", row.name());
      words.put("Viewpoint", row.told());
      files.made(row.id(), d, words);
      if (m == null) {
        stills.put(row.id(), StillState.made, null);
      } else {
        double noise = m.run.noise();
        stills.made(row.id(), m.run.seconds(), Double.isNaN(noise) ? null : noise);
      }
      asked.remove(row.id());
      unwritten.remove(row.id());
    } catch (IOException | NotKept e) {
      LOG.warn("A picture could not be written", e);
      unwritten.put(row.id(), d);
      if (m != null) {
        keep(m);
      }
      stills.put(row.id(), StillState.stopped, FULL);
    }
  }

  /** Ends what is being made; it is gone on with after the next start. */
  @PreDestroy
  void close() throws InterruptedException {
    over = true;
    ring();
    hand.join(8000);
  }
}
