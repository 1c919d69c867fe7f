package pied.core.material;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;

/**
 * A picture somebody brought, as a material. Its name says all there is to know of it but its dots:
 * what it shows, as a number made of it, and its size.
 *
 * @param wide dots
 * @param high dots
 */
public record OwnPicture(String print, int wide, int high) {
  private static final Pattern NAME =
      Pattern.compile("picture-([0-9a-f]{24})-([1-9]\\d{0,3})x([1-9]\\d{0,3})");

  /** How wide one is until somebody says how wide it truly is, metres. */
  static final double WIDE = 0.5;

  private static final String COLOUR = "#B9B2A6";

  /** The one of this name; null if it is no such name. */
  public static @Nullable OwnPicture named(@Nullable String id) {
    Matcher m = NAME.matcher(id == null ? "" : id);
    return m.matches()
        ? new OwnPicture(m.group(1), Integer.parseInt(m.group(2)), Integer.parseInt(m.group(3)))
        : null;
  }

  /** The name of it as a material. */
  public String id() {
    return "picture-" + print + "-" + wide + "x" + high;
  }

  Material material() {
    Finish f = new Finish(COLOUR, 0.7, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, id(), Laying.USUAL);
    return new Material(id(), "Own picture", "pictures", List.of(), f, COLOUR, null, false);
  }
}
