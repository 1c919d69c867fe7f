package pied.core.material;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Finds materials by words. */
public final class MaterialSearch {
  private MaterialSearch() {}

  /**
   * Materials with all words of a text in their name, kind or other words, or beginning so; those
   * whose name has them come first. All of them for no text; colours in it are passed over.
   */
  public static List<Material> of(String text) {
    List<String> words = new ArrayList<>();
    for (String w : text.strip().toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+")) {
      if (!w.isEmpty()) {
        words.add(w.endsWith("s") && w.length() > 3 ? w.substring(0, w.length() - 1) : w);
      }
    }
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
    return words.stream().allMatch(w -> all.contains(" " + w));
  }
}
