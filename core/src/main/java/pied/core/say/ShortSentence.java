package pied.core.say;

import java.util.List;
import java.util.function.BiFunction;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;

/**
 * What is said in a word or two of what is selected, and is not written: "lock", "settle".
 *
 * @param reader the edit that is meant for ids of pieces; null if this is no such sentence
 */
public record ShortSentence(BiFunction<Reading, List<String>, Edit> reader)
    implements Sentence<Edit> {
  @Override
  public @Nullable Class<Edit> of() {
    return null;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    Edit e = reader.apply(r, n.selected());
    return e == null ? null : Clause.only(r, n, e);
  }

  @Override
  public void write(Writer w, Edit edit) {
    throw new UnsupportedOperationException("It is not written");
  }
}
