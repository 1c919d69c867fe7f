package pied.core.tool.place;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.say.Sentence;
import pied.core.tool.Tool;

/** Put in from the catalog, and put down. */
public final class PlaceTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(Place.class, BringIn.class);
  }

  @Override
  public List<Sentence<?>> sentences() {
    return List.of(new ListSentence(), new PlaceSentence());
  }
}
