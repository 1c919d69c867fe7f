package pied.core.still;

import java.util.Arrays;
import java.util.concurrent.atomic.AtomicInteger;
import pied.core.Nullable;
import pied.core.solid.SceneTree;
import pied.core.solid.SceneTree.SceneHit;

/**
 * The edges of what is seen, as with a pen: where one thing ends before another, thick; where
 * another part of it begins, it folds, or one part of it is before another, thin. Whatever lies
 * flush and looks the same, such as two pieces of one wall, has no line between. Behind glass the
 * lines of both are drawn.
 *
 * <p>Found on a raster three times as fine as the picture, square by square, in as much time as its
 * rays take: some ten million for two million dots.
 */
final class InkLines {
  /** Places looked at each way in a dot. */
  private static final int FINE = 3;

  /** Side of a square, dots. */
  private static final int TILE = 64;

  /** Width of a line around a thing, of the diagonal of the picture; others are thinner. */
  private static final double WIDTH = 0.0011;

  private static final double THIN = 0.55;
  private static final double LEAST = 1.2;

  /** How much a thing folds where a line is drawn, cosine. */
  private static final double FOLD = Math.cos(Math.toRadians(35));

  /** Two faces that look so much the same way are in one plane, cosine. */
  private static final double FLUSH = 0.9995;

  /** How far one is before another where a line is drawn, metres, and of what is between them. */
  private static final double STEP = 0.004;

  private static final double SLOPE = 3;

  /** No more of a place is ink than this; it is grey rather than black. */
  private static final double DENSE = 0.5;

  private static final int MOST_PANES = 8;

  private final StillScene scene;
  private final StillCamera camera;
  final int wide;
  final int high;

  /** How much of each dot is ink, of 255. */
  final byte[] ink;

  private final int margin;
  private final int raster;
  private final double[] radius = new double[3];
  private final AtomicInteger next = new AtomicInteger();
  private final AtomicInteger over = new AtomicInteger();

  InkLines(StillScene scene, StillCamera camera, int wide, int high) {
    this.scene = scene;
    this.camera = camera;
    this.wide = wide;
    this.high = high;
    ink = new byte[Math.multiplyExact(wide, high)];
    double width = Math.max(LEAST, WIDTH * Math.hypot(wide, high));
    radius[2] = width * FINE / 2;
    radius[1] = Math.max(LEAST / 2, THIN * width / 2) * FINE;
    margin = (int) Math.ceil(width / 2) + 1;
    raster = (TILE + 2 * margin) * FINE;
  }

  /** How much room it takes, bytes, beside what a square takes. */
  static long bytes(long dots) {
    return dots;
  }

  private int across() {
    return (wide + TILE - 1) / TILE;
  }

  private int tiles() {
    return across() * ((high + TILE - 1) / TILE);
  }

  /** How much of it is done, 0 to 1. */
  double share() {
    return (double) over.get() / tiles();
  }

  /** Draws, or goes on; called by each thread that helps. */
  void work(StillWatch between) {
    InkSquare s = new InkSquare();
    while (between.goesOn()) {
      int t = next.getAndIncrement();
      if (t >= tiles()) {
        return;
      }
      s.draw(t % across() * TILE, t / across() * TILE);
      over.incrementAndGet();
    }
  }

  boolean isDone() {
    return over.get() == tiles();
  }

  /**
   * Makes lighter what would be black with lines, such as a far chair's many rungs. Called once,
   * when all of it is drawn.
   */
  void thin() {
    int half = (int) Math.ceil(1.5 * 2 * radius[2] / FINE);
    int[] column = new int[wide];
    byte[][] before = new byte[half + 1][];
    for (int y = -half; y < high; y++) {
      int come = y + half;
      for (int x = 0; x < wide && come < high; x++) {
        column[x] += ink[come * wide + x] & 255;
      }
      if (y < 0) {
        continue;
      }
      byte[] row = Arrays.copyOfRange(ink, y * wide, (y + 1) * wide);
      thin(y, half, column);
      before[y % (half + 1)] = row;
      int gone = y - half;
      for (int x = 0; x < wide && gone >= 0; x++) {
        column[x] -= before[gone % (half + 1)][x] & 255;
      }
    }
  }

  private void thin(int y, int half, int[] column) {
    double full = 255.0 * (2 * half + 1) * (2 * half + 1);
    long sum = 0;
    for (int x = -half; x < wide; x++) {
      sum += x + half < wide ? column[x + half] : 0;
      sum -= x - half - 1 >= 0 ? column[x - half - 1] : 0;
      if (x >= 0 && sum > DENSE * full) {
        int i = y * wide + x;
        ink[i] = (byte) ((ink[i] & 255) * DENSE * full / sum);
      }
    }
  }

  /** The ink of a picture of another size, of 1, each dot the mean of what it covers. */
  float[] sized(int w, int h) {
    float[] out = new float[w * h];
    for (int y = 0; y < h; y++) {
      int y0 = (int) ((long) y * high / h);
      int y1 = Math.max(y0 + 1, (int) ((long) (y + 1) * high / h));
      for (int x = 0; x < w; x++) {
        int x0 = (int) ((long) x * wide / w);
        int x1 = Math.max(x0 + 1, (int) ((long) (x + 1) * wide / w));
        int sum = 0;
        for (int i = y0; i < y1; i++) {
          for (int k = x0; k < x1; k++) {
            sum += ink[i * wide + k] & 255;
          }
        }
        out[y * w + x] = sum / 255f / ((y1 - y0) * (x1 - x0));
      }
    }
    return out;
  }

