package pied.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.model.Model.ModelPart;
import pied.core.solid.Mesh;
import pied.core.units.Refusal;

/** Files as programs write them who do not keep to the letter, or use more of it than most. */
class OddFilesTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final Mesh CHAIR = Written.chair();

  private static Model read(String name, byte[] bytes, Object... more) {
    Files files = new Files();
    files.add(name, bytes);
    for (int i = 0; i < more.length; i += 2) {
      files.add((String) more[i], (byte[]) more[i + 1]);
    }
    return ModelReader.read(files).model();
  }

  private static byte[] text(String s) {
    return s.getBytes(StandardCharsets.UTF_8);
  }

  private static List<String> names(Model m) {
    return m.parts().stream().map(ModelPart::name).toList();
  }

  // ---- STL

  private static String solid(String name, double at) {
    StringBuilder s = new StringBuilder("solid " + name + "\n");
    for (int k = 0; k < 2; k++) {
      s.append("facet normal 0 0 1\n outer loop\n");
      s.append("vertex %f 0 0%n vertex %f 1 %d%n vertex %f 0 1%n".formatted(at, at + 1, k, at));
      s.append(" endloop\nendfacet\n");
    }
    return s + "endsolid " + name + "\n";
  }

  @ParameterizedTest
  @ValueSource(strings = {"upper", "blanks", "mark", "unended", "plain"})
  void stlInTextIsReadHoweverItIsWritten(String how) {
    String s = solid("one", 0);
    String odd =
        switch (how) {
          case "upper" -> s.toUpperCase(Locale.ROOT);
          case "blanks" -> "\r\n  " + s.replace("\n", "\r\n");
          case "mark" -> "\uFEFF" + s;
          case "unended" -> s.substring(0, s.indexOf("endsolid"));
          default -> s;
        };
    Model m = read("thing.stl", text(odd));
    assertThat(m.triangles()).isEqualTo(2);
    assertThat(names(m)).containsExactly("body");
  }

  @Test
  void stlThatIsCutOffInAFacetIsRefused() {
    String s = solid("one", 0);
    assertThatThrownBy(() -> read("thing.stl", text(s.substring(0, s.lastIndexOf("vertex") + 9))))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void severalSolidsAreFinishParts() {
    Model m = read("thing.stl", text(solid("seat cushion", 0) + solid("", 3) + solid("legs", 5)));
    assertThat(names(m)).containsExactly("seat cushion", "body", "legs");
    assertThat(m.parts()).allMatch(p -> p.corners().length == 6);
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 17})
  void binaryStlMayHaveAFewBytesBehindIt(int more) {
    byte[] stl = Written.stl(CHAIR, p -> p);
    assertThat(read("chair.stl", Arrays.copyOf(stl, stl.length + more)).triangles()).isEqualTo(72);
  }

  @Test
  void coloursOfFacetsAreFinishParts() {
    byte[] stl = Written.stl(CHAIR, p -> p);
    ByteBuffer b = ByteBuffer.wrap(stl).order(ByteOrder.LITTLE_ENDIAN);
    for (int t = 0; t < 72; t++) {
      // fifteen bits of a colour with their mark; a third has none
      int bits = t % 3 == 0 ? 0 : 0x8000 | (t % 3 == 1 ? 31 << 10 : 31);
      b.putShort(84 + 50 * t + 48, (short) bits);
    }
    Model m = read("chair.stl", stl);
    assertThat(m.triangles()).isEqualTo(72);
    assertThat(m.parts()).extracting(ModelPart::colour).contains("#FF0000", "#0000FF");
    // what is no colour makes no parts
    b.putShort(84 + 48, (short) 7);
    assertThat(read("chair.stl", stl).parts()).hasSize(1);
  }

  // ---- OBJ

  private static final String SQUARE =
      """
      mtllib square.mtl
      v 0 0 0
      v 1 0 0
      v 1 1 0
      v 0 1 0
      vt 0 0
      vt 1 0
      vt 1 1
      vt 0 1
      usemtl cloth
      f 1/1 2/2 3/3 4/4
      """;

  @ParameterizedTest
  @ValueSource(strings = {"tabs", "returns", "UTF-16LE", "UTF-16BE", "UTF-8", "joined"})
  void objIsReadHoweverItIsWritten(String how) {
    String s = SQUARE;
    byte[] odd =
        switch (how) {
          case "tabs" -> text(s.replace(' ', '\t'));
          case "returns" -> text(s.replace('\n', '\r'));
          case "joined" -> text(s.replace("2/2 3", "2/2 \\\n 3"));
          default -> ("\uFEFF" + s).getBytes(Charset.forName(how));
        };
    Model m = read("square.obj", odd);
    assertThat(m.triangles()).isEqualTo(2);
    assertThat(names(m)).containsExactly("cloth");
  }

  @Test
  void coloursBehindCornersColourTheirPart() {
    String s = "v 0 0 0 255 0 0\nv 1 0 0 255 0 0\nv 0 1 0 0 0 255\nf 1 2 3\n";
    assertThat(read("a.obj", text(s)).parts().get(0).colour()).isEqualTo("#AA0055");
    String ones = s.replace("255", "1.0");
    assertThat(read("a.obj", text(ones)).parts().get(0).colour()).isEqualTo("#AA0055");
  }

  private static byte[] png(Color c) {
    BufferedImage image = new BufferedImage(8, 8, BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < 64; i++) {
      image.setRGB(i % 8, i / 8, c.getRGB());
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
    return out.toByteArray();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "map_Kd cloth blue.png",
        "map_kd textures\\cloth blue.png",
        "map_Kd -s 2 2 1 -o 0 0 -clamp on ./textures/cloth blue.png",
        "map_Kd -bm 0.5 D:\\plans\\Cloth Blue.PNG"
      })
  void picturesOfMaterialsComeAlong(String line) {
    byte[] mtl = text("newmtl cloth\nKd 0 0 0\n" + line + "\n");
    byte[] picture = png(new Color(20, 60, 160));
    Model m =
        read("square.obj", text(SQUARE), "square.mtl", mtl, "textures/cloth blue.png", picture);
    ModelPart p = m.parts().get(0);
    assertThat(p.picture()).isEqualTo(picture);
    assertThat(p.colour()).isEqualTo("#143CA0");
    assertThat(m.lost()).isEmpty();
    // from its lower left up there, from its upper left down here
    for (int i = 0; i < p.corners().length; i++) {
      int v = 3 * p.corners()[i];
      assertThat(p.uv()[2 * i]).isEqualTo((float) p.xyz()[v]);
      assertThat(p.uv()[2 * i + 1]).isEqualTo(1 - (float) p.xyz()[v + 1]);
    }
  }

  @Test
  void aPictureThatDidNotComeAlongIsSaid() {
    byte[] mtl = text("newmtl cloth\nKd 0.5 0 0\nmap_Kd a\\blue.png\nnewmtl unused\nmap_Kd no.png");
    Files files = new Files();
    files.add("square.obj", text(SQUARE));
    files.add("square.mtl", mtl);
    Arrival a = Arrival.of(ModelReader.read(files), Rooms.SHAPES.catalog(), null);
    assertThat(a.read().model().lost()).containsExactly("a\\blue.png");
    assertThat(a.said().toString()).contains("did not come along");
    assertThat(a.read().model().parts().get(0).colour()).isEqualTo("#800000");
  }

  // ---- faces

  @Test
  void aFaceWithACornerNowhereIsLeftOut() {
    String five = "v 0 0 0\nv 1 0 0\nv 1 1 0\nv -1e200 2 0\nv 0 1 0\nf 1 2 3 4 5\nf 1 2 3\n";
    Model m = read("a.obj", text(five));
    assertThat(m.triangles()).isEqualTo(1);
    assertThat(m.skipped()).isEqualTo(1);
  }

  /** Faces of very many corners, and many of many: the time is bounded. */
  @Test
  void largeFacesAreCutInABoundedTime() {
    StringBuilder s = new StringBuilder();
    for (int i = 0; i < 2000; i++) {
      double a = 2 * Math.PI * i / 2000;
      double r = i % 2 == 0 ? 1 : 0.8;
      s.append("v %f %f 0%n".formatted(r * Math.cos(a), r * Math.sin(a)));
    }
    String face =
        "f "
            + String.join(
                " ",
                java.util.stream.IntStream.rangeClosed(1, 2000).mapToObj(String::valueOf).toList())
            + "\n";
    s.append(face.repeat(300));
    Model m = read("star.obj", text(s.toString()));
    assertThat(m.triangles()).isBetween(300 * 1990, 300 * 1998);
    double area = 0;
    double[] p = m.parts().get(0).xyz();
    int[] c = m.parts().get(0).corners();
    for (int i = 0; i < 3 * 1998; i += 3) { // the first is cut as it is
      area +=
          0.5
              * ((p[3 * c[i + 1]] - p[3 * c[i]]) * (p[3 * c[i + 2] + 1] - p[3 * c[i] + 1])
                  - (p[3 * c[i + 2]] - p[3 * c[i]]) * (p[3 * c[i + 1] + 1] - p[3 * c[i] + 1]));
    }
    assertThat(area).isEqualTo(2000 * 0.5 * 0.8 * Math.sin(2 * Math.PI / 2000), within(1e-3));
  }

  // ---- glTF

  private static ObjectNode gltf(byte[] numbers, int type, boolean normalized) {
    ObjectNode g = JSON.createObjectNode();
    g.putObject("asset").put("version", "2.0");
    String uri =
        "data:application/octet-stream;base64," + Base64.getEncoder().encodeToString(numbers);
    g.putArray("buffers").addObject().put("uri", uri).put("byteLength", numbers.length);
    g.putArray("bufferViews").addObject().put("buffer", 0).put("byteLength", numbers.length);
    g.putArray("accessors")
        .addObject()
        .put("bufferView", 0)
        .put("count", 3)
        .put("componentType", type)
        .put("type", "VEC3")
        .put("normalized", normalized);
    ObjectNode p = g.putArray("meshes").addObject().putArray("primitives").addObject();
    p.putObject("attributes").put("POSITION", 0);
    g.putArray("nodes").addObject().put("mesh", 0);
    return g;
  }

  private static byte[] floats() {
    ByteBuffer b = ByteBuffer.allocate(36).order(ByteOrder.LITTLE_ENDIAN);
    for (float f : new float[] {0, 0, 0, 1, 0, 0, 0, 1, 0}) {
      b.putFloat(f);
    }
    return b.array();
  }

  private static Model gltf(ObjectNode g) {
    return read("thing.gltf", text(g.toString()));
  }

  private static double most(Model m) {
    return Arrays.stream(m.parts().get(0).xyz()).max().orElse(0);
  }

  @Test
  void wholeNumbersThatStandForSharesOfOneAreThat() {
    ByteBuffer s = ByteBuffer.allocate(18).order(ByteOrder.LITTLE_ENDIAN);
    for (int v : new int[] {0, 0, 0, 32767, 0, 0, 0, 32767, -32768}) {
      s.putShort((short) v);
    }
    Model m = gltf(gltf(s.array(), 5122, true));
    assertThat(most(m)).isEqualTo(1);
    assertThat(Arrays.stream(m.parts().get(0).xyz()).min().orElse(0)).isEqualTo(-1);
    assertThat(most(gltf(gltf(s.array(), 5122, false)))).isEqualTo(32767);
    byte[] b = {0, 0, 0, 127, 0, 0, 0, 127, 0};
    assertThat(most(gltf(gltf(b, 5120, true)))).isEqualTo(1);
  }

  @Test
  void aBufferOfManyMegabytesInTheTextIsRead() {
    byte[] numbers = Arrays.copyOf(floats(), 18 << 20);
    assertThat(most(gltf(gltf(numbers, 5126, false)))).isEqualTo(1);
  }

  @Test
  void twoMaterialsOfOneNameStayTwo() {
    ObjectNode g = gltf(floats(), 5126, false);
    ArrayNode materials = g.putArray("materials");
    for (int i = 0; i < 2; i++) {
      ArrayNode c =
          materials
              .addObject()
              .put("name", "wood")
              .putObject("pbrMetallicRoughness")
              .putArray("baseColorFactor");
      c.add(i).add(0).add(0).add(1);
    }
    ArrayNode all = (ArrayNode) g.at("/meshes/0/primitives");
    ((ObjectNode) all.get(0)).put("material", 0);
    all.add(all.get(0).deepCopy());
    ((ObjectNode) all.get(1)).put("material", 1);
    Model m = gltf(g);
    assertThat(names(m)).containsExactly("wood", "wood 2");
    assertThat(m.parts()).extracting(ModelPart::colour).containsExactly("#000000", "#FF0000");
  }

  @Test
  void whatAFileNeedsIsKnownOrNamed() {
    ObjectNode g = gltf(floats(), 5126, false);
    g.putArray("extensionsRequired").add("KHR_mesh_quantization").add("KHR_texture_transform");
    assertThat(gltf(g).triangles()).isEqualTo(1);
    g.putArray("extensionsRequired").add("EXT_made_up");
    assertThatThrownBy(() -> gltf(g)).hasMessageContaining("needs “EXT_made_up”");
    g.putArray("extensionsRequired").add("EXT_meshopt_compression");
    assertThatThrownBy(() -> gltf(g)).hasMessageContaining("compressed (meshopt)");
    g.putArray("extensionsRequired").add("KHR_draco_mesh_compression");
    assertThatThrownBy(() -> gltf(g)).hasMessageContaining("compressed (Draco)");
  }

  @Test
  void aPictureThatCannotBeReadIsSaidAndNoReasonToRefuse() {
    ObjectNode g = gltf(floats(), 5126, false);
    g.putArray("materials")
        .addObject()
        .putObject("pbrMetallicRoughness")
        .putObject("baseColorTexture")
        .put("index", 0);
    g.putArray("textures").addObject().put("source", 0);
    g.putArray("images").addObject().put("uri", "data:image/png;base64,§§§");
    ((ObjectNode) g.at("/meshes/0/primitives/0")).put("material", 0);
    Model m = gltf(g);
    assertThat(m.triangles()).isEqualTo(1);
    assertThat(m.lost()).containsExactly("picture 1");
  }

  /**
   * A picture laid twice as often, turned a quarter and shifted, on a material of the older sort.
   */
  @Test
  void picturesAreLaidAsTheFileSays() {
    ByteBuffer b = ByteBuffer.allocate(60).order(ByteOrder.LITTLE_ENDIAN);
    b.put(floats());
    for (float f : new float[] {0, 0, 1, 0, 0, 1}) {
      b.putFloat(f);
    }
    ObjectNode g = gltf(b.array(), 5126, false);
    ((ArrayNode) g.at("/accessors"))
        .addObject()
        .put("bufferView", 0)
        .put("byteOffset", 36)
        .put("count", 3)
        .put("componentType", 5126)
        .put("type", "VEC2");
    ObjectNode p = (ObjectNode) g.at("/meshes/0/primitives/0");
    p.put("material", 0);
    ((ObjectNode) p.path("attributes")).put("TEXCOORD_0", 1);
    ObjectNode t =
        g.putArray("materials")
            .addObject()
            .putObject("extensions")
            .putObject("KHR_materials_pbrSpecularGlossiness")
            .putObject("diffuseTexture")
            .put("index", 0);
    ObjectNode how = t.putObject("extensions").putObject("KHR_texture_transform");
    how.put("rotation", Math.PI / 2);
    how.putArray("scale").add(2).add(2);
    how.putArray("offset").add(0.25).add(0.5);
    g.putArray("textures").addObject().put("source", 0);
    String png = Base64.getEncoder().encodeToString(png(Color.RED));
    g.putArray("images").addObject().put("uri", "data:image/png;base64," + png);
    ModelPart part = gltf(g).parts().get(0);
    assertThat(part.colour()).isEqualTo("#FF0000");
    // (0, 0), (1, 0) and (0, 1)
    float[] expected = {0.25f, 0.5f, 0.25f, -1.5f, 2.25f, 0.5f};
    for (int i = 0; i < 6; i++) {
      assertThat(part.uv()[i]).isEqualTo(expected[i], within(1e-6f));
    }
  }

  /** Each node stands twice below the one before: two to the fortieth to look at. */
  @Test
  void nodesThatShareTheirChildrenAreBounded() {
    ObjectNode g = gltf(floats(), 5126, false);
    ArrayNode nodes = g.putArray("nodes");
    for (int i = 0; i < 40; i++) {
      nodes.addObject().putArray("children").add(i + 1).add(i + 1);
    }
    nodes.addObject().put("mesh", 0);
    g.putArray("scenes").addObject().putArray("nodes").add(0);
    assertThatThrownBy(() -> gltf(g)).hasMessageContaining("copies of them");
  }
}
