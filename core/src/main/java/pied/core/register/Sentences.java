package pied.core.register;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.say.Sentence;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** The sorts of sentences of all tools there are: what is not among them cannot be said. */
public final class Sentences {
  private static final List<Sentence<?>> ALL =
      Tools.ALL.stream().<Sentence<?>>flatMap(t -> t.sentences().stream()).toList();

  private Sentences() {}

  /** All of them, in the order in which they are tried. */
  public static List<Sentence<?>> all() {
    return ALL;
  }

  /**
   * An edit in words, with all that can be typed and chosen in it; null if there is no sentence for
   * edits of its sort.
   */
  public static @Nullable List<Phrase> write(Space space, Edit edit, LengthUnit unit) {
    for (Sentence<?> s : ALL) {
      if (s.of() != null && s.of().isInstance(edit)) {
        Writer w = new Writer(space, unit);
        write(w, s, edit);
        return w.out;
      }
    }
    return null;
  }

  private static <E extends Edit> void write(Writer w, Sentence<E> s, Edit edit) {
    s.write(w, s.of().cast(edit));
  }
}
