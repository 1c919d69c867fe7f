package pied.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class IdleDetectorTest {
  private static CompletableFuture<Void> waiting(IdleDetector idle) {
    return CompletableFuture.runAsync(
        () -> {
          try {
            idle.await();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }

  @Test
  void whoeverCanWaitWaitsUntilNobodyIsAtWork() throws Exception {
    IdleDetector idle = new IdleDetector();
    waiting(idle).get(5, TimeUnit.SECONDS); // nobody has been at work yet
    idle.worked();
    CompletableFuture<Void> waits = waiting(idle);
    for (int i = 0; i < 5; i++) {
      Thread.sleep(100);
      idle.worked();
      assertThat(waits).isNotDone();
    }
    waits.get(180, TimeUnit.SECONDS);
  }
}
