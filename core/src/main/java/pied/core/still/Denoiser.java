package pied.core.still;

import java.util.Arrays;
import pied.core.Tolerance;

/**
 * Takes the noise out of a film and leaves edges where they are: light without the colour of what
 * it falls on is averaged with that of neighbours ever farther away (H. Dammertz and others,
 * "Edge-avoiding À-Trous wavelet transform", 2010), the less the more their faces differ, and their
 * light by more than noise explains (C. Schied and others, "Spatiotemporal variance-guided
 * filtering", 2017).
 *
 * <p>Cost: 25 neighbours of each dot twice, and 9 three times. A large picture is done in bands, so
 * that what it takes does not grow with its height.
 */
final class Denoiser {
  private static final int ROUNDS = 5;

  /** Farthest from where anything comes, dots: 2 (1 + 2) + 4 + 8 + 16, and what cleans before. */
  private static final int REACH = 40;

  private static final int BAND = 256;
  private static final float[] KERNEL = {3 / 8f, 1 / 4f, 1 / 16f};
  private static final float DARK = 0.03f;

  /** So many deviations of light are noise. */
  private static final float NOISE = 3;

  /** Faces that lie by no more than this before or behind another go on, of the distance. */
  private static final float PLANE = 0.004f;

  /** The square of what normals of one face may differ by. */
  private static final float TURNED = 0.03f;

  /** Only so near dots are like the rim between two faces. */
  private static final int RIMS = 2;

  /** Paths of a dot that say themselves how far they are off. */
  private static final int ENOUGH = 4;

  /** Floats of what a dot shows: which way its face looks, where it is, how far, how mixed. */
  private static final int FACE = 8;

  private static final int PLACE = 3;
  private static final int FAR = 6;
  private static final int MIXED = 7;

  private final Film film;
  private final StillCamera camera;
  private final int from;
  private final int rows;
  private final int wide;
  private final boolean few;

  /** Light 3 and the square of its deviation, for each dot. */
  private float[] lit;

  private float[] next;

  /** How bright each dot is. */
  private final float[] bright;

  private final float[] colour;
  private final float[] face;

  private Denoiser(Film film, StillCamera camera, int from, int to, boolean few) {
    this.film = film;
    this.camera = camera;
    this.from = from;
    this.few = few;
    wide = film.wide;
    rows = to - from;
    int n = wide * rows;
    lit = new float[4 * n];
    next = new float[4 * n];
    bright = new float[n];
    colour = new float[3 * n];
    face = new float[FACE * n];
  }

  /** How much room it takes, bytes. */
  static long bytes(int wide) {
    return 4L * (4 + 4 + 1 + 3 + FACE) * wide * (BAND + 2 * REACH);
  }

  /**
   * The light of a film without its noise.
   *
   * @param out three floats a dot, cd/m²; is set
   */
  static void run(Film film, StillCamera camera, Hands hands, float[] out) {
    boolean few = film.mean() < ENOUGH;
    for (int y = 0; y < film.high; y += BAND) {
      int end = Math.min(film.high, y + BAND);
      int from = Math.max(0, y - REACH);
      Denoiser d = new Denoiser(film, camera, from, Math.min(film.high, end + REACH), few);
      d.band(hands);
      for (int dot = film.wide * y; dot < film.wide * end; dot++) {
        int at = dot - film.wide * from;
        for (int k = 0; k < 3; k++) {
          out[3 * dot + k] = d.lit[4 * at + k] * d.colour[3 * at + k];
        }
      }
    }
  }

  private void band(Hands hands) {
    hands.each(rows, this::read);
    hands.each(rows, y -> brighten(y, lit));
    step(hands, this::clean);
    step(hands, this::settle);
    for (int r = 0; r < ROUNDS; r++) {
      int far = 1 << r;
      step(hands, y -> round(y, far));
    }
  }

  private void step(Hands hands, java.util.function.IntConsumer row) {
    hands.each(rows, row);
    hands.each(rows, y -> brighten(y, next));
    float[] swap = lit;
    lit = next;
    next = swap;
  }

  private void read(int y) {
    double[] way = new double[3];
    for (int x = 0; x < wide; x++) {
      int dot = (from + y) * wide + x;
      int at = y * wide + x;
      int n = Math.max(1, film.count[dot]);
      int s = Film.SIZE * dot;
      int f = FACE * at;
      float there = 0;
      for (int k = 0; k < 3; k++) {
        face[f + k] = film.sums[s + Film.NORMAL + k] / n;
        there += face[f + k] * face[f + k];
      }
      boolean any = there > 0.04f;
      float mean = 0;
      for (int k = 0; k < 3; k++) {
        float c = any ? Math.max(DARK, film.sums[s + Film.COLOUR + k] / n) : 1;
        colour[3 * at + k] = c;
        lit[4 * at + k] = film.sums[s + k] / n / c;
        mean += c / 3;
      }
      double off = film.deviation(dot) / mean;
      lit[4 * at + 3] = (float) Math.min(1e10, off * off);
      face[f + FAR] = any ? film.sums[s + Film.DEPTH] / n : 0;
      face[f + MIXED] = any ? Math.max(0, 1 - there) : 0;
      camera.ray((x + 0.5) / wide, (from + y + 0.5) / film.high, way);
      for (int k = 0; k < 3; k++) {
        face[f + PLACE + k] = (float) way[k] * face[f + FAR];
      }
    }
  }

