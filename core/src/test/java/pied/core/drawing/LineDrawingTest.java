package pied.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.catalog.Article;
import pied.core.place.Footprint;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

class LineDrawingTest {
  private static double area(double[] ring) {
    double twice = 0;
    for (int i = 0; i < ring.length; i += 2) {
      int j = (i + 2) % ring.length;
      twice += ring[i] * ring[j + 1] - ring[j] * ring[i + 1];
    }
    return Math.abs(twice) / 2;
  }

  @Test
  void aBoxFromAboveIsItsRectangleAndNothingElse() {
    Mesh box = Mesh.ofBox(new Vec(-1, 0, -0.5), new Vec(1, 0.7, 0.5));
    LineDrawing d = LineDrawing.of(box, LineDrawing.View.plan);
    assertThat(d.outlines()).hasSize(1);
    assertThat(area(d.outlines().get(0))).isCloseTo(2, within(1e-6));
    assertThat(d.outlines().get(0)).hasSize(8);
    LineDrawing front = LineDrawing.of(box, LineDrawing.View.front);
    assertThat(area(front.outlines().get(0))).isCloseTo(1.4, within(1e-6));
  }

  @Test
  void whatIsHiddenIsNotDrawn() {
    Mesh low = Mesh.ofBox(new Vec(-1, 0, -1), new Vec(1, 0.2, 1));
    Mesh small = Mesh.ofBox(new Vec(-0.3, 0.2, -0.3), new Vec(0.3, 0.5, 0.3));
    Mesh both = Mesh.join(java.util.List.of(low, small));
    assertThat(LineDrawing.of(both, LineDrawing.View.plan).lines())
        .as("the four sides of each")
        .hasSize(8);
    Mesh under = Mesh.ofBox(new Vec(-0.3, -0.5, -0.3), new Vec(0.3, 0, 0.3));
    assertThat(
            LineDrawing.of(Mesh.join(java.util.List.of(low, under)), LineDrawing.View.plan).lines())
        .hasSize(4);
  }

  @Test
  void aRoundTableIsRoundAndAChairIsNotItsBox() {
    Mesh table = Rooms.SHAPES.mesh("cafe-table", new Size(0.7, 0.7, 0.74));
    LineDrawing d = LineDrawing.of(table, LineDrawing.View.plan);
    assertThat(area(d.outlines().get(0))).isCloseTo(Math.PI * 0.35 * 0.35, within(0.002));
    Mesh figure = Rooms.SHAPES.mesh("standing-figure", new Size(0.5, 0.3, 1.75));
    double seen = area(LineDrawing.of(figure, LineDrawing.View.front).outlines().get(0));
    assertThat(seen).isBetween(0.3, 0.6);
  }

  /** Those of the catalog: the outline from above is what all their faces cover of the plan. */
  @Test
  void theOutlineIsThatOfAllFacesAlsoWhereBodiesMeetAndAreHollow() {
    List<Article> all = new ArrayList<>();
    for (Article a : Rooms.SHAPES.catalog().all()) {
      if (all.size() < 40 && a.id().hashCode() % 3 == 0
          || List.of("jug", "sideboard", "settee", "folding-chair").contains(a.id())) {
        all.add(a);
      }
    }
    assertThat(all).hasSizeGreaterThan(20);
    for (Article a : all) {
      Mesh mesh = Rooms.SHAPES.mesh(a.id(), a.size());
      double drawn = 0;
      for (double[] ring : LineDrawing.of(mesh, LineDrawing.View.plan).outlines()) {
        drawn += signed(ring);
      }
      double covered = Footprint.of(mesh).getArea();
      assertThat(Math.abs(drawn)).as(a.id()).isEqualTo(covered, within(0.003 * covered + 1e-4));
    }
  }

  /** Of an outline, or less than nothing of a hole: they turn opposite ways. */
  private static double signed(double[] ring) {
    double twice = 0;
    for (int i = 0; i < ring.length; i += 2) {
      int k = (i + 2) % ring.length;
      twice += ring[i] * ring[k + 1] - ring[k] * ring[i + 1];
    }
    return twice / 2;
  }

  /** What cannot be drawn otherwise is drawn by the hull of each of its parts. */
  @Test
  void theHullOfEachPartIsAnOutlineThatNeverFails() {
    Mesh legs =
        Mesh.join(
            List.of(
                Mesh.ofBox(new Vec(0, 0, 0), new Vec(0.1, 1, 0.1)),
                Mesh.ofBox(new Vec(0.9, 0, 0.9), new Vec(1, 1, 1))));
    List<double[]> hulls = LineDrawing.hulls(legs, Eye.PLAN);
    assertThat(hulls).hasSize(legs.parts().size());
    assertThat(hulls.get(0).length / 2).isEqualTo(6); // two squares at a slant to each other
  }
}
