package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.BuiltIn;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;

/**
 * Locks pieces and parts of the shell, so that nothing is done to them, or unlocks them.
 *
 * @param which null for those named
 */
@JsonTypeName("lock")
@RecordBuilder
public record Lock(@Nullable List<String> pieces, boolean locked, @Nullable WhichPieces which)
    implements Edit {
  @Override
  public void make(EditSession session) {
    Picked meant = WhichPieces.picked(session, pieces, which);
    session.alter(meant.pieces(), p -> p.withKeeping(p.keeping().withLocked(locked)));
    BuiltIn.keep(session, meant.parts(), k -> k.withKeeping(k.keeping().withLocked(locked)));
  }
}
