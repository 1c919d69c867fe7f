package pied.core.tool.finish;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.material.Finish;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/** Such as "paint the floor oak herringbone, turned by 45°", "paint wall A dark green". */
final class DecorateSentence implements Sentence<Decorate> {
  @Override
  public Class<Decorate> of() {
    return Decorate.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    if (!r.is(FinishNouns.VERBS)) {
      return null;
    }
    String part = FinishNouns.shell(r, n);
    if (part == null) {
      return null; // of a piece, then
    }
    Finish f = FinishNouns.finish(r);
    if (f == null) {
      throw r.unread();
    }
    Decorate e = new Decorate(part, f);
    return List.of(
        Clause.all(r, n, e, List.of(FinishNouns.laid(Decorate::finish, Decorate::withFinish))));
  }

  @Override
  public void write(Writer w, Decorate e) {
    w.text("Paint " + FinishNouns.said(e.part()) + " ");
    w.text(e.finish() == null ? "as it was at first" : FinishNouns.said(e.finish(), w.unit));
    w.text(". ");
  }
}
