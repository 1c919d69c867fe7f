package pied.core.catalog;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.Refusal;

/** All articles one can place. Immutable. */
public final class Catalog {
  private final Map<String, Article> articles = new LinkedHashMap<>();
  private final Finder finder;

  public Catalog(Collection<Article> articles) {
    articles.forEach(a -> this.articles.put(a.id(), a));
    finder = new Finder(this.articles.values());
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

  /** Articles that answer a wish, the best first. */
  public List<Article> find(Finder.Wish wish) {
    return finder.find(wish);
  }

  /** Articles that answer a text, of a kind (null or empty for all), the best first. */
  public List<Article> search(String text, String kind) {
    return find(Finder.Wish.of(text, kind));
  }
}
