package pied.core.propose;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Ids;
import pied.core.edit.Outcome;
import pied.core.say.Ask;
import pied.core.select.Afterwards;
import pied.core.space.Space;
import pied.core.units.Deadline;

/**
 * Sentences that follow one another, each joined to the one before by "then": it is about what that
 * made, or was about. To know what that is what was said so far is done, on a space that nobody
 * sees; ids that were made on the way are the same whenever it is done again.
 */
final class Chain {
  private final Ask ask;
  private final List<Edit> edits = new ArrayList<>();
  private final List<Integer> parts = new ArrayList<>();
  private final List<String> made = new ArrayList<>();
  private Space now;
  private List<String> selected;
  private int sentences;

  Chain(Ask ask) {
    this.ask = ask;
    now = ask.space();
    selected = ask.selected();
  }

  /** What the next sentence is about. */
  Ask next() {
    if (!edits.isEmpty()) {
      Supplier<String> ids = Ids.again(made, ask.newId());
      made.clear();
      Outcome out =
          Edits.apply(
              ask.space(),
              edits,
              ask.unit(),
              null,
              Ids.noted(ids, made),
              Deadline.seconds(5),
              this::called);
      now = out.space();
      selected = Afterwards.selected(now, selected, out.change());
    }
    return new Ask(now, selected, ask.unit(), ask.newId());
  }

  void add(List<Edit> more) {
    sentences++;
    edits.addAll(more);
    more.forEach(e -> parts.add(sentences));
  }

  List<Edit> edits() {
    return edits;
  }

  /** The space as it is before the last sentence. */
  Space space() {
    return now;
  }

  List<Integer> parts() {
    return parts;
  }

  List<String> ids() {
    return made;
  }

  private String called(int edit) {
    return called(parts, edit);
  }

  /** How a sentence is called in a refusal; not at all if it is the only one. */
  static String called(List<Integer> parts, int edit) {
    int of = edit < parts.size() ? parts.get(edit) : 1;
    boolean several = !parts.isEmpty() && parts.get(parts.size() - 1) > 1;
    return several ? "Sentence " + of + ": " : "";
  }
}
