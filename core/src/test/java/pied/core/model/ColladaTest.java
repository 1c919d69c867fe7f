package pied.core.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.model.Model.ModelPart;

/** What COLLADA files have in them beside plain triangles. */
class ColladaTest {
  private static final String SQUARE = "0 0 0 1 0 0 1 1 0 0 1 0 0.25 0.25 0 0.75 0.25 0 0.5 0.75 0";
  private static final String INPUT = "<input semantic='VERTEX' source='#v' offset='0'/>";

  private static String file(String faces, String nodes, String more) {
    return """
        <?xml version="1.0"?>
        <COLLADA xmlns="http://www.collada.org/2005/11/COLLADASchema" version="1.4.1">
          <asset><unit meter="1"/><up_axis>Y_UP</up_axis></asset>
          %s
          <library_geometries><geometry id="g"><mesh>
            <source id="p"><float_array id="pa" count="21">%s</float_array></source>
            <source id="t"><float_array id="ta" count="8">0 0 1 0 1 1 0 1</float_array></source>
            <vertices id="v"><input semantic="POSITION" source="#p"/></vertices>
            %s
          </mesh></geometry></library_geometries>
          <library_visual_scenes><visual_scene id="s">%s</visual_scene></library_visual_scenes>
          <scene><instance_visual_scene url="#s"/></scene>
        </COLLADA>
        """
        .formatted(more, SQUARE, faces, nodes);
  }

  private static final String NODE = "<node id='n'><instance_geometry url='#g'/></node>";

  private static Model read(String text, Object... more) {
    Files files = new Files();
    files.add("thing.dae", text.getBytes(StandardCharsets.UTF_8));
    for (int i = 0; i < more.length; i += 2) {
      files.add((String) more[i], (byte[]) more[i + 1]);
    }
    return ModelReader.read(files).model();
  }

