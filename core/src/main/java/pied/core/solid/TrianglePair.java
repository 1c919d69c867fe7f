package pied.core.solid;

import pied.core.Tolerance;

/**
 * Two triangles in one frame, the first moving along the third direction of it: when do they meet,
 * when do they part, how near are they, do they cross. Scratch object, one a query; holds nine
 * coordinates each.
 *
 * <p>The moving triangle a and the resting one b meet at shift t exactly if t along the way lies in
 * the Minkowski difference b ⊖ a, which is convex; its facets are the two triangles' own planes and
 * those spanned by one edge of each. Clipping that line by these slabs gives the interval [in, out]
 * of contact, exactly and without a case distinction (separating axes, after Gottschalk 1996).
 */
final class TrianglePair {
  final double[] a = new double[9];
  final double[] b = new double[9];

  private final double[] ea = new double[9];
  private final double[] eb = new double[9];

  /** The interval of contact, metres along the way, and the axis that limits its beginning. */
  double in;

  double out;
  private double axisX;
  private double axisY;
  private double axisZ;

  private double lo;
  private double hi;

  void edges() {
    edgesOf(a, ea);
    edgesOf(b, eb);
  }

  static void edgesOf(double[] p, double[] e) {
    for (int k = 0; k < 3; k++) {
      e[k] = p[3 + k] - p[k];
      e[3 + k] = p[6 + k] - p[3 + k];
      e[6 + k] = p[k] - p[6 + k];
    }
  }

  /** Sets lo..hi to the range of x·b − x·a over both triangles, for a direction x. */
  private void range(double x, double y, double z) {
    double a0 = x * a[0] + y * a[1] + z * a[2];
    double a1 = x * a[3] + y * a[4] + z * a[5];
    double a2 = x * a[6] + y * a[7] + z * a[8];
    double b0 = x * b[0] + y * b[1] + z * b[2];
    double b1 = x * b[3] + y * b[4] + z * b[5];
    double b2 = x * b[6] + y * b[7] + z * b[8];
    lo = least(b0, b1, b2) - greatest(a0, a1, a2);
    hi = greatest(b0, b1, b2) - least(a0, a1, a2);
  }

  /**
   * Whether the two share more than {@code graze} metres seen along the third direction; the rest
   * only slides past. Sides of the shared region are shadows of edges, so six directions decide.
   */
  private boolean shadowsOverlap(double graze) {
    return meets(a, b, graze) && meets(b, a, graze);
  }

  /** Whether no edge of the shadow p parts it from the shadow q, but for a graze. */
  private static boolean meets(double[] p, double[] q, double graze) {
    for (int i = 0; i < 9; i += 3) {
      int j = i == 6 ? 0 : i + 3;
      int k = i == 0 ? 6 : i - 3;
      double x = p[i + 1] - p[j + 1];
      double y = p[j] - p[i];
      double l2 = x * x + y * y;
      if (l2 < Tolerance.FLAT_SQUARED) {
        continue; // an edge along the way has no shadow
      }
      double on = x * p[i] + y * p[i + 1];
      double off = x * p[k] + y * p[k + 1];
      double q0 = x * q[0] + y * q[1];
      double q1 = x * q[3] + y * q[4];
      double q2 = x * q[6] + y * q[7];
      double most = greatest(q0, q1, q2) - on;
      double least = on - least(q0, q1, q2);
      double depth = off > on ? most : off < on ? least : least < most ? least : most;
      if (depth <= 0 || depth * depth <= graze * graze * l2) {
        return false; // all of q is outside of this edge
      }
    }
    return true;
  }

  private static double greatest(double a, double b, double c) {
    double m = a > b ? a : b;
    return m > c ? m : c;
  }

  private static double least(double a, double b, double c) {
    double m = a < b ? a : b;
    return m < c ? m : c;
  }

