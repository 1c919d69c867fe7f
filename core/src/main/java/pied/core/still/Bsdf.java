package pied.core.still;

import pied.core.Tolerance;

/**
 * What a surface does with light at a point: as glTF 2.0 has it (Khronos, appendix B), with
 * lacquer, the gleam of cloth and what goes through thin things after its extensions. Layers lie
 * over each other: what one gives back does not reach the next, so that nothing is won. One a
 * thread; set up anew for every point. All directions point away from it and are of length 1.
 */
final class Bsdf {
  /** Lacquer is so rough, and gives back so much straight on. */
  private static final double LACQUER = 0.12;

  private static final double PLAIN = 0.04;

  private static final int COAT = 0;
  private static final int MIRRORED = 1;
  private static final int DIFFUSE = 2;
  private static final int THROUGH = 3;

  private final double[] out = new double[3];
  private final double[] in = new double[3];
  private final double[] h = new double[3];
  private final double[] frame = new double[9];
  private final double[] face = new double[3];

  private final double[] colour = new double[3];
  private final double[] f0 = new double[3];
  private double rough;
  private double alpha;
  private double coat;
  private double sheen;
  private double matt;

  /** Of light, what lacquer gives back, and what reaches what is under it and the fuzz. */
  private double lacquer;

  private double under;
  private double passing;
  private boolean mirror;
  private boolean straight;
  private final double[] picked = new double[4];

  /** The light that {@link #toward} or {@link #sample} leaves of each of three colours, of 1. */
  final double[] share = new double[3];

  /** How likely {@link #sample} goes where it went, per steradian; 0 for what goes one way only. */
  double likely;

  /** Where {@link #sample} goes. */
  final double[] way = new double[3];

  /** Whether it went on as from a mirror, or straight through. */
  boolean turned;

  /**
   * Sets it up.
   *
   * @param s of what
   * @param c its colour here, linear, of 1
   * @param r how rough it is here
   * @param look from where one looks at it
   * @param normal by which it is shaded, on the side one looks from
   * @param facing of its face, likewise
   */
  void at(LitSurface s, double[] c, double r, double[] look, double[] normal, double[] facing) {
    Frames.about(normal, frame);
    System.arraycopy(facing, 0, face, 0, 3);
    Frames.into(frame, look, out);
    out[2] = Math.max(out[2], Tolerance.NEAR);
    rough = r;
    alpha = Ggx.alpha(r);
    mirror = r < LitSurface.MIRROR;
    straight = s.passesStraight();
    coat = s.coat();
    sheen = s.sheen();
    double metal = s.metal();
    double dull = (1 - metal) * (1 - Ggx.share(PLAIN, rough, out[2]));
    matt = dull * (1 - s.through());
    passing = dull * s.through();
    for (int k = 0; k < 3; k++) {
      colour[k] = c[k];
      f0[k] = PLAIN + (c[k] - PLAIN) * metal;
    }
    weigh();
  }

  /** Sets it up as what is matt and white without any gleam, seen straight on. */
  void white(double[] normal) {
    Frames.about(normal, frame);
    System.arraycopy(normal, 0, face, 0, 3);
    out[0] = out[1] = 0;
    out[2] = 1;
    rough = 1;
    mirror = true;
    straight = false;
    coat = sheen = lacquer = passing = 0;
    matt = under = 1;
    java.util.Arrays.fill(colour, 1);
    java.util.Arrays.fill(f0, 0);
    java.util.Arrays.fill(picked, 0);
    picked[DIFFUSE] = 1;
  }

  /** How often each layer is picked: by the light that it gives back. */
  private void weigh() {
    double cloth = sheen * Sheen.share(out[2]) * most(colour);
    lacquer = coat * Ggx.share(PLAIN, LACQUER, out[2]);
    under = (1 - lacquer) * (1 - cloth);
    picked[COAT] = lacquer;
    double m = 0;
    for (int k = 0; k < 3; k++) {
      m = Math.max(m, Ggx.share(f0[k], rough, out[2]));
    }
    picked[MIRRORED] = under * m;
    picked[DIFFUSE] = under * matt * most(colour) + (1 - lacquer) * cloth;
    picked[THROUGH] = under * passing * Math.sqrt(most(colour));
    double sum = picked[0] + picked[1] + picked[2] + picked[3];
    for (int k = 0; k < 4 && sum > 0; k++) {
      picked[k] /= sum;
    }
  }

