package pied.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Spot;

/** In a room of 6 × 4 × 2.8 m; wall A runs along z = 0, B along x = 6. */
class MarksTest {
  private final Rooms room = new Rooms();

  private static void same(Vec a, Vec b) {
    assertThat(a.minus(b).length()).as(a + " and " + b).isLessThan(1e-9);
  }

  @Test
  void theCornerOfTwoWallsLooksAlongBothAndIntoTheRoom() {
    Marks.NamedMark m = Marks.nearest(room.space, new Spot(5.95, 0.04), 0.1);
    assertThat(m.words()).isEqualTo("the corner of walls A and B");
    same(m.at(), new Vec(6, 0, 0));
    assertThat(m.faces()).hasSize(2).allMatch(n -> n.dot(new Vec(-1, 0, 1)) > 0.9);
    assertThat(m.edges()).hasSize(2);
    assertThat(m.edges().get(0).dot(m.edges().get(1))).isCloseTo(0, within(1e-9));
  }

  @Test
  void theSidesOfAnOpeningAreMarks() {
    assertThat(Marks.nearest(room.space, new Spot(6, 1.9), 0.1).words())
        .isEqualTo("the middle of the window");
    assertThat(Marks.nearest(room.space, new Spot(6, 2.6), 0.1).words())
        .isEqualTo("the far side of the window");
  }

  @Test
  void nothingNearIsNoMark() {
    assertThat(Marks.nearest(room.space, new Spot(2, 2), 0.3)).isNull();
  }

  @Test
  void aPieceHasItsMarksWhereItStandsAndAsItIsTurned() {
    Piece p = room.put("s", "sideboard", 3, 2, 30);
    double w = p.size().width() / 2;
    double d = p.size().depth() / 2;
    Vec corner = p.pose().apply(new Vec(w, 0, d));
    Marks.NamedMark m = Marks.nearest(room.space, new Spot(corner.x() + 0.01, corner.z()), 0.05);
    assertThat(m.words()).isEqualTo("a corner of Oak sideboard");
    assertThat(Math.hypot(m.at().x() - corner.x(), m.at().z() - corner.z())).isLessThan(1e-9);
    Vec right = p.pose().direct(new Vec(1, 0, 0));
    Vec front = p.pose().direct(new Vec(0, 0, 1));
    assertThat(m.faces()).hasSize(2);
    assertThat(m.faces()).anyMatch(n -> n.dot(right) > 1 - 1e-9);
    assertThat(m.faces()).anyMatch(n -> n.dot(front) > 1 - 1e-9);
    // what is carried itself does not count
    assertThat(Marks.nearest(room.space, new Spot(corner.x(), corner.z()), 0.05, Set.of("s")))
        .isNull();
  }

  @Test
  void inASightTheHeightTells() {
    Piece p = room.put("s", "sideboard", 3, 2);
    double h = p.size().height();
    Vec mark = new Vec(3 - p.size().width() / 2, h, 2 + p.size().depth() / 2);
    Vec eye = new Vec(1, 1.7, 3.8);
    Marks.NamedMark m = Marks.nearest(room.space, eye, mark.minus(eye).unit(), 0.02, Set.of());
    same(m.at(), mark);
    // and not behind one's back
    Vec away = eye.minus(mark).unit();
    Marks.NamedMark behind = Marks.nearest(room.space, eye, away, 0.02, Set.of());
    assertThat(behind == null || behind.at().minus(mark).length() > 0.1).isTrue();
  }

  @Test
  void ofTheMiddleOfASideOneFaceAndItsEdge() {
    Piece p = room.put("s", "sideboard", 3, 2);
    assertThat(Marks.faces(p, 0, -1)).hasSize(1);
    same(Marks.faces(p, 0, -1).get(0), new Vec(0, 0, -1));
    List<Vec> edges = Marks.edges(p, 0, -1);
    assertThat(edges).hasSize(1);
    assertThat(Math.abs(edges.get(0).x())).isCloseTo(1, within(1e-9));
    assertThat(Marks.faces(p, 0, 0)).as("its middle").hasSize(4);
  }

  @Test
  void theCornersOfAPlatformLookOutward() {
    Rooms stage = Rooms.stage();
    stage.json("{'do':'platform','at':{'x':0,'z':-3}}");
    var outline = stage.space.shell().platforms().get(0).outline();
    Spot middle =
        new Spot(
            outline.stream().mapToDouble(Spot::x).average().orElseThrow(),
            outline.stream().mapToDouble(Spot::z).average().orElseThrow());
    for (Spot c : outline) {
      Marks.NamedMark m = Marks.nearest(stage.space, c, 0.01);
      Vec out = new Vec(c.x() - middle.x(), 0, c.z() - middle.z());
      assertThat(m.faces()).hasSize(2).allMatch(n -> n.dot(out) > 0);
      assertThat(m.at().y()).isEqualTo(stage.space.shell().platforms().get(0).height());
    }
  }
}
