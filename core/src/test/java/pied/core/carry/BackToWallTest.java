package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.solid.Vec;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;

/** Sofas, beds and wardrobes turn their backs to the wall they come near, until they are turned. */
class BackToWallTest {
  private final Rooms room = new Rooms();

  private CarryResult answer(String article, double x, double z, Double turn) {
    Asked q = new Asked(List.of()).to(x, z);
    q.article = article;
    q.turn = turn;
    return Carrying.answer(room.space, q.asked(), LengthUnit.M);
  }

  @ParameterizedTest
  @CsvSource({"B,5.5,2", "D,0.5,1.2", "C,4.5,3.6", "A,2,0.4"})
  void toTheWallThatIsNear(String wall, double x, double z) {
    CarryResult a = answer("sofa", x, z, null);
    Wall w = room.shell().wall(wall);
    assertThat(Math.IEEEremainder(Asked.lead(a).turn() - w.turn(), 360)).isCloseTo(0, within(1e-9));
    Vec front = Asked.lead(a).pose().direct(new Vec(0, 0, 1));
    assertThat(front.dot(w.inward())).as("it faces the room").isCloseTo(1, within(1e-9));
    assertThat(a.refused()).isEmpty();
  }

  @Test
  void notFarFromWallsNorOnceItIsTurnedNorWhatStandsAnywhere() {
    assertThat(Asked.lead(answer("sofa", 3, 2, null)).turn()).isZero();
    assertThat(Asked.lead(answer("sofa", 5.5, 2, 0.0)).turn()).isZero();
    assertThat(Asked.lead(answer("sofa", 5.3, 2, 45.0)).turn()).isEqualTo(45);
    assertThat(Asked.lead(answer("cafe-table", 5.5, 2, null)).turn()).isZero();
    room.put("s", "sofa", 3, 2);
    Asked there = Asked.carry("s").to(5.5, 2);
    there.turn = null;
    // what stands in the space already is as somebody has turned it
    assertThat(Asked.lead(Carrying.answer(room.space, there.asked(), LengthUnit.M)).turn())
        .isZero();
  }
}
