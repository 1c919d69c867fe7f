package pied.core.piece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.joml.Quaterniond;
import org.joml.Vector3d;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.material.Finishes;
import pied.core.schedule.Schedule;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Rotation;
import pied.core.solid.Vec;
import pied.core.units.LengthUnit;

class PieceTest {
  @Property(tries = 300)
  void theRotationTurnsAsThePoseDoes(
      @ForAll @DoubleRange(min = -720, max = 720) double turn,
      @ForAll @DoubleRange(min = 0, max = 360) double toward,
      @ForAll @DoubleRange(min = 0, max = 180) double by) {
    Stance stance = new Stance(Vec.ZERO, turn, new Lean(toward, by));
    Rotation r = stance.pose().rotation();
    Vector3d seen =
        new Quaterniond(r.x(), r.y(), r.z(), r.w()).transform(new Vector3d(0.3, 0.5, 2));
    Vec meant = stance.pose().direct(new Vec(0.3, 0.5, 2));
    assertThat(new Vec(seen.x, seen.y, seen.z).minus(meant).length()).isLessThan(1e-12);
  }

  @Property
  void aTurnReadAgainIsTheSameToTheLastBit(@ForAll @DoubleRange(min = -1e6, max = 1e6) double t) {
    double once = new Stance(Vec.ZERO, t).turn();
    assertThat(once).isBetween(0.0, Math.nextDown(360.0));
    assertThat(new Stance(Vec.ZERO, once).turn()).isEqualTo(once);
  }

  @Test
  void aTurnOfThirtyTurnsThePlanBackByThirtyOnItsSheet() {
    assertThat(new Stance(Vec.ZERO, 30).onSheet()).isEqualTo(330);
    assertThat(new Stance(Vec.ZERO, 0).onSheet()).isZero();
  }

  @Test
  void aMirroredFormHasItsLeftOnTheRight() {
    Form form = new Form("jug", Rooms.SHAPES.catalog().article("jug").size());
    Mesh plain = Rooms.SHAPES.mesh(form);
    Mesh mirrored = Rooms.SHAPES.mesh(form.withMirrored(true));
    assertThat(mirrored.isClosed()).isEqualTo(plain.isClosed());
    assertThat(mirrored.volume()).isCloseTo(plain.volume(), within(1e-12));
    assertThat(mirrored.box().min().x()).isCloseTo(-plain.box().max().x(), within(1e-12));
    Piece one = new Piece("a", "A", form, new Stance(Vec.ZERO, 0), On.FLOOR, Finishes.NONE);
    assertThat(one.withForm(form.withMirrored(true)).fills(one)).isFalse();
    assertThat(one.withSize(new Size(1, 1, 1)).form())
        .isEqualTo(new Form("jug", new Size(1, 1, 1)));
  }

  private static Form natural(String article) {
    return new Form(article, Rooms.SHAPES.catalog().article(article).size());
  }

  @ParameterizedTest
  @ValueSource(strings = {"stool", "oval-table", "long-table", "armchair", "sofa", "crate"})
  void whatIsTheSameMirroredIsSymmetric(String article) {
    assertThat(Rooms.SHAPES.symmetric(natural(article))).isTrue();
    assertThat(Rooms.SHAPES.symmetric(natural(article).withMirrored(true))).isTrue();
  }

  @ParameterizedTest
  @ValueSource(strings = {"banquette-corner", "banquette-end", "day-couch", "jug"})
  void whatHasALeftAndARightIsNot(String article) {
    assertThat(Rooms.SHAPES.symmetric(natural(article))).isFalse();
  }

  @Test
  void mirroredIsSaidOnlyOfWhatIsAnotherThen() {
    Rooms room = new Rooms();
    for (String article : List.of("stool", "banquette-end")) {
      room.put(article, article, 2, article.equals("stool") ? 1 : 3);
      room.json("{'do':'twin','pieces':['" + article + "'],'about':{'by':'across','at':{'x':3}}}");
    }
    var rows = Schedule.of(room.space, LengthUnit.M);
    assertThat(rows).filteredOn(r -> r.article().equals("stool")).hasSize(2);
    assertThat(
            rows.stream().filter(r -> r.article().equals("stool")).map(r -> r.alike()).distinct())
        .hasSize(1);
    assertThat(rows.stream().map(r -> r.note()).filter(n -> !n.isEmpty()))
        .containsExactly("mirrored");
  }
}
