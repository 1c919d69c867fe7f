package pied.core.tool.light;

import java.util.List;
import java.util.Locale;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.show.LightLook;

/** "Look Evening". */
final class LookSentence implements Sentence<RecallLook> {
  @Override
  public Class<RecallLook> of() {
    return RecallLook.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    int before = r.at();
    r.quietly("the");
    if (!r.quietly("look")) {
      r.back(before);
      return null;
    }
    for (LightLook l : n.space().showing().looks()) {
      if (r.is(l.name().toLowerCase(Locale.ROOT))) {
        return Clause.only(r, n, new RecallLook(l.id()));
      }
    }
    r.back(before);
    return null;
  }

  @Override
  public void write(Writer w, RecallLook e) {
    String name =
        w.space.showing().looks().stream()
            .filter(l -> l.id().equals(e.look()) || l.name().equalsIgnoreCase(e.look()))
            .map(LightLook::name)
            .findFirst()
            .orElse(e.look());
    w.text("Look " + name + ". ");
  }
}
