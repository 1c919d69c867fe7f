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
import pied.core.Nullable;
import pied.core.units.Refusal;

/** All articles one can place; others may be added. Safe for threads. */
public final class Catalog {
  private volatile Map<String, Article> articles;
  private volatile Finder finder;

  public Catalog(Collection<Article> articles) {
    Map<String, Article> all = new LinkedHashMap<>();
    articles.forEach(a -> all.put(a.id(), a));
    this.articles = all;
    finder = new Finder(all.values());
  }

  /** Adds articles that were brought in; they stand before those that ship with Pied. */
  public synchronized void add(Collection<Article> more) {
    Map<String, Article> all = new LinkedHashMap<>();
    more.forEach(a -> all.put(a.id(), a));
    articles.forEach(all::putIfAbsent);
    finder = new Finder(all.values());
    articles = all;
  }

  /** Takes articles out of it. */
  public synchronized void remove(Collection<String> ids) {
    Map<String, Article> all = new LinkedHashMap<>(articles);
    all.keySet().removeAll(ids);
    finder = new Finder(all.values());
    articles = all;
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
      throw new Refusal("There is no article “{}” in the catalog.", shown);
    }
    return a;
  }

  /** Articles that answer a wish, the best first. */
  public List<Article> find(Finder.FinderWish wish) {
    return finder.find(wish);
  }

  /** Articles that answer a text, of a kind (null or empty for all), the best first. */
  public List<Article> search(String text, String kind) {
    return find(Finder.FinderWish.of(text, kind));
  }

  /** Articles that a text names by whole words; see {@link Finder#called}. */
  public List<Article> called(String text, @Nullable String project) {
    return finder.called(text, project);
  }
}
