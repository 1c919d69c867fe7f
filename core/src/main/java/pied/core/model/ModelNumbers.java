package pied.core.model;

import java.nio.charset.StandardCharsets;
import org.joml.Matrix4d;
import org.joml.Vector3d;

/** Numbers of model files: read from bytes without making texts of them, and moved. */
final class ModelNumbers {
  private static final double[] TENS = new double[23];

  static {
    double p = 1;
    for (int i = 0; i < TENS.length; i++) {
      TENS[i] = p;
      p *= 10;
    }
  }

  private ModelNumbers() {}

  /** Moves points in place. */
  static void move(double[] xyz, Matrix4d at) {
    Vector3d p = new Vector3d();
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      at.transformPosition(p.set(xyz[i], xyz[i + 1], xyz[i + 2]));
      xyz[i] = p.x;
      xyz[i + 1] = p.y;
      xyz[i + 2] = p.z;
    }
  }

  /**
   * The number that stands at {@code at[0]} after blanks; {@code at[0]} moves behind it, or becomes
   * -1 if there is none. Up to 15 digits and small exponents are exact in one operation (Clinger
   * 1990); the rest is left to the library.
   */
  static double read(byte[] b, int[] at, int end) {
    int i = at[0];
    if (i < 0) {
      return Double.NaN;
    }
    while (i < end && b[i] <= ' ') {
      i++;
    }
    int from = i;
    boolean minus = i < end && b[i] == '-';
    if (i < end && (b[i] == '-' || b[i] == '+')) {
      i++;
    }
    long digits = 0;
    int count = 0;
    int scale = 0;
    boolean any = false;
    boolean point = false;
    for (; i < end; i++) {
      byte c = b[i];
      if (c >= '0' && c <= '9') {
        any = true;
        if (count < 18) {
          digits = digits * 10 + (c - '0');
          count += digits == 0 ? 0 : 1;
          scale -= point ? 1 : 0;
        } else {
          count++;
          scale += point ? 0 : 1;
        }
      } else if (c == '.' && !point) {
        point = true;
      } else {
        break;
      }
    }
    if (any && i < end && (b[i] == 'e' || b[i] == 'E')) {
      int k = i + 1;
      boolean less = k < end && b[k] == '-';
      if (k < end && (b[k] == '-' || b[k] == '+')) {
        k++;
      }
      int exponent = 0;
      boolean some = false;
      for (; k < end && b[k] >= '0' && b[k] <= '9'; k++) {
        exponent = Math.min(9999, exponent * 10 + (b[k] - '0'));
        some = true;
      }
      if (some) {
        scale += less ? -exponent : exponent;
        i = k;
      }
    }
    if (!any || i < end && b[i] > ' ') {
      return whole(b, from, at, end);
    }
    at[0] = i;
    if (count <= 15 && scale >= -22 && scale <= 22) {
      double v = scale < 0 ? digits / TENS[-scale] : digits * TENS[scale];
      return minus ? -v : v;
    }
    return Double.parseDouble(new String(b, from, i - from, StandardCharsets.ISO_8859_1));
  }

  /** What is written in an unusual way: nan, inf, or no number at all. */
  private static double whole(byte[] b, int from, int[] at, int end) {
    int i = from;
    while (i < end && b[i] > ' ') {
      i++;
    }
    String word = new String(b, from, i - from, StandardCharsets.ISO_8859_1);
    at[0] = i;
    if (word.toLowerCase(java.util.Locale.ROOT).matches("[-+]?(nan|inf|infinity)(\\(.*\\))?")) {
      return Double.NaN;
    }
    at[0] = -1;
    return Double.NaN;
  }
}
