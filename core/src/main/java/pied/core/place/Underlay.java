package pied.core.place;

import pied.core.catalog.Article;
import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.space.Space;

/**
 * What is thin and lies flat on the floor, such as rugs and mats: all else may stand on it or half
 * on it, and it goes under what stands there, as soft as it is.
 */
public final class Underlay {
  private Underlay() {}

  /** Whether two things may be in the same place, since one of them lies flat under the other. */
  public static boolean lets(Space space, Article article, Body other) {
    if (!space.has(other.id())) {
      return false;
    }
    Article there = space.article(space.piece(other.id()));
    return article.liesFlat() != there.liesFlat();
  }

  /** The same of a piece. */
  public static boolean lets(Space space, Piece piece, Body other) {
    return lets(space, space.article(piece), other);
  }
}
