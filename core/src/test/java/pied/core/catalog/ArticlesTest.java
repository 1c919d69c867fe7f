package pied.core.catalog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.MeshTree;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

@Tag("thorough")
class ArticlesTest {
  private static final Catalog CATALOG = Catalog.shipped();

  static Stream<Article> articles() {
    return CATALOG.all().stream();
  }

  private static List<Size> sizes(Article a) {
    Sizing s = a.sizing();
    List<Size> sizes = new ArrayList<>();
    sizes.add(a.size());
    sizes.add(new Size(s.width().least(), s.depth().least(), s.height().least()));
    sizes.add(new Size(s.width().most(), s.depth().most(), s.height().most()));
    if (s.tied().isEmpty() && !s.proportional()) {
      sizes.add(new Size(s.width().most(), s.depth().least(), s.height().least()));
      sizes.add(new Size(s.width().least(), s.depth().most(), s.height().most()));
    }
    return sizes;
  }

  @ParameterizedTest
  @MethodSource("articles")
  void fillsExactlyItsBoxAtEverySizeAndIsClosed(Article a) {
    for (Size size : sizes(a)) {
      Mesh m = a.recipe().build(size);
      Vec lo = m.box().min();
      Vec hi = m.box().max();
      String what = a.id() + " at " + size;
      assertThat(lo.x()).as(what + ": left").isCloseTo(-size.width() / 2, within(1e-4));
      assertThat(hi.x()).as(what + ": right").isCloseTo(size.width() / 2, within(1e-4));
      assertThat(lo.y()).as(what + ": underside").isCloseTo(0, within(1e-4));
      assertThat(hi.y()).as(what + ": top").isCloseTo(size.height(), within(1e-4));
      assertThat(lo.z()).as(what + ": back").isCloseTo(-size.depth() / 2, within(1e-4));
      assertThat(hi.z()).as(what + ": front").isCloseTo(size.depth() / 2, within(1e-4));
      assertThat(m.isClosed()).as(what + " is closed").isTrue();
      assertThat(m.volume()).as(what + " faces outward").isPositive();
      assertThat(m.triangles()).as(what).isLessThan(6000);
      assertThat(a.finishes().keySet()).as(what).containsAll(m.parts());
      a.check(a.name(), size);
    }
  }

  @ParameterizedTest
  @MethodSource("articles")
  void mirroredIsClosedAndOfTheSameVolume(Article a) {
    Mesh m = a.recipe().build(a.size());
    assertThat(m.mirrored().isClosed()).isTrue();
    assertThat(m.mirrored().volume()).isCloseTo(m.volume(), within(1e-12));
  }

  /** Lengths of solid met along a ray through the mesh, between entering and leaving. */
  private static List<Double> thicknesses(Mesh m, Vec from, Vec d) {
    List<Double> out = new ArrayList<>();
    MeshTree.RayHit hit = new MeshTree.RayHit();
    double at = 0;
    double entered = -1;
    while (m.tree()
        .nearest(
            from.x() + at * d.x(),
            from.y() + at * d.y(),
            from.z() + at * d.z(),
            d.x(),
            d.y(),
            d.z(),
            100,
            hit)) {
      at += hit.distance;
      if (entered < 0) {
        entered = at;
      } else {
        out.add(at - entered);
        entered = -1;
      }
      at += 1e-6;
    }
    return out;
  }

  @Test
  void aWiderShelfKeepsItsBoardsAndGainsAnUpright() {
    Article shelf = CATALOG.article("open-shelf");
    for (double[] c : new double[][] {{0.9, 2}, {1.0, 2}, {1.6, 3}, {2.4, 4}, {4.0, 5}}) {
      Mesh m = shelf.recipe().build(new Size(c[0], 0.32, 1.9));
      List<Double> uprights = thicknesses(m, new Vec(-9, 0.3, 0), new Vec(1, 0, 0));
      assertThat(uprights).as("at " + c[0] + " wide").hasSize((int) c[1]);
      assertThat(uprights).allSatisfy(t -> assertThat(t).isCloseTo(0.018, within(1e-4)));
    }
    Mesh tall = shelf.recipe().build(new Size(0.9, 0.32, 2.5));
    List<Double> boards = thicknesses(tall, new Vec(0.1, -1, 0.05), Vec.UP);
    assertThat(boards).hasSizeGreaterThanOrEqualTo(7);
    assertThat(boards).allSatisfy(t -> assertThat(t).isCloseTo(0.018, within(1e-4)));
  }

