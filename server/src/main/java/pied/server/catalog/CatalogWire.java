package pied.server.catalog;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Clearance;
import pied.core.catalog.Light;
import pied.core.catalog.Mounting;
import pied.core.material.PartLook;
import pied.core.size.Size;
import pied.core.units.LengthUnit;

/** What goes over the wire about the catalog. The web client's types are generated from it. */
public final class CatalogWire {
  private CatalogWire() {}

  /**
   * An article on its card.
   *
   * @param shownAt height of its underside there, metres
   * @param room its clearances in words
   */
  public record ArticleCard(
      String id,
      String name,
      String kind,
      String about,
      Mounting mounting,
      double shownAt,
      Collection<String> standsOn,
      Size size,
      String sizeText,
      String sizingText,
      double weight,
      @Nullable Light light,
      List<Clearance> clearances,
      List<String> room,
      Map<String, PartLook> finishes) {
    public static ArticleCard of(Article a, LengthUnit u) {
      return new ArticleCard(
          a.id(),
          a.name(),
          a.kind(),
          a.about(),
          a.mounting(),
          a.shownAt(),
          a.standsOn(),
          a.size(),
          a.size().text(u),
          a.sizing().words().in(u),
          a.weight(),
          a.light(),
          a.clearances(),
          a.clearances().stream().map(c -> c.words(u)).toList(),
          PartLook.of(a.finishes()));
    }
  }

  /**
   * A kind and how many articles it has.
   *
   * @param article one of them, as a picture of the kind
   * @param size of that
   */
  public record KindCount(String kind, int count, String article, Size size) {
    static KindCount of(String kind, List<Article> all) {
      Article first = all.get(0);
      return new KindCount(kind, all.size(), first.id(), first.size());
    }
  }

  /**
   * The catalog as asked for.
   *
   * @param kinds with their counts, from the general to the particular, whatever kind was asked for
   * @param found how many there are, also beyond those given
   */
  public record CatalogPage(List<ArticleCard> articles, List<KindCount> kinds, int found) {}

  /** A line drawing of a shape. */
  public record Drawing(pied.core.drawing.LineDrawing lines) {}
}
