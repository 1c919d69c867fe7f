package pied.core.tool.finish;

import java.util.List;
import java.util.Locale;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/** Of what is selected, such as "paint the seat dark green", "cover the cushions in wool". */
final class GiveFinishSentence implements Sentence<GiveFinish> {
  @Override
  public Class<GiveFinish> of() {
    return GiveFinish.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    if (!r.is(FinishNouns.VERBS)) {
      return null;
    }
    String part = FinishNouns.part(r, n);
    Finish f = part == null ? null : FinishNouns.finish(r);
    if (f == null) {
      throw r.unread();
    }
    List<String> having =
        n.selected().stream()
            .filter(n.space()::has)
            .filter(id -> FinishNouns.parts(n.space(), id).containsKey(part))
            .toList();
    GiveFinish e = GiveFinishBuilder.builder().pieces(having).part(part).finish(f).build();
    return List.of(
        Clause.all(r, n, e, List.of(FinishNouns.laid(GiveFinish::finish, GiveFinish::withFinish))));
  }

  @Override
  public void write(Writer w, GiveFinish e) {
    String first = e.pieces().stream().filter(w.space::has).findFirst().orElse(null);
    FinishPart part = first == null ? null : FinishNouns.parts(w.space, first).get(e.part());
    w.text("Paint the " + (part == null ? e.part() : part.name().toLowerCase(Locale.ROOT)) + " ");
    w.text(e.finish() == null ? "as it comes" : FinishNouns.said(e.finish(), w.unit));
    w.text(". ");
  }
}
