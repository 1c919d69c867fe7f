package pied.core.still;

import java.util.Arrays;
import pied.core.solid.Vec;

/** Looks around from points of a space as matt white things there do. One a thread. */
final class PointProbe {
  private final PathTracer t;

  PointProbe(StillScene scene) {
    t = new PathTracer(scene, null, Double.POSITIVE_INFINITY);
  }

  /**
   * Light that falls on a point, from all before it.
   *
   * @param face out of what it falls on, of length 1
   * @param lux is set, red, green and blue
   */
  void lux(double[] point, double[] face, PathSamples s, double[] lux) {
    around(point, face);
    s.step(0);
    t.finder.around(t.bsdf, s);
    t.finder.sun(t.bsdf, s, 1);
    t.sum[0] = t.sum[1] = t.sum[2] = 0;
    t.add(t.finder.brought);
    s.step(1);
    t.bsdf.matt(s.pair(), s.second());
    t.go();
    t.left[0] = t.left[1] = t.left[2] = 1;
    t.follow(s);
    for (int k = 0; k < 3; k++) {
      lux[k] = Math.PI * t.sum[k];
    }
  }

  /** Stands on a point as on what is matt and white. */
  private void around(double[] point, double[] face) {
    t.begin(point, face, LightFinder.SCATTERED);
    t.begun = true;
    t.split = true;
    t.mirrors = false;
    System.arraycopy(face, 0, t.look, 0, 3);
    t.bsdf.white(face);
    t.finder.begin(point, face, face, -1);
    t.finder.clear();
    System.arraycopy(t.finder.at, 0, t.met.at, 0, 3);
    System.arraycopy(face, 0, t.met.facing, 0, 3);
  }

  /**
   * Points that a path from the eye meets, for cells.
   *
   * @param found {@link LightCells#FOUND} numbers each, from a place on; is set
   * @return how many there are
   */
  int meetings(Vec origin, double[] direction, PathSamples s, int most, double[] found, int at) {
    t.begin(new double[] {origin.x(), origin.y(), origin.z()}, direction, LightFinder.SCATTERED);
    t.mirrors = false;
    t.split = false;
    int n = 0;
    while (n < most && t.meet(s)) {
      t.finder.begin(t.met.at, t.met.facing, t.look, t.met.body);
      System.arraycopy(t.finder.at, 0, found, at + n * LightCells.FOUND, 3);
      System.arraycopy(t.met.facing, 0, found, at + n * LightCells.FOUND + 3, 3);
      n++;
      if (!t.bsdf.sample(s.one(), s.pair(), s.second())) {
        break;
      }
      t.go();
    }
    return n;
  }

  /**
   * Looks around from a point as matt white does.
   *
   * @param p where its numbers begin among the points
   * @param direct whether lamps, sky and what the sun falls on are looked for
   * @param lux is set: of these, and of what shines by itself, three each
   * @param share is set from a place on: what is left of the light of the cell that it sees
   * @return that cell; -1 if it sees none, -2 if it sees a place of no cell
   */
  int look(
      double[] points,
      int p,
      boolean direct,
      LightCells in,
      PathSamples s,
      double[] lux,
      float[] share,
      int at) {
    double[] point = {points[p], points[p + 1], points[p + 2]};
    double[] face = {points[p + 3], points[p + 4], points[p + 5]};
    around(point, face);
    Arrays.fill(lux, 0);
    s.step(0);
    if (direct) {
      t.finder.around(t.bsdf, s);
      for (int k = 0; k < 3; k++) {
        lux[k] = Math.PI * t.finder.brought[k];
      }
    }
    s.step(1);
    t.bsdf.matt(s.pair(), s.second());
    t.go();
    t.left[0] = t.left[1] = t.left[2] = 1;
    t.sum[0] = t.sum[1] = t.sum[2] = 0;
    boolean some = t.meet(s);
    if (!some) {
      t.outside();
    }
    for (int k = 0; k < 3; k++) {
      lux[3 + k] = Math.PI * t.sum[k];
    }
    if (!some) {
      return -1;
    }
    return seen(in, s, lux, share, at);
  }

  /** The cell that it sees, and what the sun gives that. */
  private int seen(LightCells in, PathSamples s, double[] lux, float[] share, int at) {
    t.bsdf.albedo(t.dome);
    for (int k = 0; k < 3; k++) {
      share[at + k] = (float) (t.left[k] * t.dome[k]);
    }
    t.finder.begin(t.met.at, t.met.facing, t.look, t.met.body);
    t.finder.came(t.chance, t.before);
    t.finder.clear();
    t.finder.sun(t.bsdf, s, 1);
    for (int k = 0; k < 3; k++) {
      lux[3 + k] += Math.PI * t.left[k] * t.finder.brought[k];
    }
    int cell = in.at(t.finder.at, t.met.facing);
    return cell >= 0 ? cell : -2;
  }
}
