package pied.core.material.pattern;

/** Chance that is the same every time and repeats without a seam. Places are parts of a repeat. */
final class Noise {
  private Noise() {}

  /** A number from 0 up to 1 for whole numbers. */
  static double of(int a, int b, int seed) {
    int h = a * 0x27d4eb2d + b * 0x165667b1 + seed * 0x9e3779b1;
    h ^= h >>> 15;
    h *= 0x85ebca6b;
    h ^= h >>> 13;
    h *= 0xc2b2ae35;
    h ^= h >>> 16;
    return (h >>> 1) / (double) (1L << 31);
  }

  /** Part of one within a repeat: 0 up to 1. */
  static double part(double v) {
    double p = v - Math.floor(v);
    return p >= 1 ? 0 : p;
  }

  /**
   * Soft hills and hollows, -1 to 1.
   *
   * @param s place to the right as a part of the repeat
   * @param t place upward likewise
   * @param nx how many hills there are to the right
   * @param ny how many upward
   */
  static double soft(double s, double t, int nx, int ny, int seed) {
    double x = part(s) * nx;
    double y = part(t) * ny;
    int i = (int) x;
    int j = (int) y;
    double u = ease(x - i);
    double v = ease(y - j);
    int i1 = (i + 1) % nx;
    int j1 = (j + 1) % ny;
    i %= nx;
    j %= ny;
    double low = of(i, j, seed) * (1 - u) + of(i1, j, seed) * u;
    double high = of(i, j1, seed) * (1 - u) + of(i1, j1, seed) * u;
    return 2 * (low * (1 - v) + high * v) - 1;
  }

  /** The same with finer and finer hills on it, each half as high. */
  static double layers(double s, double t, int nx, int ny, int layers, int seed) {
    double sum = 0;
    double all = 0;
    double share = 1;
    for (int k = 0; k < layers; k++) {
      sum += share * soft(s, t, nx << k, ny << k, seed + k);
      all += share;
      share /= 2;
    }
    return sum / all;
  }

  private static double ease(double t) {
    return t * t * t * (t * (6 * t - 15) + 10);
  }

  /** Which cell a place is in, and how far it is from its middle and from its border. */
  record InCell(int id, double middle, double border) {}

  /**
   * Cells about points spread by chance, one in every square.
   *
   * @param sx how wide a square is, sy how high: distances are in the unit of these
   */
  static InCell cell(double s, double t, int nx, int ny, double sx, double sy, int seed) {
    double x = part(s) * nx;
    double y = part(t) * ny;
    int i = (int) x;
    int j = (int) y;
    double first = Double.MAX_VALUE;
    double second = Double.MAX_VALUE;
    int id = 0;
    for (int di = -1; di <= 1; di++) {
      for (int dj = -1; dj <= 1; dj++) {
        int ci = Math.floorMod(i + di, nx);
        int cj = Math.floorMod(j + dj, ny);
        double px = i + di + 0.15 + 0.7 * of(ci, cj, seed);
        double py = j + dj + 0.15 + 0.7 * of(ci, cj, seed + 1);
        double d = Math.hypot((px - x) * sx, (py - y) * sy);
        if (d < first) {
          second = first;
          first = d;
          id = ci * ny + cj;
        } else if (d < second) {
          second = d;
        }
      }
    }
    return new InCell(id, first, (second - first) / 2);
  }
}
