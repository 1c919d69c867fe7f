package pied.core.still;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/** Threads that work on one picture together, and come after all others. */
final class Hands {
  private final int number;

  Hands(int number) {
    this.number = Math.max(1, number);
  }

  /** Does the same work in all of them at once, and waits for the last. */
  void all(Runnable work) {
    List<Thread> others = new ArrayList<>();
    AtomicInteger failed = new AtomicInteger();
    Throwable[] why = new Throwable[number];
    for (int i = 1; i < number; i++) {
      Thread t = new Thread(work, "still");
      t.setDaemon(true);
      t.setPriority(Thread.MIN_PRIORITY);
      t.setUncaughtExceptionHandler((who, e) -> why[failed.incrementAndGet()] = e);
      t.start();
      others.add(t);
    }
    try {
      work.run();
    } finally {
      others.forEach(Hands::join);
    }
    if (failed.get() > 0) {
      throw new IllegalStateException("A picture could not be made", why[1]);
    }
  }

  private static void join(Thread t) {
    boolean interrupted = false;
    while (t.isAlive()) {
      try {
        t.join();
      } catch (InterruptedException e) {
        interrupted = true;
      }
    }
    if (interrupted) {
      Thread.currentThread().interrupt();
    }
  }

  /** Does something for each number below one. */
  void each(int n, IntConsumer what) {
    AtomicInteger next = new AtomicInteger();
    all(
        () -> {
          for (int i = next.getAndIncrement(); i < n; i = next.getAndIncrement()) {
            what.accept(i);
          }
        });
  }
}
