package pied.core.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.catalog.Light;
import pied.core.light.Kelvin;
import pied.core.light.LinearColour;
import pied.core.model.Files;
import pied.core.model.Model;
import pied.core.model.ModelReader;
import pied.core.solid.Box;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Refusal;

/** Models that leave, read again: by what brings models in, and by their own words. */
class ModelsTest {
  private static final double TENTH_OF_A_MILLIMETRE = 1e-4;

  private final Rooms room = furnished();

  private static Rooms furnished() {
    Rooms room = new Rooms();
    room.put("t", "round-table", 2, 2, 20);
    room.put("a", "stool", 3.2, 2, 10);
    room.put("b", "stool", 4, 2, 75);
    room.put("l", "desk-lamp", 2, 2);
    room.json("{'do':'lean','pieces':['b'],'by':90,'toward':30}");
    return room;
  }

  private static byte[] glb(Space space) {
    return SceneGlb.of(space, "Room", true, Deadline.NONE);
  }

  private static byte[] obj(Space space) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    SceneObj.write(space, "space", true, out, Deadline.NONE);
    return out.toByteArray();
  }

  private static Model read(String name, byte[] bytes) {
    Files files = new Files();
    files.add(name, bytes);
    return ModelReader.read(files).model();
  }

  private static double[] box(Model m, double by) {
    double[] box = {1e9, 1e9, 1e9, -1e9, -1e9, -1e9};
    for (Model.ModelPart p : m.parts()) {
      for (int i = 0; i < p.xyz().length; i++) {
        box[i % 3] = Math.min(box[i % 3], p.xyz()[i] * by);
        box[3 + i % 3] = Math.max(box[3 + i % 3], p.xyz()[i] * by);
      }
    }
    return box;
  }

  /** The box about bodies of a space, x, y, z least and greatest. */
  private static double[] box(Space space, Predicate<String> of) {
    Box all = null;
    for (var b : space.bodies().all()) {
      if (of.test(b.id())) {
        all = all == null ? b.box() : all.union(b.box());
      }
    }
    Vec a = all.min();
    Vec b = all.max();
    return new double[] {a.x(), a.y(), a.z(), b.x(), b.y(), b.z()};
  }

  private static JsonNode json(byte[] glb) throws IOException {
    ByteBuffer b = ByteBuffer.wrap(glb).order(ByteOrder.LITTLE_ENDIAN);
    byte[] json = new byte[b.getInt(12)];
    b.position(20);
    b.get(json);
    return new ObjectMapper().readTree(json);
  }

  private static JsonNode node(JsonNode root, String name) {
    for (JsonNode n : root.get("nodes")) {
      if (n.get("name").asText().equals(name) && n.has("mesh")) {
        return n;
      }
    }
    throw new AssertionError(name);
  }

  @Test
  void anObjHasWhatIsPrintedAtItsTrueSize() throws IOException {
    Rooms bricks = new Rooms();
    bricks.json("{'do':'decorate','part':'wall:A','finish':{'material':'brick'}}");
    String text = null;
    String materials = null;
    byte[] tile = null;
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(obj(bricks.space)))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        byte[] file = zip.readAllBytes();
        if (e.getName().endsWith(".obj")) {
          text = new String(file, StandardCharsets.UTF_8);
        } else if (e.getName().endsWith(".mtl")) {
          materials = new String(file, StandardCharsets.UTF_8);
        } else if (e.getName().startsWith("pictures/wall_A")) {
          tile = file;
        }
      }
    }
    assertThat(materials).containsPattern("map_Kd pictures/(?i)wall_A\\S*\\.png");
    assertThat(ImageIO.read(new ByteArrayInputStream(tile))).isNotNull();
    String wall = text.substring(text.indexOf("\no wall_A"));
    wall = wall.substring(0, wall.indexOf("\no ", 4));
    double[] across =
        wall.lines()
            .filter(l -> l.startsWith("vt "))
            .mapToDouble(l -> Double.parseDouble(l.split(" ")[1]))
            .toArray();
    // 6 m of wall are 6 2/3 repeats of four bricks of 0.225, begun at its foot on the left
    assertThat(Arrays.stream(across).filter(u -> Math.abs(u) < 1e-5).count()).isPositive();
    assertThat(Arrays.stream(across).filter(u -> Math.abs(u - 6 / 0.9) < 1e-5).count())
        .isPositive();
  }

  @Test
  void glbAndObjComeBackWithTheSameBoxes() throws IOException {
    double[] whole = box(room.space, id -> true);
    assertThat(box(read("space.glb", glb(room.space)), 1))
        .containsExactly(whole, within(TENTH_OF_A_MILLIMETRE));
    assertThat(box(read("space.zip", obj(room.space)), 1))
        .containsExactly(whole, within(TENTH_OF_A_MILLIMETRE));
  }

  @Test
  void aFormThatIsThereTwiceIsWrittenOnce() throws IOException {
    JsonNode root = json(glb(room.space));
    assertThat(node(root, "Stool").get("mesh")).isEqualTo(node(root, "Stool 2").get("mesh"));
    room.json("{'do':'recolour','pieces':['b'],'part':'seat','colour':'#112233'}");
    JsonNode other = json(glb(room.space));
    JsonNode first = other.get("meshes").get(node(other, "Stool").get("mesh").asInt());
    JsonNode second = other.get("meshes").get(node(other, "Stool 2").get("mesh").asInt());
    assertThat(first).isNotEqualTo(second);
    // in another colour, from the same numbers
    assertThat(first.at("/primitives/0/attributes"))
        .isEqualTo(second.at("/primitives/0/attributes"));
    assertThat(other.get("accessors")).hasSameSizeAs(root.get("accessors"));
  }

  @Test
  void aPieceTellsWhatItIsAndALampShines() throws IOException {
    JsonNode root = json(glb(room.space));
    JsonNode about = node(root, "Stool").get("extras");
    assertThat(about.get("id").asText()).isEqualTo("a");
    assertThat(about.at("/size/height").asDouble()).isEqualTo(0.46);
    assertThat(about.at("/place/across").asDouble()).isEqualTo(3.2, within(1e-9));
    assertThat(about.get("on").asText()).isEqualTo("the floor");
    assertThat(node(root, "Desk lamp").at("/extras/on").asText()).isEqualTo("Round dining table");
    JsonNode lamp = root.at("/extensions/KHR_lights_punctual/lights/0");
    Light light = room.space.article(room.piece("l")).light();
    double[] warm = Kelvin.linear(light.kelvin());
    double bright = LinearColour.luminance(warm[0], warm[1], warm[2]);
    assertThat(lamp.get("type").asText()).isEqualTo("spot");
    // a colour of 1 at most, so strong that lumens stay lumens
    assertThat(lamp.get("intensity").asDouble())
        .isCloseTo(light.beam().candela(light.lumens()) / bright, within(1e-6));
    // warm white: red before green before blue
    assertThat(lamp.at("/color/0").asDouble()).isEqualTo(1);
    assertThat(lamp.at("/color/2").asDouble()).isLessThan(lamp.at("/color/1").asDouble());
    assertThat(root.get("cameras")).isNotEmpty();
  }

  @Test
  void daylightIsNearlyWhite() {
    for (double c : Kelvin.linear(6504)) {
      assertThat(c).isBetween(0.93, 1.0);
    }
  }

  @Test
  void stlIsInMillimetresWithZUpAndClosed() {
    byte[] stl = SceneStl.of(room.space, null, 25, Deadline.NONE);
    double[] whole = box(room.space, id -> !id.equals("ceiling"));
    double[] in = box(read("room.stl", stl), 25 / 1000.0);
    // x stays, z is up, and what was toward the front is away
    assertThat(in)
        .containsExactly(
            new double[] {whole[0], -whole[5], whole[1], whole[3], -whole[2], whole[4]},
            within(TENTH_OF_A_MILLIMETRE));
    byte[] one = SceneStl.of(room.space, "b", 1, Deadline.NONE);
    double[] stool = box(read("stool.stl", one), 0.001);
    // it leans in the room, and is made upright
    assertThat(stool[5] - stool[2]).isEqualTo(0.46, within(TENTH_OF_A_MILLIMETRE));
    Model model = read("stool.stl", one);
    Mesh mesh =
        new Mesh(
            model.parts().get(0).xyz(), null, model.parts().get(0).corners(), null, List.of("x"));
    assertThat(mesh.isClosed()).isTrue();
    assertThatThrownBy(() -> SceneStl.of(room.space, "b", 7, Deadline.NONE))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void theSameSpaceMakesTheSameBytes() throws IOException {
    assertThat(glb(furnished().space)).isEqualTo(glb(room.space));
    assertThat(obj(furnished().space)).isEqualTo(obj(room.space));
  }

  @Test
  void whatIsHiddenStaysAtHomeUnlessAskedFor() {
    room.json("{'do':'newLayer','id':'props','name':'Props'}");
    String props = "props";
    room.json("{'do':'toLayer','pieces':['l'],'layer':'" + props + "'}");
    room.json("{'do':'hide','pieces':['a'],'hidden':true}");
    assertThat(ids(Extent.SHOWN)).containsExactlyInAnyOrder("t", "b", "l");
    assertThat(Extent.SHOWN.leftOut(room.space)).isEqualTo(1);
    assertThat(ids(new Extent(null, true))).containsExactlyInAnyOrder("t", "a", "b", "l");
    assertThat(ids(new Extent(Set.of(props), false))).containsExactly("l");
    assertThatThrownBy(() -> ids(new Extent(Set.of("none"), false)))
        .hasMessageContaining("no layer");
  }

  private List<String> ids(Extent e) {
    return e.of(room.space).pieces().stream().map(p -> p.id()).toList();
  }
}
