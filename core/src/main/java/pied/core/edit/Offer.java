package pied.core.edit;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import pied.core.Nullable;

/**
 * Something one may want done next: in words, and the edits that do it.
 *
 * @param step instead of edits: how a step through the history is to be taken that could not be
 *     taken as it was asked for
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Offer(String words, List<Edit> edits, @Nullable OfferStep step) {
  /** How a step through the history is taken where others changed the same since. */
  public enum OfferStep {
    /** What is still possible of an undo. */
    undoPossible,
    /** All that came since is undone too. */
    undoTogether,
    /** What is still possible of a redo. */
    redoPossible
  }

  public Offer(String words, List<Edit> edits) {
    this(words, edits, null);
  }

  public Offer(String words, OfferStep step) {
    this(words, List.of(), step);
  }
}
