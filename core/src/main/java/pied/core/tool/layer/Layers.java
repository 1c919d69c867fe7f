package pied.core.tool.layer;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.EditSession;
import pied.core.material.Finish;
import pied.core.space.Layer;
import pied.core.units.Refusal;
import pied.core.units.Text;

/** What the edits of layers have in common. */
final class Layers {
  private Layers() {}

  /**
   * The layer of an id.
   *
   * @throws Refusal if there is none
   */
  static Layer named(EditSession session, String id) {
    Layer l = session.filing().layer(EditSession.need(id, "layer"));
    if (l == null) {
      throw new Refusal("There is no such layer in this space; it may have been removed.");
    }
    return l;
  }

  /**
   * A name for a layer.
   *
   * @param own the layer that may have it already; null for none
   * @throws Refusal if another has it
   */
  static String free(EditSession session, String name, @Nullable Layer own) {
    String called = Text.name("A layer", name);
    for (Layer l : session.filing().layers()) {
      if (l.name().equalsIgnoreCase(called) && (own == null || !l.id().equals(own.id()))) {
        throw new Refusal(
            "There is a layer “{}” already; take another name, or use that one.", l.name());
      }
    }
    return called;
  }

  /** A colour as it is kept; null and empty for none. */
  static @Nullable String colour(@Nullable String colour) {
    if (colour == null || colour.isEmpty()) {
      return null;
    }
    return Finish.colour(colour);
  }

  /** Puts one more layer behind the others. */
  static Layer add(EditSession session, String name, @Nullable String id, @Nullable String colour) {
    List<Layer> all = new java.util.ArrayList<>(session.filing().layers());
    if (all.size() >= Layer.MOST) {
      throw new Refusal("A space has up to {} layers; remove one first.", Layer.MOST);
    }
    String own = id == null ? session.newId() : id;
    if (session.filing().layer(own) != null) {
      throw new Refusal("There is a layer with the id “{}” already.", own);
    }
    Layer made = new Layer(own, free(session, name, null), colour(colour), false, false);
    all.add(made);
    session.file(session.filing().withLayers(all));
    return made;
  }
}
