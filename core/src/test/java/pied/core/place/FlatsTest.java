package pied.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.solid.Mesh;
import pied.core.solid.MeshMaker;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/** Level faces joined to figures; what stands on them, and whether it stands securely. */
class FlatsTest {
  private static final double EXACT = 1e-9;

  /** A step: 1 wide, 1 deep, 0.2 high, and in its back half 0.5 high. */
  private static Mesh step() {
    MeshMaker maker = new MeshMaker();
    box(maker, -0.5, 0, 0, 0.5, 0.2, 0.5);
    box(maker, -0.5, 0, -0.5, 0.5, 0.5, 0);
    return maker.mesh("step");
  }

  private static void box(
      MeshMaker m, double x0, double y0, double z0, double x1, double y1, double z1) {
    int[] p = new int[8];
    for (int i = 0; i < 8; i++) {
      p[i] = m.point((i & 1) == 0 ? x0 : x1, (i & 2) == 0 ? y0 : y1, (i & 4) == 0 ? z0 : z1);
    }
    int[][] quads = {
      {0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}
    };
    for (int[] q : quads) {
      m.triangle(p[q[0]], p[q[1]], p[q[2]]);
      m.triangle(p[q[0]], p[q[2]], p[q[3]]);
    }
  }

  @Test
  void facesOfOneHeightAreOneFigure() {
    Mesh mesh = step();
    assertThat(mesh.volume()).isCloseTo(0.35, within(1e-6));
    Flats flats = Flats.of(mesh);
    assertThat(flats.up()).hasSize(2);
    assertThat(flats.up().get(0).y()).isCloseTo(0.2, within(1e-12));
    assertThat(flats.up().get(1).y()).isCloseTo(0.5, within(1e-12));
    assertThat(flats.up().get(0).area().getArea()).isCloseTo(0.5, within(EXACT));
    assertThat(flats.down()).hasSize(1);
    assertThat(flats.down().get(0).area().getArea()).isCloseTo(1, within(EXACT));
    // the middle of the mass: 0.1 of it at z = 0.25, 0.25 of it at z = -0.25
    assertThat(flats.middle().z()).isCloseTo((0.1 * 0.25 - 0.25 * 0.25) / 0.35, within(1e-6));
    assertThat(flats.middle().y()).isCloseTo((0.1 * 0.1 + 0.25 * 0.25) / 0.35, within(1e-6));
    assertThat(Flats.of(mesh)).as("found once").isSameAs(flats);
  }

  @Property(tries = 50)
  void figuresGoFromOnePoseToAnother(@ForAll Choices r) {
    Mesh mesh = step();
    Pose own = Pose.of(new Vec(r.nextDouble(), 0, r.nextDouble()), 360 * r.nextDouble());
    Pose other = Pose.of(new Vec(r.nextDouble(), 1, r.nextDouble()), 360 * r.nextDouble());
    Geometry there = Flats.from(own, other).transform(Flats.of(mesh).up().get(0).area());
    Vec corner = other.unapply(own.apply(new Vec(0.5, 0.2, 0.5)));
    double off =
        java.util.Arrays.stream(there.getCoordinates())
            .mapToDouble(c -> Math.hypot(c.x - corner.x(), c.y - corner.z()))
            .min()
            .orElse(1);
    assertThat(off).isLessThan(EXACT);
    assertThat(there.getArea()).isCloseTo(0.5, within(EXACT));
  }

  @Test
  void whatLeansHasOtherLevelFaces() {
    Mesh mesh = step();
    Pose tipped = Stance.pose(Vec.ZERO, 0, new Lean(0, 90));
    assertThat(Flats.upright(tipped)).isFalse();
    assertThat(Flats.upright(Pose.of(Vec.ZERO, 77))).isTrue();
    Flats flats = Flats.of(mesh, tipped);
    double up = flats.up().stream().mapToDouble(f -> f.area().getArea()).sum();
    assertThat(up).as("the backs of both boxes").isCloseTo(0.5 + 0.2, within(1e-6));
  }

  // ---- what carries, seen at once and by travel

  private static On byTravel(Rooms room, Piece p) {
    // a hair of a lean takes away the quick look, and moves nothing by more than a nanometre
    Resting resting = Resting.of(room.space, p);
    return resting.carrier(Stance.pose(p.at(), p.turn(), new Lean(0, 1e-4)));
  }

  @Property(tries = 30)
  void whatCarriesIsTheSameSeenAtOnceAndByTravel(@ForAll Choices r) {
    Rooms room = new Rooms();
    room.put("t", "cafe-table", 2, 2, 360 * r.nextDouble());
    room.put("c", "chest-of-drawers", 4, 2, 360 * r.nextDouble());
    String[] articles = {"bottle", "cup-and-saucer", "laptop", "vase", "stool"};
    for (int i = 0; i < 8; i++) {
      double x = (r.nextBoolean() ? 2 : 4) + 0.5 * (r.nextDouble() - 0.5);
      String article = articles[r.nextInt(articles.length)];
      Piece p = room.put("p" + i, article, x, 1.8 + 0.4 * r.nextDouble(), 360 * r.nextDouble());
      On quick = Resting.of(room.space, p).carrier(p.pose());
      assertThat(quick).isEqualTo(p.on());
      if (Support.beside(room.space, p) == 0) {
        assertThat(byTravel(room, p)).isEqualTo(quick);
      }
    }
  }

  @Test
  void aGapOfMoreThanAContactCarriesNothing() {
    Rooms room = new Rooms();
    room.put("t", "cafe-table", 2, 2);
    Piece b = room.put("b", "laptop", 2, 2);
    double top = room.piece("t").size().height();
    for (double gap : new double[] {0, 0.5e-4, 0.99e-4}) {
      Pose at = Stance.pose(new Vec(2, top + gap, 2), 0, Lean.NONE);
      assertThat(Resting.of(room.space, b).carrier(at)).isEqualTo(On.piece("t"));
    }
    for (double gap : new double[] {1.1e-4, 0.01}) {
      Pose at = Stance.pose(new Vec(2, top + gap, 2), 0, Lean.NONE);
      assertThat(Resting.of(room.space, b).carrier(at)).isEqualTo(On.NOTHING);
    }
  }

  @Test
  void theMiddleOverTheEdgeIsToldExactly() {
    Rooms room = new Rooms();
    Piece chest = room.put("c", "chest-of-drawers", 3, 2);
    Piece box = room.put("b", "laptop", 3, 2);
    double edge = 3 + chest.size().width() / 2;
    double middle = Flats.of(room.space.shapes().mesh(box)).middle().x();
    double least = -1;
    for (double off : new double[] {-0.05, -0.01, 0.01, 0.03}) {
      room.json(
          "{'do':'moveTo','pieces':['b'],'to':{'x':"
              + (edge + off - middle)
              + ",'y':"
              + chest.size().height()
              + "}}");
      double beside = Support.beside(room.space, room.piece("b"));
      assertThat(beside).as("" + off).isGreaterThan(least);
      if (off < 0) {
        assertThat(beside).isZero();
      } else {
        // the edge of the top is eased by some millimetres
        assertThat(beside).isCloseTo(off, within(0.007));
        least = beside;
      }
    }
  }
}
