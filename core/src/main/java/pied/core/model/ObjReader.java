package pied.core.model;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.StringTokenizer;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** Reads OBJ with its materials (MTL). It says neither unit nor what is up. */
final class ObjReader {
  private final byte[] b;
  private final Files files;
  private final Collector out = new Collector();
  private double[] xyz = new double[3 * 1024];
  private int points;
  private String material = "body";
  private final ObjMaterials materials;

  /** Of each point red, green and blue, where they stand behind it. */
  private double[] shades = new double[0];

  private double[] on = new double[2 * 256];
  private int places;

  /** What was used, with the sum of the colours of its corners and their number. */
  private final Map<String, double[]> seen = new LinkedHashMap<>();

  private ObjReader(byte[] b, Files files) {
    this.b = b;
    this.files = files;
    materials = new ObjMaterials(files, out);
  }

  static boolean is(byte[] b) {
    byte[] plain = plain(Arrays.copyOf(b, Math.min(b.length, 64 << 10)));
    String head = new String(plain, StandardCharsets.ISO_8859_1);
    return java.util.regex.Pattern.compile("(?m)^\\s*(v|f|mtllib|usemtl|o|g)\\s+\\S")
            .matcher(head)
            .find()
        && head.indexOf('\0') < 0;
  }

  /** In letters of a byte, with line ends of one. */
  private static byte[] plain(byte[] b) {
    if (b.length > 1 && ((b[0] & b[1] & 255) == 0xFE) && (b[0] & 255 ^ b[1] & 255) == 1) {
      // a mark of two bytes says in which order the others stand
      return plain(new String(b, StandardCharsets.UTF_16).getBytes(StandardCharsets.UTF_8));
    }
    int alone = 0;
    for (int i = 0; i < b.length; i++) {
      alone += b[i] == '\r' && (i + 1 == b.length || b[i + 1] != '\n') ? 1 : 0;
    }
    if (alone == 0) {
      return b;
    }
    byte[] out = b.clone();
    for (int i = 0; i < out.length; i++) {
      out[i] = out[i] == '\r' ? (byte) '\n' : out[i];
    }
    return out;
  }

  static Model read(byte[] b, Files files) {
    ObjReader r = new ObjReader(plain(b), files);
    r.lines();
    r.materials.end(r.seen);
    return r.out.model(null, null);
  }

  private void lines() {
    int at = 0;
    int line = 0;
    while (at < b.length) {
      int end = at;
      while (end < b.length && b[end] != '\n') {
        end++;
      }
      line++;
      int last = end;
      while (last > at && b[last - 1] <= ' ') {
        last--;
      }
      int first = at;
      while (first < last && b[first] <= ' ') {
        first++;
      }
      // a line that ends with a stroke goes on in the next
      String text = null;
      if (last > first && b[last - 1] == '\\') {
        StringBuilder joined = new StringBuilder();
        while (last > first && b[last - 1] == '\\' && end < b.length) {
          joined.append(new String(b, first, last - 1 - first, StandardCharsets.UTF_8)).append(' ');
          first = end + 1;
          end = first;
          while (end < b.length && b[end] != '\n') {
            end++;
          }
          last = end;
          while (last > first && b[last - 1] <= ' ') {
            last--;
          }
          line++;
        }
        text = joined + new String(b, first, last - first, StandardCharsets.UTF_8);
      }
      if (last - first > 1 || text != null) {
        one(text, first, last, line);
      }
      at = end + 1;
    }
  }

  private void one(String joined, int from, int to, int line) {
    if (joined == null && b[from] == 'v') {
      if (b[from + 1] <= ' ') {
        vertex(b, from + 2, to, line);
      } else if (b[from + 1] == 't') {
        place(b, from + 2, to);
      }
      return;
    }
    if (joined == null && b[from] != 'f' && b[from] != 'u' && b[from] != 'm') {
      return;
    }
    String text = joined != null ? joined : new String(b, from, to - from, StandardCharsets.UTF_8);
    if (isOf(text, "v")) {
      byte[] own = text.getBytes(StandardCharsets.UTF_8);
      vertex(own, 1, own.length, line);
    } else if (isOf(text, "f")) {
      face(text, line);
    } else if (isOf(text, "usemtl")) {
      material = text.substring(6).strip();
    } else if (isOf(text, "mtllib")) {
      materials.read(text.substring(6).strip());
    }
  }

