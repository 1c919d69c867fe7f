package pied.core.still;

import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.light.LinearColour;
import pied.core.solid.SceneTree;
import pied.core.solid.SceneTree.SceneHit;
import pied.core.still.StillScene.SomeBodies;

/**
 * Follows light along paths from the eye. At every point it is looked for what lights it; dim paths
 * end by lot (J. Arvo and D. Kirk, 1990), or all of them where they meet {@link LightCells}.
 * Radiances are in cd/m², of red, green and blue. One a thread.
 *
 * <p>Left out: light of lamps and sun that reaches matt things by a mirror or bent through glass
 * (caustics); light passes glass straight.
 */
final class PathTracer {
  /** Paths end after so many meetings, whatever is left. */
  private static final int LONGEST = 64;

  /** From here on paths end by lot. */
  private static final int LOT = 3;

  private static final double LEAST_LOT = 0.05;

  /** The sky is so far away for who smooths pictures, metres. */
  private static final double SKY = 200;

  /** Cells end no way shorter than so many of their sides: corners stay as they are. */
  private static final double NEAR = 1.5;

  private final StillScene scene;
  private final @Nullable LightCells cells;
  private final double clamp;
  final LightFinder finder;
  private final SceneHit hit = new SceneHit();
  final MetPoint met = new MetPoint();
  final Bsdf bsdf = new Bsdf();

  private final double[] from = new double[3];
  private final double[] way = new double[3];
  final double[] look = new double[3];
  final double[] left = new double[3];
  final double[] dome = new double[3];
  final double[] sum = new double[3];

  /** What was seen first that is not a mirror or a pane, for who smooths pictures. */
  final double[] albedo = new double[3];

  final double[] normal = new double[3];
  double depth;

  /** Whether there is nothing but the paper behind. */
  boolean nothing;

  /** From where, and how likely, chance went where it is now; 0 where it was led. */
  final double[] before = new double[3];

  double chance;
  boolean eye;
  boolean begun;
  private int bounce;
  private int panes;
  private double gone;
  private double spread;

  /**
   * What a pane mirrors to the eye, which is followed by itself, so that it is no matter of lot.
   */
  private final double[] mirrorFrom = new double[3];

  private final double[] mirrorWay = new double[3];
  private final double[] mirrorLeft = new double[3];
  boolean mirrors;
  boolean split;

  /**
   * @param cells in which paths end; null for none
   * @param clamp no meeting after the first brings more than this, cd/m²; infinite for no bound
   */
  PathTracer(StillScene scene, @Nullable LightCells cells, double clamp) {
    this.scene = scene;
    this.cells = cells;
    this.clamp = clamp;
    finder = new LightFinder(scene);
  }

  /** Rays followed so far. */
  long rays() {
    return finder.rays;
  }

  /**
   * What comes along a ray against its way.
   *
   * @param cone by how much what is looked at together grows with the distance
   * @param rgb is set
   */
  void trace(double[] origin, double[] direction, double cone, PathSamples s, double[] rgb) {
    sum[0] = sum[1] = sum[2] = 0;
    begin(origin, direction, cone);
    depth = -1;
    nothing = false;
    mirrors = false;
    split = false;
    follow(s);
    if (mirrors) {
      double d = depth;
      begin(mirrorFrom, mirrorWay, cone);
      System.arraycopy(mirrorLeft, 0, left, 0, 3);
      begun = true;
      follow(s);
      depth = d;
    }
    System.arraycopy(sum, 0, rgb, 0, 3);
  }

  void begin(double[] origin, double[] direction, double cone) {
    System.arraycopy(origin, 0, from, 0, 3);
    System.arraycopy(direction, 0, way, 0, 3);
    left[0] = left[1] = left[2] = 1;
    eye = true;
    begun = false;
    chance = 0;
    spread = cone;
    gone = 0;
    bounce = 0;
    panes = 0;
  }

  void follow(PathSamples s) {
    while (bounce < LONGEST) {
      if (!meet(s)) {
        outside();
        return;
      }
      finder.begin(met.at, met.facing, look, met.body);
      finder.came(chance, before);
      finder.clear();
      if (endsHere(s)) {
        return;
      }
      if (eye) {
        finder.around(bsdf, s);
        finder.sun(bsdf, s, 1);
      } else {
        finder.some(bsdf, s);
      }
      add(finder.brought);
      if (!bsdf.sample(s.one(), s.pair(), s.second())) {
        return;
      }
      if (!bsdf.turned && bsdf.isGlossy()) {
        finder.clear();
        finder.byChance(bsdf);
        add(finder.brought);
      }
      go();
      if (!goesOn(s)) {
        return;
      }
    }
  }