  private void brighten(int y, float[] of) {
    for (int at = y * wide; at < (y + 1) * wide; at++) {
      bright[at] = 0.2126f * of[4 * at] + 0.7152f * of[4 * at + 1] + 0.0722f * of[4 * at + 2];
    }
  }

  /** What is far brighter than all around it is an accident: it is held to the second brightest. */
  private void clean(int y) {
    float[] around = new float[24];
    for (int x = 0; x < wide; x++) {
      int at = y * wide + x;
      System.arraycopy(lit, 4 * at, next, 4 * at, 4);
      if (face[FACE * at + FAR] == 0) {
        continue;
      }
      int n = 0;
      for (int j = Math.max(0, y - 2); j <= Math.min(rows - 1, y + 2); j++) {
        for (int i = Math.max(0, x - 2); i <= Math.min(wide - 1, x + 2); i++) {
          int o = j * wide + i;
          if (o != at && face[FACE * o + FAR] > 0) {
            around[n++] = bright[o];
          }
        }
      }
      float own = bright[at];
      float most = second(around, n);
      if (n > 5 && own > most && most > 0) {
        for (int k = 0; k < 3; k++) {
          next[4 * at + k] *= most / own;
        }
      }
    }
  }

  private static float second(float[] all, int n) {
    float first = 0;
    float second = 0;
    for (int i = 0; i < n; i++) {
      if (all[i] > first) {
        second = first;
        first = all[i];
      } else if (all[i] > second) {
        second = all[i];
      }
    }
    return second;
  }

  /** Deviations of few paths are chance themselves: they are averaged with those next to them. */
  private void settle(int y) {
    for (int x = 0; x < wide; x++) {
      int at = y * wide + x;
      System.arraycopy(lit, 4 * at, next, 4 * at, 3);
      next[4 * at + 3] = settled(x, y);
    }
  }

  private float settled(int x, int y) {
    float own = 0;
    float sum = 0;
    float square = 0;
    float all = 0;
    for (int j = Math.max(0, y - 2); j <= Math.min(rows - 1, y + 2); j++) {
      for (int i = Math.max(0, x - 2); i <= Math.min(wide - 1, x + 2); i++) {
        int o = j * wide + i;
        float w = same(y * wide + x, o, 1);
        if (w > 0) {
          float b = bright[o];
          own += w * lit[4 * o + 3];
          sum += w * b;
          square += w * b * b;
          all += w;
        }
      }
    }
    // what few paths say of themselves is less than what neighbours say of each other
    float around = Math.max(0, square / all - sum / all * (sum / all));
    return few ? around : own / all;
  }

  /** How far two dots show the same face, 0 to 1; the rim of two is like both. */
  private float same(int a, int b, int step) {
    int i = FACE * a;
    int k = FACE * b;
    float away = face[i + FAR];
    if (away == 0 || face[k + FAR] == 0) {
      return away == face[k + FAR] ? 1 : 0;
    }
    float rim = step <= RIMS ? face[i + MIXED] : 0;
    float x = face[i] - face[k];
    float y = face[i + 1] - face[k + 1];
    float z = face[i + 2] - face[k + 2];
    float turned = (x * x + y * y + z * z) / (TURNED + 2 * rim);
    if (turned > 4) {
      return 0;
    }
    float off =
        face[i] * (face[k + PLACE] - face[i + PLACE])
            + face[i + 1] * (face[k + PLACE + 1] - face[i + PLACE + 1])
            + face[i + 2] * (face[k + PLACE + 2] - face[i + PLACE + 2]);
    float plane = Math.abs(off) / (away * (PLANE * (1 + 0.25f * step) + rim));
    return plane > 2 ? 0 : falling(turned) * falling(plane * plane);
  }

  /** 1 at none, and nothing from 4 on. */
  private static float falling(float v) {
    float f = 1 - v / 4;
    return f * f;
  }

  private void round(int y, int step) {
    float[] sum = new float[5];
    for (int x = 0; x < wide; x++) {
      int at = y * wide + x;
      if (face[FACE * at + FAR] == 0) {
        System.arraycopy(lit, 4 * at, next, 4 * at, 4); // paper has no noise
      } else {
        average(x, y, step, sum);
        for (int k = 0; k < 3; k++) {
          next[4 * at + k] = sum[k] / sum[4];
        }
        next[4 * at + 3] = sum[3] / (sum[4] * sum[4]);
      }
    }
  }

  /** Sums up neighbours: their light 3, its deviation, and how much they count. */
  private void average(int x, int y, int step, float[] sum) {
    int at = y * wide + x;
    float own = bright[at];
    float noise = NOISE * (float) Math.sqrt(lit[4 * at + 3]) + (float) Tolerance.FINE;
    Arrays.fill(sum, 0);
    int reach = step <= RIMS ? 2 : 1; // far away fewer will do
    for (int j = -reach; j <= reach; j++) {
      int yy = y + j * step;
      if (yy < 0 || yy >= rows) {
        continue;
      }
      for (int i = -reach; i <= reach; i++) {
        int xx = x + i * step;
        if (xx < 0 || xx >= wide) {
          continue;
        }
        int o = yy * wide + xx;
        float d = Math.abs(bright[o] - own) / noise;
        if (d > 4) {
          continue;
        }
        float w = KERNEL[Math.abs(i)] * KERNEL[Math.abs(j)];
        w *= o == at ? 1 : falling(d) * same(at, o, step);
        for (int k = 0; k < 3; k++) {
          sum[k] += w * lit[4 * o + k];
        }
        sum[3] += w * w * lit[4 * o + 3];
        sum[4] += w;
      }
    }
  }
}
