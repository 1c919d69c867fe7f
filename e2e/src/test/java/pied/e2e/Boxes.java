package pied.e2e;

import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** Model files made of boxes. */
final class Boxes {
  private Boxes() {}

  /**
   * An OBJ file.
   *
   * @param boxes each from x, y, z to x, y, z
   */
  static byte[] obj(double[][] boxes) {
    StringBuilder s = new StringBuilder("o boxes\n");
    int n = 0;
    for (double[] b : boxes) {
      for (int i = 0; i < 8; i++) {
        s.append(
            String.format(
                Locale.ROOT,
                "v %.4f %.4f %.4f%n",
                b[(i & 1) == 0 ? 0 : 3],
                b[(i & 2) == 0 ? 1 : 4],
                b[(i & 4) == 0 ? 2 : 5]));
      }
      int[][] faces = {
        {1, 3, 4, 2}, {5, 6, 8, 7}, {1, 2, 6, 5}, {3, 7, 8, 4}, {1, 5, 7, 3}, {2, 4, 8, 6}
      };
      for (int[] f : faces) {
        s.append("f");
        for (int c : f) {
          s.append(' ').append(n + c);
        }
        s.append('\n');
      }
      n += 8;
    }
    return s.toString().getBytes(StandardCharsets.UTF_8);
  }
}
