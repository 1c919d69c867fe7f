package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;

/**
 * Locks pieces, so that nothing is done to them, or unlocks them.
 *
 * @param which null for those named
 */
@JsonTypeName("lock")
@RecordBuilder
public record Lock(@Nullable List<String> pieces, boolean locked, @Nullable WhichPieces which)
    implements Edit {
  @Override
  public void make(EditSession session) {
    session.alter(
        WhichPieces.chosen(session, pieces, which),
        p -> p.withKeeping(p.keeping().withLocked(locked)));
  }
}
