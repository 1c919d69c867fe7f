package pied.core.model;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.StringTokenizer;

/** The materials of an OBJ file (MTL): their colours, and the pictures on them. */
final class ObjMaterials {
  /** What may stand before the name of a picture, and how many words follow it at most. */
  private static final Map<String, Integer> OPTIONS =
      Map.ofEntries(
          Map.entry("-blendu", 1),
          Map.entry("-blendv", 1),
          Map.entry("-boost", 1),
          Map.entry("-mm", 2),
          Map.entry("-o", 3),
          Map.entry("-s", 3),
          Map.entry("-t", 3),
          Map.entry("-texres", 1),
          Map.entry("-clamp", 1),
          Map.entry("-bm", 1),
          Map.entry("-imfchan", 1),
          Map.entry("-cc", 1));

  private final Files files;
  private final Collector out;
  private final Map<String, double[]> colours = new HashMap<>();
  private final Map<String, byte[]> pictures = new HashMap<>();
  private final Map<String, String> lost = new HashMap<>();

  ObjMaterials(Files files, Collector out) {
    this.files = files;
    this.out = out;
  }

  /** Reads those of a file, or of several; without its materials a model is grey. */
  void read(String names) {
    byte[] text = files.sibling(names);
    if (text != null) {
      materials(text);
      return;
    }
    for (String name : names.split("\\s+")) {
      byte[] one = files.sibling(name);
      if (one != null) {
        materials(one);
      }
    }
  }

  private void materials(byte[] text) {
    String now = null;
    for (String line : new String(text, StandardCharsets.UTF_8).split("\\R")) {
      String l = line.strip();
      String word = l.split("\\s", 2)[0];
      String rest = l.substring(word.length()).strip();
      if (word.equals("newmtl")) {
        now = rest;
      } else if (now != null && word.equals("Kd")) {
        colour(now, rest);
      } else if (now != null && word.equalsIgnoreCase("map_Kd")) {
        picture(now, file(rest));
      }
    }
  }

  private void colour(String material, String numbers) {
    StringTokenizer t = new StringTokenizer(numbers);
    double[] c = new double[3];
    try {
      for (int k = 0; k < 3; k++) {
        c[k] = Double.parseDouble(t.nextToken());
      }
      colours.put(material, c);
    } catch (RuntimeException e) {
      // a colour that cannot be read is no reason to refuse the model
    }
  }

  /** The name of a picture, which may have blanks in it, without what stands before it. */
  private static String file(String words) {
    String rest = words;
    while (rest.startsWith("-")) {
      String[] parts = rest.split("\\s+", 2);
      int most = OPTIONS.getOrDefault(parts[0], 0);
      rest = parts.length < 2 ? "" : parts[1];
      boolean numbers = most > 1;
      for (int i = 0; i < most && !rest.isEmpty(); i++) {
        String[] next = rest.split("\\s+", 2);
        if (numbers && !next[0].matches("[-+]?[0-9.]+([eE][-+]?\\d+)?")) {
          break;
        }
        rest = next.length < 2 ? "" : next[1];
      }
    }
    return rest;
  }

  private void picture(String material, String file) {
    byte[] bytes = file.isEmpty() ? null : files.sibling(file);
    if (bytes == null || !Pictures.readable(bytes)) {
      lost.put(material, file);
    } else {
      pictures.put(material, bytes);
    }
  }

  boolean isPictured(String material) {
    return pictures.containsKey(material);
  }

  /**
   * Gives parts their colours and pictures.
   *
   * @param seen what was used, with the sum of the colours of its corners and their number
   */
  void end(Map<String, double[]> seen) {
    seen.forEach(
        (m, sum) -> {
          double[] c = colours.get(m);
          byte[] picture = pictures.get(m);
          if (picture != null) {
            out.picture(m, picture);
            out.colour(m, Pictures.colour(picture, tint(c)));
          } else if (c != null) {
            out.colour(m, ModelReader.colour(c));
          } else if (sum[3] > 0) {
            out.colour(m, ModelReader.colour(mean(sum)));
          }
          if (lost.containsKey(m)) {
            out.lost(lost.get(m));
          }
        });
  }

  /** Many programs write black where a picture is: they do not multiply. */
  private static double[] tint(double[] c) {
    boolean none = c == null || c[0] + c[1] + c[2] == 0;
    return none ? new double[] {1, 1, 1} : c;
  }

  /** Colours are of 1, or of 255. */
  private static double[] mean(double[] sum) {
    double[] c = {sum[0] / sum[3], sum[1] / sum[3], sum[2] / sum[3]};
    double by = Math.max(c[0], Math.max(c[1], c[2])) > 1 ? 255 : 1;
    return new double[] {c[0] / by, c[1] / by, c[2] / by};
  }
}
