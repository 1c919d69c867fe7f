package pied.core.catalog;

import java.util.Locale;
import pied.core.units.Refusal;

/**
 * A finish part of an article and how it looks unless changed.
 *
 * @param name what people call the part
 * @param colour as #RRGGBB
 * @param rough 0 polished to 1 matt
 * @param glow 0 for none to 1, for lampshades
 */
public record Finish(String name, String colour, double rough, double glow) {
  /**
   * A colour as it is kept.
   *
   * @throws Refusal if it is none
   */
  public static String colour(String colour) {
    if (colour == null || !colour.matches("#[0-9A-Fa-f]{6}")) {
      throw new Refusal("A colour is written as #RRGGBB, such as #B4674B.");
    }
    return colour.toUpperCase(Locale.ROOT);
  }
}
