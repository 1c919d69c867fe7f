package pied.core.still;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;

class StillTrialTest {
  @Test
  void picturesAreMadeThatNobodySeesUntilItIsStopped() {
    AtomicInteger asked = new AtomicInteger();
    assertThat(StillTrial.run(new Rooms().space.shapes(), () -> asked.incrementAndGet() < 500))
        .isBetween(0, 2);
    assertThat(asked.get()).isBetween(500, 510);
  }
}
