package pied.core.tool.size;

import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.size.Measure;
import pied.core.size.Size;

/** Which measures keep their proportions to each other. */
public enum Together {
  /** All of what was brought in, none of an article with a recipe. */
  usual,
  none,
  all,
  widthDepth,
  widthHeight,
  depthHeight;

  /** What is meant for an article. */
  public static Together of(@Nullable Together t, Article a) {
    if (t == usual) {
      return a.project() == null ? none : all;
    }
    return t == null ? none : t;
  }

  boolean ties(Measure m) {
    return switch (this) {
      case usual, none -> false;
      case all -> true;
      case widthDepth -> m != Measure.height;
      case widthHeight -> m != Measure.depth;
      case depthHeight -> m != Measure.width;
    };
  }

  /**
   * What is asked for, with what follows from it: of the measures that go together those that were
   * not asked for grow as the first that was.
   *
   * @param asked by {@link Measure}, NaN where nothing was said
   */
  double[] follow(Size now, double[] asked) {
    double[] all = asked.clone();
    double factor = Double.NaN;
    for (Measure m : Measure.values()) {
      if (ties(m) && Double.isNaN(factor)) {
        factor = asked[m.ordinal()] / m.of(now);
      }
    }
    for (Measure m : Measure.values()) {
      if (ties(m) && Double.isNaN(all[m.ordinal()])) {
        all[m.ordinal()] = factor * m.of(now);
      }
    }
    return all;
  }
}
