package pied.core.still;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import pied.core.Nullable;
import pied.core.material.pattern.Tint;

/**
 * A picture with all its light, and how it is exposed.
 *
 * @param light linear, cd/m², three a dot from the upper left; none where it is all paper
 * @param paper how much of each dot is the paper behind, of 1
 * @param ink how much of each dot a pen has drawn, of 1; null for nothing
 */
public record Developed(
    int wide, int high, float[] light, float[] paper, Exposure exposure, @Nullable float[] ink) {
  private static final double[] SHEET = Tint.linear("#F4EFE6");
  private static final int[] INK = {0x26, 0x22, 0x1E};

  private static final float[] NO_LIGHT = {};

  /** Whether there is any light in it. */
  public boolean isLit() {
    return light.length > 0;
  }

  /** Bare paper. */
  static Developed paper(int wide, int high, Exposure e) {
    float[] paper = new float[wide * high];
    Arrays.fill(paper, 1);
    return new Developed(wide, high, NO_LIGHT, paper, e, null);
  }

  /** The same with what a pen has drawn; null for nothing. */
  Developed inked(@Nullable InkLines lines) {
    float[] drawn = lines == null ? null : lines.sized(wide, high);
    return new Developed(wide, high, light, paper, exposure, drawn);
  }

  /** Light of a film without its noise. */
  static float[] light(Film film, StillCamera camera, Hands hands) {
    float[] out = new float[3 * film.wide * film.high];
    Denoiser.run(film, camera, hands, out);
    return out;
  }

  /** Dots that have nothing yet get that of another film. */
  static void fill(float[] own, Film film, float[] base, Film first) {
    for (int y = 0; y < film.high; y++) {
      for (int x = 0; x < film.wide; x++) {
        int dot = y * film.wide + x;
        if (film.count[dot] == 0) {
          int other = beneath(x, y, film, first);
          System.arraycopy(base, 3 * other, own, 3 * dot, 3);
        }
      }
    }
  }

  private static int beneath(int x, int y, Film film, Film first) {
    int i = Math.min(first.wide - 1, x * first.wide / film.wide);
    int k = Math.min(first.high - 1, y * first.high / film.high);
    return k * first.wide + i;
  }

  /** Exposed as an eye would. */
  static Developed of(float[] lit, Film film, Film first, Exposure eye) {
    float[] paper = new float[film.count.length];
    for (int dot = 0; dot < paper.length; dot++) {
      boolean own = film.count[dot] > 0;
      int at = own ? dot : beneath(dot % film.wide, dot / film.wide, film, first);
      Film f = own ? film : first;
      boolean none = f.count[at] == 0; // nothing is seen there yet
      paper[dot] = none ? 1 : f.sums[Film.SIZE * at + Film.PAPER] / f.count[at];
    }
    Exposure used = eye.to(MetLight.colour(lit, film));
    Exposure e = used.fitted(lit, paper, film.wide, film.high);
    return new Developed(film.wide, film.high, lit, paper, e, null);
  }

  /** The same in other dots, between its own in proportion, without ink. */
  Developed sized(int w, int h) {
    if (w == wide && h == high) {
      return this;
    }
    float[] l = new float[3 * w * h];
    float[] p = new float[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        double u = Math.max(0, Math.min(wide - 1, (x + 0.5) * wide / w - 0.5));
        double v = Math.max(0, Math.min(high - 1, (y + 0.5) * high / h - 0.5));
        int i = Math.min(Math.max(0, wide - 2), (int) u);
        int k = Math.min(Math.max(0, high - 2), (int) v);
        for (int c = 0; c < 3; c++) {
          l[3 * (y * w + x) + c] = mixed(light, 3, c, i, k, u - i, v - k);
        }
        p[y * w + x] = mixed(paper, 1, 0, i, k, u - i, v - k);
      }
    }
    return new Developed(w, h, l, p, exposure, null);
  }

  private float mixed(float[] of, int size, int c, int i, int k, double fx, double fy) {
    int i2 = Math.min(wide - 1, i + 1);
    int k2 = Math.min(high - 1, k + 1);
    double a = of[size * (k * wide + i) + c] * (1 - fx) + of[size * (k * wide + i2) + c] * fx;
    double b = of[size * (k2 * wide + i) + c] * (1 - fx) + of[size * (k2 * wide + i2) + c] * fx;
    return (float) (a * (1 - fy) + b * fy);
  }

  /** As dots of sRGB. */
  public BufferedImage image() {
    BufferedImage out = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
    double[] c = new double[3];
    for (int dot = 0; dot < paper.length; dot++) {
      if (isLit()) {
        for (int k = 0; k < 3; k++) {
          c[k] = light[3 * dot + k];
        }
        exposure.develop(c);
      }
      int rgb = 0;
      for (int k = 0; k < 3; k++) {
        double v = c[k] * (1 - paper[dot]) + paper[dot] * SHEET[k];
        int written = Tint.written(v);
        if (ink != null) { // as written: thin lines look even so
          written += Math.round(ink[dot] * (INK[k] - written));
        }
        rgb |= written << (16 - 8 * k);
      }
      out.setRGB(dot % wide, dot / wide, rgb);
    }
    return out;
  }
}
