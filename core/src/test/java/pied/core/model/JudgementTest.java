package pied.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.catalog.Catalog;
import pied.core.model.Model.ModelPart;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/** What is taken of files that do not say their unit or what is up, and how it is said. */
class JudgementTest {
  private static final Catalog CATALOG = Rooms.SHAPES.catalog();

  /** A box of measures, its edges parted, as a model of some detail is. */
  private static Mesh block(double w, double h, double d) {
    List<Mesh> all = new ArrayList<>();
    double e = 0.03 * Math.max(w, Math.max(h, d));
    all.add(Mesh.ofBox(new Vec(0, 0, 0), new Vec(w, h, d)));
    for (int i = 0; i < 12; i++) {
      double x = w * (i + 0.3) / 13;
      all.add(Mesh.ofBox(new Vec(x, h * 0.4, d * 0.4), new Vec(x + e / 3, h * 0.4 + e, d * 0.5)));
    }
    return Mesh.join(all);
  }

  private static Arrival arrival(String file, double w, double h, double d) {
    Mesh m = block(w, h, d);
    byte[] b =
        file.endsWith(".stl")
            ? Written.stl(m, p -> p)
            : file.endsWith(".ply") ? Written.ply(m, p -> p, null) : Written.obj(m, p -> p, "");
    Files files = new Files();
    files.add(file, b);
    return Arrival.of(ModelReader.read(files), CATALOG, null);
  }

  @ParameterizedTest
  @CsvSource({
    // made in millimetres, as most of what is printed or milled is
    "part_a1.stl, 450, 900, 500, 0.001",
    "bracket.stl, 120, 35, 60, 0.001",
    "housing_v2.stl, 86.4, 41.2, 55.1, 0.001",
    "shelf-unit.obj, 600, 1800, 450, 0.001",
    "x17.obj, 1200, 750, 800, 0.001",
    "counter_front.stl, 2400, 1100, 600, 0.001",
    "thing.ply, 600, 450, 300, 0.001",
    // in centimetres
    "oak_table.obj, 160, 74, 80, 0.01",
    "sofa3.obj, 210, 84, 92, 0.01",
    "stool.obj, 38, 45, 38, 0.01",
    "model.obj, 45, 90, 50, 0.01",
    "wardrobe_a.stl, 100, 200, 60, 0.01",
    // in metres
    "thing.obj, 0.45, 0.9, 0.5, 1",
    "statue.ply, 0.62137, 1.8142, 0.5331, 1",
    "armchair.obj, 0.8, 0.85, 0.85, 1",
    "kiosk.obj, 2.4, 2.5, 1.8, 1",
    "dining_table_final.stl, 1.8, 0.75, 0.9, 1",
    "scan_0412.ply, 0.3318, 0.2291, 0.3052, 1",
    // in inches
    "thing.obj, 36, 72, 18, 0.0254",
    "cabinet_30.stl, 30, 36, 24, 0.0254",
    "bookcase.obj, 36, 72, 12, 0.0254",
    "a17.stl, 3.93701, 3.93701, 3.93701, 0.0254",
    "plate.obj, 11.8110236, 3.93700787, 7.87401575, 0.0254",
  })
  void unitsAreTakenAsAPersonWould(String file, double w, double h, double d, double unit) {
    Arrival a = arrival(file, w, h, d);
    assertThat(a.guess().unit()).as("%s", a.said()).isEqualTo(unit);
  }

  /** What might be two things is offered as both. */
  @ParameterizedTest
  @CsvSource({"thing.obj, 30, 60, 30, 0.01, 0.0254", "thing2.obj, 24, 24, 24, 0.01, 0.0254"})
  void whatMayBeEitherIsOfferedAsBoth(
      String file, double w, double h, double d, double one, double other) {
    Arrival a = arrival(file, w, h, d);
    List<Double> all = new ArrayList<>(a.others());
    all.add(a.guess().unit());
    assertThat(all).contains(one, other);
    assertThat(a.others()).doesNotContain(a.guess().unit());
  }

  /** Slips and beginnings of words decide nothing: a tram is no tray, and a hull no stand. */
  @ParameterizedTest
  @CsvSource({"tram.obj", "hull.obj", "stoolpigeon.obj", "tabel.obj", "chairman.obj"})
  void onlyWholeWordsCount(String file) {
    Arrival a = arrival(file, 3, 1, 1.2);
    assertThat(a.said().toString()).doesNotContain("as large as").doesNotContain("proportions");
  }

  @Test
  void pluralsAndOtherWordsForItCount() {
    assertThat(arrival("Dining chairs.obj", 0.45, 0.9, 0.5).said().toString())
        .contains("dining chair");
    assertThat(arrival("my_old_couch.obj", 2.1, 0.8, 0.9).said().toString())
        .containsPattern("sofa|settee");
  }

  /** What a file says is believed, and said to be unlikely where it is. */
  @Test
  void whatAFileSaysIsBelievedAndDoubted() {
    Arrival car = told("car.dae", 1, 11.3);
    assertThat(car.guess().unit()).isEqualTo(1);
    assertThat(car.said().toString()).contains("which is unlikely");
    assertThat(car.others()).hasSize(1);
    Arrival chair = told("chair.dae", 1, 0.9);
    assertThat(chair.said().toString()).doesNotContain("unlikely");
    assertThat(chair.others()).isEmpty();
    Arrival machine = told("machine.dae", 0.01, 2.8);
    assertThat(machine.guess().unit()).isEqualTo(0.01);
    assertThat(machine.said().toString()).contains("which is unlikely");
  }

  /** Nothing is refused for its size: it opens in a unit in which it can be placed. */
  @Test
  void whatWouldBeTooLargeOpensInAnotherUnit() {
    Arrival a = told("pavilion.dae", 1, 340);
    assertThat(a.said().toString()).contains("340.00 m long, which cannot be placed");
    assertThat(a.mesh(a.guess()).box().size().y()).isBetween(0.3, 4.0);
    assertThat(a.others()).isNotEmpty();
    Arrival far = arrival("thing.obj", 1e7, 2e6, 3e6);
    assertThat(far.mesh(far.guess())).isNotNull();
  }

  private static Arrival told(String file, double meter, double high) {
    String text =
        """
        <COLLADA xmlns="http://www.collada.org/2005/11/COLLADASchema" version="1.4.1">
          <asset><unit meter="%s"/><up_axis>Y_UP</up_axis></asset>
          <library_geometries><geometry id="g"><mesh>
            <source id="p"><float_array id="pa" count="9">0 0 0 %s 0 0 0 %s 0.1</float_array></source>
            <vertices id="v"><input semantic="POSITION" source="#p"/></vertices>
            <triangles count="1"><input semantic="VERTEX" source="#v" offset="0"/><p>0 1 2</p></triangles>
          </mesh></geometry></library_geometries>
          <library_visual_scenes><visual_scene id="s"><node><instance_geometry url="#g"/></node></visual_scene></library_visual_scenes>
        </COLLADA>
        """
            .formatted(meter, high / 2, high);
    Files files = new Files();
    files.add(file, text.getBytes(StandardCharsets.UTF_8));
    return Arrival.of(ModelReader.read(files), CATALOG, null);
  }

  @Test
  void aNameOfAnotherProjectsArticleSaysNothing() {
    assertThat(CATALOG.called("Armchair", "some project")).isNotEmpty();
    ModelPart p = arrival("thing.obj", 1, 1, 1).read().model().parts().get(0);
    assertThat(p.name()).isEqualTo("body");
  }
}
