package pied.server.still;

import jakarta.annotation.PreDestroy;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import pied.core.piece.Shapes;
import pied.core.solid.RayTrees;
import pied.core.still.StillTrial;
import pied.server.IdleDetector;

/**
 * After a start, and beside all else, makes ready what makes pictures: it is compiled, and the
 * quicker of two trees chosen. It takes half a processor at most, and none while anybody carries
 * something.
 */
@Component
@ConditionalOnProperty("pied.stills.warm")
class StillWarmth {
  private static final Logger LOG = LoggerFactory.getLogger(StillWarmth.class);

  /** Longest rest after a piece of work, milliseconds. */
  private static final long LONGEST = 500;

  private final Shapes shapes;
  private final IdleDetector idle;
  private final Thread hand = new Thread(this::work, "stills-warmth");
  private volatile boolean over;
  private long since;

  StillWarmth(Shapes shapes, IdleDetector idle) {
    this.shapes = shapes;
    this.idle = idle;
    hand.setDaemon(true);
    hand.setPriority(Thread.MIN_PRIORITY);
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    hand.start();
  }

  private void work() {
    try {
      since = System.nanoTime();
      double quicker = RayTrees.warm(this::goesOn);
      int made = StillTrial.run(shapes, this::goesOn);
      LOG.info("{} trial pictures; rays by vectors are {} times as quick", made, quicker);
    } catch (RuntimeException | LinkageError e) { // pictures are made without it, too
      LOG.warn("What makes pictures could not be made ready", e);
    }
  }

  /** Rests as long as was worked. */
  private boolean goesOn() {
    try {
      Thread.sleep(Math.min(LONGEST, (System.nanoTime() - since) / 1_000_000));
      idle.letPass();
    } catch (InterruptedException e) {
      over = true;
    }
    since = System.nanoTime();
    return !over;
  }

  @PreDestroy
  void close() {
    over = true;
    hand.interrupt();
  }
}
