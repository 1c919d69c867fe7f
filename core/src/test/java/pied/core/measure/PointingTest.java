package pied.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.LengthUnit;

/** Points that are pointed at, marks by their names, handles and yardsticks. */
class PointingTest {
  private Rooms room;

  @BeforeEach
  void open() {
    room = new Rooms();
    room.put("b", "block", 2, 2, 90);
    room.json("{'do':'size','pieces':['b'],'size':{'width':'0.8 x 0.4 x 1.2'}}");
  }

  private PointOn above(double x, double z, double near) {
    return PointOn.of(room.space, List.of("b"), new Vec(x, 9, z), Vec.DOWN, near);
  }

  @Test
  void nearACornerItIsTheCornerThatIsSeen() {
    PointOn p = above(2.18, 2.43, 0.05);
    assertThat(p.at().distance(new Vec(2.2, 1.2, 2.4))).as("of the top").isLessThan(1e-9);
    assertThat(above(2.05, 2.1, 0.02).at().distance(new Vec(2.05, 1.2, 2.1))).isLessThan(1e-6);
    assertThat(above(2.05, 2.1, 0.02).words()).isEqualTo("a point of Plain block");
    assertThatThrownBy(() -> above(5, 3, 0.05)).hasMessageContaining("a place on Plain block");
  }

  @Test
  void onNothingInParticularItIsAMarkOfAnythingOrWhereItMeetsSomething() {
    PointOn p = PointOn.of(room.space, List.of(), new Vec(5.97, 1, 0.02), Vec.DOWN, 0.1);
    assertThat(p.words()).isEqualTo("the corner of walls A and B");
    assertThat(p.at()).isEqualTo(new Vec(6, 0, 0));
    PointOn floor = PointOn.of(room.space, List.of(), new Vec(4, 1, 3), Vec.DOWN, 0.1);
    assertThat(floor.at().distance(new Vec(4, 0, 3))).isLessThan(1e-9);
  }

  @ParameterizedTest
  @CsvSource({
    "left front under, the left front corner of its foot",
    "under middle, the middle of its foot",
    "top middle, the middle of its top",
    "middle, its middle",
    "right middle, the middle of its right side",
    "left back middle, the left back edge",
    "back under middle, the middle of the back edge of its foot",
  })
  void marksAreReadWrittenAndSaid(String mark, String words) {
    assertThat(Hold.read(mark).text()).isEqualTo(mark);
    assertThat(Hold.read(mark).words()).isEqualTo(words);
  }

  @Test
  void whatIsNotSaidOfAHoldIsOpen() {
    assertThat(Hold.read("under")).isEqualTo(new Hold(null, -1, null));
    assertThat(Hold.read("")).isEqualTo(Hold.ANY);
    assertThat(Hold.read("left").on(new Size(2, 1, 1))).isEqualTo(new Vec(-1, 0.5, 0));
  }

  @Test
  void handlesLieWhereTheMarksAndSidesAre() {
    Handles h = Handles.of(room.piece("b"), "left front under", LengthUnit.CM);
    assertThat(h.marks()).hasSize(27);
    Vec corner =
        h.marks().stream().filter(m -> m.hold().equals("left front under")).findFirst().get().at();
    assertThat(corner.distance(new Vec(2.2, 0, 2.4))).isLessThan(1e-9);
    assertThat(h.dial().centre()).isEqualTo(corner);
    assertThat(h.dial().front().distance(new Vec(1, 0, 0))).isLessThan(1e-9);
    assertThat(h.dial().radius()).as("all of it lies within").isGreaterThan(Math.hypot(0.8, 0.4));
    assertThat(h.tabs()).hasSize(6);
    assertThat(h.tabs().get(0).text()).isEqualTo("80.0");
  }

  @Test
  void aYardstickStandsBesideAndIsNoPiece() {
    Piece person =
        Yardstick.beside(room.space, "b", Yardstick.YardstickWhat.person, "1.6m", LengthUnit.M);
    assertThat(person.size().height()).isCloseTo(1.6, within(1e-9));
    assertThat(person.at().x()).isGreaterThan(2.2 + person.size().width() / 2);
    assertThat(person.on()).isEqualTo(On.FLOOR);
    assertThat(room.space.has(person.id())).isFalse();
    Piece block =
        Yardstick.beside(room.space, "b", Yardstick.YardstickWhat.block, "25cm", LengthUnit.M);
    assertThat(block.size().width()).isCloseTo(0.25, within(1e-9));
    assertThatThrownBy(
            () ->
                Yardstick.beside(
                    room.space, "b", Yardstick.YardstickWhat.block, "20m", LengthUnit.M))
        .hasMessageContaining("12.00 m high");
  }
}
