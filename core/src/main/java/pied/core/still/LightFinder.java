package pied.core.still;

import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.SceneTree;
import pied.core.solid.SceneTree.SceneHit;
import pied.core.still.SunPatch.SunPoint;

/**
 * Looks from a point for what lights it: lamps, the sky through openings, the sun, and what the sun
 * falls on. What chance may find as well is weighed against that (E. Veach and L. Guibas,
 * "Optimally combining sampling techniques", 1995). One a thread.
 */
final class LightFinder {
  /** Straight ways through glass and gauze of one path at most. */
  static final int MOST_PANES = 48;

  static final double FAR = 1e5;

  /** How much a look that need not be sharp takes together, as an angle. */
  static final double SCATTERED = 0.15;

  /** Nothing is looked for more seldom than this, of all looks. */
  private static final double SELDOM = 0.1;

  private final StillScene scene;
  private final SceneHit hit = new SceneHit();
  private final MetPoint pane = new MetPoint();
  private final Bsdf paneBsdf = new Bsdf();
  private final Emitters.Picking picking = new Emitters.Picking();
  private final double[] to = new double[3];
  private final double[] found = new double[3];
  private final double[] passed = new double[3];
  private final double[] through = new double[3];
  private final double[] from = new double[3];
  private final double[] frame = new double[9];
  private final double[] light = new double[3];

  /** Off a face, from where it is looked. */
  final double[] at = new double[3];

  private final double[] facing = new double[3];
  private int body;

  /** What was found, as it goes on to where one looks from, cd/m². */
  final double[] brought = new double[3];

  /** How likely chance came to this point, per steradian, and from where; 0 where it was led. */
  private double chance;

  private final double[] before = new double[3];

  /** Rays followed so far. */
  long rays;

  LightFinder(StillScene scene) {
    this.scene = scene;
  }

  /** Looks from another point. */
  void begin(double[] point, double[] face, double[] look, int ofBody) {
    System.arraycopy(point, 0, at, 0, 3);
    System.arraycopy(face, 0, facing, 0, 3);
    off(face, look, at);
    body = ofBody;
    chance = 0;
  }

  /** Chance came here from a point. */
  void came(double likely, double[] point) {
    chance = likely;
    System.arraycopy(point, 0, before, 0, 3);
  }

  void clear() {
    brought[0] = brought[1] = brought[2] = 0;
  }

  /** Off a face, to the side to which a way goes. */
  static void off(double[] facing, double[] way, double[] p) {
    double most = Math.max(1, Math.max(Math.abs(p[0]), Math.abs(p[2])));
    double by = Math.copySign(Tolerance.HAIR * most / 4, Frames.dot(facing, way));
    for (int k = 0; k < 3; k++) {
      p[k] += by * facing[k];
    }
  }

  /** Looks for everything once, but for the sun itself. */
  void around(Bsdf bsdf, PathSamples s) {
    lamp(bsdf, s, 1);
    sky(bsdf, s, 1);
    patch(bsdf, s, 1);
  }

  /** Looks for one of them, by lot, as often as it may bring something. */
  void some(Bsdf bsdf, PathSamples s) {
    Outdoors out = scene.outdoors;
    double all = scene.lampPower + out.skyPower + out.sunPower;
    if (!(all > 0)) {
      return;
    }
    double l = share(scene.lampPower, all);
    double y = share(out.skyPower, all);
    double n = share(out.sunPower, all);
    double p = scene.patch.isEmpty() ? 0 : n;
    double sum = l + y + n + p;
    double pick = s.one() * sum;
    if (pick < l) {
      lamp(bsdf, s, sum / l);
    } else if (pick < l + y) {
      sky(bsdf, s, sum / y);
    } else if (pick < l + y + n) {
      sun(bsdf, s, sum / n);
    } else {
      patch(bsdf, s, sum / p);
    }
  }

  private static double share(double of, double all) {
    return of > 0 ? Math.max(SELDOM, of / all) : 0;
  }

