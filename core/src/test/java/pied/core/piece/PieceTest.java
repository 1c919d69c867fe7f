package pied.core.piece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.joml.Quaterniond;
import org.joml.Vector3d;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.material.Finishes;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Rotation;
import pied.core.solid.Vec;

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
}
