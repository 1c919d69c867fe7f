package pied.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.space.PartName;

/**
 * The ways along which something goes, in words: those of an edit, and along each wall.
 *
 * @param words of all but the way along a wall
 * @param wall the way along a wall
 */
public record Ways<L extends Enum<L>>(Map<L, String> words, L wall) {
  /**
   * Reads one.
   *
   * @param with the edit with a way, and the name of the wall or null
   * @return null if none is said here
   */
  @Nullable
  public <E> E read(Reading r, Nouns n, BiFunction<L, String, E> with) {
    for (Map.Entry<L, String> l : words.entrySet()) {
      if (r.is(l.getValue())) {
        return with.apply(l.getKey(), null);
      }
    }
    String name = r.is("along") ? n.wall() : null;
    return name == null ? null : with.apply(wall, "wall:" + name);
  }

  /** One of them as it is read. */
  public String text(L way, @Nullable String of) {
    return way == wall ? "along wall " + PartName.read(of).id() : words.get(way);
  }

  /** All there are, with the edits that take them. */
  public Phrase.Option[] options(Writer w, BiFunction<L, String, Edit> with) {
    List<Phrase.Option> all = new ArrayList<>();
    words.forEach((l, t) -> all.add(new Phrase.Option(t, with.apply(l, null))));
    for (String name : Nouns.walls(w.shell)) {
      all.add(new Phrase.Option("along wall " + name, with.apply(wall, "wall:" + name)));
    }
    return all.toArray(Phrase.Option[]::new);
  }
}