  private void lamp(Bsdf bsdf, PathSamples s, double more) {
    Emitter e = scene.lamps.pick(at, s.one(), picking);
    double u = s.pair();
    double v = s.second();
    if (e == null || e.own == body && body >= 0) {
      return;
    }
    double likely = toBall(e, u, v) * picking.likely;
    if (!(likely > 0) || !bsdf.toward(to)) {
      return;
    }
    double far = e.meets(at, to);
    double bright = e.luminance(minus(to));
    if (far < FAR && bright > 0 && reaches(to, far, e.own)) {
      double w = bsdf.isGlossy() ? likely / (likely + bsdf.likely) : 1;
      bring(bsdf, e.colour, bright * w * more / likely);
    }
  }

  /** A direction to a ball; how likely it is, per steradian. */
  private double toBall(Emitter e, double u, double v) {
    double d2 = away(e);
    if (d2 <= e.radius * e.radius * 1.0001) {
      return 0;
    }
    Frames.unit(found);
    Frames.about(found, frame);
    double solid = e.solid(d2);
    double z = 1 - u * solid / (2 * Math.PI);
    double r = Math.sqrt(Math.max(0, 1 - z * z));
    found[0] = r * Math.cos(2 * Math.PI * v);
    found[1] = r * Math.sin(2 * Math.PI * v);
    found[2] = z;
    Frames.outOf(frame, found, to);
    return 1 / solid;
  }

  private double away(Emitter e) {
    double d2 = 0;
    for (int k = 0; k < 3; k++) {
      found[k] = e.at[k] - at[k];
      d2 += found[k] * found[k];
    }
    return d2;
  }

  private double[] minus(double[] d) {
    for (int k = 0; k < 3; k++) {
      found[k] = -d[k];
    }
    return found;
  }

  /** Adds light that is shared out by the surface and what it passed. */
  private void bring(Bsdf bsdf, double[] colour, double bright) {
    for (int k = 0; k < 3; k++) {
      brought[k] += bsdf.share[k] * passed[k] * colour[k] * bright;
    }
  }

  private void sky(Bsdf bsdf, PathSamples s, double more) {
    double pick = s.one();
    double u = s.pair();
    double v = s.second();
    Outdoors out = scene.outdoors;
    double likely = out.portals.isEmpty() ? 0 : out.sample(at, pick, u, v, to);
    if (likely > 0 && bsdf.toward(to)) {
      out.light(to, light);
      if (reaches(to, FAR, -1)) {
        bring(bsdf, light, more / (likely + bsdf.likely));
      }
    }
  }

  /** What of the sky that chance has met is left to it. */
  double sky(double[] way, double likely, double[] point) {
    return scene.outdoors.portals.isEmpty()
        ? 1
        : likely / (likely + scene.outdoors.likely(point, way));
  }

  /** Looks for the sun. */
  void sun(Bsdf bsdf, PathSamples s, double more) {
    double u = s.pair();
    double v = s.second();
    if (!scene.outdoors.hasSun()) {
      return;
    }
    double[] lux = scene.outdoors.sun(u, v, frame, to);
    // light square to it: what falls by the slant is in what the surface does
    if (bsdf.toward(to) && reaches(to, FAR, -1)) {
      bring(bsdf, lux, more * notByPatch());
    }
  }

  /** What of the sun here is left to those who came here by chance. */
  private double notByPatch() {
    if (!(chance > 0) || scene.patch.isEmpty() || !scene.patch.reaches(at, to)) {
      return 1;
    }
    double d2 = 0;
    double cos = 0;
    for (int k = 0; k < 3; k++) {
      double d = before[k] - at[k];
      d2 += d * d;
      cos += d * facing[k];
    }
    double byChance = chance * Math.max(0, cos) / (d2 * Math.sqrt(d2));
    return byChance / (byChance + scene.patch.likely(facing, to));
  }

  /** Looks for what the sun falls on. */
  private void patch(Bsdf bsdf, PathSamples s, double more) {
    double u = s.one();
    SunPoint p = scene.patch.isEmpty() ? null : scene.patch.pick(u);
    if (p == null) {
      return;
    }
    double d2 = 0;
    for (int k = 0; k < 3; k++) {
      to[k] = p.at[k] - at[k];
      d2 += to[k] * to[k];
    }
    double far = Math.sqrt(d2);
    Frames.unit(to);
    double cos = -Frames.dot(to, p.facing);
    if (far < Tolerance.NEAR || cos <= 0 || !bsdf.toward(to)) {
      return;
    }
    paneBsdf.at(p.surface, p.colour, p.rough, minus(to), p.normal, p.facing);
    if (!paneBsdf.toward(p.sun)) {
      return;
    }
    for (int k = 0; k < 3; k++) {
      light[k] = paneBsdf.share[k] * p.lux[k];
    }
    double there = scene.patch.likely(p.facing, p.sun);
    double byChance = bsdf.likely * cos / d2;
    if (there > 0 && reaches(to, far - Tolerance.HAIR, -1)) {
      bring(bsdf, light, cos / d2 * more / (there + byChance));
    }
  }

