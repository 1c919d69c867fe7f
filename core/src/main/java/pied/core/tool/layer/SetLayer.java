package pied.core.tool.layer;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.stream.Stream;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.space.Layer;

/**
 * Names a layer, colours it, shows or hides it, locks or unlocks it, or puts it elsewhere among the
 * others. What is not said stays.
 *
 * @param colour #RRGGBB; empty for ink
 * @param to its place among the layers from then on, 0 for the first
 */
@JsonTypeName("layer")
@RecordBuilder
public record SetLayer(
    String layer,
    @Nullable String name,
    @Nullable String colour,
    @Nullable Boolean hidden,
    @Nullable Boolean locked,
    @Nullable Integer to)
    implements Edit {
  @Override
  public void make(EditSession session) {
    Layer old = Layers.named(session, layer);
    Layer now =
        new Layer(
            old.id(),
            name == null ? old.name() : Layers.free(session, name, old),
            colour == null ? old.colour() : Layers.colour(colour),
            hidden == null ? old.hidden() : hidden,
            locked == null ? old.locked() : locked);
    session.file(session.filing().with(now));
    if (to != null) {
      List<Layer> others =
          session.filing().layers().stream().filter(l -> !l.id().equals(layer)).toList();
      int place = Math.max(0, Math.min(others.size(), to));
      session.file(
          session
              .filing()
              .withLayers(
                  Stream.of(
                          others.subList(0, place),
                          List.of(now),
                          others.subList(place, others.size()))
                      .flatMap(List::stream)
                      .toList()));
    }
  }
}
