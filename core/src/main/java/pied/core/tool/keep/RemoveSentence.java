package pied.core.tool.keep;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/** "Remove": it is written, too. */
final class RemoveSentence implements Sentence<Remove> {
  @Override
  public Class<Remove> of() {
    return Remove.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    return r.is("remove|take out") ? Clause.only(r, n, new Remove(n.selected())) : null;
  }

  @Override
  public void write(Writer w, Remove e) {
    w.text("Remove. ");
  }
}
