package pied.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.units.Refusal;

/** Pictures that people bring: read, made smaller, made seamless, and known again. */
class OwnPictureTest {
  private static byte[] file(BufferedImage image, String format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  /** Red at the left, blue at the right, and dark in its lower half. */
  private static BufferedImage halves(int w, int h) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int light = y < h / 2 ? 255 : 120;
        image.setRGB(x, y, x < w / 2 ? light << 16 : light);
      }
    }
    return image;
  }

  private static int red(BufferedImage i, double x, double y) {
    return i.getRGB((int) (x * i.getWidth()), (int) (y * i.getHeight())) >> 16 & 255;
  }

  private static int blue(BufferedImage i, double x, double y) {
    return i.getRGB((int) (x * i.getWidth()), (int) (y * i.getHeight())) & 255;
  }

  @Test
  void aLargeOneIsKeptSmallerAndInItsProportions() throws IOException {
    PictureFile p = PictureFile.of(file(halves(3000, 2000), "png"), "Harbour (2).png");
    assertThat(p.picture().wide()).isEqualTo(1024);
    assertThat(p.picture().high()).isEqualTo(683);
    assertThat(p.picture().called()).isEqualTo("Harbour-2");
    assertThat(p.file().length).isLessThan(200_000);
    BufferedImage kept = PictureReader.read(p.file(), 4000);
    assertThat(red(kept, 0.2, 0.2)).isGreaterThan(240);
    assertThat(blue(kept, 0.8, 0.8)).isBetween(110, 130);
    assertThat(OwnPicture.named(p.picture().id())).isEqualTo(p.picture());
    assertThat(PictureFile.of(file(halves(3000, 2000), "png"), "Harbour (2).png").picture())
        .isEqualTo(p.picture());
  }

  @ParameterizedTest
  @CsvSource({"1,L,T", "2,R,T", "3,R,B", "4,L,B", "5,L,T", "6,R,T", "7,R,B", "8,L,B"})
  void oneIsTheWayUpTheCameraWasHeld(int held, String side, String end) throws IOException {
    byte[] plain = file(halves(64, 32), "jpg");
    PictureFile p = PictureFile.of(withOrientation(plain, held), "a.jpg");
    boolean lying = held >= 5;
    assertThat(p.picture().wide()).isEqualTo(lying ? 32 : 64);
    BufferedImage kept = PictureReader.read(p.file(), 1024);
    // the corner where the stored picture begins, red and light, is where the standard says
    double x = side.equals("L") ? 0.2 : 0.8;
    double y = end.equals("T") ? 0.2 : 0.8;
    assertThat(red(kept, x, y)).isGreaterThan(200);
    assertThat(blue(kept, x, y)).isLessThan(60);
  }

  /** A JPEG file with what the Exif standard says of how the camera was held. */
  private static byte[] withOrientation(byte[] jpeg, int held) {
    byte[] exif = {
      (byte) 0xFF,
      (byte) 0xE1,
      0,
      34,
      'E',
      'x',
      'i',
      'f',
      0,
      0,
      'M',
      'M',
      0,
      42,
      0,
      0,
      0,
      8,
      0,
      1,
      0x01,
      0x12,
      0,
      3,
      0,
      0,
      0,
      1,
      0,
      (byte) held,
      0,
      0,
      0,
      0,
      0,
      0
    };
    byte[] all = new byte[jpeg.length + exif.length];
    System.arraycopy(jpeg, 0, all, 0, 2);
    System.arraycopy(exif, 0, all, 2, exif.length);
    System.arraycopy(jpeg, 2, all, 2 + exif.length, jpeg.length - 2);
    return all;
  }

  @Test
  void whatIsNoPictureIsRefusedInWords() throws IOException {
    byte[] cut = java.util.Arrays.copyOf(file(halves(200, 200), "png"), 60);
    for (byte[] bad : new byte[][] {new byte[0], "<svg/>".getBytes(), cut}) {
      assertThatThrownBy(() -> PictureFile.of(bad, "a.png"))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("“a.png” cannot be read as a picture");
    }
    byte[] thin = file(halves(400, 4), "png");
    assertThatThrownBy(() -> PictureFile.of(thin, "a.png")).hasMessageContaining("400 × 4 dots");
  }

  @Test
  void aSmallFileThatUnfoldsIntoAHugePictureTakesLittleRoom() throws IOException {
    // 96 million dots in some ten thousand bytes
    BufferedImage huge = new BufferedImage(12_000, 8_000, BufferedImage.TYPE_BYTE_BINARY);
    byte[] file = file(huge, "png");
    assertThat(file.length).isLessThan(100_000);
    BufferedImage read = PictureReader.read(file, 2048);
    assertThat((long) read.getWidth() * read.getHeight()).isLessThan(10_000_000);
    BufferedImage more = new BufferedImage(12_000, 9_000, BufferedImage.TYPE_BYTE_BINARY);
    assertThat(PictureReader.read(file(more, "png"), 2048)).isNull();
  }

  @Test
  void aSeamlessOneGoesOnIntoItself() {
    BufferedImage image = new BufferedImage(120, 90, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 90; y++) {
      for (int x = 0; x < 120; x++) {
        image.setRGB(x, y, 2 * x << 16 | 2 * y << 8); // steps of 2
      }
    }
    BufferedImage out = Seamless.of(image);
    assertThat(out.getWidth()).isEqualTo(100);
    assertThat(out.getHeight()).isEqualTo(75);
    // inside it is what it was; over an edge it is no further than from one dot to the next
    assertThat(out.getRGB(60, 40)).isEqualTo(image.getRGB(60, 40));
    for (int y = 0; y < 75; y++) {
      assertThat((out.getRGB(0, y) >> 16 & 255) - (out.getRGB(99, y) >> 16 & 255)).isEqualTo(2);
    }
    for (int x = 0; x < 100; x++) {
      assertThat((out.getRGB(x, 0) >> 8 & 255) - (out.getRGB(x, 74) >> 8 & 255)).isEqualTo(2);
    }
  }

  @Test
  void aSeamlessOneKeepsItsScale() {
    OwnPicture p = new OwnPicture("0123456789abcdef01234567", 600, 300, false, "wall");
    Finish f = p.material().finish().withLaid(Laying.wide(1.2));
    Appearance.Tiled plain = Appearance.of(f).tile();
    assertThat(plain.width()).isEqualTo(1.2);
    assertThat(plain.height()).isEqualTo(0.6);
    Appearance.Tiled seamless = Appearance.of(f.withMaterial(p.seamless(true).id())).tile();
    assertThat(seamless.width()).isCloseTo(1.0, within(1e-12));
    assertThat(seamless.height()).isCloseTo(0.5, within(1e-12));
    assertThat(seamless.colours()).endsWith("-600x300-seamless_wall");
  }

  @Test
  void oneThatComesBackIsBelievedOnlyIfItIsTheSame() throws IOException {
    PictureFile p = PictureFile.of(file(halves(80, 60), "png"), "a.png");
    String id = p.picture().id();
    assertThat(PictureFile.kept(id, p.file()).picture()).isEqualTo(p.picture());
    byte[] other = p.file().clone();
    other[other.length / 2] ^= 1;
    assertThat(PictureFile.kept(id, other)).isNull();
    assertThat(PictureFile.kept(id.replace("80x60", "60x80"), p.file())).isNull();
    assertThat(PictureFile.kept("oak", p.file())).isNull();
  }

  @Test
  void itsNameIsSafeWhateverTheFileIsCalled() {
    Random random = new Random(5);
    for (int i = 0; i < 2_000; i++) {
      int[] letters = random.ints(random.nextInt(80), 1, 0x20000).toArray();
      String called =
          OwnPicture.callable(
              pied.core.units.Text.readable(new String(letters, 0, letters.length)));
      OwnPicture p = new OwnPicture("0123456789abcdef01234567", 8, 8, i % 2 == 0, called);
      assertThat(OwnPicture.named(p.id())).isEqualTo(p);
    }
    assertThat(OwnPicture.named("picture-0123456789abcdef01234567-8x8_../../x")).isNull();
    assertThat(OwnPicture.callable("Hafen am Abend.JPG")).isEqualTo("Hafen-am-Abend");
  }
}
