package pied.server;

import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/** Knows when nobody is at work, so that what can wait is done then. Safe for threads. */
@Component
public class IdleDetector {
  /** Nobody is at work if nothing was asked for so long, milliseconds. */
  private static final long QUIET = 1500;

  /** How one waits. */
  interface Pause {
    void take(long milliseconds) throws InterruptedException;
  }

  private final LongSupplier clock;
  private final Pause pause;
  private volatile long last;

  @Autowired
  IdleDetector() {
    this(System::nanoTime, Thread::sleep);
  }

  /**
   * @param clock nanoseconds
   */
  IdleDetector(LongSupplier clock, Pause pause) {
    this.clock = clock;
    this.pause = pause;
    last = clock.getAsLong() - TimeUnit.HOURS.toNanos(1);
  }

  /** Somebody asked something. */
  public void worked() {
    last = clock.getAsLong();
  }

  /** Waits until nobody is at work. */
  public void await() throws InterruptedException {
    long since;
    while ((since = TimeUnit.NANOSECONDS.toMillis(clock.getAsLong() - last)) < QUIET) {
      pause.take(QUIET - since + 1);
    }
  }
}
