package pied.core.material;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;
import pied.core.material.pattern.Tile;

/**
 * The names under which what a tile shows is had, such as {@code
 * tiles/1/oak-planks/0.001/B98B5A-3A2A1A.png}; they are read without what is the same in all.
 *
 * @param joint how wide the joints are in the pattern's own size, metres
 */
record TileName(String material, double joint) {
  private static final Pattern NAME =
      Pattern.compile(
          "([a-z0-9-]{1,60})/(\\d(?:\\.\\d{1,6})?)/"
              + "(?:([0-9A-F]{6})-([0-9A-F]{6})(-small)?|normals|r(\\d{1,3})-(\\d{1,3}))");

  /** What is asked for under a name. */
  record Wanted(
      TileName tile,
      @Nullable String first,
      @Nullable String second,
      boolean small,
      int rough,
      int metal) {}

  /** Reads a name; null if it is none. */
  static @Nullable Wanted read(String name) {
    Matcher m = NAME.matcher(name);
    if (!m.matches()) {
      return null;
    }
    TileName tile = new TileName(m.group(1), Double.parseDouble(m.group(2)));
    String first = m.group(3) == null ? null : "#" + m.group(3);
    String second = m.group(4) == null ? null : "#" + m.group(4);
    int rough = m.group(6) == null ? -1 : Integer.parseInt(m.group(6));
    int metal = m.group(7) == null ? 0 : Integer.parseInt(m.group(7));
    return new Wanted(tile, first, second, m.group(5) != null, rough, metal);
  }

  /** All names begin with this. */
  static final String TILES = "tiles/" + Tile.VERSION + "/";

  static final String ENDING = ".png";

  private String of(String what) {
    String wide = String.format(Locale.ROOT, "%.6f", joint).replaceAll("\\.?0+$", "");
    return TILES + material + "/" + wide + "/" + what + ENDING;
  }

  private static String colour(String first, String second) {
    return first.substring(1) + "-" + second.substring(1);
  }

  String colours(String first, String second) {
    return of(colour(first, second));
  }

  /** As small as one chooses by. */
  String sample(String first, String second) {
    return of(colour(first, second) + "-small");
  }

  String normals() {
    return of("normals");
  }

  /** Hundredths are enough. */
  String roughness(double rough, double metal) {
    return of("r" + Math.round(100 * rough) + "-" + Math.round(100 * metal));
  }
}
