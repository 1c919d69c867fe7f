package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.BuiltIn;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.space.PartName;
import pied.core.units.Text;

/**
 * Names a piece, or a part of the shell.
 *
 * @param piece id of the piece, or name of the part
 */
@JsonTypeName("rename")
@RecordBuilder
public record Rename(String piece, String name) implements Edit {
  @Override
  public void make(EditSession session) {
    if (Picked.isPart(session.space(), piece)) {
      String called = Text.name("A part", name);
      BuiltIn.keep(session, List.of(PartName.read(piece)), k -> k.withName(called));
    } else {
      session.set(session.chosen(piece).withName(Text.name("A piece", name)));
    }
  }
}