  private static boolean isOf(String text, String word) {
    return text.startsWith(word)
        && text.length() > word.length()
        && text.charAt(word.length()) <= ' ';
  }

  private void vertex(byte[] b, int from, int to, int line) {
    int[] at = {from};
    double x = ModelNumbers.read(b, at, to);
    double y = ModelNumbers.read(b, at, to);
    double z = ModelNumbers.read(b, at, to);
    if (at[0] < 0) {
      throw new Refusal("The OBJ file has a corner that is no three numbers, in line {}.", line);
    }
    point(x, y, z);
    double red = ModelNumbers.read(b, at, to);
    double green = ModelNumbers.read(b, at, to);
    double blue = ModelNumbers.read(b, at, to);
    if (at[0] >= 0) {
      if (shades.length < 3 * points) {
        shades = Arrays.copyOf(shades, xyz.length);
      }
      shades[3 * points - 3] = red;
      shades[3 * points - 2] = green;
      shades[3 * points - 1] = blue;
    }
  }

  /** Where a corner is on a picture; there up is up, and here down. */
  private void place(byte[] b, int from, int to) {
    int[] at = {from};
    double u = ModelNumbers.read(b, at, to);
    double v = ModelNumbers.read(b, at, to);
    if (2 * places + 2 > on.length) {
      on = Arrays.copyOf(on, 2 * on.length);
    }
    on[2 * places] = Double.isFinite(u) ? u : 0;
    on[2 * places + 1] = Double.isFinite(v) ? 1 - v : 0;
    places++;
  }

  private void point(double x, double y, double z) {
    if (3 * points + 3 > xyz.length) {
      xyz = Arrays.copyOf(xyz, xyz.length * 2);
    }
    xyz[3 * points] = x;
    xyz[3 * points + 1] = y;
    xyz[3 * points + 2] = z;
    points++;
  }

  private void face(String text, int line) {
    StringTokenizer t = new StringTokenizer(text.substring(2));
    int[] c = new int[t.countTokens()];
    float[] uv = materials.isPictured(material) ? new float[2 * c.length] : null;
    double[] sum = seen.computeIfAbsent(material, k -> new double[4]);
    for (int i = 0; i < c.length; i++) {
      String word = t.nextToken();
      c[i] = number(word, 0, points, line);
      if (c[i] < 0) {
        throw new Refusal(
            "The OBJ file has a face whose corner is not there, in line {}; it may be cut off.",
            line);
      }
      if (uv != null) {
        int place = number(word, 1, places, line);
        uv[2 * i] = place < 0 ? 0 : (float) on[2 * place];
        uv[2 * i + 1] = place < 0 ? 0 : (float) on[2 * place + 1];
      }
      if (3 * c[i] + 3 <= shades.length) {
        for (int k = 0; k < 3; k++) {
          sum[k] += shades[3 * c[i] + k];
        }
        sum[3]++;
      }
    }
    if (c.length == 3) {
      double[] p = new double[9];
      for (int k = 0; k < 3; k++) {
        System.arraycopy(xyz, 3 * c[k], p, 3 * k, 3);
      }
      out.triangle(material, p, uv);
      return;
    }
    List<Vec> corners = new ArrayList<>(c.length);
    for (int v : c) {
      corners.add(new Vec(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]));
    }
    out.face(material, corners, uv);
  }

  /**
   * One of the numbers of a corner, of which there are so many, from 0 on.
   *
   * @param which 0 for its point, 1 for its place on a picture
   * @return negative if there is none of that number
   */
  private static int number(String word, int which, int all, int line) {
    int from = 0;
    for (int i = 0; i < which; i++) {
      int slash = word.indexOf('/', from);
      if (slash < 0) {
        return -1;
      }
      from = slash + 1;
    }
    int to = word.indexOf('/', from);
    String digits = word.substring(from, to < 0 ? word.length() : to);
    if (which > 0 && digits.isEmpty()) {
      return -1;
    }
    try {
      int v = Integer.parseInt(digits);
      int n = v < 0 ? all + v : v - 1;
      return n < all ? n : -1;
    } catch (NumberFormatException e) {
      throw new Refusal("The OBJ file has a face that cannot be read, in line {}.", line);
    }
  }
}