  private static double most(double[] c) {
    return Math.max(c[0], Math.max(c[1], c[2]));
  }

  /** What it gives back in all of light from where one looks, for who smooths pictures. */
  void albedo(double[] to) {
    for (int k = 0; k < 3; k++) {
      to[k] =
          lacquer
              + under * (Ggx.share(f0[k], rough, out[2]) + matt * colour[k])
              + under * passing * Math.sqrt(colour[k])
              + (1 - lacquer) * sheen * Sheen.share(out[2]) * colour[k];
    }
  }

  /** Whether lamps are looked for, or all of it goes as from a mirror or straight through. */
  boolean scatters() {
    return picked[DIFFUSE] > 0
        || picked[COAT] > 0
        || !mirror && picked[MIRRORED] > 0
        || !straight && picked[THROUGH] > 0;
  }

  /** Whether what shines there may better be found by chance than by looking for it. */
  boolean isGlossy() {
    return picked[COAT] > 0 || !mirror && rough < 0.6 || !straight && passing > 0;
  }

  /**
   * What of the light from a direction goes to where one looks, times the slant at which it falls;
   * without what mirrors and straight ways do. Sets {@link #share} and {@link #likely}.
   *
   * @return whether there is any
   */
  boolean toward(double[] from) {
    Frames.into(frame, from, in);
    boolean front = Frames.dot(face, from) > 0;
    share[0] = share[1] = share[2] = 0;
    likely = 0;
    // what the bent normal lights from behind, or its face hides, is dark
    if (front != in[2] > 0 || Math.abs(in[2]) < Tolerance.FINE) {
      return false;
    }
    if (front) {
      back();
    } else if (!straight && passing > 0) {
      behind();
    }
    return likely > 0;
  }

  private void back() {
    double cos = in[2];
    double gleam = sheen > 0 ? (1 - lacquer) * sheen * Sheen.light(out, in) * cos : 0;
    likely += picked[DIFFUSE] * cos / Math.PI;
    for (int k = 0; k < 3; k++) {
      share[k] = under * matt * colour[k] / Math.PI * cos + gleam * colour[k];
    }
    half(in[2]);
    double dot = Math.max(0, Frames.dot(out, h));
    double slant = Ggx.slanted(dot);
    if (!mirror && picked[MIRRORED] > 0) {
      double d = Ggx.spread(alpha, h[2]) / (4 * out[2]);
      double g = Ggx.seen(alpha, out[2], cos);
      likely += picked[MIRRORED] * d * Ggx.seen(alpha, out[2]);
      for (int k = 0; k < 3; k++) {
        double f = f0[k] + (1 - f0[k]) * slant;
        share[k] += under * f * Ggx.more(f0[k], rough, out[2]) * d * g;
      }
    }
    if (picked[COAT] > 0) {
      double a = Ggx.alpha(LACQUER);
      double d = Ggx.spread(a, h[2]) / (4 * out[2]);
      likely += picked[COAT] * d * Ggx.seen(a, out[2]);
      double f = coat * (PLAIN + (1 - PLAIN) * slant) * Ggx.more(PLAIN, LACQUER, out[2]);
      for (int k = 0; k < 3; k++) {
        share[k] += f * d * Ggx.seen(a, out[2], cos);
      }
    }
  }

  /** Through thin rough things light spreads as it does from them, to the other side. */
  private void behind() {
    half(-in[2]);
    double d = Ggx.spread(alpha, h[2]) / (4 * out[2]);
    likely += picked[THROUGH] * d * Ggx.seen(alpha, out[2]);
    double left = under * passing;
    double g = Ggx.seen(alpha, out[2], in[2]) * Ggx.more(1, rough, out[2]);
    for (int k = 0; k < 3; k++) {
      share[k] = left * Math.sqrt(colour[k]) * d * g;
    }
  }

  private void half(double z) {
    double x = out[0] + in[0];
    double y = out[1] + in[1];
    double zz = out[2] + z;
    double l = 1 / Math.sqrt(Math.max(Double.MIN_NORMAL, x * x + y * y + zz * zz));
    h[0] = x * l;
    h[1] = y * l;
    h[2] = zz * l;
  }

