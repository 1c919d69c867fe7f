package pied.core.handover;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.space.Filing;
import pied.core.space.KeptPart;
import pied.core.space.Layer;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * How much of a space is handed over.
 *
 * @param layers ids of layers; null for those that are shown
 * @param hidden whether also pieces that are hidden by themselves, or with their group
 */
public record Extent(@Nullable Set<String> layers, boolean hidden) {
  /** What is shown. */
  public static final Extent SHOWN = new Extent(null, false);

  /**
   * The space with just those pieces, none of them hidden.
   *
   * @throws Refusal if there is no such layer
   */
  public Space of(Space space) {
    Filing filing = space.filing();
    if (layers != null) {
      for (String id : layers) {
        if (filing.layer(id) == null) {
          throw new Refusal("There is no layer “{}” in this space.", id);
        }
      }
    }
    List<String> out = new ArrayList<>();
    List<Piece> shown = new ArrayList<>();
    for (Piece p : space.pieces()) {
      if (!takes(space, p)) {
        out.add(p.id());
      } else if (p.keeping().hidden()) {
        shown.add(p.withKeeping(p.keeping().withHidden(false)));
      }
    }
    List<KeptPart> parts =
        filing.parts().stream()
            .map(k -> k.withKeeping(k.keeping().withHidden(!takes(space, k))))
            .toList();
    List<Layer> all = filing.layers().stream().map(l -> l.withHidden(false)).toList();
    Space rest = space.without(out).with(shown);
    return rest.with(Filing.of(all, filing.groups(), filing.selections(), filing.twins(), parts));
  }

  private boolean takes(Space space, Piece p) {
    return takes(space.layer(p), p.keeping());
  }

  private boolean takes(Space space, KeptPart k) {
    Layer own = space.filing().layer(k.keeping().layer());
    return takes(own == null ? space.filing().layers().get(0) : own, k.keeping());
  }

  private boolean takes(Layer layer, Keeping k) {
    boolean chosen = layers == null ? !layer.hidden() : layers.contains(layer.id());
    return chosen && (hidden || !k.hidden());
  }

  /** How many pieces of a space are left out. */
  public int leftOut(Space space) {
    return (int) space.pieces().stream().filter(p -> !takes(space, p)).count();
  }
}
