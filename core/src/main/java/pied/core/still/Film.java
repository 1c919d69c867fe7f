package pied.core.still;

import java.io.DataInput;
import java.io.DataOutput;
import java.io.IOException;
import java.nio.ByteBuffer;
import pied.core.light.LinearColour;

/**
 * What paths have brought so far, dot by dot: sums of light and of its square, and what was seen
 * first, for who smooths it. Dots may be written by many threads, each by one at a time.
 */
final class Film {
  /** Floats a dot: light 3, its square, colour 3, normal 3, depth, nothing but paper. */
  static final int SIZE = 12;

  static final int SQUARE = 3;
  static final int COLOUR = 4;
  static final int NORMAL = 7;
  static final int DEPTH = 10;
  static final int PAPER = 11;

  final int wide;
  final int high;
  final float[] sums;
  final int[] count;

  Film(int wide, int high) {
    this.wide = wide;
    this.high = high;
    sums = new float[Math.multiplyExact(SIZE, Math.multiplyExact(wide, high))];
    count = new int[wide * high];
  }

  /** How much room one takes, bytes, with what it takes to smooth and develop it. */
  static long bytes(long dots) {
    return dots * (4 * SIZE + 4 + 4);
  }

  /** Adds one path. */
  void add(int dot, double[] rgb, PathTracer t) {
    int at = SIZE * dot;
    for (int k = 0; k < 3; k++) {
      sums[at + k] += (float) rgb[k];
    }
    double bright = LinearColour.luminance(rgb[0], rgb[1], rgb[2]);
    sums[at + SQUARE] += (float) (bright * bright);
    if (t.nothing) {
      sums[at + PAPER] += 1;
    } else if (t.depth >= 0) {
      for (int k = 0; k < 3; k++) {
        sums[at + COLOUR + k] += (float) t.albedo[k];
        sums[at + NORMAL + k] += (float) t.normal[k];
      }
      sums[at + DEPTH] += (float) t.depth;
    }
    count[dot]++;
  }

  /** How far the light of a dot may be off, as the deviation of its mean, and what it is, cd/m². */
  double deviation(int dot) {
    int n = count[dot];
    if (n < 2) {
      return Double.POSITIVE_INFINITY;
    }
    double mean = bright(dot);
    double square = sums[SIZE * dot + SQUARE] / n;
    return Math.sqrt(Math.max(0, square - mean * mean) / (n - 1));
  }

  /** Paths of a dot in the mean. */
  double mean() {
    long sum = 0;
    for (int n : count) {
      sum += n;
    }
    return (double) sum / count.length;
  }

  double bright(int dot) {
    int at = SIZE * dot;
    int n = Math.max(1, count[dot]);
    return LinearColour.luminance(sums[at], sums[at + 1], sums[at + 2]) / n;
  }

  /** The same with fewer dots: so many each way are one. */
  Film smaller(int by) {
    Film f = new Film((wide + by - 1) / by, (high + by - 1) / by);
    for (int y = 0; y < high; y++) {
      for (int x = 0; x < wide; x++) {
        int dot = y * wide + x;
        int to = y / by * f.wide + x / by;
        for (int k = 0; k < SIZE; k++) {
          f.sums[SIZE * to + k] += sums[SIZE * dot + k];
        }
        f.count[to] += count[dot];
      }
    }
    return f;
  }

  private static final int ROW = 1 << 16;

  void write(DataOutput out) throws IOException {
    out.writeInt(wide);
    out.writeInt(high);
    ByteBuffer row = ByteBuffer.allocate(ROW);
    for (int i = 0; i < sums.length + count.length; i++) {
      row.putInt(i < sums.length ? Float.floatToRawIntBits(sums[i]) : count[i - sums.length]);
      if (row.remaining() == 0 || i == sums.length + count.length - 1) {
        out.write(row.array(), 0, row.position());
        row.clear();
      }
    }
  }

  /** Reads what was written; false if it is of another size. */
  boolean read(DataInput in) throws IOException {
    if (in.readInt() != wide || in.readInt() != high) {
      return false;
    }
    ByteBuffer row = ByteBuffer.allocate(ROW).limit(0);
    int all = sums.length + count.length;
    for (int i = 0; i < all; i++) {
      if (row.remaining() == 0) {
        row.clear().limit((int) Math.min(ROW, 4L * (all - i)));
        in.readFully(row.array(), 0, row.limit());
      }
      if (i < sums.length) {
        sums[i] = Float.intBitsToFloat(row.getInt());
      } else {
        count[i - sums.length] = row.getInt();
      }
    }
    return true;
  }
}
