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

  /** So long after a movement another may come, milliseconds. */
  private static final long MOMENT = 150;

  private static final long PASSING = 15;

  /** How one waits. */
  interface Pause {
    void take(long milliseconds) throws InterruptedException;
  }

  private final LongSupplier clock;
  private final Pause pause;
  private volatile long last;
  private volatile long carried;

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
    carried = last;
  }

  /** Somebody asked something. */
  public void worked() {
    last = clock.getAsLong();
  }

  /** Somebody moves what is carried. */
  public void carried() {
    worked();
    carried = clock.getAsLong();
  }

  /** Lets those who carry something come first: waits until nothing has been moved for a moment. */
  public void letPass() throws InterruptedException {
    while (TimeUnit.NANOSECONDS.toMillis(clock.getAsLong() - carried) < MOMENT) {
      pause.take(PASSING);
    }
  }

  /** Waits until nobody is at work. */
  public void await() throws InterruptedException {
    long since;
    while ((since = TimeUnit.NANOSECONDS.toMillis(clock.getAsLong() - last)) < QUIET) {
      pause.take(QUIET - since + 1);
    }
  }
}
