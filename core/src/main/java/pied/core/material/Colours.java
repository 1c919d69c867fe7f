package pied.core.material;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.BoundedCache;
import pied.core.Nullable;
import pied.core.material.pattern.Tint;

/** Colours by plain names. */
public final class Colours {
  private static final Map<String, String> NAMED = read();
  private static final Map<String, String> SAID = BoundedCache.latest(4096);

  /** By how much a word makes a colour lighter, and how much more of it there is. */
  private record Shade(double lighter, double fuller) {}

  private static final Map<String, Shade> SHADES =
      Map.of(
          "pale", new Shade(0.16, 0.6),
          "light", new Shade(0.11, 0.85),
          "dark", new Shade(-0.15, 0.9),
          "deep", new Shade(-0.1, 1.15),
          "bright", new Shade(0.04, 1.4),
          "dull", new Shade(-0.02, 0.55),
          "greyish", new Shade(0, 0.4));

  private Colours() {}

  /** All there are by name: #RRGGBB each. */
  public static Map<String, String> named() {
    return NAMED;
  }

  /** The name of what a colour looks most like. */
  public static String name(String colour) {
    return SAID.computeIfAbsent(colour, Colours::nearest);
  }

  private static String nearest(String colour) {
    double[] c = Tint.seen(colour);
    String best = "";
    double away = Double.MAX_VALUE;
    for (Map.Entry<String, String> e : NAMED.entrySet()) {
      double[] n = Tint.seen(e.getValue());
      // a hue that is off is seen sooner than a lightness
      double d =
          Math.pow(c[0] - n[0], 2) + 4 * (Math.pow(c[1] - n[1], 2) + Math.pow(c[2] - n[2], 2));
      if (d < away) {
        away = d;
        best = e.getKey();
      }
    }
    return best;
  }

  /**
   * A colour as somebody writes it: a name, one with a word such as "dark" before it, or #RRGGBB
   * with or without its sign.
   *
   * @return as #RRGGBB; null if it is none
   */
  public static @Nullable String read(String text) {
    String t = text.strip().toLowerCase(Locale.ROOT).replace("gray", "grey");
    if (t.matches("#?[0-9a-f]{6}")) {
      return "#" + t.replace("#", "").toUpperCase(Locale.ROOT);
    }
    if (t.matches("#[0-9a-f]{3}")) {
      return ("#" + t.substring(1).replaceAll("(.)", "$1$1")).toUpperCase(Locale.ROOT);
    }
    String named = NAMED.get(t);
    if (named != null) {
      return named;
    }
    int space = t.indexOf(' ');
    Shade shade = space < 0 ? null : SHADES.get(t.substring(0, space));
    String of = shade == null ? null : read(t.substring(space + 1));
    return of == null ? null : shaded(of, shade);
  }

  private static String shaded(String colour, Shade s) {
    double[] c = Tint.seen(colour);
    double l = Math.max(0.06, Math.min(0.98, c[0] + s.lighter));
    return Tint.text(Tint.linear(l, c[1] * s.fuller, c[2] * s.fuller));
  }

  /** The names that begin with a text or have a word that does; all for none. */
  public static List<String> search(String text) {
    String t = text.strip().toLowerCase(Locale.ROOT);
    List<String> found = new ArrayList<>();
    for (String name : NAMED.keySet()) {
      if (name.startsWith(t) || name.contains(" " + t)) {
        found.add(name);
      }
    }
    return found;
  }

  private static Map<String, String> read() {
    Map<String, String> all = new LinkedHashMap<>();
    try (InputStream in = Colours.class.getResourceAsStream("/colours.txt")) {
      for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
        int at = line.lastIndexOf(' ');
        all.put(line.substring(0, at), line.substring(at + 1));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return all;
  }
}
