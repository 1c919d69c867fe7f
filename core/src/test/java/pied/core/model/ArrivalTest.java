package pied.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.Rooms;
import pied.core.catalog.Article;
import pied.core.catalog.Catalog;
import pied.core.catalog.Mounting;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** What is told of a model from its form and its name, and what is made of it. */
@Tag("thorough")
class ArrivalTest {
  private static final Catalog CATALOG = Rooms.SHAPES.catalog();

  private static Arrival of(String file, Mesh m, Written.Place place) {
    Files files = new Files();
    files.add(file, Written.obj(m, place, ""));
    return Arrival.of(ModelReader.read(files), CATALOG, null);
  }

  private static boolean near(Size a, Size b) {
    return Math.abs(a.width() - b.width()) < 1e-3
        && Math.abs(a.depth() - b.depth()) < 1e-3
        && Math.abs(a.height() - b.height()) < 1e-3;
  }

  /** Articles of the catalog written by somebody else, in millimetres with z up, far away. */
  private static List<String> wrong() {
    List<String> wrong = new ArrayList<>();
    for (Article a : CATALOG.all()) {
      if (a.mounting() != Mounting.STANDS) {
        continue;
      }
      Mesh m = a.recipe().build(a.size());
      Arrival arrival =
          of(
              a.name().replace(' ', '_') + ".obj",
              m,
              p -> new Vec(40_000 + 1000 * p.x(), -1000 * p.z(), 1000 * p.y()));
      if (!near(Arrival.size(arrival.mesh(arrival.guess())), a.size())) {
        wrong.add(a.name());
      }
    }
    return wrong;
  }

  @Test
  void whatHasATellingNameArrivesUprightAndInItsSize() {
    // those two are nearly cubes, and the same to look at from most sides
    assertThat(wrong()).isSubsetOf("Trunk", "Tub chair");
  }

  static Stream<Arguments> ways() {
    return Stream.of("x", "y", "z", "-x", "-y", "-z")
        .flatMap(up -> Stream.of(0, 90, 180, 270).map(turn -> Arguments.of(up, turn)));
  }

  @ParameterizedTest
  @MethodSource("ways")
  void howeverItIsTurnedItIsNeverMirroredAndStandsOverItsMiddle(String up, int turn) {
    Mesh chair = Written.chair();
    Arrival a = of("thing.obj", chair, p -> new Vec(p.x() + 3, p.y() - 7, p.z() + 0.2));
    Arrival.Taken t = new Arrival.Taken(1, up, turn, "Thing", Mounting.STANDS, false);
    Mesh m = a.mesh(t);
    assertThat(m.volume()).as("mirrored would be negative").isCloseTo(chair.volume(), within(1e-6));
    assertThat(m.box().min().y()).isCloseTo(0, within(1e-9));
    assertThat(m.box().centre().x()).isCloseTo(0, within(1e-6));
    assertThat(m.box().centre().z()).isCloseTo(0, within(1e-6));
    // its height is what it measures in the direction that is up, its width what a turn leaves
    double[] raw = {0.45, 0.9, 0.5};
    Size s = Arrival.size(m);
    assertThat(s.height()).isCloseTo(raw["xyz".indexOf(up.charAt(up.length() - 1))], within(1e-6));
    Size straight =
        Arrival.size(a.mesh(new Arrival.Taken(1, up, 0, "Thing", Mounting.STANDS, false)));
    assertThat(s.width())
        .isCloseTo(turn % 180 == 0 ? straight.width() : straight.depth(), within(1e-6));
  }

  @Test
  void oppositeWaysUpStandItOnItsHead() {
    Arrival a = of("thing.obj", Written.chair(), p -> p);
    Mesh m = a.mesh(new Arrival.Taken(1, "-y", 0, "Thing", Mounting.STANDS, false));
    // four feet of 40 mm look up now: half of all corners above the back's end
    double high = 0;
    for (int v = 0; v < m.xyz().length / 3; v++) {
      high += m.vertex(v).y() > 0.9 - 1e-6 ? 1 : 0;
    }
    Mesh upright = a.mesh(new Arrival.Taken(1, "y", 0, "Thing", Mounting.STANDS, false));
    double low = 0;
    for (int v = 0; v < upright.xyz().length / 3; v++) {
      low += upright.vertex(v).y() < 1e-6 ? 1 : 0;
    }
    assertThat(high).isEqualTo(low).isGreaterThanOrEqualTo(16);
  }

  @ParameterizedTest
  @CsvSource({
    "garden_bench.obj, Garden bench",
    "OldOakTable.stl, Old Oak Table",
    "sub/folder/lamp-2.final.glb, Lamp 2 final",
    ".obj, Model",
  })
  void aFileIsCalledAsAPersonWouldSay(String file, String name) {
    assertThat(Arrival.name(file)).isEqualTo(name);
  }

  @Test
  void aStretchedModelFillsItsBoxAndItsNormalsStandOnItsFaces() {
    Arrival arrival = of("thing.obj", Written.chair(), p -> p);
    Mesh chair = arrival.mesh(new Arrival.Taken(1, "y", 0, "Thing", Mounting.STANDS, false));
    Size natural = new Size(0.45, 0.5, 0.9);
    Size asked = new Size(0.9, 0.4, 1.2);
    Mesh m = new Stretched(chair, natural, Map.of()).build(asked);
    assertThat(near(Arrival.size(m), asked)).isTrue();
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume())
        .isCloseTo(chair.volume() * 2 * 0.8 * (1.2 / 0.9), within(1e-9)); // the product of factors
    for (int t = 0; t < m.corners().length; t += 3) {
      Vec a = m.vertex(m.corners()[t]);
      Vec n =
          m.vertex(m.corners()[t + 1]).minus(a).cross(m.vertex(m.corners()[t + 2]).minus(a)).unit();
      int i = 3 * m.corners()[t];
      Vec said = new Vec(m.normals()[i], m.normals()[i + 1], m.normals()[i + 2]);
      assertThat(said.length()).isCloseTo(1, within(1e-6));
      assertThat(said.minus(n).length()).isLessThan(1e-5);
    }
  }

  @Test
  void itsArticleTakesAnySizeAndBelongsToItsProject() {
    Arrival a = of("thing.obj", Written.chair(), p -> p);
    Mesh m = a.mesh(a.guess());
    Stretched shape = Stretched.of(m, Map.of());
    Article article =
        new Brought(
                "own-1",
                "saltmarsh",
                "Thing",
                Brought.KIND,
                "",
                Mounting.STANDS,
                false,
                shape.natural(),
                a.finishes(),
                0)
            .article(shape);
    assertThat(article.project()).isEqualTo("saltmarsh");
    assertThat(article.standsOn()).isEqualTo(Set.of("floor"));
    assertThat(article.kind()).isEqualTo(Brought.KIND);
    Size odd = new Size(0.123, 2.5, 0.04);
    assertThat(near(Arrival.size(article.recipe().build(odd)), odd)).isTrue();
  }

  @Test
  void whatWouldBeTooLargeOrIsTurnedNowhereIsRefused() {
    Arrival a = of("thing.obj", Written.chair(), p -> p);
    assertThatThrownBy(() -> a.mesh(a.guess().withUnit(1e5)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("choose another unit");
    assertThatThrownBy(() -> a.mesh(a.guess().withUnit(0))).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> a.mesh(new Arrival.Taken(1, "w", 0, "Thing", Mounting.STANDS, false)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("x, y or z");
  }
}
