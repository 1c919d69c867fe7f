package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;

/**
 * Hides pieces from all drawings, or shows them. They are still there: nothing goes through them.
 *
 * @param which null for those named
 * @param layers whether layers that are hidden are shown too, where everything is shown
 */
@JsonTypeName("hide")
@RecordBuilder
public record Hide(
    @Nullable List<String> pieces,
    boolean hidden,
    @Nullable WhichPieces which,
    @Nullable Boolean layers)
    implements Edit {
  @Override
  public void make(EditSession session) {
    session.alter(
        WhichPieces.chosen(session, pieces, which),
        p -> p.withKeeping(p.keeping().withHidden(hidden)));
    if (Boolean.TRUE.equals(layers) && !hidden) {
      session.file(
          session
              .filing()
              .withLayers(
                  session.filing().layers().stream().map(l -> l.withHidden(false)).toList()));
    }
  }
}
