package pied.core.edit;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import pied.core.space.Layer;

/**
 * Unlocks what is in the way of an edit; it is here since every edit may offer it.
 *
 * @param pieces ids of pieces, and names of parts, that are locked themselves
 * @param layers ids of layers that are locked
 */
@JsonTypeName("unlock")
public record Unlock(List<String> pieces, List<String> layers) implements Edit {
  public Unlock {
    pieces = pieces == null ? List.of() : List.copyOf(pieces);
    layers = layers == null ? List.of() : List.copyOf(layers);
  }

  @Override
  public void make(EditSession session) {
    if (!pieces.isEmpty()) {
      Picked picked = session.picked(pieces);
      session.alter(picked.pieces(), p -> p.withKeeping(p.keeping().withLocked(false)));
      BuiltIn.keep(session, picked.parts(), k -> k.withKeeping(k.keeping().withLocked(false)));
    }
    for (Layer l : List.copyOf(session.filing().layers())) {
      if (layers.contains(l.id())) {
        session.file(
            session.filing().with(new Layer(l.id(), l.name(), l.colour(), l.hidden(), false)));
      }
    }
  }
}
