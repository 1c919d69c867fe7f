package pied.core.still;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import pied.core.Tolerance;
import pied.core.solid.Bodies;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Spot;

/**
 * How bright it is over a floor, at one height: points as even as they can be, up to so many, those
 * of them that are in the room and in no piece.
 */
public final class LuxField {
  private static final int MOST = 500;

  /** Points are no nearer than this, metres. */
  private static final double NEAREST = 0.15;

  /** How much heavier a point is than each of its neighbours. */
  private static final double OWN = 10;

  private final Spot first;
  private final double across;
  private final double deep;
  private final int wide;
  private final double[] lux;

  /**
   * @param first where the first point is
   * @param across from one to the next, metres
   * @param deep from one row to the next, metres
   * @param wide points of a row
   * @param lux of all, row by row; not a number where there is none
   */
  LuxField(Spot first, double across, double deep, int wide, double[] lux) {
    this.first = first;
    this.across = across;
    this.deep = deep;
    this.wide = wide;
    this.lux = lux;
  }

  /**
   * Measures it.
   *
   * @param height over the floor's zero, metres
   * @param share each point may be off by; the field is smoothed over its neighbours then
   */
  public static LuxField of(Space space, LuxMeter meter, double height, double share, int threads) {
    Geometry floor = space.shell().floor();
    Envelope e = floor.getEnvelopeInternal();
    double pitch = Math.max(NEAREST, Math.sqrt(e.getWidth() * e.getHeight() / MOST));
    int wide = Math.max(2, (int) (e.getWidth() / pitch));
    int high = Math.max(2, (int) (e.getHeight() / pitch));
    double across = e.getWidth() / wide;
    double deep = e.getHeight() / high;
    Spot first = new Spot(e.getMinX() + across / 2, e.getMinY() + deep / 2);
    double[] lux = new double[wide * high];
    Arrays.fill(lux, Double.NaN);
    PreparedGeometry room = PreparedGeometryFactory.prepare(floor);
    List<Vec> points = new ArrayList<>();
    List<Integer> at = new ArrayList<>();
    for (int i = 0; i < lux.length; i++) {
      Vec p = new Vec(first.x() + i % wide * across, height, first.z() + i / wide * deep);
      if (room.contains(floor.getFactory().createPoint(new Coordinate(p.x(), p.z())))
          && isFree(space.bodies(), p)) {
        points.add(p);
        at.add(i);
      }
    }
    List<LuxMeter.LuxReading> read = meter.level(points, share, threads);
    for (int i = 0; i < points.size(); i++) {
      lux[at.get(i)] = read.get(i).lux();
    }
    return new LuxField(first, across, deep, wide, lux).smoothed();
  }

  private static boolean isFree(Bodies bodies, Vec p) {
    Vec grain = new Vec(Tolerance.FINE, Tolerance.FINE, Tolerance.FINE);
    return bodies.near(new Box(p.minus(grain), p.plus(grain))).stream()
        .noneMatch(b -> b.mesh().isClosed() && b.mesh().tree().winding(b.pose().unapply(p)) > 0);
  }

  /** Each point with its neighbours: a little less noise, and hardly less light under a lamp. */
  private LuxField smoothed() {
    double[] to = lux.clone();
    for (int i = 0; i < lux.length; i++) {
      double sum = 0;
      double all = 0;
      for (int k = 0; k < 9; k++) {
        int x = i % wide + k % 3 - 1;
        int j = i + k % 3 - 1 + (k / 3 - 1) * wide;
        if (x >= 0 && x < wide && j >= 0 && j < lux.length && !Double.isNaN(lux[j])) {
          double counts = k == 4 ? OWN : 1;
          sum += counts * lux[j];
          all += counts;
        }
      }
      to[i] = Double.isNaN(lux[i]) ? lux[i] : sum / all;
    }
    return new LuxField(first, across, deep, wide, to);
  }

  int wide() {
    return wide;
  }

  int high() {
    return lux.length / wide;
  }

  double at(int x, int z) {
    return lux[z * wide + x];
  }

  /** Where a place between points is. */
  Spot spot(double x, double z) {
    return new Spot(first.x() + x * across, first.z() + z * deep);
  }

  /** Whether there is any point. */
  public boolean isEmpty() {
    return Arrays.stream(lux).allMatch(Double::isNaN);
  }

  public double mean() {
    return Arrays.stream(lux).filter(v -> !Double.isNaN(v)).average().orElse(0);
  }

  public double least() {
    return Arrays.stream(lux).filter(v -> !Double.isNaN(v)).min().orElse(0);
  }

  public double most() {
    return Arrays.stream(lux).filter(v -> !Double.isNaN(v)).max().orElse(0);
  }
}
