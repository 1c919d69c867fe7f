package pied.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class LeisureTest {
  private static CompletableFuture<Void> waiting(Leisure leisure) {
    return CompletableFuture.runAsync(
        () -> {
          try {
            leisure.await();
          } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
          }
        });
  }

  @Test
  void whoeverCanWaitWaitsUntilNobodyIsAtWork() throws Exception {
    Leisure leisure = new Leisure();
    waiting(leisure).get(5, TimeUnit.SECONDS); // nobody has been at work yet
    leisure.worked();
    CompletableFuture<Void> waits = waiting(leisure);
    for (int i = 0; i < 5; i++) {
      Thread.sleep(100);
      leisure.worked();
      assertThat(waits).isNotDone();
    }
    waits.get(20, TimeUnit.SECONDS);
  }
}