  /** Lamps that the way on meets by chance. */
  void byChance(Bsdf bsdf) {
    for (Emitter e : scene.lamps.all()) {
      boolean own = e.own == body && body >= 0;
      double far = own ? Double.POSITIVE_INFINITY : e.meets(at, bsdf.way);
      if (far == Double.POSITIVE_INFINITY) {
        continue;
      }
      double looked = scene.lamps.likely(at, e, picking) / e.solid(away(e));
      double bright = e.luminance(minus(bsdf.way));
      if (bright > 0 && reaches(bsdf.way, far, e.own)) {
        double w = bright * bsdf.likely / (bsdf.likely + looked);
        bring(bsdf, e.colour, w);
      }
    }
  }

  /** Whether light comes so far from where it is looked for; sets what of it passes. */
  private boolean reaches(double[] d, double far, int skip) {
    passed[0] = passed[1] = passed[2] = 1;
    rays++;
    if (scene.solid.tree().any(at, d, far, scene.solid.skip(skip), hit)) {
      return false;
    }
    System.arraycopy(at, 0, from, 0, 3);
    double rest = far;
    for (int i = 0; i < MOST_PANES && scene.clear.tree().size() > 0; i++) {
      if (!scene.clear.tree().nearest(from, d, rest, scene.clear.skip(skip), hit)) {
        return true;
      }
      if (!passes(d)) {
        return false;
      }
      rest -= hit.distance;
    }
    return scene.clear.tree().size() == 0;
  }

  private boolean passes(double[] d) {
    rays++;
    int b = scene.clear.bodies()[hit.mesh];
    pane.set(scene.bodies[b], b, hit, from, d, SCATTERED);
    if (!pane.surface.isSeenThrough()) {
      return false;
    }
    paneBsdf.at(pane.surface, pane.colour, pane.rough, minus(d), pane.normal, pane.facing);
    paneBsdf.passed(through);
    boolean any = false;
    for (int k = 0; k < 3; k++) {
      passed[k] *= pane.open + (1 - pane.open) * through[k];
      any |= passed[k] > Tolerance.NEAR;
    }
    System.arraycopy(pane.at, 0, from, 0, 3);
    off(pane.facing, d, from);
    return any;
  }

  /**
   * Where a ray of the sun ends that comes through an opening.
   *
   * @param q where it comes through
   * @param lux square to it, outside
   * @return null if it comes to nothing, or not even there
   */
  @Nullable
  SunPoint sunPoint(double[] q, double[] sun, double[] lux) {
    System.arraycopy(q, 0, at, 0, 3);
    double[] in = {-sun[0], -sun[1], -sun[2]};
    if (!reaches(sun, FAR, -1)) {
      return null;
    }
    double[] outside = passed.clone();
    SceneHit end = new SceneHit();
    if (!scene.solid.tree().nearest(q, in, FAR, SceneTree.ALL, end)
        || !reaches(in, end.distance - Tolerance.HAIR, -1)) {
      return null;
    }
    SunPoint p = new SunPoint();
    int b = scene.solid.bodies()[end.mesh];
    pane.set(scene.bodies[b], b, end, q, in, SCATTERED);
    System.arraycopy(pane.at, 0, p.at, 0, 3);
    off(pane.facing, sun, p.at);
    System.arraycopy(pane.facing, 0, p.facing, 0, 3);
    System.arraycopy(pane.normal, 0, p.normal, 0, 3);
    System.arraycopy(pane.colour, 0, p.colour, 0, 3);
    System.arraycopy(sun, 0, p.sun, 0, 3);
    p.surface = pane.surface;
    p.rough = pane.rough;
    for (int k = 0; k < 3; k++) {
      p.lux[k] = lux[k] * outside[k] * passed[k];
    }
    return p;
  }
}
