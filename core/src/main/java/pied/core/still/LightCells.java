package pied.core.still;

import java.util.Arrays;

/**
 * How light goes to and fro in a space, worked out once for small cells of its surfaces before a
 * picture is made: each cell looks around from points in it, and then all give each other light
 * until it settles, as in the radiosity method (C. Goral and others, 1984). A path that has left
 * what the eye sees ends where it meets a cell. Light of the sun itself is not in them: it is
 * looked for where a path ends.
 *
 * <p>What ends in cells is blurred over a cell; what the eye sees is not. Work and room go with the
 * surface that is seen from where the eye sees, by the square of a cell.
 */
final class LightCells {
  /** Ways that are followed to find cells, about, and how far each goes. */
  private static final int WAYS = 48_000;

  private static final int MEETINGS = 6;

  /** Points of a cell from which it looks around, and how often in all. */
  private static final int POINTS = 6;

  private static final int LOOKS = 64;
  private static final int FEW_LOOKS = 32;

  /** Every so many of these it looks for lamps, sky and what the sun falls on. */
  private static final int DIRECT = 4;

  private static final int ROUNDS = 16;

  /** Cells along the diagonal of what is found, about; and how small and large one is, metres. */
  private static final double ALONG = 64;

  private static final double SMALLEST = 0.08;
  private static final double LARGEST = 0.6;

  /** Most cells. */
  private static final int MOST = 120_000;

  /** Numbers of what was found: a point and which way its face looks. */
  static final int FOUND = 6;

  private final double side;
  private final int looks;
  private long[] keys = new long[1 << 12];
  private int[] numbers = new int[1 << 12];
  private int size;

  /** The points of all cells, {@link #POINTS} each. */
  private double[] points = new double[POINTS * FOUND * 256];

  private int[] has = new int[256];

  /** Light that falls on each, lux, red, green and blue. */
  private float[] lux;

  private LightCells(double side, int looks) {
    this.side = side;
    this.looks = looks;
  }

  double side() {
    return side;
  }

  int size() {
    return size;
  }

  /**
   * Those that can be seen from where an eye sees.
   *
   * @param quick whether half as many looks will do
   */
  static LightCells of(StillScene scene, StillCamera camera, boolean quick, Hands hands) {
    double[] found = new double[WAYS * MEETINGS * FOUND];
    int[] many = new int[WAYS];
    int rows = (int) Math.sqrt(WAYS);
    int each = WAYS / rows;
    hands.each(
        rows,
        y -> {
          PointProbe t = new PointProbe(scene);
          PathSamples s = new PathSamples();
          double[] way = new double[3];
          for (int x = 0; x < each; x++) {
            int i = y * each + x;
            s.begin(i, 0, -1);
            double a = s.pair();
            camera.ray((x + a) / each, (y + s.second()) / rows, way);
            many[i] = t.meetings(camera.eye(), way, s, MEETINGS, found, i * MEETINGS * FOUND);
          }
        });
    LightCells cells = new LightCells(side(found, many), quick ? FEW_LOOKS : LOOKS);
    for (int i = 0; i < many.length; i++) {
      for (int k = 0; k < many[i]; k++) {
        cells.put(found, (i * MEETINGS + k) * FOUND);
      }
    }
    cells.settle(scene, hands);

    return cells;
  }

  private static double side(double[] found, int[] many) {
    double[] lo = {1e9, 1e9, 1e9};
    double[] hi = {-1e9, -1e9, -1e9};
    for (int i = 0; i < many.length; i++) {
      for (int k = 0; k < many[i] * FOUND; k += FOUND) {
        for (int c = 0; c < 3; c++) {
          double v = found[i * MEETINGS * FOUND + k + c];
          lo[c] = Math.min(lo[c], v);
          hi[c] = Math.max(hi[c], v);
        }
      }
    }
    double across = Math.hypot(Math.hypot(hi[0] - lo[0], hi[1] - lo[1]), hi[2] - lo[2]);
    return Math.max(SMALLEST, Math.min(LARGEST, across / ALONG));
  }

  private void put(double[] found, int at) {
    int c = number(found, at, true);
    if (c < 0 || has[c] == POINTS) {
      return;
    }
    System.arraycopy(found, at, points, (c * POINTS + has[c]++) * FOUND, FOUND);
  }

  /** The cell of a point of a face; -1 if there is none. */
  int at(double[] point, double[] facing) {
    return find(key(point[0], point[1], point[2], facing[0], facing[1], facing[2]));
  }

