package pied.core.material.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.material.Material;
import pied.core.material.Materials;

/** Patterns repeat without a seam, and are as large as they say. */
class PatternTest {
  static Stream<Material> patterned() {
    return Materials.shipped().stream().filter(m -> m.pattern() != null);
  }

  @ParameterizedTest
  @MethodSource("patterned")
  void neighboursAcrossAnEdgeDifferNoMoreThanNeighboursWithin(Material m) {
    Pattern p = m.pattern();
    Tile tile = new Tile(p, p.joint());
    byte[] dots = tile.dots();
    int w = tile.wide();
    int h = tile.high();
    double seam = 0;
    double within = 0;
    for (int j = 0; j < h; j++) {
      seam += differs(dots[j * w + w - 1], dots[j * w]);
      within = Math.max(within, column(dots, w, h, j % (w - 1)));
    }
    double up = 0;
    double rows = 0;
    for (int i = 0; i < w; i++) {
      up += differs(dots[(h - 1) * w + i], dots[i]);
      rows = Math.max(rows, row(dots, w, i % (h - 1)));
    }
    assertThat(seam / h).as("left and right of " + m.id()).isLessThanOrEqualTo(within + 0.02);
    assertThat(up / w).as("above and below of " + m.id()).isLessThanOrEqualTo(rows + 0.02);
  }

  /** How much a column of dots differs from the next. */
  private static double column(byte[] dots, int w, int h, int i) {
    double sum = 0;
    for (int j = 0; j < h; j++) {
      sum += differs(dots[j * w + i], dots[j * w + i + 1]);
    }
    return sum / h;
  }

  private static double row(byte[] dots, int w, int j) {
    double sum = 0;
    for (int i = 0; i < w; i++) {
      sum += differs(dots[j * w + i], dots[(j + 1) * w + i]);
    }
    return sum / w;
  }

  private static double differs(byte a, byte b) {
    return Math.abs((a & 255) - (b & 255)) / 255.0;
  }

  @ParameterizedTest
  @MethodSource("patterned")
  void whatIsAtAPlaceIsThereAgainAfterAWholeRepeatToTheLastBit(Material m) {
    Pattern p = m.pattern();
    Spot one = new Spot();
    Spot other = new Spot();
    for (int k = 0; k < 40; k++) {
      double y = p.height() * k / 40;
      double x = p.width() * (k * 7 % 40) / 40;
      // at the very edge, from both sides
      p.at(0, y, p.joint(), one);
      p.at(Noise.part(1.0) * p.width(), y, p.joint(), other);
      assertThat(other.light()).isEqualTo(one.light());
      assertThat(other.mix()).isEqualTo(one.mix());
      p.at(x, 0, p.joint(), one);
      p.at(x, Noise.part(2.0) * p.height(), p.joint(), other);
      assertThat(other.height()).isEqualTo(one.height());
    }
  }

  @Test
  void aPlankIsAsWideAsItSaysAndItsJointAsWideAsIsAsked() {
    Boards planks = (Boards) Materials.of("oak-planks").pattern();
    assertThat(planks.unit()).isEqualTo(0.14);
    double joint = 0.008;
    Spot spot = new Spot();
    int steps = 200_000;
    int in = 0;
    int joints = 0;
    boolean before = true;
    // upward through the middle of a board, away from its ends
    for (int i = 0; i < steps; i++) {
      double y = planks.height() * (i + 0.5) / steps;
      planks.at(0.9, y, joint, spot);
      boolean now = spot.mix() == 1;
      in += now ? 1 : 0;
      joints += now && !before ? 1 : 0;
      before = now;
    }
    assertThat(joints).isEqualTo(planks.rows());
    assertThat(in * planks.height() / steps).isCloseTo(joint * planks.rows(), within(1e-4));
    assertThat(planks.height() / planks.rows()).isEqualTo(0.14);
  }

