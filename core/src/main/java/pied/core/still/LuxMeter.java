package pied.core.still;

import java.util.ArrayList;
import java.util.List;
import pied.core.Tolerance;
import pied.core.light.LinearColour;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Space;

/** Measures how bright it is in a space, by the light that stills are made with. */
public final class LuxMeter {
  private static final int FEW = 256;
  private static final int MOST = 1 << 14;

  private final StillScene scene;

  /** For a space as it is lit now, with all that can be seen in it. */
  public LuxMeter(Space space) {
    this(SpaceScene.of(space));
  }

  LuxMeter(StillScene scene) {
    this.scene = scene;
  }

  /**
   * What was measured.
   *
   * @param lux light that falls on it
   * @param off by so much it may be another, as a deviation, lux
   */
  public record LuxReading(double lux, double off) {}

  /**
   * Light on a point.
   *
   * @param face out of what it falls on
   * @param share it may be off by, of itself; it stops there, or after a bounded number of looks
   */
  public LuxReading at(Vec point, Vec face, double share) {
    PointProbe probe = new PointProbe(scene);
    double[] p = Outdoors.numbers(point);
    double[] n = Outdoors.numbers(face.unit());
    double[] lux = new double[3];
    PathSamples s = new PathSamples();
    double sum = 0;
    double square = 0;
    for (int i = 0; ; i++) {
      if (i >= FEW && (i & i - 1) == 0) {
        double mean = sum / i;
        double off = Math.sqrt(Math.max(0, square / i - mean * mean) / i);
        if (off <= share * mean || i >= MOST) {
          return new LuxReading(mean, off);
        }
      }
      s.begin(0, i, 1);
      probe.lux(p, n, s, lux);
      double bright = LinearColour.luminance(lux[0], lux[1], lux[2]);
      sum += bright;
      square += bright * bright;
    }
  }

  /** So many points of a top each way, and so far from its edges, of its size. */
  private static final int TOP = 4;

  private static final double EDGE = 0.1;

  /** Points on top of a piece, evenly spread. */
  public static List<Vec> top(Piece p) {
    List<Vec> all = new ArrayList<>();
    for (int i = 0; i < TOP * TOP; i++) {
      double u = EDGE + (1 - 2 * EDGE) * (i % TOP + 0.5) / TOP - 0.5;
      double v = EDGE + (1 - 2 * EDGE) * (i / TOP + 0.5) / TOP - 0.5;
      Vec own =
          new Vec(u * p.size().width(), p.size().height() + Tolerance.NEAR, v * p.size().depth());
      all.add(p.pose().apply(own));
    }
    return all;
  }

  /**
   * Light on level points.
   *
   * @param points where; off what they lie on
   */
  public List<LuxReading> level(List<Vec> points, double share, int threads) {
    LuxReading[] all = new LuxReading[points.size()];
    new Hands(threads).each(all.length, i -> all[i] = at(points.get(i), Vec.UP, share));
    return List.of(all);
  }
}