  /** Its area, where all of it looks to the front. */
  private static double area(Model m) {
    double sum = 0;
    for (ModelPart part : m.parts()) {
      double[] p = part.xyz();
      int[] c = part.corners();
      for (int i = 0; i < c.length; i += 3) {
        int a = 3 * c[i];
        int b = 3 * c[i + 1];
        int d = 3 * c[i + 2];
        double twice =
            (p[b] - p[a]) * (p[d + 1] - p[a + 1]) - (p[d] - p[a]) * (p[b + 1] - p[a + 1]);
        assertThat(twice).isPositive();
        sum += twice / 2;
      }
    }
    return sum;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "<triangles count='2'>I<p>0 1 2 0 2 3</p></triangles>|1",
        "<tristrips count='1'>I<p>0 1 3 2</p></tristrips>|1",
        "<trifans count='1'>I<p>0 1 2 3</p></trifans>|1",
        "<polylist count='1'>I<vcount>4</vcount><p>0 1 2 3</p></polylist>|1",
        "<polygons count='1'>I<p>0 1 2 3</p></polygons>|1",
        "<polygons count='1'>I<ph><p>0 1 2 3</p><h>4 6 5</h></ph></polygons>|0.875",
        "<polygons count='1'>I<ph><p>0 1 2 3</p><h>4 5 6</h></ph></polygons>|0.875",
      })
  void facesOfEachKind(String faces, double area) {
    Model m = read(file(faces.replace("I<", INPUT + "<"), NODE, ""));
    assertThat(area(m)).isEqualTo(area, within(1e-9));
    String mirrored = NODE.replace("<instance", "<scale>-1 1 -1</scale><instance");
    assertThat(read(file(faces.replace("I<", INPUT + "<"), mirrored, "")).triangles())
        .isEqualTo(m.triangles());
  }

  /** A leg of two bones, of which the upper one is raised: what hangs on it goes along. */
  @Test
  void aSkinGoesWhereItsBonesStand() {
    String one = "1 0 0 0 0 1 0 0 0 0 1 0 0 0 0 1";
    String skin =
        """
        <library_controllers><controller id="c"><skin source="#g">
          <bind_shape_matrix>2 0 0 0 0 2 0 0 0 0 2 0 0 0 0 1</bind_shape_matrix>
          <source id="j"><Name_array count="2">low high</Name_array></source>
          <source id="i"><float_array count="32">%s %s</float_array></source>
          <source id="w"><float_array count="2">1 0.5</float_array></source>
          <joints><input semantic="JOINT" source="#j"/><input semantic="INV_BIND_MATRIX" source="#i"/></joints>
          <vertex_weights count="7">
            <input semantic="JOINT" source="#j" offset="0"/><input semantic="WEIGHT" source="#w" offset="1"/>
            <vcount>1 1 1 2 1 1 1</vcount><v>0 0  0 0  1 0  0 1 1 1  0 0  0 0  0 0</v>
          </vertex_weights>
        </skin></controller></library_controllers>
        """
            .formatted(one, one);
    String nodes =
        "<node id='a' sid='low'><node id='b' sid='high'><translate>0 10 0</translate></node></node>"
            + "<node id='n'><translate>99 0 0</translate><instance_controller url='#c'/></node>";
    String faces = "<polylist count='1'>" + INPUT + "<vcount>4</vcount><p>0 1 2 3</p></polylist>";
    Model m = read(file(faces, nodes, skin));
    double[] p = m.parts().get(0).xyz();
    double most = 0;
    double left = 0;
    for (int i = 0; i < p.length; i += 3) {
      most = Math.max(most, p[i + 1]);
      left = p[i] == 0 ? Math.max(left, p[i + 1]) : left;
    }
    assertThat(most).isEqualTo(12); // twice as large, and ten up
    assertThat(left).isEqualTo(7); // half of it
    // without bones that can be found it stands as it was bound
    Model bound = read(file(faces, nodes.replace("sid='high'", "sid='other'"), skin));
    assertThat(bound.parts().get(0).xyz()).contains(2.0).doesNotContain(12.0, 99.0);
  }

  private static byte[] png() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(4, 4, BufferedImage.TYPE_INT_RGB), "png", out);
    return out.toByteArray();
  }

  private static final String LOOK =
      """
      <library_images><image id="img"><init_from>%s</init_from></image></library_images>
      <library_effects><effect id="e"><profile_COMMON>
        <newparam sid="surf"><surface type="2D"><init_from>img</init_from></surface></newparam>
        <newparam sid="samp"><sampler2D><source>surf</source></sampler2D></newparam>
        <technique sid="t"><lambert><diffuse><texture texture="samp" texcoord="UV"/></diffuse></lambert></technique>
      </profile_COMMON></effect></library_effects>
      <library_materials><material id="m" name="Cloth"><instance_effect url="#e"/></material></library_materials>
      """;

  private static final String PLACED =
      "<triangles count='2' material='sym'>"
          + INPUT
          + "<input semantic='TEXCOORD' source='#t' offset='1' set='0'/>"
          + "<p>0 0 1 1 2 2 0 0 2 2 3 3</p></triangles>";

  private static final String BOUND =
      "<node id='n'><instance_geometry url='#g'><bind_material><technique_common>"
          + "<instance_material symbol='sym' target='#m'/></technique_common></bind_material>"
          + "</instance_geometry></node>";

  @ParameterizedTest
  @CsvSource({"cloth.png", "./pictures/cloth.png", "file:///D:/plans/my%20pictures/cloth.png"})
  void picturesComeAlong(String path) throws IOException {
    Model m = read(file(PLACED, BOUND, LOOK.formatted(path)), "pictures/cloth.png", png());
    ModelPart p = m.parts().get(0);
    assertThat(p.name()).isEqualTo("Cloth");
    assertThat(p.picture()).isNotNull();
    for (int i = 0; i < p.corners().length; i++) {
      int v = 3 * p.corners()[i];
      assertThat(p.uv()[2 * i]).isEqualTo((float) p.xyz()[v]);
      assertThat(p.uv()[2 * i + 1]).isEqualTo(1 - (float) p.xyz()[v + 1]);
    }
    assertThat(m.lost()).isEmpty();
    Model without = read(file(PLACED, BOUND, LOOK.formatted(path)));
    assertThat(without.lost()).containsExactly(path);
    assertThat(without.parts().get(0).picture()).isNull();
  }

  @Test
  void whatIsNestedOrSharedWithoutEndIsRefused() {
    String faces = "<triangles count='1'>" + INPUT + "<p>0 1 2</p></triangles>";
    String deep = "<node>".repeat(100_000) + "</node>".repeat(100_000);
    assertThatThrownBy(() -> read(file(faces, deep, ""))).hasMessageContaining("nested deeper");
    StringBuilder shared = new StringBuilder();
    for (int i = 0; i < 40; i++) {
      String next = "<instance_node url='#x%d'/>".formatted(i + 1);
      shared.append("<node id='x%d'>%s%s</node>".formatted(i, next, next));
    }
    shared.append("<node id='x40'><instance_geometry url='#g'/></node>");
    String text = file(faces, shared.toString(), "");
    assertThatThrownBy(() -> read(text)).hasMessageContaining("copies of them");
  }
}
