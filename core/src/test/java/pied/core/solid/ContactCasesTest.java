package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import pied.core.place.Resting;

/** Cases of contact as data, which anyone can add to: {@code contact/cases.yaml}. */
class ContactCasesTest {
  private static final double EXACT = 1e-9;

  /** Far from the origin numbers are coarser, metres. */
  private static final double FAR = 1e-8;

  private record Case(JsonNode node, Vec off, String where) {
    @Override
    public String toString() {
      return node.get("name").asText() + where;
    }
  }

  static Stream<Case> cases() throws IOException {
    try (InputStream in = ContactCasesTest.class.getResourceAsStream("/contact/cases.yaml")) {
      List<Case> all = new ArrayList<>();
      for (JsonNode c : new ObjectMapper(new YAMLFactory()).readTree(in)) {
        all.add(new Case(c, Vec.ZERO, ""));
        all.add(new Case(c, new Vec(100, 0, -100), ", 100 m from the origin"));
        all.add(new Case(c, new Vec(0.1, 0.3, 1 / 3.0), ", moved together"));
      }
      return all.stream();
    }
  }

  private static double[] numbers(JsonNode n) {
    double[] all = new double[n.size()];
    for (int i = 0; i < all.length; i++) {
      all[i] = n.get(i).asDouble();
    }
    return all;
  }

  private static Mesh mesh(JsonNode n) {
    if (n.has("box")) {
      double[] b = numbers(n.get("box"));
      return Shapes.box(b[0], b[1], b[2], b[3], b[4], b[5]);
    }
    if (n.has("roll")) {
      JsonNode profile = n.at("/roll/profile");
      double[] p = new double[2 * profile.size()];
      for (int i = 0; i < profile.size(); i++) {
        p[2 * i] = profile.get(i).get(0).asDouble();
        p[2 * i + 1] = profile.get(i).get(1).asDouble();
      }
      return Shapes.turned(n.at("/roll/around").asInt(), p);
    }
    MeshMaker maker = new MeshMaker();
    if (n.has("wedge")) { // its side in (x, y), drawn along z
      double[] b = numbers(n.get("wedge"));
      Polygon side = polygon(new double[][] {{b[0], b[1]}, {b[3], b[1]}, {b[0], b[4]}});
      Prism.add(maker, side, (c, near) -> new Vec(c.x, c.y, near ? b[5] : b[2]));
      return maker.mesh("wedge");
    }
    JsonNode p = n.get("prism");
    double[][] around = new double[p.get("around").size()][];
    for (int i = 0; i < around.length; i++) {
      double[] c = numbers(p.get("around").get(i));
      around[i] = new double[] {c[1], c[0]};
    }
    double from = p.get("from").asDouble();
    double to = p.get("to").asDouble();
    Prism.add(maker, polygon(around), (c, far) -> new Vec(c.y, far ? to : from, c.x));
    return maker.mesh("prism");
  }

  private static Polygon polygon(double[][] around) {
    Coordinate[] c = new Coordinate[around.length + 1];
    for (int i = 0; i < around.length; i++) {
      c[i] = new Coordinate(around[i][0], around[i][1]);
    }
    c[around.length] = c[0].copy();
    return new GeometryFactory().createPolygon(c);
  }

  private static Pose pose(JsonNode n, Vec off) {
    double[] at = n.has("at") ? numbers(n.get("at")) : new double[3];
    return Pose.of(new Vec(at[0], at[1], at[2]).plus(off), n.path("turn").asDouble(0));
  }

  @ParameterizedTest
  @MethodSource("cases")
  void isAsItIsByArithmetic(Case c) {
    Mesh a = mesh(c.node.get("a"));
    Mesh b = mesh(c.node.get("b"));
    assertThat(a.isClosed()).isTrue();
    assertThat(a.volume()).isPositive();
    assertThat(b.volume()).isPositive();
    Pose pa = pose(c.node.get("a"), c.off);
    Pose pb = pose(c.node.get("b"), c.off);
    double[] w = numbers(c.node.get("way"));
    Vec way = new Vec(w[0], w[1], w[2]);
    double slack = c.off.length() > 10 ? FAR : EXACT;
    if (c.node.has("travel")) {
      // the other way round it is the same way
      travels(c.node.get("travel"), Travel.of(a, pa, b, pb, way, 1e3), slack);
      travels(c.node.get("travel"), Travel.of(b, pb, a, pa, way.times(-1), 1e3), slack);
    }
    if (c.node.has("free")) {
      double free = c.node.get("free").asDouble();
      assertThat(Travel.toFree(a, pa, b, pb, way)).isCloseTo(free, within(slack));
      assertThat(Travel.toFree(b, pb, a, pa, way.times(-1))).isCloseTo(free, within(slack));
    }
    boolean overlap = c.node.get("overlap").asBoolean();
    assertThat(Nearness.overlap(a, pa, b, pb, Resting.CONTACT)).isEqualTo(overlap);
    assertThat(Nearness.overlap(b, pb, a, pa, Resting.CONTACT)).isEqualTo(overlap);
  }

  private static void travels(JsonNode wanted, Travel.Stop stop, double slack) {
    if (wanted.isNumber()) {
      assertThat(stop.meets()).isTrue();
      assertThat(stop.distance()).isCloseTo(wanted.asDouble(), within(slack));
    } else {
      assertThat(stop.meets()).isFalse();
      assertThat(stop.overlapping()).isEqualTo(wanted.asText().equals("overlaps"));
    }
  }
}
