package pied.core.model;

import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.catalog.Sizing;
import pied.core.material.FinishPart;
import pied.core.recipe.Buildable;
import pied.core.size.Size;

/**
 * What is known of an article that a project brought in: from a model file or from a supplier.
 *
 * @param kind its place in the tree of kinds
 * @param about where it is from; may be empty
 * @param onTops whether it may also stand on tops
 * @param size its natural size
 * @param weight kg; 0 if not known
 */
public record Brought(
    String id,
    String project,
    String name,
    String kind,
    String about,
    Mounting mounting,
    boolean onTops,
    Size size,
    Map<String, FinishPart> finishes,
    double weight) {
  /** Kind of what was put together from pieces. */
  public static final String TOGETHER = "own/put together";

  /** Kind of what came from a file. */
  public static final String KIND = "own/brought in";

  /** The article, sized by stretching. */
  public Article article(Buildable shape) {
    Sizing.SizingRule free = new Sizing.Free(Tolerance.HAIR, Size.MOST);
    return new Article(
        id,
        name,
        kind,
        List.of(),
        about,
        mounting,
        onTops ? Set.of("floor", "tops") : Set.of("floor"),
        true,
        0.9,
        Double.NaN,
        size,
        new Sizing(free, free, free, Set.of()),
        finishes,
        weight,
        0,
        "",
        null,
        List.of(),
        shape,
        project);
  }
}