  private int number(double[] f, int at, boolean make) {
    long key = key(f[at], f[at + 1], f[at + 2], f[at + 3], f[at + 4], f[at + 5]);
    int c = find(key);
    return c >= 0 || !make || size >= MOST ? c : make(key);
  }

  private long key(double x, double y, double z, double nx, double ny, double nz) {
    double ax = Math.abs(nx);
    double ay = Math.abs(ny);
    double az = Math.abs(nz);
    int way = ax > ay && ax > az ? (nx > 0 ? 0 : 1) : ay > az ? (ny > 0 ? 2 : 3) : nz > 0 ? 4 : 5;
    long i = (long) Math.floor(x / side) & 0xFFFFF;
    // floors lie at whole heights: half a cell aside they are all in one
    long j = (long) Math.floor(y / side + 0.5) & 0x7FFFF;
    long k = (long) Math.floor(z / side) & 0xFFFFF;
    return ((i * 0x80000 + j) * 0x100000 + k) * 6 + way + 1;
  }

  private int slot(long key) {
    long h = key * 0x9E3779B97F4A7C15L;
    int s = (int) (h >>> 32) & keys.length - 1;
    while (keys[s] != 0 && keys[s] != key) {
      s = s + 1 & keys.length - 1;
    }
    return s;
  }

  private int find(long key) {
    int s = slot(key);
    return keys[s] == 0 ? -1 : numbers[s];
  }

  private int make(long key) {
    if (2 * size >= keys.length) {
      long[] old = keys;
      int[] oldNumbers = numbers;
      keys = new long[2 * old.length];
      numbers = new int[2 * old.length];
      for (int i = 0; i < old.length; i++) {
        if (old[i] != 0) {
          int s = slot(old[i]);
          keys[s] = old[i];
          numbers[s] = oldNumbers[i];
        }
      }
    }
    if (size == has.length) {
      has = Arrays.copyOf(has, 2 * size);
      points = Arrays.copyOf(points, 2 * points.length);
    }
    int s = slot(key);
    keys[s] = key;
    numbers[s] = size;
    return size++;
  }

  private void settle(StillScene scene, Hands hands) {
    int n = size;
    int[] seen = new int[n * looks];
    float[] share = new float[3 * n * looks];
    float[] own = new float[3 * n];
    hands.each(
        (n + 63) / 64,
        group -> {
          PointProbe t = new PointProbe(scene);
          PathSamples s = new PathSamples();
          double[] rgb = new double[6];
          for (int c = 64 * group; c < Math.min(n, 64 * group + 64); c++) {
            for (int k = 0; k < looks; k++) {
              s.begin(c, k, 0x5BD1E995);
              int p = (c * POINTS + k % has[c]) * FOUND;
              seen[c * looks + k] =
                  t.look(points, p, k % DIRECT == 0, this, s, rgb, share, 3 * (c * looks + k));
              for (int q = 0; q < 3; q++) {
                own[3 * c + q] += (float) ((DIRECT * rgb[q] + rgb[3 + q]) / looks);
              }
            }
          }
        });
    exchange(own, seen, share, hands);
  }

  private void exchange(float[] own, int[] seen, float[] share, Hands hands) {
    float[] now = own.clone();
    for (int r = 0; r < ROUNDS; r++) {
      float[] before = now;
      float[] mean = mean(now);
      float[] next = new float[now.length];
      hands.each(
          size,
          c -> {
            for (int q = 0; q < 3; q++) {
              float sum = 0;
              for (int k = c * looks; k < (c + 1) * looks; k++) {
                float there = seen[k] == -2 ? mean[q] : seen[k] < 0 ? 0 : before[3 * seen[k] + q];
                sum += share[3 * k + q] * there;
              }
              next[3 * c + q] = own[3 * c + q] + sum / looks;
            }
          });
      now = next;
    }
    lux = now;
  }

  /** What is of no cell has the light of all in the mean. */
  private float[] mean(float[] all) {
    double[] sum = new double[3];
    for (int i = 0; i < all.length; i++) {
      sum[i % 3] += all[i];
    }
    int n = Math.max(1, size);
    return new float[] {(float) (sum[0] / n), (float) (sum[1] / n), (float) (sum[2] / n)};
  }

  /** Light that falls on a cell without that of the sun itself, lux. */
  void lux(int cell, double[] to) {
    for (int k = 0; k < 3; k++) {
      to[k] = lux[3 * cell + k];
    }
  }
}