  @Test
  void tilesHaveTheirJointsWhereTheyEnd() {
    Pattern square = Materials.of("tile-square").pattern();
    Spot spot = new Spot();
    for (int i = 0; i < 4; i++) {
      square.at(i * 0.1 + 0.0014, 0.05, 0.003, spot);
      assertThat(spot.mix()).isEqualTo(1);
      square.at(i * 0.1 + 0.0016, 0.05, 0.003, spot);
      assertThat(spot.mix()).isZero();
    }
    // a hexagon's sides are all as far from its middle
    Pattern hexagon = Materials.of("tile-hexagon").pattern();
    for (int k = 0; k < 6; k++) {
      double a = Math.toRadians(60 * k);
      double away = 0.05 - 0.0014;
      hexagon.at(0.1 + away * Math.cos(a), high(away * Math.sin(a), hexagon), 0.003, spot);
      assertThat(spot.mix()).as("side " + k).isEqualTo(1);
      away = 0.05 - 0.0016;
      hexagon.at(0.1 + away * Math.cos(a), high(away * Math.sin(a), hexagon), 0.003, spot);
      assertThat(spot.mix()).as("side " + k).isZero();
    }
  }

  private static double high(double y, Pattern p) {
    return y - p.height() * Math.floor(y / p.height());
  }

  @Test
  void aTileOnTheWholeHasItsColour() throws IOException {
    for (String id : new String[] {"oak", "wool", "plaster", "concrete", "walnut"}) {
      Pattern p = Materials.of(id).pattern();
      String colour = "#8A6B4F";
      byte[] file = new Tile(p, p.joint()).colours(colour, colour);
      BufferedImage image = ImageIO.read(new ByteArrayInputStream(file));
      double[] sum = new double[3];
      for (int y = 0; y < image.getHeight(); y++) {
        for (int x = 0; x < image.getWidth(); x++) {
          double[] c = Tint.linear("#%06X".formatted(image.getRGB(x, y) & 0xFFFFFF));
          for (int k = 0; k < 3; k++) {
            sum[k] += c[k] / (image.getWidth() * image.getHeight());
          }
        }
      }
      double[] wanted = Tint.linear(colour);
      for (int k = 0; k < 3; k++) {
        assertThat(sum[k]).as(id).isCloseTo(wanted[k], within(0.02 * wanted[k] + 0.002));
      }
    }
  }

  @Test
  void tilesAreSmall() {
    patterned()
        .forEach(
            m -> {
              Tile t = new Tile(m.pattern(), m.pattern().joint());
              int all = t.colours("#808080", "#404040").length + t.normals().length;
              assertThat(all).as(m.id()).isLessThan(260_000);
            });
  }

  /** Every material one draws the joints of. */
  static List<String> drawn() {
    return Materials.shipped().stream()
        .filter(m -> m.pattern() != null && !m.pattern().lines().isEmpty())
        .filter(m -> m.pattern().joint() > 0)
        .map(m -> m.id())
        .toList();
  }

  @Test
  void linesOfAllPatternsLieInTheirJoints() {
    assertThat(drawn()).hasSizeGreaterThan(15);
    for (String id : drawn()) {
      Pattern p = Materials.of(id).pattern();
      Spot on = new Spot();
      Spot beside = new Spot();
      for (double[] l : p.lines()) {
        double x = (0.43 * l[0] + 0.57 * l[2] + p.width()) % p.width();
        double y = (0.43 * l[1] + 0.57 * l[3] + p.height()) % p.height();
        p.at(x, y, 0.004, on);
        assertThat(on.mix).as(id + " at " + x + ", " + y).isGreaterThan(0.9);
      }
      // and no more of them than there are joints: most of the pattern is none
      double length =
          p.lines().stream().mapToDouble(l -> Math.hypot(l[2] - l[0], l[3] - l[1])).sum();
      int in = 0;
      int n = 40_000;
      Random random = new Random(7);
      for (int i = 0; i < n; i++) {
        p.at(random.nextDouble() * p.width(), random.nextDouble() * p.height(), 0.004, beside);
        in += beside.mix > 0.5 ? 1 : 0;
      }
      double area = (double) in / n * p.width() * p.height();
      assertThat(area / length).as(id + ": width of its joints").isCloseTo(0.004, within(0.0012));
    }
  }
}
