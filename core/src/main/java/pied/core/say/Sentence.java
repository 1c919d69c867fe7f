package pied.core.say;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;

/** A sort of sentence: how an edit is read, and how it is written. */
public interface Sentence<E extends Edit> {
  /** The edit that is written so; null where none is. */
  @Nullable
  Class<E> of();

  /** Reads it from its first word; null if this is no such sentence. */
  @Nullable
  List<Edit> read(Reading r, Nouns n);

  /** Writes it, with what can be typed and chosen in it. */
  void write(Writer w, E edit);
}
