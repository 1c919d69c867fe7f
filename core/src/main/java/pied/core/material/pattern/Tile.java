package pied.core.material.pattern;

import java.awt.image.BufferedImage;
import java.awt.image.IndexColorModel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/**
 * One repeat of a pattern as dots. Dots at opposite edges are neighbours, so that tiles beside each
 * other have no seam. What it shows is kept apart from its colours, so that another colour costs a
 * palette only.
 */
public final class Tile {
  /** Goes up when tiles of the same name look different from before. */
  public static final int VERSION = 1;

  private static final int MIXES = 8;
  private static final int LIGHTS = 31;

  /** Lighter or darker than this, as a power of e, it does not get. */
  private static final double REACH = 0.75;

  /** Dots of a tile of a hole. */
  private static final int HOLE = 255;

  /** Every dot is looked at in so many places each way. */
  private static final int FINE = 2;

  /** Samples to choose by are as wide as this, dots. */
  private static final int SAMPLE = 96;

  private static final int LEAST = 16;
  private static final int MOST = 512;

  private final int wide;
  private final int high;
  private final double across;
  private final double up;
  private final byte[] dots;
  private final float[] heights;
  private final float[] roughs;
  private final double light;

  /**
   * Makes one of a whole repeat.
   *
   * @param joint how wide the joints are, metres
   */
  public Tile(Pattern p, double joint) {
    this(
        p,
        joint,
        p.dots(),
        Math.max(LEAST, Math.min(MOST, (int) Math.round(p.dots() * p.height() / p.width()))),
        p.width(),
        p.height());
  }

  /** A square part of a pattern, as large as one sees well what it is. */
  public static Tile sampleOf(Pattern p) {
    double side = p.unit() > 0.5 ? 0.35 : Math.max(0.04, 3.5 * p.unit());
    return new Tile(p, p.joint(), SAMPLE, SAMPLE, side, side);
  }

  private Tile(Pattern p, double joint, int wide, int high, double width, double height) {
    this.wide = wide;
    this.high = high;
    across = width / wide;
    up = height / high;
    dots = new byte[wide * high];
    heights = new float[wide * high];
    roughs = new float[wide * high];
    double sum = 0;
    Spot spot = new Spot();
    for (int j = 0; j < high; j++) {
      for (int i = 0; i < wide; i++) {
        sum += dot(p, joint, i, j, spot);
      }
    }
    light = sum / (wide * high);
  }

  /** Row 0 is the highest, as in a picture. */
  private double dot(Pattern p, double joint, int i, int j, Spot spot) {
    double mix = 0;
    double lighter = 0;
    double height = 0;
    double rough = 0;
    int holes = 0;
    for (int k = 0; k < FINE * FINE; k++) {
      double x = (i + (k % FINE + 0.5) / FINE) * across;
      double y = (high - 1 - j + (k / FINE + 0.5) / FINE) * up;
      p.at(x % p.width(), y % p.height(), joint, spot);
      mix += spot.mix;
      lighter += spot.light;
      height += spot.height;
      rough += spot.rough;
      holes += spot.hole ? 1 : 0;
    }
    int n = FINE * FINE;
    int m = (int) Math.round(mix / n * (MIXES - 1));
    int l = (int) Math.round((lighter / n / REACH + 1) / 2 * (LIGHTS - 1));
    l = Math.max(0, Math.min(LIGHTS - 1, l));
    int at = j * wide + i;
    dots[at] = (byte) (2 * holes > n ? HOLE : m * LIGHTS + l);
    heights[at] = (float) (height / n);
    roughs[at] = (float) (rough / n);
    return factor(l);
  }

  private static double factor(int l) {
    return Math.exp((2.0 * l / (LIGHTS - 1) - 1) * REACH);
  }

  public int wide() {
    return wide;
  }

  public int high() {
    return high;
  }

  /** How much room it takes. */
  public long bytes() {
    return 9L * dots.length;
  }

  /** The dots, row after row from the highest: of which mix and how light, or a hole. */
  public byte[] dots() {
    return dots.clone();
  }

