package pied.core.tool.keep;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.Unlock;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.say.ShortSentence;
import pied.core.tool.Tool;

/** What is done to pieces as they are: named, locked, hidden, copied, removed. */
public final class KeepTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(
        Rename.class,
        Copy.class,
        Remove.class,
        Paste.class,
        AsLead.class,
        Lock.class,
        Hide.class,
        Remark.class,
        NameSelection.class,
        Unlock.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new RemoveSentence(), new ShortSentence(KeepTool::read));
  }

  private static @Nullable Edit read(Reading r, List<String> ids) {
    if (r.is("copy")) {
      return new Copy(ids, null);
    }
    if (r.is("lock")) {
      return new Lock(ids, true, null);
    }
    if (r.is("unlock")) {
      return new Lock(ids, false, null);
    }
    return r.is("hide") ? HideBuilder.builder().pieces(ids).hidden(true).build() : null;
  }
}
