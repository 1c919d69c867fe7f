package pied.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class BoundedCacheTest {
  @Test
  void itTakesNoMoreRoomThanItMay() {
    double share = 1e-3;
    long most = (long) (share * Runtime.getRuntime().maxMemory());
    Map<Integer, byte[]> kept = BoundedCache.room(share, v -> v.length);
    int each = (int) (most / 20);
    for (int i = 0; i < 200; i++) {
      kept.put(i, new byte[each]);
    }
    long held = kept.values().stream().mapToLong(v -> v.length).sum();
    assertThat(held).isPositive().isLessThanOrEqualTo(most);
  }

  @Test
  void whoMakesOneThingHoldsUpNobodyWhoWantsAnother() throws InterruptedException {
    Map<String, String> kept = BoundedCache.room(1e-3, String::length);
    CountDownLatch making = new CountDownLatch(1);
    CountDownLatch other = new CountDownLatch(1);
    Thread slow =
        new Thread(
            () ->
                kept.computeIfAbsent(
                    "slow",
                    k -> {
                      making.countDown();
                      await(other);
                      return "made";
                    }));
    slow.start();
    assertThat(making.await(10, TimeUnit.SECONDS)).isTrue();
    assertThat(kept.computeIfAbsent("quick", k -> "there")).isEqualTo("there");
    other.countDown();
    slow.join();
    assertThat(kept).containsEntry("slow", "made");
  }

  private static void await(CountDownLatch latch) {
    try {
      if (!latch.await(10, TimeUnit.SECONDS)) {
        throw new IllegalStateException("The other was held up");
      }
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
