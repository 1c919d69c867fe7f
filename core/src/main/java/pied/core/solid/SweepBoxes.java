package pied.core.solid;

import java.util.Arrays;

/**
 * Boxes in the frame of the way of a sweep. Along the way they are exact, so that of many faces
 * that are met at once only the first need be looked at; across they are floats, rounded outward.
 *
 * <p>A box may have slanting faces too, an upper and a lower one: a height over the middle of the
 * frame, and how it rises along the first and the second direction. Nothing in the box is beyond
 * them: a wall that is come to askew is far smaller than its box.
 */
final class SweepBoxes {
  /** Numbers across a box: least, then greatest. */
  static final int ACROSS = 4;

  /** A face that rises by more than this for one across is left out. */
  private static final double STEEPEST = 30;

  /** Rounding to a float alters a number by less than this share. */
  private static final double ROUND = 0x1p-23;

  final float[] across;

  /** Two numbers a box, the lower and the upper end. */
  final double[] along;

  /** Two slopes of the upper face and two of the lower one; null if no box has faces. */
  final float[] slopes;

  /** Heights of the upper and the lower face; null likewise. */
  final double[] heights;

  SweepBoxes(int n, boolean faces) {
    across = new float[ACROSS * n];
    along = new double[2 * n];
    slopes = faces ? new float[4 * n] : null;
    heights = faces ? new double[2 * n] : null;
  }

  private SweepBoxes(SweepBoxes all, int n) {
    across = Arrays.copyOf(all.across, ACROSS * n);
    along = Arrays.copyOf(all.along, 2 * n);
    slopes = all.slopes == null ? null : Arrays.copyOf(all.slopes, 4 * n);
    heights = all.heights == null ? null : Arrays.copyOf(all.heights, 2 * n);
  }

  /** The first of these. */
  SweepBoxes first(int n) {
    return new SweepBoxes(this, n);
  }

  long bytes() {
    long faces = slopes == null ? 0 : 4L * slopes.length + 8L * heights.length;
    return 4L * across.length + 8L * along.length + faces;
  }

  /** Whether a box has slanting faces. */
  boolean slants(int i) {
    return slopes != null
        && (slopes[4 * i] != 0
            || slopes[4 * i + 1] != 0
            || slopes[4 * i + 2] != 0
            || slopes[4 * i + 3] != 0);
  }

  double upper(int i) {
    return slopes == null ? along[2 * i + 1] : heights[2 * i];
  }

  double lower(int i) {
    return slopes == null ? along[2 * i] : heights[2 * i + 1];
  }

  /** A slope of a face: 0 and 1 of the upper one, 2 and 3 of the lower. */
  double slope(int i, int k) {
    return slopes == null ? 0 : slopes[4 * i + k];
  }

  /** The square of its diagonal. */
  double spread(int i) {
    double x = across[ACROSS * i + 2] - across[ACROSS * i];
    double y = across[ACROSS * i + 3] - across[ACROSS * i + 1];
    double z = along[2 * i + 1] - along[2 * i];
    return x * x + y * y + z * z;
  }

  /** Makes a box one that holds nothing. */
  void clear(int i) {
    for (int k = 0; k < 2; k++) {
      across[ACROSS * i + k] = Float.POSITIVE_INFINITY;
      across[ACROSS * i + 2 + k] = Float.NEGATIVE_INFINITY;
    }
    along[2 * i] = Double.POSITIVE_INFINITY;
    along[2 * i + 1] = Double.NEGATIVE_INFINITY;
  }

  /** Makes a box hold another too. */
  void grow(int i, SweepBoxes other, int j) {
    int a = ACROSS * i;
    int b = ACROSS * j;
    for (int k = 0; k < 2; k++) {
      across[a + k] = Math.min(across[a + k], other.across[b + k]);
      across[a + 2 + k] = Math.max(across[a + 2 + k], other.across[b + 2 + k]);
    }
    along[2 * i] = Math.min(along[2 * i], other.along[2 * j]);
    along[2 * i + 1] = Math.max(along[2 * i + 1], other.along[2 * j + 1]);
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
      set(i, k, least, most);
    }
  }

  /** Sets the ends of a box in one direction. */
  void set(int i, int k, double least, double most) {
    if (k == 2) {
      along[2 * i] = least;
      along[2 * i + 1] = most;
    } else {
      across[ACROSS * i + k] = down(least);
      across[ACROSS * i + 2 + k] = up(most);
    }
  }

  /** Makes it no larger than another in any direction. */
  void cut(int i, SweepBoxes other, int j) {
    int a = ACROSS * i;
    int b = ACROSS * j;
    for (int k = 0; k < 2; k++) {
      across[a + k] = Math.max(across[a + k], other.across[b + k]);
      across[a + 2 + k] = Math.min(across[a + 2 + k], other.across[b + 2 + k]);
    }
    along[2 * i] = Math.max(along[2 * i], other.along[2 * j]);
    along[2 * i + 1] = Math.min(along[2 * i + 1], other.along[2 * j + 1]);
  }

  private static float down(double v) {
    return (float) (v - ROUND * Math.abs(v) - SweepTree.PAD);
  }

  private static float up(double v) {
    return (float) (v + ROUND * Math.abs(v) + SweepTree.PAD);
  }

  // ---- faces

  /** Its faces are those of the box itself. */
  void noFaces(int i) {
    if (slopes != null) {
      Arrays.fill(slopes, 4 * i, 4 * i + 4, 0);
      heights[2 * i] = along[2 * i + 1];
      heights[2 * i + 1] = along[2 * i];
    }
  }

  /** Those of one triangle: it lies in its own plane. */
  void face(int i, SweepTriangles all, int triangle) {
    noFaces(i);
    double[] n = all.normals;
    int k = 3 * triangle;
    int[] one = {triangle};
    face(i, 1, n[k] / n[k + 2], n[k + 1] / n[k + 2], all, one, 0, 1);
    face(i, -1, n[k] / n[k + 2], n[k + 1] / n[k + 2], all, one, 0, 1);
  }

  /**
   * Those of several: aslant as the triangles are on the whole that look up, and down.
   *
   * @param some numbers of triangles, of which those from one place to before another are in it
   */
  void face(int i, SweepTriangles all, int[] some, int from, int end) {
    noFaces(i);
    double[] n = all.normals;
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
      face(i, side, x / z, y / z, all, some, from, end);
    }
  }

  private void face(
      int i, int side, double x, double y, SweepTriangles all, int[] some, int from, int end) {
    float sx = (float) -x;
    float sy = (float) -y;
    if (!(Math.abs(sx) < STEEPEST && Math.abs(sy) < STEEPEST) || sx == 0 && sy == 0) {
      return;
    }
    double[] p = all.corners;
    double most = Double.NEGATIVE_INFINITY;
    for (int j = from; j < end; j++) {
      for (int k = 9 * some[j]; k < 9 * some[j] + 9; k += 3) {
        double h = side * (p[k + 2] - sx * p[k] - sy * p[k + 1]);
        most = h > most ? h : most;
      }
    }
    heights[2 * i + (side > 0 ? 0 : 1)] = side * most;
    slopes[4 * i + (side > 0 ? 0 : 2)] = sx;
    slopes[4 * i + (side > 0 ? 1 : 3)] = sy;
  }
}
