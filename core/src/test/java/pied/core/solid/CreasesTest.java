package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;

class CreasesTest {
  private final Mesh box = Mesh.ofBox(new Vec(-1, 0, -0.5), new Vec(1, 0.8, 0.5));

  @Test
  void aBoxHasTwelveEdgesOneSees() {
    List<Creases.CreaseEdge> edges = Creases.sharp(box);
    assertThat(edges).hasSize(12);
    double length = edges.stream().mapToDouble(e -> e.to().minus(e.from()).length()).sum();
    assertThat(length).isCloseTo(4 * (2 + 0.8 + 1), within(1e-9));
  }

  @Test
  void theTwoFacesOfAnEdgeLookOutwardAndAcrossIt() {
    for (Creases.CreaseEdge e : Creases.sharp(box)) {
      Vec along = e.to().minus(e.from()).unit();
      Vec out = e.from().plus(e.to()).times(0.5).minus(box.box().centre());
      assertThat(e.n().dot(e.m())).isCloseTo(0, within(1e-9));
      for (Vec n : List.of(e.n(), e.m())) {
        assertThat(n.length()).isCloseTo(1, within(1e-9));
        assertThat(n.dot(along)).isCloseTo(0, within(1e-9));
        assertThat(n.dot(out)).isPositive();
      }
    }
  }

  @Test
  void theDiagonalOfAFaceIsNoEdgeOneSees() {
    assertThat(Creases.all(box)).hasSize(18); // 12, and one across each side
    assertThat(Creases.all(box).stream().filter(e -> !e.sharp())).hasSize(6);
  }

  @Test
  void ofSomethingTurnedOnlyTheRimsAreEdges() {
    Mesh table =
        Rooms.SHAPES.mesh("cafe-table", Rooms.SHAPES.catalog().article("cafe-table").size());
    double top = table.box().max().y();
    double reach = table.box().max().x();
    List<Creases.CreaseEdge> rim =
        Creases.sharp(table).stream()
            .filter(e -> e.from().y() > top - 0.05 && e.to().y() > top - 0.05)
            .filter(e -> Math.hypot(e.from().x(), e.from().z()) > 0.8 * reach)
            .toList();
    assertThat(rim).isNotEmpty();
    assertThat(rim).allMatch(e -> Math.abs(e.to().y() - e.from().y()) < 1e-6);
  }
}
