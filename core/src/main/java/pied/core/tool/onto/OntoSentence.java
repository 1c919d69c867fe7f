package pied.core.tool.onto;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/** Such as "onto the counter", "onto the floor". */
final class OntoSentence implements Sentence<SettleOnto> {
  @Override
  public Class<SettleOnto> of() {
    return SettleOnto.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    if (!r.is("onto")) {
      return null;
    }
    if (r.is("the floor")) {
      return List.of(Clause.all(r, n, new SettleOnto(n.selected(), null), List.of()));
    }
    String on = n.piece();
    if (on == null) {
      throw r.unread();
    }
    List<String> others = n.selected().stream().filter(id -> !id.equals(on)).toList();
    return List.of(Clause.all(r, n, new SettleOnto(others, on), List.of()));
  }

  @Override
  public void write(Writer w, SettleOnto e) {
    w.text("Onto ");
    if (e.onto() == null) {
      w.text("the floor");
    } else {
      w.word(Nouns.name(w.space, e.onto()), e.onto());
    }
    w.text(". ");
  }
}
