package pied.core.tool.size;

import pied.core.Nullable;
import pied.core.catalog.Article;

/**
 * How one goes about with what is selected, which the edits of the caption take up.
 *
 * @param at whether it is being sized or turned; null for neither
 * @param hold the mark that stays while it is sized; null for the usual one
 * @param about the mark it is turned about; null for the middle of its foot
 * @param together measures that keep their proportions; null for the usual
 * @param alongSpace whether it is measured across, up and deep in the space
 * @param mark the mark of the box about several at which their place is read; null for the middle
 *     of its underside
 */
public record Handling(
    @Nullable HandlingAt at,
    @Nullable String hold,
    @Nullable String about,
    @Nullable Together together,
    boolean alongSpace,
    @Nullable String mark) {
  /** What is being done. */
  public enum HandlingAt {
    size,
    turn
  }

  public static final Handling NONE = new Handling(null, null, null, null, false, null);

  /** Which measures of an article go together. */
  public Together together(Article a) {
    return Together.of(usually(), a);
  }

  /** As it was set, the usual if it was not. */
  public Together usually() {
    return together == null ? Together.usual : together;
  }
}
