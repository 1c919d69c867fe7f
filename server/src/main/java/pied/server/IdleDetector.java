package pied.server;

import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Knows when nobody is at work, so that what can wait is done then. Safe for threads. */
@Component
public class IdleDetector {
  /** Nobody is at work if nothing was asked for so long, milliseconds. */
  private static final long QUIET = 1500;

  private volatile long last = System.nanoTime() - TimeUnit.HOURS.toNanos(1);

  /** Somebody asked something. */
  public void worked() {
    last = System.nanoTime();
  }

  /** Waits until nobody is at work. */
  public void await() throws InterruptedException {
    long since;
    while ((since = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - last)) < QUIET) {
      Thread.sleep(QUIET - since + 1);
    }
  }
}
