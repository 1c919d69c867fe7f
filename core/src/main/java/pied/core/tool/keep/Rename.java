package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.units.Text;

/** Names a piece. */
@JsonTypeName("rename")
@RecordBuilder
public record Rename(String piece, String name) implements Edit {
  @Override
  public void make(EditSession session) {
    session.set(session.chosen(piece).withName(Text.name("A piece", name)));
  }
}