  /**
   * When a, moving along the third direction of the frame, meets b.
   *
   * @param most what is met later is of no interest: then {@code in} is some shift beyond it
   * @param least what is left behind by then is of no interest
   * @return whether they meet by then (also at negative shifts) by more than a graze; then in, out
   *     and the axis are set
   */
  boolean sweep(double graze, double most, double least) {
    in = Double.NEGATIVE_INFINITY;
    out = Double.POSITIVE_INFINITY;
    if (!shadowsOverlap(graze)) {
      return false;
    }
    edges();
    // the resting face first, then the moving one, then edges: the plainest normal wins a tie
    clip(cross(eb, 0, eb, 3, 0), cross(eb, 0, eb, 3, 1), cross(eb, 0, eb, 3, 2));
    clip(cross(ea, 0, ea, 3, 0), cross(ea, 0, ea, 3, 1), cross(ea, 0, ea, 3, 2));
    for (int i = 0; i < 9 && in <= most && out > least; i += 3) {
      for (int j = 0; j < 9; j += 3) {
        double x = ea[i + 1] * eb[j + 2] - ea[i + 2] * eb[j + 1];
        double y = ea[i + 2] * eb[j] - ea[i] * eb[j + 2];
        double z = ea[i] * eb[j + 1] - ea[i + 1] * eb[j];
        clip(x, y, z);
      }
    }
    return in <= most && out > least && in <= out + Tolerance.SAME && in > Double.NEGATIVE_INFINITY;
  }

  private static double cross(double[] e, int i, double[] f, int j, int k) {
    int u = (k + 1) % 3;
    int v = (k + 2) % 3;
    return e[i + u] * f[j + v] - e[i + v] * f[j + u];
  }

  private void clip(double x, double y, double z) {
    double l2 = x * x + y * y + z * z;
    if (l2 < Tolerance.FLAT * Tolerance.FLAT || z * z < Tolerance.SAME * Tolerance.SAME * l2) {
      return; // parallel edges, or a facet along the way: the shadows have decided that one
    }
    range(x, y, z);
    double by = 1 / z;
    double t0 = z > 0 ? lo * by : hi * by;
    double t1 = z > 0 ? hi * by : lo * by;
    if (t0 > in + Tolerance.NONE) {
      in = t0;
      axisX = x;
      axisY = y;
      axisZ = z;
    }
    out = t1 < out ? t1 : out;
  }

  /** The axis that limits the beginning, of length 1, against the way. */
  Vec axis() {
    double l = Math.sqrt(axisX * axisX + axisY * axisY + axisZ * axisZ);
    double sign = axisZ > 0 ? -1 / l : 1 / l;
    return new Vec(axisX * sign, axisY * sign, axisZ * sign);
  }

  /** For a flat meeting: whether a's outer side runs into b's outer side along the way. */
  boolean facesMeet() {
    return cross(ea, 0, ea, 3, 2) > 0 && cross(eb, 0, eb, 3, 2) < 0;
  }

  /**
   * How deep the two cross as they are: metres along the best separating axis, negative if apart.
   */
  double depth() {
    double least = Double.POSITIVE_INFINITY;
    least =
        Math.min(
            least,
            depthAlong(cross(eb, 0, eb, 3, 0), cross(eb, 0, eb, 3, 1), cross(eb, 0, eb, 3, 2)));
    if (least <= 0) {
      return least;
    }
    least =
        Math.min(
            least,
            depthAlong(cross(ea, 0, ea, 3, 0), cross(ea, 0, ea, 3, 1), cross(ea, 0, ea, 3, 2)));
    for (int i = 0; i < 9 && least > 0; i += 3) {
      for (int j = 0; j < 9 && least > 0; j += 3) {
        double x = ea[i + 1] * eb[j + 2] - ea[i + 2] * eb[j + 1];
        double y = ea[i + 2] * eb[j] - ea[i] * eb[j + 2];
        double z = ea[i] * eb[j + 1] - ea[i + 1] * eb[j];
        least = Math.min(least, depthAlong(x, y, z));
      }
    }
    return least;
  }

  private double depthAlong(double x, double y, double z) {
    double l = Math.sqrt(x * x + y * y + z * z);
    if (l < Tolerance.FLAT) {
      return Double.POSITIVE_INFINITY;
    }
    range(x, y, z);
    return Math.min(hi, -lo) / l;
  }

  /** Nearest points found by {@link #distance}: on a, then on b. */
  final double[] nearest = new double[6];

