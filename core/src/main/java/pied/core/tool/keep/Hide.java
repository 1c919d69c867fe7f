package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.BuiltIn;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.space.KeptPart;
import pied.core.space.PartName;
import pied.core.units.Refusal;

/**
 * Hides pieces and parts of the shell from all drawings, or shows them. They are still there:
 * nothing goes through them.
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
    Picked meant = WhichPieces.picked(session, pieces, which);
    for (PartName part : meant.parts()) {
      if (hidden && part.kind() == PartName.PartKind.opening) {
        throw new Refusal(
            "{} is built in: it is a hole in its wall, and that is always drawn.",
            KeptPart.title(session.space(), part));
      }
    }
    session.alter(meant.pieces(), p -> p.withKeeping(p.keeping().withHidden(hidden)));
    BuiltIn.keep(session, meant.parts(), k -> k.withKeeping(k.keeping().withHidden(hidden)));
    if (Boolean.TRUE.equals(layers) && !hidden) {
      session.file(
          session
              .filing()
              .withLayers(
                  session.filing().layers().stream().map(l -> l.withHidden(false)).toList()));
    }
  }
}
