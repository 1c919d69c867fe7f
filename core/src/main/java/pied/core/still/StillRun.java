package pied.core.still;

import java.awt.image.BufferedImage;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.Arrays;
import pied.core.Nullable;
import pied.core.lighting.Lighting;
import pied.core.space.Space;

/**
 * A picture as it is made: first a coarse one, then going after going over a film, until its noise
 * is small enough or its time is up. It can be looked at meanwhile, stopped between two squares,
 * and gone on with from what was kept of it. What comes out depends on the space and what is asked
 * for alone, unless time ends it.
 */
public final class StillRun {
  /** The first film has so many times fewer dots each way. */
  private static final int GLANCE = 8;

  /** No dot is judged before it has so many paths. */
  private static final int FEW = 4;

  /** Light that chance brings late is held to so many times paper in the light around. */
  private static final double BOUND = 20;

  private static final int LAMPS = 12;
  private static final int KEPT = 0x50696564;

  private final StillWish wish;
  private final StillScene scene;
  private final StillCamera camera;
  private final Lighting light;
  private final Hands hands;
  private final boolean[] done;
  private final Film film;
  private final @Nullable InkLines ink;
  private volatile Film glance;
  private volatile @Nullable FilmPass pass;
  private long rays;
  private volatile int goings;
  private volatile double noise = Double.NaN;
  private double spent;
  private volatile long begun;

  /**
   * Makes it ready.
   *
   * @param threads that work on it
   */
  public StillRun(Space space, StillWish wish, int threads) {
    this.wish = wish;
    light = Lighting.of(space, space.showing().day(), LAMPS);
    scene = SpaceScene.of(space, wish.view(), light.used(), wish.card());
    double ratio = (double) wish.width() / wish.height();
    camera =
        wish.around()
            ? StillCamera.round(wish.view())
            : StillCamera.of(wish.view(), ratio, space.shell());
    hands = new Hands(threads);
    int coarse = isDrawing() ? GLANCE : wish.coarse();
    film = new Film(part(wish.width(), coarse), part(wish.height(), coarse));
    ink =
        wish.ink() == StillInk.none
            ? null
            : new InkLines(scene, camera, wish.width(), wish.height());
    done = new boolean[FilmPass.tiles(film)];
    glance = film;
  }

  /** Whether it is of ink alone. */
  private boolean isDrawing() {
    return wish.ink() == StillInk.alone;
  }

  private static int part(int dots, int by) {
    return Math.max(1, (dots + by - 1) / by);
  }

  /** How much room a picture takes while it is made, bytes. */
  public static long bytes(StillWish w) {
    long dots = (long) part(w.width(), w.coarse()) * part(w.height(), w.coarse());
    long all = (long) w.width() * w.height();
    long ink = w.ink() == StillInk.none ? 0 : InkLines.bytes(all);
    return Film.bytes(dots) + 12 * dots + 4 * all + Denoiser.bytes(w.width()) + ink;
  }

  /**
   * Makes it, or goes on.
   *
   * @param between asked between two squares; may wait for those who come first
   * @return whether it is done; false if it was stopped
   */
  public boolean run(StillWatch between) {
    return run(between, () -> {});
  }

  /**
   * Makes it, or goes on.
   *
   * @param after called after each going over the whole of it, when nothing is under way
   */
  public boolean run(StillWatch between, Runnable after) {
    begun = System.nanoTime();
    try {
      return made(between, after);
    } finally {
      spent += (System.nanoTime() - begun) / 1e9;
      begun = 0;
    }
  }

  private boolean made(StillWatch between, Runnable after) {
    if (isDrawing()) {
      return drawn(between);
    }
    if (goings == 0) {
      Film first = new Film(part(wish.width(), GLANCE), part(wish.height(), GLANCE));
      glance = first;
      if (!go(first, null, 1, null, between)) {
        return false;
      }
    }
    if (!drawn(between)) {
      return false;
    }
    LightCells cells =
        wish.usesCells()
            ? LightCells.of(scene, camera, wish.grade() == StillGrade.draft, hands)
            : null;
    // however little time there is, all of it is gone over once
    while (goings == 0 || goings < wish.paths() && !isDone() && !isLate()) {
      StillWatch untilLate = () -> !(goings > 0 && isLate()) && between.goesOn();
      if (!go(film, cells, goings + 1, done, untilLate)) {
        return isLate();
      }
      goings++;
      judge();
      after.run();
    }
    return true;
  }

  /** Draws all that is to be drawn with a pen; false if it was stopped. */
  private boolean drawn(StillWatch between) {
    if (ink == null || ink.isDone()) {
      return true;
    }
    hands.all(() -> ink.work(between));
    if (ink.isDone()) {
      ink.thin();
    }
    return ink.isDone();
  }

  private boolean go(
      Film on,
      @Nullable LightCells cells,
      int paths,
      @Nullable boolean[] over,
      StillWatch between) {
    double clamp = wish.grade() == StillGrade.fine ? Double.POSITIVE_INFINITY : bound();
    FilmPass p =
        new FilmPass(
            scene, camera, on, 0, cells, clamp, on != film || wish.paths() == 1, paths, over);
    boolean[] stopped = new boolean[1];
    StillWatch b =
        () -> {
          boolean further = between.goesOn();
          stopped[0] |= !further;
          return further;
        };
    pass = p;
    hands.all(() -> p.work(b));
    rays += p.rays.get();
    return !stopped[0];
  }

