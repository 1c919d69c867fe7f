package pied.core.model;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
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
  private final Map<String, String> colours = new HashMap<>();

  private ObjReader(byte[] b, Files files) {
    this.b = b;
    this.files = files;
  }

  static boolean is(byte[] b) {
    String head = new String(b, 0, Math.min(b.length, 64 << 10), StandardCharsets.ISO_8859_1);
    return java.util.regex.Pattern.compile("(?m)^\\s*(v|f|mtllib|usemtl|o|g)\\s+\\S")
            .matcher(head)
            .find()
        && head.indexOf('\0') < 0;
  }

  static Model read(byte[] b, Files files) {
    ObjReader r = new ObjReader(b, files);
    r.lines();
    r.colours.forEach((m, c) -> r.out.colour(m, c));
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
    if (joined == null && b[from] == 'v' && b[from + 1] <= ' ') {
      vertex(from + 2, to, line);
      return;
    }
    if (joined == null && b[from] != 'f' && b[from] != 'u' && b[from] != 'm' && b[from] != 'v') {
      return;
    }
    String text = joined != null ? joined : new String(b, from, to - from, StandardCharsets.UTF_8);
    if (text.startsWith("v ")) {
      StringTokenizer t = new StringTokenizer(text.substring(2));
      double[] p = new double[3];
      for (int k = 0; k < 3; k++) {
        p[k] = ModelReader.number(t.hasMoreTokens() ? t.nextToken() : null, "OBJ, line " + line);
      }
      point(p[0], p[1], p[2]);
    } else if (text.startsWith("f ")) {
      face(text, line);
    } else if (text.startsWith("usemtl")) {
      material = text.length() > 7 ? text.substring(7).strip() : "body";
    } else if (text.startsWith("mtllib")) {
      materials(text.substring(6).strip());
    }
  }

  private void vertex(int from, int to, int line) {
    int[] at = {from};
    double x = ModelNumbers.read(b, at, to);
    double y = ModelNumbers.read(b, at, to);
    double z = ModelNumbers.read(b, at, to);
    if (at[0] < 0) {
      throw new Refusal("The OBJ file has a corner that is no three numbers, in line {}.", line);
    }
    point(x, y, z);
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
    for (int i = 0; i < c.length; i++) {
      String word = t.nextToken();
      int slash = word.indexOf('/');
      int v;
      try {
        v = Integer.parseInt(slash < 0 ? word : word.substring(0, slash));
      } catch (NumberFormatException e) {
        throw new Refusal("The OBJ file has a face that cannot be read, in line {}.", line);
      }
      c[i] = v < 0 ? points + v : v - 1;
      if (c[i] < 0 || c[i] >= points) {
        throw new Refusal(
            "The OBJ file has a face whose corner is not there, in line {}; it may be cut"
                + " off.",
            line);
      }
    }
    if (c.length == 3) {
      double[] p = new double[9];
      for (int k = 0; k < 3; k++) {
        System.arraycopy(xyz, 3 * c[k], p, 3 * k, 3);
      }
      out.triangle(material, p);
      return;
    }
    List<Vec> corners = new ArrayList<>(c.length);
    for (int v : c) {
      corners.add(new Vec(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]));
    }
    out.face(material, corners);
  }

  private void materials(String name) {
    byte[] text = files.sibling(name);
    if (text == null) {
      return; // without its materials a model is grey
    }
    String now = null;
    for (String line : new String(text, StandardCharsets.UTF_8).split("\\R")) {
      String l = line.strip();
      if (l.startsWith("newmtl")) {
        now = l.substring(6).strip();
      } else if (l.startsWith("Kd ") && now != null) {
        StringTokenizer t = new StringTokenizer(l.substring(3));
        double[] c = new double[3];
        try {
          for (int k = 0; k < 3; k++) {
            c[k] = Double.parseDouble(t.nextToken());
          }
          colours.put(now, ModelReader.colour(c));
        } catch (RuntimeException e) {
          // a colour that cannot be read is no reason to refuse the model
        }
      }
    }
  }
}