  /** To the next point that scatters light, through panes and by mirrors; false for none. */
  boolean meet(PathSamples s) {
    for (; bounce < LONGEST && panes < LightFinder.MOST_PANES; ) {
      s.step(bounce + panes + (split && begun && eye ? 1 : 0));
      SomeBodies part = begun ? scene.all : scene.seen;
      finder.rays++;
      if (!part.tree().nearest(from, way, LightFinder.FAR, SceneTree.ALL, hit)) {
        return false;
      }
      gone += hit.distance;
      int body = part.bodies()[hit.mesh];
      met.set(scene.bodies[body], body, hit, from, way, spread * gone);
      if (met.open > 0 && s.one() < met.open) {
        System.arraycopy(met.at, 0, from, 0, 3);
        LightFinder.off(met.facing, way, from);
        panes++;
        continue;
      }
      shine();
      opposite();
      bsdf.at(met.surface, met.colour, met.rough, look, met.normal, met.facing);
      if (bsdf.scatters()) {
        if (eye && depth < 0) {
          feature();
        }
        return true;
      }
      if (eye && bsdf.goesStraight()) {
        part();
      } else if (!bsdf.sample(s.one(), s.pair(), s.second())) {
        return false;
      }
      go();
    }
    bounce = LONGEST;
    return false;
  }

  /** A pane before the eye: one goes on through it, and what it mirrors is followed later. */
  private void part() {
    bsdf.part(mirrorWay);
    if (!split) {
      split = true;
      mirrors = true;
      System.arraycopy(met.at, 0, mirrorFrom, 0, 3);
      LightFinder.off(met.facing, look, mirrorFrom);
      for (int k = 0; k < 3; k++) {
        // the far face mirrors as much of what has come through
        double more = 1 + bsdf.share[k] * bsdf.share[k];
        mirrorLeft[k] = left[k] * bsdf.mirrored[k] * more;
      }
    }
  }

  /** Goes on where {@link #bsdf} says. */
  void go() {
    for (int k = 0; k < 3; k++) {
      left[k] *= bsdf.share[k];
    }
    boolean ahead = bsdf.turned && Frames.dot(bsdf.way, way) > 1 - Tolerance.FINE;
    System.arraycopy(met.at, 0, from, 0, 3);
    System.arraycopy(bsdf.way, 0, way, 0, 3);
    LightFinder.off(met.facing, way, from);
    if (ahead) {
      panes++; // what was looked for before was looked for through this, too
      return;
    }
    bounce++;
    begun = true;
    if (bsdf.turned) {
      chance = 0;
      return;
    }
    eye = false;
    chance = bsdf.likely;
    System.arraycopy(finder.at, 0, before, 0, 3);
    spread = LightFinder.SCATTERED;
  }

  /** Where a cell knows what light there is, the path ends; only the sun is still looked for. */
  private boolean endsHere(PathSamples s) {
    if (cells == null || eye || !(chance > 0) || !bsdf.isMatt()) {
      return false;
    }
    double d2 = 0;
    for (int k = 0; k < 3; k++) {
      d2 += (before[k] - met.at[k]) * (before[k] - met.at[k]);
    }
    int cell =
        d2 < NEAR * NEAR * cells.side() * cells.side() ? -1 : cells.at(finder.at, met.facing);
    if (cell < 0) {
      return false;
    }
    finder.sun(bsdf, s, 1);
    add(finder.brought);
    cells.lux(cell, dome);
    bsdf.albedo(look);
    for (int k = 0; k < 3; k++) {
      dome[k] *= look[k] / Math.PI;
    }
    add(dome);
    return true;
  }

  private void opposite() {
    for (int k = 0; k < 3; k++) {
      look[k] = -way[k];
    }
  }

  private void feature() {
    depth = gone;
    bsdf.albedo(albedo);
    for (int k = 0; k < 3; k++) {
      albedo[k] *= left[k];
      normal[k] = met.normal[k];
    }
  }

  private boolean goesOn(PathSamples s) {
    double most = Math.max(left[0], Math.max(left[1], left[2]));
    if (!(most > 0)) {
      return false;
    }
    if (bounce < LOT) {
      return true;
    }
    double stays = Math.max(LEAST_LOT, Math.min(0.95, most));
    if (s.one() >= stays) {
      return false;
    }
    for (int k = 0; k < 3; k++) {
      left[k] /= stays;
    }
    return true;
  }

  /** Adds what comes from here; what chance brings late is bounded. */
  void add(double[] rgb) {
    double r = left[0] * rgb[0];
    double g = left[1] * rgb[1];
    double b = left[2] * rgb[2];
    double bright = LinearColour.luminance(r, g, b);
    double f = eye || bright <= clamp ? 1 : clamp / bright;
    sum[0] += r * f;
    sum[1] += g * f;
    sum[2] += b * f;
  }

  void outside() {
    if (bounce >= LONGEST) {
      return;
    }
    if (!begun && panes == 0 && scene.model) {
      nothing = true;
      return;
    }
    if (eye && depth < 0) {
      depth = SKY;
      for (int k = 0; k < 3; k++) {
        normal[k] = -way[k];
        albedo[k] = left[k];
      }
    }
    scene.outdoors.light(way, dome);
    double w = chance > 0 ? finder.sky(way, chance, before) : 1;
    for (int k = 0; k < 3; k++) {
      dome[k] *= w;
    }
    add(dome);
  }

  /** What shines by itself: as the eye sees it; what it lights is found by looking for its lamp. */
  private void shine() {
    LitSurface m = met.surface;
    if (m.isGlowing() && (eye || !scene.bodies[met.body].lamp())) {
      add(m.glow());
    }
  }
}
