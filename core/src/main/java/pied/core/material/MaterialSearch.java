package pied.core.material;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import pied.core.Nullable;

/** Finds materials by words, also with a colour among them: "dark green velvet". */
public final class MaterialSearch {
  private MaterialSearch() {}

  /**
   * What fits a text.
   *
   * @param colour that is said in it, in which they are wanted; null for as they come
   */
  public record MaterialsFound(List<Material> materials, @Nullable String colour) {
    /** One of them as it is wanted. */
    public Finish finish(Material m) {
      return colour == null ? m.finish() : m.finish().withColour(colour);
    }
  }

  /**
   * Materials with all words of a text in their name, kind or other words, or beginning so; those
   * whose name has them come first. All of them for no text.
   */
  public static MaterialsFound of(String text) {
    List<String> words = words(text);
    List<Material> all = holding(words);
    if (!all.isEmpty()) {
      return new MaterialsFound(all, null);
    }
    for (int n = words.size() - 1; n > 0; n--) { // as many words as make a colour
      for (int i = 0; i + n <= words.size(); i++) {
        String colour = Colours.read(String.join(" ", words.subList(i, i + n)));
        List<String> rest = new ArrayList<>(words);
        rest.subList(i, i + n).clear();
        List<Material> found = colour == null ? List.of() : holding(rest);
        if (!found.isEmpty()) {
          return new MaterialsFound(found, colour);
        }
      }
    }
    return new MaterialsFound(List.of(), null);
  }

  private static List<String> words(String text) {
    List<String> words = new ArrayList<>();
    for (String w : text.strip().toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}#-]+")) {
      if (!w.isEmpty() && words.size() < 12) {
        words.add(w);
      }
    }
    return words;
  }

  private static List<Material> holding(List<String> words) {
    List<Material> named = new ArrayList<>();
    List<Material> others = new ArrayList<>();
    for (Material m : Materials.shipped()) {
      if (holds(m.name(), words)) {
        named.add(m);
      } else if (holds(m.name() + " " + m.kind() + " " + String.join(" ", m.words()), words)) {
        others.add(m);
      }
    }
    named.addAll(others);
    return named;
  }

  private static boolean holds(String text, List<String> words) {
    String all = " " + text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ");
    return words.stream()
        .allMatch(w -> all.contains(" " + w.replace('-', ' ')) || all.contains(" " + one(w)));
  }

  /** One of several. */
  private static String one(String word) {
    return word.endsWith("s") && word.length() > 3 ? word.substring(0, word.length() - 1) : word;
  }
}
