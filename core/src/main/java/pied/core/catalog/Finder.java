package pied.core.catalog;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import pied.core.Nullable;
import pied.core.Tolerance;

/**
 * Finds articles by what people type: beginnings of words, plurals, small slips of the keys and
 * other words for the same thing all count. Immutable; safe for threads.
 */
public final class Finder {
  /** Words that mean much the same to those who look. */
  private static final List<Set<String>> SAME =
      List.of(
          Set.of("sofa", "couch", "settee"),
          Set.of("cupboard", "cabinet", "closet"),
          Set.of("rug", "carpet", "mat"),
          Set.of("curtain", "drape", "drapery"),
          Set.of("lamp", "light"),
          Set.of("picture", "painting"),
          Set.of("wardrobe", "closet", "armoire"),
          Set.of("fridge", "refrigerator"),
          Set.of("sink", "basin"),
          Set.of("cooker", "stove", "oven"),
          Set.of("person", "figure"),
          Set.of("bin", "basket"),
          Set.of("screen", "monitor", "display"),
          Set.of("step", "stair"),
          Set.of("chest", "trunk", "box"));

  private static final double NAME = 3;
  private static final double WORDS = 2;
  private static final double KIND = 1;

  private record Posting(int article, double weight) {}

  private final List<Article> articles;
  private final TreeMap<String, List<Posting>> index = new TreeMap<>();

  public Finder(Collection<Article> all) {
    articles = List.copyOf(all);
    for (int i = 0; i < articles.size(); i++) {
      Article a = articles.get(i);
      Map<String, Double> weights = new HashMap<>();
      add(weights, a.kind(), KIND);
      a.words().forEach(w -> add(weights, w, WORDS));
      add(weights, a.name(), NAME);
      int at = i;
      weights.forEach(
          (word, weight) ->
              index.computeIfAbsent(word, k -> new ArrayList<>()).add(new Posting(at, weight)));
    }
  }

  private static void add(Map<String, Double> weights, String text, double weight) {
    for (String word : words(text)) {
      weights.merge(word, weight, Math::max);
    }
  }

  /**
   * What is looked for.
   *
   * @param kind only this kind and what is below it; null or empty for all
   * @param mounting null for any
   * @param fits no larger than this in any direction; NaN where there is no limit
   */
  public record FinderWish(String text, String kind, Mounting mounting, double[] fits) {
    public static FinderWish of(String text, String kind) {
      return new FinderWish(text, kind, null, null);
    }
  }

  /** Articles that answer a wish, the best first; without a text in the order of the catalog. */
  public List<Article> find(FinderWish wish) {
    List<String> typed = words(wish.text() == null ? "" : wish.text());
    double[] scores = new double[articles.size()];
    if (!typed.isEmpty()) {
      for (int t = 0; t < typed.size(); t++) {
        double[] one = scores(typed.get(t));
        for (int i = 0; i < scores.length; i++) {
          // every word must be answered
          scores[i] = one[i] == 0 || t > 0 && scores[i] == 0 ? 0 : scores[i] + one[i];
        }
      }
    }
    record FoundArticle(Article article, double score) {}
    List<FoundArticle> found = new ArrayList<>();
    for (int i = 0; i < scores.length; i++) {
      if ((typed.isEmpty() || scores[i] > 0) && allowed(articles.get(i), wish)) {
        found.add(new FoundArticle(articles.get(i), scores[i]));
      }
    }
    found.sort(Comparator.comparingDouble(f -> -f.score));
    return found.stream().map(FoundArticle::article).toList();
  }

  /**
   * Articles that a text names by whole words, singular or plural, the best first: what they are,
   * the last word of their names, or another word for it is in the text. No slip and no beginning
   * of a word counts, and no article of another project.
   *
   * @param project whose own articles count, too; null for none
   */
  List<Article> called(String text, @Nullable String project) {
    Set<String> said = new HashSet<>(words(text));
    SAME.stream().filter(s -> s.stream().anyMatch(said::contains)).toList().forEach(said::addAll);
    record CalledArticle(Article article, double score) {}
    List<CalledArticle> found = new ArrayList<>();
    for (Article a : articles) {
      if (a.project() == null || a.project().equals(project)) {
        double score = called(a, said);
        if (score > 0) {
          found.add(new CalledArticle(a, score));
        }
      }
    }
    found.sort(Comparator.comparingDouble(f -> -f.score));
    return found.stream().map(CalledArticle::article).toList();
  }

  private static double called(Article a, Set<String> said) {
    List<String> own = words(a.name()).stream().filter(w -> !w.matches("\\d+")).toList();
    boolean noun = !own.isEmpty() && said.contains(own.get(own.size() - 1));
    boolean other =
        a.words().stream().map(Finder::words).anyMatch(w -> !w.isEmpty() && said.containsAll(w));
    if (!noun && !other) {
      return 0;
    }
    long shared = own.stream().filter(said::contains).count();
    return (noun ? NAME : WORDS) + shared - 0.1 * (own.size() - shared);
  }

