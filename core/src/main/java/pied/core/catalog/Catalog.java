package pied.core.catalog;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.Refusal;

/** All articles one can place. Immutable. */
public final class Catalog {
  private final Map<String, Article> articles = new LinkedHashMap<>();

  public Catalog(Collection<Article> articles) {
    articles.forEach(a -> this.articles.put(a.id(), a));
  }

  /** The catalog that ships with Pied. */
  public static Catalog shipped() {
    List<Article> all = new ArrayList<>();
    for (String id : resource("index.txt").split("\\s+")) {
      all.add(ArticleReader.read(id, resource(id + ".yaml")));
    }
    return new Catalog(all);
  }

  private static String resource(String name) {
    try (InputStream in = Catalog.class.getResourceAsStream("/catalog/" + name)) {
      if (in == null) {
        throw new IllegalStateException("The catalog lacks " + name);
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public Collection<Article> all() {
    return articles.values();
  }

  /**
   * The article of this id.
   *
   * @throws Refusal if there is none
   */
  public Article article(String id) {
    Article a = id == null ? null : articles.get(id);
    if (a == null) {
      String shown = id == null ? "" : id.length() > 40 ? id.substring(0, 40) + "…" : id;
      throw new Refusal("There is no article “" + shown + "” in the catalog.");
    }
    return a;
  }

  /**
   * Articles that match every word of a text, by the beginning of a word in name, kind or synonyms;
   * names that match come first. An empty text matches all.
   *
   * @param kind only this kind and what is below it; null or empty for all
   */
  public List<Article> search(String text, String kind) {
    String[] wanted = plain(text == null ? "" : text).split("\\s+");
    List<Article> byName = new ArrayList<>();
    List<Article> others = new ArrayList<>();
    for (Article a : articles.values()) {
      if (kind != null && !kind.isEmpty() && !(a.kind() + "/").startsWith(kind + "/")) {
        continue;
      }
      String name = plain(a.name());
      String all = name + " " + plain(a.kind()) + " " + plain(String.join(" ", a.words()));
      if (matches(name, wanted)) {
        byName.add(a);
      } else if (matches(all, wanted)) {
        others.add(a);
      }
    }
    byName.addAll(others);
    return byName;
  }

  private static boolean matches(String text, String[] wanted) {
    String padded = " " + text;
    for (String w : wanted) {
      if (!padded.contains(" " + w)) {
        return false;
      }
    }
    return true;
  }

  private static String plain(String s) {
    return java.text.Normalizer.normalize(s.toLowerCase(Locale.ROOT), java.text.Normalizer.Form.NFD)
        .replaceAll("\\p{M}", "")
        .replaceAll("[^a-z0-9]+", " ")
        .strip();
  }
}
