package pied.core.caption;

import java.util.Arrays;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.size.Together;

/**
 * How one goes about with what is selected, which the edits of the caption take up.
 *
 * @param at whether it is being sized or turned; null for neither
 * @param hold the mark that stays while it is sized; null for the usual one
 * @param about the mark it is turned about; null for the middle of its foot
 * @param together measures that keep their proportions, a {@link Together} or "none"; null for the
 *     usual: all of what was brought in, none of an article with a recipe
 * @param alongSpace whether it is measured across, up and deep in the space
 */
public record Handling(
    @Nullable At at,
    @Nullable String hold,
    @Nullable String about,
    @Nullable String together,
    boolean alongSpace) {
  /** What is being done. */
  public enum At {
    size,
    turn
  }

  public static final Handling NONE = new Handling(null, null, null, null, false);

  /** The measures of an article that keep their proportions, or null for none. */
  @Nullable
  Together together(Article a) {
    if (together == null || together.isEmpty()) {
      return a.project() == null ? null : Together.all;
    }
    return Arrays.stream(Together.values())
        .filter(t -> t.name().equals(together))
        .findFirst()
        .orElse(null);
  }
}
