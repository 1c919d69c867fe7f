package pied.core.say;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;

/**
 * What a sentence was understood as.
 *
 * @param edits it makes, in their order; none if it cannot be read
 * @param words what was understood, to be read, typed into and chosen from
 * @param selected ids of the pieces it is about
 * @param next with what it could go on, from {@code at}
 * @param at where it could be read up to
 * @param wrong why it cannot be read on from there; null if it can
 */
public record Understood(
    List<Edit> edits,
    List<Phrase> words,
    List<String> selected,
    List<Next> next,
    int at,
    @Nullable String wrong) {
  /**
   * What could stand next.
   *
   * @param literal whether it is to be put in as it is; else it says what is to be typed there
   */
  public record Next(String text, boolean literal) {}
}
