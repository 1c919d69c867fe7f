package pied.core.still;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import pied.core.Nullable;

/**
 * One going over of a film: more paths for its dots. Threads take one square of it after the other;
 * what a dot gets does not depend on which.
 */
final class FilmPass {
  /** Side of a square that is taken at once, dots. */
  static final int TILE = 16;

  private final StillScene scene;
  private final StillCamera camera;
  private final Film film;
  private final int seed;
  private final @Nullable LightCells cells;
  private final double clamp;
  private final boolean centred;
  private final int most;
  private final boolean[] done;
  private final AtomicInteger next = new AtomicInteger();

  /** Rays followed. */
  final AtomicLong rays = new AtomicLong();

  /**
   * @param centred whether paths go through the middle of a dot: where each has but one, edges are
   *     steps then, and not torn
   * @param most paths of a dot in the end
   * @param done squares that need no more, or null
   */
  FilmPass(
      StillScene scene,
      StillCamera camera,
      Film film,
      int seed,
      @Nullable LightCells cells,
      double clamp,
      boolean centred,
      int most,
      boolean[] done) {
    this.scene = scene;
    this.camera = camera;
    this.film = film;
    this.seed = seed;
    this.cells = cells;
    this.clamp = clamp;
    this.centred = centred;
    this.most = most;
    this.done = done;
  }

  static int across(Film f) {
    return (f.wide + TILE - 1) / TILE;
  }

  static int tiles(Film f) {
    return across(f) * ((f.high + TILE - 1) / TILE);
  }

  double share() {
    return Math.min(1, (double) next.get() / tiles(film));
  }

  boolean isOf(Film f) {
    return film == f;
  }

  boolean isOver() {
    return next.get() >= tiles(film);
  }

  /** Works on it until nothing is left; called by each thread that helps. */
  void work(StillWatch between) {
    PathTracer tracer = new PathTracer(scene, cells, clamp);
    PathSamples samples = new PathSamples();
    double[] way = new double[3];
    double[] rgb = new double[3];
    double[] eye = {camera.eye().x(), camera.eye().y(), camera.eye().z()};
    int n = tiles(film);
    for (int t = next.getAndIncrement(); t < n; t = next.getAndIncrement()) {
      if (done != null && done[t]) {
        continue;
      }
      if (!between.goesOn()) {
        break;
      }
      tile(t, tracer, samples, eye, way, rgb);
    }
    rays.addAndGet(tracer.rays());
  }

  private void tile(
      int t, PathTracer tracer, PathSamples samples, double[] eye, double[] way, double[] rgb) {
    int x0 = t % across(film) * TILE;
    int y0 = t / across(film) * TILE;
    double cone = camera.cone(film.high);
    for (int y = y0; y < Math.min(film.high, y0 + TILE); y++) {
      for (int x = x0; x < Math.min(film.wide, x0 + TILE); x++) {
        int dot = y * film.wide + x;
        while (film.count[dot] < most) {
          samples.begin(dot, film.count[dot], seed);
          double a = samples.pair();
          double u = centred ? 0.5 : a;
          double v = centred ? 0.5 : samples.second();
          camera.ray((x + u) / film.wide, (y + v) / film.high, way);
          tracer.trace(eye, way, cone, samples, rgb);
          film.add(dot, rgb, tracer);
        }
      }
    }
  }
}
