package pied.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Map;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.material.Finish;
import pied.core.solid.Mesh;

class GlbTest {
  @Test
  void holdsTheMeshPartByPart() throws Exception {
    Mesh mesh = Rooms.SHAPES.mesh("sideboard", Rooms.SHAPES.catalog().article("sideboard").size());
    byte[] file = Glb.write("sideboard", mesh, Map.of("doors", Finish.of("#FF0000")));
    ByteBuffer b = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
    assertThat(b.getInt()).isEqualTo(0x46546C67);
    assertThat(b.getInt()).isEqualTo(2);
    assertThat(b.getInt()).isEqualTo(file.length);
    byte[] json = new byte[b.getInt()];
    b.getInt();
    b.get(json);
    JsonNode root = new ObjectMapper().readTree(json);
    assertThat(b.getInt()).isEqualTo(root.at("/buffers/0/byteLength").asInt());
    int start = b.position() + 4;
    JsonNode primitives = root.at("/meshes/0/primitives");
    assertThat(primitives).hasSize(3);
    int triangles = 0;
    float highest = 0;
    for (JsonNode p : primitives) {
      JsonNode indices = root.at("/accessors/" + p.get("indices").asInt());
      JsonNode places = root.at("/accessors/" + p.at("/attributes/POSITION").asInt());
      int at =
          start
              + root.at("/bufferViews/" + indices.get("bufferView").asInt())
                  .get("byteOffset")
                  .asInt();
      int from =
          start
              + root.at("/bufferViews/" + places.get("bufferView").asInt())
                  .get("byteOffset")
                  .asInt();
      for (int i = 0; i < indices.get("count").asInt(); i++) {
        int v = b.getInt(at + 4 * i);
        highest = Math.max(highest, b.getFloat(from + 12 * v + 4));
      }
      triangles += indices.get("count").asInt() / 3;
      if (root.at("/materials/" + p.get("material").asInt() + "/name").asText().equals("doors")) {
        assertThat(
                root.at(
                        "/materials/"
                            + p.get("material").asInt()
                            + "/pbrMetallicRoughness/baseColorFactor/0")
                    .asDouble())
            .isEqualTo(1.0);
      }
    }
    assertThat(triangles).isEqualTo(mesh.triangles());
    assertThat(highest).isEqualTo(0.82f);
  }
}
