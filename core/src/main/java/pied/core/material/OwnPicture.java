package pied.core.material;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;

/**
 * A picture somebody brought, as a material. Its name says all there is to know of it but its dots:
 * what it shows, as a number made of it, its size, whether its edges are made to fit one another,
 * and what it is called.
 *
 * @param wide dots, as it was kept
 * @param high dots
 * @param seamless whether it goes on into itself at its edges ({@link Seamless})
 * @param called as people call it, in letters, digits and hyphens; empty for nothing
 */
public record OwnPicture(String print, int wide, int high, boolean seamless, String called) {
  private static final Pattern NAME =
      Pattern.compile(
          "picture-([0-9a-f]{24})-([1-9]\\d{0,3})x([1-9]\\d{0,3})(-seamless)?"
              + "(?:_([\\p{L}\\p{M}\\p{N}-]{1,48}))?");

  /** Longest name it is called by, letters. */
  private static final int LONGEST = 48;

  /** How wide one is on the shell until somebody says how wide it truly is, metres. */
  static final double WIDE = 0.5;

  private static final String COLOUR = "#B9B2A6";

  /** The one of this name; null if it is no such name. */
  public static @Nullable OwnPicture named(@Nullable String id) {
    if (id == null || !id.startsWith("picture-")) {
      return null;
    }
    Matcher m = NAME.matcher(id);
    if (!m.matches()) {
      return null;
    }
    int wide = Integer.parseInt(m.group(2));
    int high = Integer.parseInt(m.group(3));
    String called = m.group(5) == null ? "" : m.group(5);
    return new OwnPicture(m.group(1), wide, high, m.group(4) != null, called);
  }

  /** What of a name can be in that of a material: harbour (2).jpg is harbour-2. */
  static String callable(String name) {
    String bare = name.replaceFirst("\\.[A-Za-z]{2,5}$", "");
    String all = bare.replaceAll("[^\\p{L}\\p{M}\\p{N}]+", "-").replaceAll("^[-\\p{M}]+|-+$", "");
    int end = all.offsetByCodePoints(0, Math.min(LONGEST / 2, all.codePointCount(0, all.length())));
    return all.substring(0, end).replaceAll("-+$", "");
  }

  /** The name of it as a material. */
  public String id() {
    return "picture-"
        + print
        + "-"
        + wide
        + "x"
        + high
        + (seamless ? "-seamless" : "")
        + (called.isEmpty() ? "" : "_" + called);
  }

  /** The same, its edges made to fit one another or not. */
  public OwnPicture seamless(boolean so) {
    return new OwnPicture(print, wide, high, so, called);
  }

  /** What it is called in a sentence. */
  String said() {
    return called.isEmpty() ? "own picture" : "picture “" + called.replace('-', ' ') + "”";
  }

  /** How wide a repeat is of one that is so wide, metres. */
  double repeatWide(double width) {
    return seamless ? width * Seamless.left(wide) / wide : width;
  }

  /** How high a repeat is of one that is so wide, metres. */
  double repeatHigh(double width) {
    return width * (seamless ? Seamless.left(high) : high) / wide;
  }

  Material material() {
    Finish f = new Finish(COLOUR, 0.7, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, id(), Laying.USUAL);
    String name = Character.toUpperCase(said().charAt(0)) + said().substring(1);
    return new Material(id(), name, "pictures", List.of(), f, COLOUR, null, false);
  }
}