  @Test
  void aHigherTableKeepsTheThicknessOfItsTop() {
    Article table = CATALOG.article("long-table");
    for (double h : new double[] {0.4, 0.74, 1.1}) {
      Mesh m = table.recipe().build(new Size(1.8, 0.85, h));
      assertThat(thicknesses(m, new Vec(0.1, -1, 0.01), Vec.UP))
          .singleElement()
          .satisfies(t -> assertThat(t).isCloseTo(0.030, within(1e-4)));
    }
  }

  @Test
  void refusesASizeItDoesNotComeIn() {
    Article chair = CATALOG.article("dining-chair");
    assertThatThrownBy(() -> chair.check("Dining chair", new Size(2, 0.5, 0.9)))
        .isInstanceOf(Refusal.class)
        .hasMessage("Dining chair comes 0.40 to 0.60 m wide, not 2.00.");
    assertThatThrownBy(() -> chair.check("Dining chair", new Size(-1, 0.5, 0.9)))
        .hasMessageContaining("more than zero");
  }

  @Test
  void searchGoesByBeginningsOfWords() {
    assertThat(CATALOG.search("sideb", null)).extracting(Article::id).containsExactly("sideboard");
    assertThat(CATALOG.search("CAFE", null)).extracting(Article::id).contains("cafe-table");
    assertThat(CATALOG.search("lamp table", null)).extracting(Article::id).contains("table-lamp");
    assertThat(CATALOG.search("", "lamps")).hasSizeGreaterThanOrEqualTo(9);
    assertThat(CATALOG.search("no such thing", null)).isEmpty();
  }

  @Test
  void indexNamesEveryArticleFile() throws IOException {
    Path folder = Path.of("src/main/resources/catalog");
    try (Stream<Path> files = Files.list(folder)) {
      List<String> ids =
          files
              .map(f -> f.getFileName().toString())
              .filter(f -> f.endsWith(".yaml"))
              .map(f -> f.replace(".yaml", ""))
              .sorted()
              .toList();
      assertThat(CATALOG.all()).extracting(Article::id).containsExactlyElementsOf(ids);
    }
  }

  @Test
  void badRecipesAreRefusedWithTheReason() {
    String head =
        """
        name: X
        kind: x/y
        mounting: stands
        stands-on: [floor]
        size: {width: 1, depth: 1, height: 1}
        sizing: {width: [1, 2], depth: [1, 2], height: [1, 2]}
        finishes: {body: {name: Body, colour: "#FFFFFF"}}
        """;
    Size one = new Size(1, 1, 1);
    assertThatThrownBy(() -> ArticleReader.read("x", "name: X")).hasMessageContaining("it lacks");
    assertThatThrownBy(() -> ArticleReader.read("x", "{")).isInstanceOf(Refusal.class);
    Article unknown = ArticleReader.read("x", head + "parts: [{blob: {}}]");
    assertThatThrownBy(() -> unknown.recipe().build(one)).hasMessageContaining("“blob”");
    Article formula =
        ArticleReader.read("x", head + "parts: [{board: {x: [0, 'q'], y: [0, 1], z: [0, 1]}}]");
    assertThatThrownBy(() -> formula.recipe().build(one)).hasMessageContaining("“q”");
    Article endless =
        ArticleReader.read("x", head + "parts: [{repeat: {count: 1e9, parts: [{board: {}}]}}]");
    assertThatThrownBy(() -> endless.recipe().build(one)).isInstanceOf(Refusal.class);
  }
}