  private double bound() {
    return BOUND * light.used() / Math.PI;
  }

  private boolean isLate() {
    return wish.seconds() != null && seconds() >= wish.seconds();
  }

  private boolean isDone() {
    for (boolean d : done) {
      if (!d) {
        return false;
      }
    }
    return true;
  }

  /** Squares whose noise is small need no more. */
  private void judge() {
    if (goings < FEW) {
      return;
    }
    double sum = 0;
    for (int t = 0; t < done.length; t++) {
      double n = noise(t);
      sum += n;
      done[t] |= n < wish.goal();
    }
    noise = sum / done.length;
  }

  /** How far the light of a square may be off, of its light and a little of paper's. */
  private double noise(int tile) {
    int x0 = tile % FilmPass.across(film) * FilmPass.TILE;
    int y0 = tile / FilmPass.across(film) * FilmPass.TILE;
    double off = 0;
    double all = 0;
    for (int y = y0; y < Math.min(film.high, y0 + FilmPass.TILE); y++) {
      for (int x = x0; x < Math.min(film.wide, x0 + FilmPass.TILE); x++) {
        int dot = y * film.wide + x;
        off += film.deviation(dot) * film.deviation(dot);
        all += film.bright(dot);
      }
    }
    int n = FilmPass.TILE * FilmPass.TILE;
    // what is averaged with its neighbours is off by far less than each dot alone
    return Math.sqrt(off / n) / (all / n + 0.1 * light.used() / Math.PI) / FilmPass.TILE * 2;
  }

  /** Seconds it was worked on. */
  public double seconds() {
    long b = begun;
    return spent + (b == 0 ? 0 : (System.nanoTime() - b) / 1e9);
  }

  /** How much of it is done, 0 to 1. */
  public double share() {
    if (isDrawing()) {
      return Math.min(0.99, ink.share());
    }
    FilmPass p = pass;
    double now = p == null || p.isOver() || p.isOf(glance) ? 0 : p.share();
    double byPaths = (goings + now) / wish.paths();
    double byTime = wish.seconds() == null ? 0 : seconds() / wish.seconds();
    int over = 0;
    for (boolean d : done) {
      over += d ? 1 : 0;
    }
    return Math.min(0.99, Math.max(byTime, Math.max(byPaths, (double) over / done.length)));
  }

  /** Noise that is left, of its light, in the mean; not a number where nothing is known. */
  public double noise() {
    return noise;
  }

  /** How many rays were followed. */
  public long rays() {
    return rays;
  }

  /** How often all of it was gone over. */
  public int goings() {
    return goings;
  }

  /**
   * The picture as it is.
   *
   * @param longest dots of its longer side at most; it may be smaller
   */
  public BufferedImage picture(int longest) {
    if (isDrawing()) {
      int by = Math.max(1, (Math.max(wish.width(), wish.height()) + longest - 1) / longest);
      return Developed.paper(part(wish.width(), by), part(wish.height(), by), eye())
          .inked(ink)
          .image();
    }
    if (goings == 0 && (pass == null || pass.isOf(glance))) {
      Film f = glance.smaller(1); // as it is now: others write on
      return developed(Developed.light(f, camera, hands), f, f).inked(ink).image();
    }
    Film small = film.smaller(by(film, longest));
    Film first = glance.smaller(by(glance, longest));
    float[] base = Developed.light(first, camera, hands);
    float[] own = Developed.light(small, camera, hands);
    Developed.fill(own, small, base, first);
    return developed(own, small, first).inked(ink).image();
  }

  private static int by(Film f, int longest) {
    return Math.max(1, (Math.max(f.wide, f.high) + longest - 1) / longest);
  }

  private Developed developed(float[] lit, Film f, Film first) {
    return Developed.of(lit, f, first, eye());
  }

  private Exposure eye() {
    return Exposure.of(light.used(), light.aroundColour().beforeUse());
  }

  /** The picture when it is done, in all its dots. */
  public Developed result() {
    if (isDrawing()) {
      return Developed.paper(wish.width(), wish.height(), eye()).inked(ink);
    }
    Developed d = developed(Developed.light(film, camera, hands), film, film);
    return d.sized(wish.width(), wish.height()).inked(ink);
  }

  /** Keeps what is done, so that it can be gone on with. */
  public void keep(DataOutputStream out) throws IOException {
    out.writeInt(KEPT);
    out.writeInt(goings);
    out.writeDouble(seconds());
    film.write(out);
    for (boolean d : done) {
      out.writeBoolean(d);
    }
  }

  /**
   * Takes up what was kept.
   *
   * @return false if it is of another picture
   */
  public boolean takeUp(DataInputStream in) throws IOException {
    if (in.readInt() != KEPT) {
      return false;
    }
    int g = in.readInt();
    double s = in.readDouble();
    if (!film.read(in)) {
      Arrays.fill(film.sums, 0);
      Arrays.fill(film.count, 0);
      return false;
    }
    for (int i = 0; i < done.length; i++) {
      done[i] = in.readBoolean();
    }
    goings = g;
    spent = s;
    return true;
  }
}
