package pied.core.propose;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.point.Pointed;
import pied.core.point.Pull;
import pied.core.register.Begin;
import pied.core.units.Refusal;

/**
 * What is asked before it is done: of edits, of a verb, or of a sentence, one of the three.
 *
 * @param edits that are tried, or are proposed already
 * @param begin a verb that begins
 * @param text a sentence
 * @param pieces that are selected: a verb or a sentence is for them, the lead last
 * @param point what was clicked: alters the one edit, or is what the verb begins with
 * @param pull a piece of the one edit that is pulled
 * @param back whether the last point that was clicked is taken back
 * @param inHand whether the edits are of what is pulled or put in, which its caption says: they are
 *     not written as a sentence
 */
public record Question(
    @Nullable List<Edit> edits,
    @Nullable Begin begin,
    @Nullable String text,
    List<String> pieces,
    @Nullable Pointed point,
    @Nullable Pull pull,
    boolean back,
    boolean inHand) {
  /**
   * @throws Refusal if it is of nothing, or of several things
   */
  public Question {
    int of = (edits == null ? 0 : 1) + (begin == null ? 0 : 1) + (text == null ? 0 : 1);
    if (of != 1) {
      throw new Refusal(
          of == 0
              ? "The request has no edits."
              : "Ask of edits, a verb or a sentence, not of several.");
    }
    if (edits != null && (edits.isEmpty() || edits.stream().anyMatch(e -> e == null))) {
      throw new Refusal("The request has no edits.");
    }
    if (edits != null && edits.size() > 1 && (point != null || pull != null || back)) {
      throw new Refusal("A click or a pull is for one edit, not for {}.", edits.size());
    }
    edits = edits == null ? null : List.copyOf(edits);
    pieces = pieces == null ? List.of() : List.copyOf(pieces);
  }

  /** Of edits. */
  public static Question of(List<Edit> edits) {
    return new Question(edits, null, null, List.of(), null, null, false, false);
  }

  /** Of a sentence. */
  public static Question of(String text, List<String> pieces) {
    return new Question(null, null, text, pieces, null, null, false, false);
  }
}
