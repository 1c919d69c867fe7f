package pied.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class IdleDetectorTest {
  private long now = 1;
  private final List<Long> pauses = new ArrayList<>();

  @Test
  void whoeverCanWaitWaitsUntilNobodyIsAtWork() throws InterruptedException {
    IdleDetector[] idle = new IdleDetector[1];
    idle[0] =
        new IdleDetector(
            () -> now,
            milliseconds -> {
              pauses.add(milliseconds);
              now += TimeUnit.MILLISECONDS.toNanos(milliseconds);
              if (pauses.size() < 4) { // somebody goes on working meanwhile
                now -= TimeUnit.MILLISECONDS.toNanos(100);
                idle[0].worked();
                now += TimeUnit.MILLISECONDS.toNanos(100);
              }
            });
    idle[0].await();
    assertThat(pauses).as("nobody has been at work yet").isEmpty();
    idle[0].worked();
    idle[0].await();
    // the first is whole, the others wait for what is left since the last was at work
    assertThat(pauses).containsExactly(1501L, 1401L, 1401L, 1401L);
  }
}
