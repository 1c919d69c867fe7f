package pied.core.edit.keep;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Text;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;

/** Names a piece. */
@RecordBuilder
public record Rename(String piece, String name) implements Edit {
  @Override
  public void make(EditSession session) {
    session.set(session.chosen(piece).withName(Text.name("A piece", name)));
  }
}