  /**
   * Its colours as a PNG with a palette. On the whole what is not of the second colour is as light
   * as the first.
   *
   * @param first as #RRGGBB
   * @param second likewise
   */
  public byte[] colours(String first, String second) {
    double[] a = Tint.linear(first);
    double[] b = Tint.linear(second);
    byte[][] palette = new byte[4][256];
    for (int m = 0; m < MIXES; m++) {
      for (int l = 0; l < LIGHTS; l++) {
        double f = factor(l) / light;
        double share = m / (MIXES - 1.0);
        for (int k = 0; k < 3; k++) {
          double c = (a[k] * (1 - share) + b[k] * share) * f;
          palette[k][m * LIGHTS + l] = (byte) Tint.written(c);
        }
        palette[3][m * LIGHTS + l] = (byte) 255;
      }
    }
    for (int k = 0; k < 3; k++) {
      palette[k][HOLE] = (byte) Tint.written(a[k] * 0.5); // seen at the rim of holes
    }
    IndexColorModel colours =
        new IndexColorModel(8, 256, palette[0], palette[1], palette[2], palette[3]);
    BufferedImage image = new BufferedImage(wide, high, BufferedImage.TYPE_BYTE_INDEXED, colours);
    image.getRaster().setDataElements(0, 0, wide, high, dots);
    return png(image);
  }

  /**
   * Which way its skin looks, as a PNG as glTF has it: red to the right, green upward, blue out.
   */
  public byte[] normals() {
    BufferedImage image = new BufferedImage(wide, high, BufferedImage.TYPE_3BYTE_BGR);
    for (int j = 0; j < high; j++) {
      for (int i = 0; i < wide; i++) {
        double[] n = normal(i, j);
        image.setRGB(i, j, byteOf(n[0]) << 16 | byteOf(n[1]) << 8 | byteOf(n[2]));
      }
    }
    return png(image);
  }

  private double[] normal(int i, int j) {
    double x = -(height(i + 1, j) - height(i - 1, j)) / (2 * across);
    double y = (height(i, j + 1) - height(i, j - 1)) / (2 * up); // a picture's rows run down
    double l = Math.sqrt(x * x + y * y + 1);
    return new double[] {x / l, y / l, 1 / l};
  }

  /**
   * How it looks in the light from the upper left, as a PNG: to choose by.
   *
   * @param first as #RRGGBB
   * @param second likewise
   */
  public byte[] sample(String first, String second) {
    double[] a = Tint.linear(first);
    double[] b = Tint.linear(second);
    BufferedImage image = new BufferedImage(wide, high, BufferedImage.TYPE_INT_ARGB);
    for (int at = 0; at < dots.length; at++) {
      int dot = dots[at] & 255;
      if (dot == HOLE) {
        continue;
      }
      double[] n = normal(at % wide, at / wide);
      double lit = Math.max(0.3, n[2] + 0.5 * (n[1] - n[0]));
      int rgb = 255 << 24;
      for (int k = 0; k < 3; k++) {
        double share = dot / LIGHTS / (MIXES - 1.0);
        double c = (a[k] * (1 - share) + b[k] * share) * factor(dot % LIGHTS) / light * lit;
        rgb |= Tint.written(c) << (16 - 8 * k);
      }
      image.setRGB(at % wide, at / wide, rgb);
    }
    return png(image);
  }

  private float height(int i, int j) {
    return heights[Math.floorMod(j, high) * wide + Math.floorMod(i, wide)];
  }

  private static int byteOf(double v) {
    return (int) Math.round((v + 1) / 2 * 255) & ~1; // one of two is as good, and half as large
  }

  /**
   * How rough it is, as a PNG as glTF has it: green for rough, blue for metal.
   *
   * @param on the whole, 0 to 1
   */
  public byte[] roughness(double on, double metal) {
    BufferedImage image = new BufferedImage(wide, high, BufferedImage.TYPE_3BYTE_BGR);
    int blue = (int) Math.round(255 * metal);
    for (int at = 0; at < roughs.length; at++) {
      double rough = Math.max(0, Math.min(1, on + roughs[at]));
      int green = (int) Math.round(rough * 31) * 255 / 31;
      image.setRGB(at % wide, at / wide, green << 8 | blue);
    }
    return png(image);
  }

  private static byte[] png(BufferedImage image) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }
}
