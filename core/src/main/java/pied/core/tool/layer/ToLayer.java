package pied.core.tool.layer;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.BuiltIn;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.space.Layer;
import pied.core.units.Refusal;

/**
 * Moves pieces and parts of the shell to a layer, or to one that is made on the way.
 *
 * @param layer its id,
 * @param named or its name; a layer of this name is made if there is none
 */
@JsonTypeName("toLayer")
@RecordBuilder
public record ToLayer(List<String> pieces, @Nullable String layer, @Nullable String named)
    implements Edit {
  @Override
  public void make(EditSession session) {
    Picked picked = session.picked(pieces);
    Layer to = to(session);
    session.alter(picked.pieces(), p -> p.withKeeping(p.keeping().withLayer(to.id())));
    BuiltIn.keep(session, picked.parts(), k -> k.withKeeping(k.keeping().withLayer(to.id())));
    if (to.hidden()) {
      session.say("The layer {} is hidden, and what is on it.", to.name());
    }
  }

  private Layer to(EditSession session) {
    if (layer != null) {
      return Layers.named(session, layer);
    }
    if (named == null) {
      throw new Refusal("Say which layer.");
    }
    return session.filing().layers().stream()
        .filter(l -> l.name().equalsIgnoreCase(named.strip()))
        .findFirst()
        .orElseGet(() -> Layers.add(session, named, null, null));
  }
}