  /** What is seen at the places of a raster, of one square and a margin around it. */
  private final class InkRaster {
    final int[] body = new int[raster * raster];
    final int[] part = new int[raster * raster];
    final LitSurface[] surface = new LitSurface[raster * raster];
    final float[] normal = new float[3 * raster * raster];
    final double[] at = new double[3 * raster * raster];
    final float[] far = new float[raster * raster];

    void put(int i, @Nullable MetPoint m, double distance) {
      if (m == null) {
        body[i] = -1;
        surface[i] = null;
        return;
      }
      body[i] = m.body;
      part[i] = m.part;
      surface[i] = m.surface;
      far[i] = (float) distance;
      for (int k = 0; k < 3; k++) {
        normal[3 * i + k] = (float) m.normal[k];
        at[3 * i + k] = m.at[k];
      }
    }

    /** What line there is between two places: 0 none, 1 thin, 2 thick. */
    int line(int a, int b) {
      if (body[a] < 0 || body[b] < 0) {
        return body[a] == body[b] ? 0 : 2;
      }
      boolean one = body[a] == body[b];
      double cos = 0;
      double before = 0;
      double behind = 0;
      for (int k = 0; k < 3; k++) {
        double d = at[3 * b + k] - at[3 * a + k];
        cos += normal[3 * a + k] * normal[3 * b + k];
        before += normal[3 * a + k] * d;
        behind += normal[3 * b + k] * d;
      }
      double off = Math.min(Math.abs(before), Math.abs(behind));
      boolean level = off < STEP + SLOPE * camera.cone(high * FINE) * Math.min(far[a], far[b]);
      if (!level) {
        return one ? 1 : 2;
      }
      if (surface[a] == surface[b] && cos > FLUSH) {
        return 0;
      }
      if (!one) {
        return cos > FLUSH ? 1 : 2;
      }
      return part[a] != part[b] || cos < FOLD ? 1 : 0;
    }
  }

  /** The scratch of one thread. */
  private final class InkSquare {
    private final MetPoint met = new MetPoint();
    private final SceneHit hit = new SceneHit();
    private final InkRaster first = new InkRaster();
    private final InkRaster behind = new InkRaster();
    private final boolean[] inked = new boolean[raster * raster];
    private final double[] from = new double[3];
    private final double[] way = new double[3];

    void draw(int x0, int y0) {
      look(x0 - margin, y0 - margin);
      Arrays.fill(inked, false);
      for (int y = 0; y < raster; y++) {
        for (int x = 0; x < raster; x++) {
          int i = y * raster + x;
          // a line lies between two places, on neither of them
          if (x + 1 < raster) {
            stamp(x + 0.5, y, radius[line(i, i + 1)]);
          }
          if (y + 1 < raster) {
            stamp(x, y + 0.5, radius[line(i, i + raster)]);
          }
        }
      }
      for (int y = y0; y < Math.min(high, y0 + TILE); y++) {
        for (int x = x0; x < Math.min(wide, x0 + TILE); x++) {
          ink[y * wide + x] = (byte) covered(x - x0 + margin, y - y0 + margin);
        }
      }
    }

    private int line(int a, int b) {
      return Math.max(first.line(a, b), behind.line(a, b));
    }

    private void look(int x0, int y0) {
      for (int y = 0; y < raster; y++) {
        for (int x = 0; x < raster; x++) {
          camera.ray((x0 + (x + 0.5) / FINE) / wide, (y0 + (y + 0.5) / FINE) / high, way);
          see(y * raster + x);
        }
      }
    }

    /** What is met first, and what behind all that one sees through. */
    private void see(int place) {
      from[0] = camera.eye().x();
      from[1] = camera.eye().y();
      from[2] = camera.eye().z();
      double gone = 0;
      for (int panes = 0; panes <= MOST_PANES; panes++) {
        boolean some = scene.seen.tree().nearest(from, way, LightFinder.FAR, SceneTree.ALL, hit);
        if (some) {
          int body = scene.seen.bodies()[hit.mesh];
          met.shape(scene.bodies[body], body, hit, from, way);
          gone += hit.distance;
        }
        if (panes == 0) {
          first.put(place, some ? met : null, gone);
        }
        behind.put(place, some ? met : null, gone);
        if (!some || !met.surface.isSeenThrough()) {
          return;
        }
        System.arraycopy(met.at, 0, from, 0, 3);
        LightFinder.off(met.facing, way, from);
      }
    }

    private void stamp(double x, double y, double r) {
      for (int j = Math.max(0, (int) Math.ceil(y - r)); j <= Math.min(raster - 1, y + r); j++) {
        double half = Math.sqrt(r * r - (j - y) * (j - y));
        int from = Math.max(0, (int) Math.ceil(x - half));
        int to = Math.min(raster - 1, (int) Math.floor(x + half));
        for (int i = from; i <= to; i++) {
          inked[j * raster + i] = true;
        }
      }
    }

    private int covered(int x, int y) {
      int n = 0;
      for (int j = y * FINE; j < (y + 1) * FINE; j++) {
        for (int i = x * FINE; i < (x + 1) * FINE; i++) {
          n += inked[j * raster + i] ? 1 : 0;
        }
      }
      return 255 * n / (FINE * FINE);
    }
  }
}