  /**
   * Goes on from here, the more likely where more light would come from. Sets {@link #way}, {@link
   * #share} (what is left of that light, by its likelihood), {@link #likely} and {@link #turned}.
   *
   * @param layer which is picked, 0 up to 1
   * @return whether it goes on at all
   */
  boolean sample(double layer, double u, double v) {
    turned = false;
    double l = layer;
    int which = 0;
    while (which < 3 && l >= picked[which]) {
      l -= picked[which++];
    }
    if (!(picked[which] > 0)) {
      return false;
    }
    if (which == THROUGH && straight) {
      return pass();
    }
    if (!into(which, u, v)) {
      return false;
    }
    Frames.outOf(frame, in, way);
    if (which == MIRRORED && mirror) {
      return mirrored();
    }
    if (!toward(way)) {
      return false;
    }
    for (int k = 0; k < 3; k++) {
      share[k] /= likely;
    }
    return true;
  }

  /** Sets {@link #in} to where a layer sends it; false for nowhere. */
  private boolean into(int which, double u, double v) {
    if (which == DIFFUSE) {
      double r = Math.sqrt(u);
      in[0] = r * Math.cos(2 * Math.PI * v);
      in[1] = r * Math.sin(2 * Math.PI * v);
      in[2] = Math.sqrt(Math.max(0, 1 - u));
    } else {
      Ggx.mirror(which == COAT ? Ggx.alpha(LACQUER) : alpha, out, u, v, h);
      double dot = 2 * Frames.dot(out, h);
      for (int k = 0; k < 3; k++) {
        in[k] = dot * h[k] - out[k];
      }
      if (!(in[2] > 0)) {
        return false;
      }
      if (which == THROUGH) {
        in[2] = -in[2];
      }
    }
    return true;
  }

  /** Whether nearly all it gives back is spread evenly. */
  boolean isMatt() {
    return picked[DIFFUSE] > 0.6;
  }

  /** Whether light passes it straight. */
  boolean goesStraight() {
    return straight && picked[THROUGH] > 0;
  }

  /** What {@link #part} says is mirrored, of each colour. */
  final double[] mirrored = new double[3];

  /**
   * Goes straight through what lets light pass straight.
   *
   * @param mirrorWay is set: where what is mirrored comes from
   */
  void part(double[] mirrorWay) {
    in[0] = -out[0];
    in[1] = -out[1];
    in[2] = out[2];
    Frames.outOf(frame, in, mirrorWay);
    for (int k = 0; k < 3; k++) {
      mirrored[k] = under * Ggx.share(f0[k], rough, out[2]);
    }
    pass();
    for (int k = 0; k < 3; k++) {
      share[k] *= picked[THROUGH];
    }
  }

  /** Goes on as from what is matt. */
  void matt(double u, double v) {
    turned = false;
    double r = Math.sqrt(u);
    in[0] = r * Math.cos(2 * Math.PI * v);
    in[1] = r * Math.sin(2 * Math.PI * v);
    in[2] = Math.sqrt(Math.max(0, 1 - u));
    Frames.outOf(frame, in, way);
    likely = in[2] / Math.PI;
  }

  private boolean pass() {
    turned = true;
    likely = 0;
    double left = under * passing / picked[THROUGH];
    for (int k = 0; k < 3; k++) {
      in[k] = -out[k];
      share[k] = left * Math.sqrt(colour[k]);
    }
    Frames.outOf(frame, in, way);
    return true;
  }

  private boolean mirrored() {
    if (Frames.dot(face, way) <= 0) {
      return false;
    }
    turned = true;
    likely = 0;
    double slant = Ggx.slanted(Math.max(0, Frames.dot(out, h)));
    double left = Ggx.seen(alpha, out[2], in[2]) / Ggx.seen(alpha, out[2]);
    left *= under / picked[MIRRORED];
    for (int k = 0; k < 3; k++) {
      share[k] = left * (f0[k] + (1 - f0[k]) * slant) * Ggx.more(f0[k], rough, out[2]);
    }
    return true;
  }

  /** What light keeps that passes straight, of each colour; what is not straight does not pass. */
  void passed(double[] to) {
    double left = straight ? under * passing : 0;
    for (int k = 0; k < 3; k++) {
      to[k] = left * Math.sqrt(colour[k]);
    }
  }
}