  private static boolean allowed(Article a, FinderWish wish) {
    String kind = wish.kind();
    if (kind != null && !kind.isEmpty() && !(a.kind() + "/").startsWith(kind + "/")) {
      return false;
    }
    if (wish.mounting() != null && a.mounting() != wish.mounting()) {
      return false;
    }
    double[] fits = wish.fits();
    return fits == null
        || smallEnough(a.size().width(), a.sizing().width(), fits[0])
            && smallEnough(a.size().depth(), a.sizing().depth(), fits[1])
            && smallEnough(a.size().height(), a.sizing().height(), fits[2]);
  }

  /** It fits as it is; what would fit only if it were made smaller is not offered. */
  private static boolean smallEnough(double natural, Sizing.SizingRule rule, double most) {
    return Double.isNaN(most) || Math.min(natural, rule.most()) <= most + Tolerance.SAME;
  }

  private double[] scores(String typed) {
    double[] scores = new double[articles.size()];
    credit(scores, typed, 1);
    for (Set<String> same : SAME) {
      if (same.contains(typed)) {
        same.forEach(other -> credit(scores, other, other.equals(typed) ? 1 : 0.6));
      }
    }
    boolean any = false;
    for (double s : scores) {
      any |= s > 0;
    }
    if (!any) {
      slips(scores, typed);
    }
    return scores;
  }

  private void credit(double[] scores, String word, double share) {
    // all words that begin with it stand together
    for (Map.Entry<String, List<Posting>> e :
        index.subMap(word, true, word + Character.MAX_VALUE, false).entrySet()) {
      double whole = e.getKey().equals(word) ? 1 : 0.7;
      for (Posting p : e.getValue()) {
        scores[p.article] = Math.max(scores[p.article], p.weight * share * whole);
      }
    }
  }

  /**
   * Words that differ from the typed one, or from as much of them as was typed, by a slip or two.
   */
  private void slips(double[] scores, String typed) {
    int allowed = typed.length() >= 7 ? 2 : typed.length() >= 4 ? 1 : 0;
    if (allowed == 0) {
      return;
    }
    for (Map.Entry<String, List<Posting>> e : index.entrySet()) {
      String word = e.getKey();
      String begin = word.length() > typed.length() + 1 ? word.substring(0, typed.length()) : word;
      int slips = Math.min(distance(typed, word, allowed), distance(typed, begin, allowed));
      if (slips <= allowed) {
        for (Posting p : e.getValue()) {
          scores[p.article] = Math.max(scores[p.article], p.weight * (0.4 - 0.1 * slips));
        }
      }
    }
  }

  /**
   * How many letters must be put in, left out, changed or exchanged with their neighbour to make
   * one word of the other (Damerau 1964, in the form of optimal string alignment).
   *
   * @return more than {@code most} if it is more than that
   */
  static int distance(String a, String b, int most) {
    if (Math.abs(a.length() - b.length()) > most) {
      return most + 1;
    }
    int[][] d = new int[a.length() + 1][b.length() + 1];
    for (int i = 0; i <= a.length(); i++) {
      d[i][0] = i;
    }
    for (int j = 0; j <= b.length(); j++) {
      d[0][j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      int least = Integer.MAX_VALUE;
      for (int j = 1; j <= b.length(); j++) {
        int same = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
        d[i][j] = Math.min(Math.min(d[i - 1][j] + 1, d[i][j - 1] + 1), d[i - 1][j - 1] + same);
        if (i > 1
            && j > 1
            && a.charAt(i - 1) == b.charAt(j - 2)
            && a.charAt(i - 2) == b.charAt(j - 1)) {
          d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
        }
        least = Math.min(least, d[i][j]);
      }
      if (least > most) {
        return most + 1;
      }
    }
    return d[a.length()][b.length()];
  }

  /** The articles of some by every kind they are of, from the general to the particular. */
  public static Map<String, List<Article>> kinds(Collection<Article> some) {
    TreeMap<String, List<Article>> of = new TreeMap<>();
    for (Article a : some) {
      for (int cut = a.kind().indexOf('/'); ; cut = a.kind().indexOf('/', cut + 1)) {
        String kind = cut < 0 ? a.kind() : a.kind().substring(0, cut);
        of.computeIfAbsent(kind, k -> new ArrayList<>()).add(a);
        if (cut < 0) {
          break;
        }
      }
    }
    return new LinkedHashMap<>(of);
  }

  /** The words of a text without accents and in the singular. */
  static List<String> words(String text) {
    String plain =
        Normalizer.normalize(text.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
            .replaceAll("\\p{M}", "")
            .replaceAll("[^a-z0-9]+", " ")
            .strip();
    return plain.isEmpty()
        ? List.of()
        : java.util.Arrays.stream(plain.split(" "))
            .map(Finder::singular)
            .collect(Collectors.toList());
  }

  private static String singular(String w) {
    if (w.length() > 4 && w.endsWith("ies")) {
      return w.substring(0, w.length() - 3) + "y";
    }
    if (w.length() > 4 && (w.endsWith("shes") || w.endsWith("ches") || w.endsWith("xes"))) {
      return w.substring(0, w.length() - 2);
    }
    if (w.length() > 4 && w.endsWith("lves")) {
      return w.substring(0, w.length() - 3) + "f";
    }
    return w.length() > 3 && w.endsWith("s") && !w.endsWith("ss") && !w.endsWith("us")
        ? w.substring(0, w.length() - 1)
        : w;
  }
}
