package pied.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;

class SpaceCardTest {
  private final Rooms room = new Rooms();

  /** The area of a ring x, z, x, z…, m². */
  private static double area(double[] ring) {
    double twice = 0;
    int n = ring.length / 2;
    for (int i = 0; i < n; i++) {
      int k = (i + 1) % n;
      twice += ring[2 * i] * ring[2 * k + 1] - ring[2 * k] * ring[2 * i + 1];
    }
    return Math.abs(twice) / 2;
  }

  @Test
  void everyPieceLeavesItsOutlineWhereItStandsTheLowestFirst() {
    room.put("t", "round-table", 3, 2);
    room.put("c", "cup-and-saucer", 3, 2);
    room.put("b", "block", 1, 1, 45);
    SpaceCard card = SpaceCard.of(room.space);
    assertThat(card.figures()).hasSize(3);
    double w = room.piece("t").size().width();
    double[] table = card.figures().get(1);
    assertThat(area(table)).as("round").isCloseTo(Math.PI * w * w / 4, within(0.02 * w * w));
    double[] block = card.figures().get(0);
    assertThat(area(block)).isCloseTo(0.25, within(0.01));
    double reach = 0.5 / Math.sqrt(2);
    assertThat(Arrays.stream(block).min().orElseThrow())
        .as("turned by 45°")
        .isCloseTo(1 - reach, within(0.005));
    assertThat(card.inks()).isNotEmpty();
    assertThat(card.extent()[2]).isGreaterThan(6);
  }

  @Test
  void anEmptyRoomIsDrawnBare() {
    SpaceCard card = SpaceCard.of(room.space);
    assertThat(card.figures()).isEmpty();
    assertThat(card.inks()).isNotEmpty();
  }
}
