package pied.core.tool;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.point.Click;
import pied.core.say.Sentence;
import pied.core.space.Rule;

/**
 * What belongs to one tool, which has a room of its own: its edits, the sentences in which they are
 * said, and what clicks and pulls make of them. The register names all tools.
 */
public interface Tool {
  /** Its edits, each with its name on it. */
  List<Class<? extends Edit>> edits();

  /** Rules that it lays down, each with its name on it. */
  default List<Class<? extends Rule>> rules() {
    return List.of();
  }

  /** Sorts of sentences, in the order in which they are tried. */
  default List<Sentence<?>> sentences() {
    return List.of();
  }

  default List<Click<?>> clicks() {
    return List.of();
  }
}