  /** The distance of the two triangles as they are, metres; 0 where they cross. */
  double distance() {
    double best = Double.POSITIVE_INFINITY;
    for (int i = 0; i < 9; i += 3) {
      for (int j = 0; j < 9; j += 3) {
        best = segments(a, i, ea, b, j, eb, best);
      }
    }
    for (int i = 0; i < 9; i += 3) {
      best = cornerToFace(a, i, b, true, best);
      best = cornerToFace(b, i, a, false, best);
    }
    if (best > 0 && depth() > 0) {
      return 0;
    }
    return Math.sqrt(best);
  }

  /** Squared distance of two edges (after Ericson 2005, 5.1.9), kept if it is the best so far. */
  private double segments(
      double[] p, int i, double[] u, double[] q, int j, double[] v, double best) {
    double rx = p[i] - q[j];
    double ry = p[i + 1] - q[j + 1];
    double rz = p[i + 2] - q[j + 2];
    double uu = u[i] * u[i] + u[i + 1] * u[i + 1] + u[i + 2] * u[i + 2];
    double vv = v[j] * v[j] + v[j + 1] * v[j + 1] + v[j + 2] * v[j + 2];
    double uv = u[i] * v[j] + u[i + 1] * v[j + 1] + u[i + 2] * v[j + 2];
    double ur = u[i] * rx + u[i + 1] * ry + u[i + 2] * rz;
    double vr = v[j] * rx + v[j + 1] * ry + v[j + 2] * rz;
    double den = uu * vv - uv * uv;
    double s = den > Tolerance.FLAT * uu * vv ? clamp((uv * vr - ur * vv) / den) : 0;
    double t = vv > 0 ? (uv * s + vr) / vv : 0;
    if (t < 0) {
      t = 0;
      s = uu > 0 ? clamp(-ur / uu) : 0;
    } else if (t > 1) {
      t = 1;
      s = uu > 0 ? clamp((uv - ur) / uu) : 0;
    }
    double x = rx + s * u[i] - t * v[j];
    double y = ry + s * u[i + 1] - t * v[j + 1];
    double z = rz + s * u[i + 2] - t * v[j + 2];
    double d = x * x + y * y + z * z;
    if (d < best) {
      for (int k = 0; k < 3; k++) {
        nearest[k] = p[i + k] + s * u[i + k];
        nearest[3 + k] = q[j + k] + t * v[j + k];
      }
      return d;
    }
    return best;
  }

  private static double clamp(double s) {
    return s < 0 ? 0 : Math.min(s, 1);
  }

  /**
   * Squared distance of a corner to the inside of a face; edges are {@link #segments}' business.
   */
  private double cornerToFace(double[] p, int i, double[] f, boolean pIsA, double best) {
    double[] e = pIsA ? eb : ea;
    double x = cross(e, 0, e, 3, 0);
    double y = cross(e, 0, e, 3, 1);
    double z = cross(e, 0, e, 3, 2);
    double l2 = x * x + y * y + z * z;
    if (l2 < Tolerance.SMALL_SQUARED) {
      return best;
    }
    double h = (p[i] - f[0]) * x + (p[i + 1] - f[1]) * y + (p[i + 2] - f[2]) * z;
    double d = h * h / l2;
    if (d >= best) {
      return best;
    }
    double fx = p[i] - x * h / l2;
    double fy = p[i + 1] - y * h / l2;
    double fz = p[i + 2] - z * h / l2;
    for (int k = 0; k < 9; k += 3) {
      double wx = fx - f[k];
      double wy = fy - f[k + 1];
      double wz = fz - f[k + 2];
      double side =
          x * (e[k + 1] * wz - e[k + 2] * wy)
              + y * (e[k + 2] * wx - e[k] * wz)
              + z * (e[k] * wy - e[k + 1] * wx);
      if (side < 0) {
        return best;
      }
    }
    int own = pIsA ? 0 : 3;
    int other = 3 - own;
    for (int k = 0; k < 3; k++) {
      nearest[own + k] = p[i + k];
    }
    nearest[other] = fx;
    nearest[other + 1] = fy;
    nearest[other + 2] = fz;
    return d;
  }
}
