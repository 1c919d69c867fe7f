package pied.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.space.Spot;

class WithinTest {
  @Test
  void aRectangleTakesWhoseMiddleIsInItInTheirOrder() {
    Rooms room = new Rooms();
    room.put("b", "stool", 2, 2);
    room.put("a", "stool", 1, 1);
    room.put("out", "sideboard", 2.5, 2);
    // drawn either way; the middle on the edge counts, a side reaching in does not
    assertThat(Within.rectangle(room.space, new Spot(0, 0), new Spot(2, 2)))
        .containsExactly("b", "a");
    assertThat(Within.rectangle(room.space, new Spot(2, 2), new Spot(0, 0)))
        .containsExactly("b", "a");
    assertThat(Within.rectangle(room.space, new Spot(0, 0), new Spot(0.9, 5))).isEmpty();
  }
}
