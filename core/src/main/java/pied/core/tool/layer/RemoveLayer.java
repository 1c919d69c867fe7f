package pied.core.tool.layer;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;
import pied.core.space.KeptPart;
import pied.core.space.Layer;
import pied.core.units.Refusal;

/**
 * Removes a layer; what is on it goes to another.
 *
 * @param to id of that; null for the first that is left
 */
@JsonTypeName("removeLayer")
@RecordBuilder
public record RemoveLayer(String layer, @Nullable String to) implements Edit {
  @Override
  public void make(EditSession session) {
    Layer gone = Layers.named(session, layer);
    List<Layer> left =
        session.filing().layers().stream().filter(l -> !l.id().equals(gone.id())).toList();
    if (left.isEmpty()) {
      throw new Refusal(
          "{} is the last layer, and every piece is on one; rename it instead.", gone.name());
    }
    Layer heir = to == null ? left.get(0) : Layers.named(session, to);
    if (heir.id().equals(gone.id())) {
      throw new Refusal("What is on a layer that goes cannot go to that layer.");
    }
    List<String> on =
        session.space().pieces().stream()
            .filter(p -> session.space().layer(p).id().equals(gone.id()))
            .map(Piece::id)
            .toList();
    if (!on.isEmpty()) {
      session.alter(session.chosen(on), p -> p.withKeeping(p.keeping().withLayer(heir.id())));
      String what = on.size() == 1 ? "One piece is" : on.size() + " pieces are";
      session.say("{} on the layer {} now.", what, heir.name());
    }
    for (KeptPart k : session.filing().parts()) {
      if (k.keeping().layer().equals(gone.id())) {
        session.file(session.filing().with(k.withKeeping(k.keeping().withLayer(heir.id()))));
      }
    }
    session.file(session.filing().withLayers(left));
  }
}
