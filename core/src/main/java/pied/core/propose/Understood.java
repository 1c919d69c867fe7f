package pied.core.propose;

import java.util.List;
import java.util.function.Supplier;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.Ids;
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
 * @param ids of what its sentences made, as far as later ones speak of that
 * @param parts of which of its sentences each edit is, from 1
 */
public record Understood(
    List<Edit> edits,
    List<Phrase> words,
    List<String> selected,
    List<SayNext> next,
    int at,
    @Nullable String wrong,
    List<String> ids,
    List<Integer> parts) {
  /** Of what makes nothing on the way. */
  public Understood(
      List<Edit> edits,
      List<Phrase> words,
      List<String> selected,
      List<SayNext> next,
      int at,
      @Nullable String wrong) {
    this(edits, words, selected, next, at, wrong, List.of(), List.of());
  }

  /** Makes the ids that were made on the way to understanding it, and others after them. */
  public Supplier<String> ids(Supplier<String> more) {
    return Ids.again(ids, more);
  }

  /**
   * How one of the edits is called in a refusal: by the sentence it is of, if there are several.
   */
  public String called(int edit) {
    return Chain.called(parts, edit);
  }

  /**
   * What could stand next.
   *
   * @param literal whether it is to be put in as it is; else it says what is to be typed there
   */
  public record SayNext(String text, boolean literal) {}
}
