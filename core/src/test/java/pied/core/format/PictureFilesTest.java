package pied.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class PictureFilesTest {
  @Test
  void allLightComesBack() throws IOException {
    Random random = new Random(1);
    for (int wide : new int[] {1, 7, 8, 300}) {
      int high = 5;
      float[] light = new float[3 * wide * high];
      for (int i = 0; i < light.length; i++) {
        // from candle light to the sun, and long runs of the same
        boolean run = i / 3 % 40 < 25;
        light[i] = run ? 12.5f : (float) Math.exp(random.nextDouble() * 20 - 6);
      }
      light[0] = light[1] = light[2] = 0;
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      RadianceHdr.write(wide, high, light, 0.01, out);
      RadianceHdr.HdrPicture back = RadianceHdr.read(new ByteArrayInputStream(out.toByteArray()));
      assertThat(back.wide()).isEqualTo(wide);
      assertThat(back.high()).isEqualTo(high);
      for (int i = 0; i < light.length; i += 3) {
        float most = Math.max(light[i], Math.max(light[i + 1], light[i + 2]));
        for (int k = i; k < i + 3; k++) {
          assertThat(Math.abs(back.light()[k] - light[k])).isLessThanOrEqualTo(0.005f * most);
        }
      }
      byte[] half = java.util.Arrays.copyOf(out.toByteArray(), out.size() / 2);
      assertThatThrownBy(
              () -> {
                if (wide < 8) {
                  throw new IOException("too short to be packed");
                }
                RadianceHdr.read(new ByteArrayInputStream(half));
              })
          .isInstanceOf(IOException.class);
    }
  }

  @Test
  void aPngSaysItsColoursAndItsWords() throws IOException {
    BufferedImage image = new BufferedImage(3, 2, BufferedImage.TYPE_INT_RGB);
    image.setRGB(1, 1, 0x8040C0);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PngFile.write(image, Map.of("Viewpoint", "From the door, 24 mm"), out);
    String bytes = out.toString(StandardCharsets.ISO_8859_1);
    assertThat(bytes).contains("sRGB").contains("From the door, 24 mm");
    BufferedImage back = ImageIO.read(new ByteArrayInputStream(out.toByteArray()));
    assertThat(back.getRGB(1, 1) & 0xFFFFFF).isEqualTo(0x8040C0);
  }
}
