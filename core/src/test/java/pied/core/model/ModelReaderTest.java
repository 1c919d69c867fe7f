package pied.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.catalog.Catalog;
import pied.core.format.Glb;
import pied.core.material.FinishPart;
import pied.core.size.Size;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

@Tag("thorough")
class ModelReaderTest {
  private static final Mesh CHAIR = Written.chair();
  private static final Written.Place SAME = p -> p;
  private static final Catalog CATALOG = Rooms.SHAPES.catalog();

  private static ModelReader.Read read(String name, byte[] bytes) {
    Files files = new Files();
    files.add(name, bytes);
    return ModelReader.read(files);
  }

  private static Mesh arrived(String name, byte[] bytes) {
    Arrival a = Arrival.of(read(name, bytes), CATALOG, null);
    return a.mesh(a.guess());
  }

  private static void isTheChair(Mesh m) {
    assertThat(m.triangles()).isEqualTo(72);
    Size s = Arrival.size(m);
    assertThat(s.width()).isCloseTo(0.45, within(1e-5));
    assertThat(s.depth()).isCloseTo(0.5, within(1e-5));
    assertThat(s.height()).isCloseTo(0.9, within(1e-5));
    assertThat(m.box().min().y()).isCloseTo(0, within(1e-6));
    assertThat(m.box().centre().x()).isCloseTo(0, within(1e-5));
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).as("faces outward").isCloseTo(CHAIR.volume(), within(1e-5));
  }

  static Stream<Map.Entry<String, byte[]>> formats() {
    Map<String, byte[]> all = new LinkedHashMap<>();
    all.put("chair.obj", Written.obj(CHAIR, SAME, ""));
    all.put("chair.stl", Written.stl(CHAIR, p -> new Vec(p.x(), -p.z(), p.y())));
    all.put("chair-text.stl", Written.stlText(CHAIR, p -> new Vec(p.x(), -p.z(), p.y())));
    all.put("chair.ply", Written.ply(CHAIR, SAME, ByteOrder.LITTLE_ENDIAN));
    all.put("chair-big.ply", Written.ply(CHAIR, SAME, ByteOrder.BIG_ENDIAN));
    all.put("chair-text.ply", Written.ply(CHAIR, SAME, null));
    all.put("chair.glb", Written.glb(CHAIR));
    all.put("chair.dae", Written.collada(CHAIR, p -> p.times(100), "Y_UP", 0.01));
    return all.entrySet().stream();
  }

  @ParameterizedTest
  @MethodSource("formats")
  void everyFormatIsReadWhateverItsNameEndsIn(Map.Entry<String, byte[]> file) {
    isTheChair(arrived(file.getKey(), file.getValue()));
    isTheChair(arrived("chair.dat", file.getValue()));
  }

  @ParameterizedTest
  @MethodSource("formats")
  void cutOffAtEveryTenthItIsReadAsFarAsItIsWholeOrRefusedInWords(Map.Entry<String, byte[]> file) {
    for (int i = 0; i < 10; i++) {
      byte[] cut = Arrays.copyOf(file.getValue(), file.getValue().length * i / 10);
      try {
        assertThat(read(file.getKey(), cut).model().triangles()).isBetween(1, 72);
      } catch (Refusal e) {
        assertThat(e.getMessage()).endsWith(".").doesNotContain("Exception");
      }
    }
  }

  @ParameterizedTest
  @MethodSource("formats")
  void bytesThrownAboutNeverDoHarm(Map.Entry<String, byte[]> file) {
    Random r = new Random(7);
    for (int i = 0; i < 150; i++) {
      byte[] b = file.getValue().clone();
      for (int k = 0; k < 1 + i % 8; k++) {
        b[r.nextInt(b.length)] = (byte) r.nextInt(256);
      }
      try {
        Arrival a = Arrival.of(read(file.getKey(), b), CATALOG, null);
        a.mesh(a.guess());
      } catch (Refusal e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
  }

  @Test
  void millimetresFarAwayAndOnItsBackArriveUprightAndPlausible() {
    // 40 m away, in millimetres, z up: what was upright lies along the file's z
    Written.Place lying =
        p -> new Vec(p.x() * 1000 + 40_000, -p.z() * 1000 - 12_000, p.y() * 1000 + 3_000);
    Arrival a = Arrival.of(read("dining_chair.obj", Written.obj(CHAIR, lying, "")), CATALOG, null);
    assertThat(a.guess().unit()).isEqualTo(0.001);
    assertThat(a.guess().up()).isEqualTo("z");
    assertThat(a.guess().name()).isEqualTo("Dining chair");
    isTheChair(a.mesh(a.guess()));
    assertThat(a.said())
        .anyMatch(s -> s.in(LengthUnit.CM).contains("taken as millimetres = 90.0 cm"));
  }

  @Test
  void everyGuessCanBeCorrected() {
    Arrival a = Arrival.of(read("thing.obj", Written.obj(CHAIR, SAME, "")), CATALOG, null);
    Mesh m = a.mesh(new Arrival.Taken(2, "-y", 90, "Thing", a.guess().mounting(), false));
    Size s = Arrival.size(m);
    assertThat(s.width()).as("turned by a quarter, twice as large").isCloseTo(1.0, within(1e-6));
    assertThat(s.height()).isCloseTo(1.8, within(1e-6));
    assertThat(m.volume()).isCloseTo(8 * CHAIR.volume(), within(1e-6));
    assertThatThrownBy(
            () -> a.mesh(new Arrival.Taken(1e5, "y", 0, "Thing", a.guess().mounting(), false)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("choose another unit");
  }

  @Test
  void awkwardObjectsAreReadRight() {
    String odd =
        "mtllib nowhere.mtl\ng a b\nusemtl no such\n"
            + "v 0 0 0\nv 1 0 0\nv 1 0 1\nv 0.5 0 0.2\nv 0 0 1\nv nan 0 0\nv 0 1 0 1 1 1\n"
            + "f -7 -6 -5 -4 -3\n" // five corners, one reentrant, counted from the end
            + "f 1 2 \\\n 7\n" // goes on in the next line
            + "f 1 2 6\n" // a corner nowhere
            + "f 1 1 2\n" // no area
            + "l 1 2\np 3\n";
    Model m = read("odd.obj", odd.getBytes(StandardCharsets.UTF_8)).model();
    assertThat(m.triangles()).as("three of the face, one more").isEqualTo(4);
    assertThat(m.skipped()).isEqualTo(2);
    assertThat(m.parts()).singleElement().satisfies(p -> assertThat(p.name()).isEqualTo("no such"));
    double area = 0;
    Model.ModelPart p = m.parts().get(0);
    for (int t = 0; t < 9; t += 3) {
      double[] q = p.xyz();
      int a = 3 * p.corners()[t];
      int b = 3 * p.corners()[t + 1];
      int c = 3 * p.corners()[t + 2];
      area +=
          Math.abs((q[b] - q[a]) * (q[c + 2] - q[a + 2]) - (q[c] - q[a]) * (q[b + 2] - q[a + 2]))
              / 2;
    }
    assertThat(area).as("of the reentrant face").isCloseTo(1 - 0.4, within(1e-9));
  }

  @Test
  void materialsInAZipGiveColours() {
    byte[] obj = Written.obj(CHAIR, SAME, "mtllib c.mtl\nusemtl oak\n");
    byte[] mtl = "newmtl oak\nKd 0.5 0.25 0\n".getBytes(StandardCharsets.UTF_8);
    byte[] zip = Written.zip(Map.of("box/chair.obj", obj, "box/c.mtl", mtl));
    Model m = read("chair.zip", zip).model();
    assertThat(m.parts())
        .singleElement()
        .satisfies(p -> assertThat(p.colour()).isEqualTo("#804000"));
  }

  @Test
  void nodesOfAGltfAreFollowedAlsoMirroredOnes() {
    String json =
        "{'asset':{'version':'2.0'},'scene':0,'scenes':[{'nodes':[0]}],"
            + "'nodes':[{'children':[1],'scale':[-2,2,2]},{'mesh':0,'translation':[0,1,0]}],"
            + "'meshes':[{'primitives':[{'attributes':{'POSITION':0}}]}],"
            + "'accessors':[{'bufferView':0,'componentType':5126,'count':36,'type':'VEC3'}],"
            + "'bufferViews':[{'buffer':0,'byteLength':432}],"
            + "'buffers':[{'uri':'box.bin','byteLength':432}]}";
    java.nio.ByteBuffer bin = java.nio.ByteBuffer.allocate(432).order(ByteOrder.LITTLE_ENDIAN);
    Mesh box = Mesh.ofBox(Vec.ZERO, new Vec(1, 1, 1));
    for (int c : box.corners()) {
      Vec v = box.vertex(c);
      bin.putFloat((float) v.x()).putFloat((float) v.y()).putFloat((float) v.z());
    }
    byte[] text = json.replace('\'', '"').getBytes(StandardCharsets.UTF_8);
    Mesh m = arrived("box.zip", Written.zip(Map.of("box.gltf", text, "box.bin", bin.array())));
    assertThat(m.volume()).as("mirrored, and yet facing outward").isCloseTo(8, within(1e-6));
    assertThatThrownBy(() -> read("box.gltf", text))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("needs “box.bin”");
  }

  @Test
  void tinyAndHugeCoordinatesKeepTheirForm() {
    isTheChair(scaled(1e-6));
    isTheChair(scaled(1e7));
  }

  private static Mesh scaled(double f) {
    Arrival a =
        Arrival.of(read("chair.obj", Written.obj(CHAIR, p -> p.times(f), "")), CATALOG, null);
    return a.mesh(new Arrival.Taken(1 / f, "y", 0, "c", a.guess().mounting(), false));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "hello",
        "{}",
        "ply\n",
        "glTF",
        "<COLLADA",
        "solid nothing\nendsolid",
        "v 1 2\nf 1 2 3"
      })
  void whatIsNoModelIsRefusedInWords(String text) {
    for (String name : new String[] {"a.obj", "a.glb", "a.stl", "a.ply", "a.dae", "a.zip", "a"}) {
      assertThatThrownBy(() -> read(name, text.getBytes(StandardCharsets.UTF_8)))
          .isInstanceOf(Refusal.class)
          .message()
          .endsWith(".");
    }
  }

  @Test
  void zipsThatClimbOutOrSwellAreRefused() {
    assertThatThrownBy(() -> read("a.zip", Written.zip(Map.of("../../evil.obj", new byte[] {1}))))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("climb out");
    byte[] swelling = Written.zip(Map.of("a.obj", new byte[(int) (Files.MOST + 10)]));
    assertThat(swelling.length).isLessThan(2 << 20);
    assertThatThrownBy(() -> read("a.zip", swelling)).hasMessageContaining("larger than 512 MB");
  }

  @Test
  void aHeavyModelIsDrawnInALighterForm() {
    Mesh wave = wave(320); // 204,800 triangles, 1 m across, waves 20 mm high
    Arrival a = Arrival.of(read("heavy.stl", Written.stl(wave, SAME)), CATALOG, null);
    assertThat(a.heavy()).isTrue();
    assertThat(a.said()).anyMatch(s -> s.toString().matches(".*204,800.*mm off at most.*"));
    Arrival.Taken taken = new Arrival.Taken(1, "y", 0, "Wave", a.guess().mounting(), false);
    Mesh light = a.mesh(taken);
    assertThat(light.triangles()).isBetween(50_000, 100_000);
    assertThat(a.full(taken).triangles()).isEqualTo(204_800);
    assertThat(light.box().size().y()).isCloseTo(wave.box().size().y(), within(1e-4));
    assertThat(light.box().size().x()).isCloseTo(1, within(1e-6));
  }

  private static Mesh wave(int n) {
    double[] xyz = new double[3 * (n + 1) * (n + 1)];
    int[] c = new int[6 * n * n];
    for (int i = 0; i <= n; i++) {
      for (int k = 0; k <= n; k++) {
        int v = i * (n + 1) + k;
        xyz[3 * v] = (double) i / n;
        xyz[3 * v + 1] = 0.01 * Math.sin(12.0 * i / n) * Math.cos(9.0 * k / n);
        xyz[3 * v + 2] = (double) k / n;
        if (i < n && k < n) {
          int[] q = {v, v + 1, v + n + 2, v, v + n + 2, v + n + 1};
          System.arraycopy(q, 0, c, 6 * (i * n + k), 6);
        }
      }
    }
    return Mesh.of(xyz, c);
  }

  /** A picture of one colour, as a PNG file. */
  private static byte[] png(int rgb) throws IOException {
    BufferedImage image = new BufferedImage(200, 100, BufferedImage.TYPE_INT_RGB);
    for (int x = 0; x < 200; x++) {
      for (int y = 0; y < 100; y++) {
        image.setRGB(x, y, rgb);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  @Test
  void picturesComeWithTheModelAndStayWhereTheyAre() throws IOException {
    float[] uv = new float[2 * CHAIR.corners().length];
    for (int i = 0; i < uv.length; i++) {
      uv[i] = i / 256f; // so that it is exact
    }
    Mesh chair = new Mesh(CHAIR.xyz(), null, CHAIR.corners(), CHAIR.partOf(), CHAIR.parts(), uv);
    byte[] oak = png(0x8B5E3C);
    byte[] file = Glb.write("chair", chair, Map.of(), Map.of("body", oak));
    Model.ModelPart p = read("chair.glb", file).model().parts().get(0);
    assertThat(p.picture()).isEqualTo(oak);
    assertThat(p.uv()).isEqualTo(uv);
    assertThat(p.colour()).isEqualTo("#8B5E3C");
    // through arrival, building and writing once more
    Arrival a = Arrival.of(read("chair.glb", file), CATALOG, null);
    Mesh m = a.mesh(a.guess());
    assertThat(m.uv()).hasSize(uv.length);
    byte[] again = Glb.write("chair", m, FinishPart.finishes(a.finishes()), a.pictures());
    assertThat(read("c.glb", again).model().parts().get(0).uv()).isEqualTo(m.uv());
  }

  @Test
  void aPictureThatCannotBeReadIsLeftOut() {
    float[] uv = new float[2 * CHAIR.corners().length];
    Mesh chair = new Mesh(CHAIR.xyz(), null, CHAIR.corners(), CHAIR.partOf(), CHAIR.parts(), uv);
    byte[] torn = {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13, 'I', 'H'};
    byte[] file = Glb.write("chair", chair, Map.of(), Map.of("body", torn));
    Model.ModelPart p = read("chair.glb", file).model().parts().get(0);
    assertThat(p.picture()).isNull();
    assertThat(p.corners()).hasSize(CHAIR.corners().length);
  }

  @Test
  void anArticleIsSizedByStretching() {
    Arrival a = Arrival.of(read("chair.glb", Written.glb(CHAIR)), CATALOG, null);
    Stretched shape = Stretched.of(a.mesh(a.guess()), Map.of());
    var article =
        new Brought(
                "own-1",
                "p",
                "Chair",
                Brought.KIND,
                "",
                a.guess().mounting(),
                false,
                shape.natural(),
                a.finishes(),
                0)
            .article(shape);
    Mesh m = article.recipe().build(new Size(0.9, 0.5, 0.9));
    assertThat(m.box().size().x()).isCloseTo(0.9, within(1e-6));
    assertThat(m.box().size().z()).isCloseTo(0.5, within(1e-6));
    assertThat(m.volume()).isCloseTo(2 * CHAIR.volume(), within(1e-6));
    assertThat(article.finishes()).containsKey("body");
  }
}
