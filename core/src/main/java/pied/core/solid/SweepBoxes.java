package pied.core.solid;

import java.util.Arrays;

/**
 * Boxes in the frame of the way of a sweep, one after the other. Along the way they are exact, so
 * that of many faces that are met at once only the first need be looked at.
 *
 * <p>A box may have slanting faces too, an upper and a lower one: a height over the middle of the
 * frame, and how it rises along the first and the second direction. Nothing in the box is beyond
 * them: a wall that is come to askew is far smaller than its box.
 */
final class SweepBoxes {
  /** Where the numbers of a box are: least, then greatest in each direction, then its faces. */
  static final int LEAST = 0;

  static final int MOST = 3;
  static final int UPPER = 6;
  static final int LOWER = 9;

  private static final int FACELESS = 6;
  private static final int FACED = 12;

  /** A face that rises by more than this for one across is left out. */
  private static final double STEEPEST = 30;

  final double[] all;

  /** How many numbers a box has. */
  final int stride;

  SweepBoxes(int n, boolean faces) {
    this(new double[n * (faces ? FACED : FACELESS)], faces ? FACED : FACELESS);
  }

  private SweepBoxes(double[] all, int stride) {
    this.all = all;
    this.stride = stride;
  }

  /** The first of these. */
  SweepBoxes first(int n) {
    return new SweepBoxes(Arrays.copyOf(all, n * stride), stride);
  }

  long bytes() {
    return 8L * all.length;
  }

  boolean faced() {
    return stride == FACED;
  }

  /** Whether a box has slanting faces. */
  boolean slants(int i) {
    int o = i * stride;
    return faced() && (all[o + 7] != 0 || all[o + 8] != 0 || all[o + 10] != 0 || all[o + 11] != 0);
  }

  /**
   * A number of a face: its height, then its slopes.
   *
   * @param face {@link #UPPER} or {@link #LOWER}
   */
  double face(int i, int face, int k) {
    if (faced()) {
      return all[i * stride + face + k];
    }
    return k > 0 ? 0 : all[i * stride + (face == UPPER ? MOST + 2 : LEAST + 2)];
  }

  /** The square of its diagonal. */
  double spread(int i) {
    int o = i * stride;
    double x = all[o + 3] - all[o];
    double y = all[o + 4] - all[o + 1];
    double z = all[o + 5] - all[o + 2];
    return x * x + y * y + z * z;
  }

  /** Makes a box one that holds nothing. */
  void clear(int i) {
    for (int k = 0; k < 3; k++) {
      all[i * stride + k] = Double.POSITIVE_INFINITY;
      all[i * stride + MOST + k] = Double.NEGATIVE_INFINITY;
    }
  }

  /** Makes a box hold another too. */
  void grow(int i, SweepBoxes other, int j) {
    for (int k = 0; k < 3; k++) {
      int a = i * stride + k;
      int b = j * other.stride + k;
      all[a] = Math.min(all[a], other.all[b]);
      all[a + MOST] = Math.max(all[a + MOST], other.all[b + MOST]);
    }
  }

  /** Makes it no larger than another in any direction. */
  void cut(int i, SweepBoxes other, int j) {
    for (int k = 0; k < 3; k++) {
      int a = i * stride + k;
      int b = j * other.stride + k;
      all[a] = Math.max(all[a], other.all[b]);
      all[a + MOST] = Math.min(all[a + MOST], other.all[b + MOST]);
    }
  }

  /**
   * Sets a box to that round a triangle.
   *
   * @param p numbers of corners, three each, and where those of this triangle begin
   */
  void set(int i, double[] p, int at) {
    for (int k = 0; k < 3; k++) {
      double a = p[at + k];
      double b = p[at + 3 + k];
      double c = p[at + 6 + k];
      double least = a < b ? a < c ? a : c : b < c ? b : c;
      double most = a > b ? a > c ? a : c : b > c ? b : c;
      double pad = k == 2 ? 0 : SweepTree.PAD;
      set(i, k, least - pad, most + pad);
    }
  }

  /** Sets the ends of a box in one direction. */
  void set(int i, int k, double least, double most) {
    all[i * stride + k] = least;
    all[i * stride + MOST + k] = most;
  }

  // ---- faces

  /** Its faces are those of the box itself. */
  private void noFaces(int i) {
    int o = i * stride;
    Arrays.fill(all, o + UPPER, o + FACED, 0);
    all[o + UPPER] = all[o + MOST + 2];
    all[o + LOWER] = all[o + LEAST + 2];
  }

  /** Those of one triangle: it lies in its own plane. */
  void face(int i, SweepTriangles of, int triangle) {
    noFaces(i);
    double[] n = of.normals;
    int k = 3 * triangle;
    int[] one = {triangle};
    face(i, 1, n[k] / n[k + 2], n[k + 1] / n[k + 2], of, one, 0, 1);
    face(i, -1, n[k] / n[k + 2], n[k + 1] / n[k + 2], of, one, 0, 1);
  }

  /**
   * Those of several: aslant as the triangles are on the whole that look up, and down.
   *
   * @param some numbers of triangles, of which those from one place to before another are in it
   */
  void face(int i, SweepTriangles of, int[] some, int from, int end) {
    noFaces(i);
    double[] n = of.normals;
    for (int side = 1; side >= -1; side -= 2) {
      double x = 0;
      double y = 0;
      double z = 0;
      for (int j = from; j < end; j++) {
        int k = 3 * some[j];
        if (side * n[k + 2] > 0) {
          x += n[k];
          y += n[k + 1];
          z += n[k + 2];
        }
      }
      face(i, side, x / z, y / z, of, some, from, end);
    }
  }

  private void face(
      int i, int side, double x, double y, SweepTriangles of, int[] some, int from, int end) {
    float sx = (float) -x;
    float sy = (float) -y;
    if (!(Math.abs(sx) < STEEPEST && Math.abs(sy) < STEEPEST) || sx == 0 && sy == 0) {
      return;
    }
    double[] p = of.corners;
    double most = Double.NEGATIVE_INFINITY;
    for (int j = from; j < end; j++) {
      for (int k = 9 * some[j]; k < 9 * some[j] + 9; k += 3) {
        double h = side * (p[k + 2] - sx * p[k] - sy * p[k + 1]);
        most = h > most ? h : most;
      }
    }
    int to = i * stride + (side > 0 ? UPPER : LOWER);
    all[to] = side * most;
    all[to + 1] = sx;
    all[to + 2] = sy;
  }
}
