package pied.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.FloatBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/** The scene that figures are taken on: a triangle soup, and the same as single pieces. */
final class Scene {
  final Mesh soup;
  final Path file;

  Scene(Path file) throws IOException {
    this.file = file;
    FloatBuffer f = floats(file);
    double[] xyz = new double[f.remaining()];
    int[] corners = new int[xyz.length / 3];
    for (int i = 0; i < xyz.length; i++) {
      xyz[i] = f.get(i);
    }
    for (int i = 0; i < corners.length; i++) {
      corners[i] = i;
    }
    soup = Mesh.of(xyz, corners);
  }

  static FloatBuffer floats(Path file) throws IOException {
    return ByteBuffer.wrap(Files.readAllBytes(file)).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer();
  }

  /** Room and pieces as bodies, each standing at the middle of its box; from scene.json beside. */
  List<Body> bodies() throws IOException {
    JsonNode info = new ObjectMapper().readTree(file.resolveSibling("scene.json").toFile());
    List<Body> bodies = new ArrayList<>();
    for (JsonNode range : info.get("ranges")) {
      int from = 9 * range.get(1).asInt();
      int n = 9 * range.get(2).asInt();
      double[] p = java.util.Arrays.copyOfRange(soup.xyz(), from, from + n);
      int[] c = new int[n / 3];
      for (int i = 0; i < c.length; i++) {
        c[i] = i;
      }
      Vec middle = Mesh.of(p, c).box().centre();
      for (int i = 0; i < p.length; i += 3) {
        p[i] -= middle.x();
        p[i + 1] -= middle.y();
        p[i + 2] -= middle.z();
      }
      bodies.add(
          new Body(range.get(0).asText() + bodies.size(), Mesh.of(p, c), Pose.of(middle, 0)));
    }
    return bodies;
  }
}
