package pied.core.say;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** The register of sentences: what is not in it cannot be said. */
public final class Sentences {
  static final List<Sentence<?>> ALL =
      List.of(
          new LineUpSentence(),
          new SpaceOutSentence(),
          new TwinSentence(),
          new TurnSentence(),
          new OntoSentence(),
          new MoveSentence(),
          new PlainSentence(),
          new SizeSentence(),
          new RowSentence(),
          new RingSentence(),
          new TrailSentence(),
          new ScatterSentence(),
          new PlaceSentence());

  private Sentences() {}

  /**
   * An edit in words, with all that can be typed and chosen in it; null if there is no sentence for
   * edits of its sort.
   */
  public static @Nullable List<Phrase> write(Space space, Edit edit, LengthUnit unit) {
    for (Sentence<?> s : ALL) {
      if (s.of().isInstance(edit)) {
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
