package pied.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pied.core.Nullable;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.Entry;
import pied.core.units.Refusal;

/**
 * The mark or side of a piece that stays where it is while it is sized or turned: on its left (-1),
 * in the middle (0) or on its right (1) and likewise under and on top, behind and in front. What is
 * not said is null.
 */
public record Hold(@Nullable Integer across, @Nullable Integer upright, @Nullable Integer deep) {
  /** Nothing is said. */
  public static final Hold ANY = new Hold(null, null, null);

  /** The middle of its underside. */
  public static final Hold FOOT = new Hold(0, -1, 0);

  /**
   * Reads what holds: sides by their names, such as "under", "left", "left front under"; with
   * "middle" what is not named is the middle, so that "under middle" is the middle of the underside
   * and "middle" the centre.
   *
   * @param text null for nothing said
   * @throws Refusal if it is none
   */
  public static Hold read(@Nullable String text) {
    if (text == null || text.isBlank()) {
      return ANY;
    }
    Integer x = null;
    Integer y = null;
    Integer z = null;
    boolean middle = false;
    for (String word : text.strip().toLowerCase(Locale.ROOT).split("\\s+")) {
      switch (word) {
        case "left" -> x = -1;
        case "right" -> x = 1;
        case "under" -> y = -1;
        case "top" -> y = 1;
        case "back" -> z = -1;
        case "front" -> z = 1;
        case "middle" -> middle = true;
        default ->
            throw new Refusal(
                "“{}” is no mark of a piece; say such as “under”, “left front under” or"
                    + " “middle”.",
                Entry.shown(text));
      }
    }
    Hold h = new Hold(x, y, z);
    return middle ? h.orElse(new Hold(0, 0, 0)) : h;
  }

  /** The mark something is turned about: as it was said, else the middle of its foot. */
  public static Hold pivot(@Nullable String about) {
    return about == null ? FOOT : read(about);
  }

  /** What is not said is as in another. */
  public Hold orElse(Hold other) {
    return new Hold(
        across == null ? other.across : across,
        upright == null ? other.upright : upright,
        deep == null ? other.deep : deep);
  }

  /** What is said of the direction of a measure. */
  @Nullable
  public Integer along(Measure m) {
    return switch (m) {
      case width -> across;
      case depth -> deep;
      case height -> upright;
    };
  }

  /** The same with another end of one direction. */
  public Hold with(Measure m, int end) {
    return new Hold(
        m == Measure.width ? (Integer) end : across,
        m == Measure.height ? (Integer) end : upright,
        m == Measure.depth ? (Integer) end : deep);
  }

  /** Where it is on a piece of a size, in the piece's own frame; what is not said is the middle. */
  public Vec on(Size s) {
    return new Vec(
        end(across) * s.width() / 2,
        (1 + end(upright)) * s.height() / 2,
        end(deep) * s.depth() / 2);
  }

  private static int end(@Nullable Integer v) {
    return v == null ? 0 : v;
  }

  /** As it is read again. */
  public String text() {
    List<String> words = new ArrayList<>();
    name(words, across, "left", "right");
    name(words, deep, "back", "front");
    name(words, upright, "under", "top");
    boolean whole = across != null && deep != null && upright != null;
    if (whole && words.size() < 3) {
      words.add("middle");
    }
    return String.join(" ", words);
  }

  private static void name(List<String> words, Integer v, String low, String high) {
    if (v != null && v != 0) {
      words.add(v < 0 ? low : high);
    }
  }

  /** In words: "the left front corner of its foot", "the middle of its back". */
  public String words() {
    List<String> level = new ArrayList<>();
    name(level, across, "left", "right");
    name(level, deep, "back", "front");
    int y = end(upright);
    if (level.isEmpty()) {
      return y < 0 ? "the middle of its foot" : y > 0 ? "the middle of its top" : "its middle";
    }
    String corner = String.join(" ", level);
    String at = y < 0 ? " of its foot" : y > 0 ? " of its top" : "";
    return level.size() == 2
        ? "the " + corner + (y == 0 ? " edge" : " corner") + at
        : "the middle of " + (y == 0 ? "its " + corner + " side" : "the " + corner + " edge" + at);
  }
}
