package pied.core.edit;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.space.Layer;
import pied.core.space.Locked;
import pied.core.space.PartName;
import pied.core.space.Space;

/** What is offered to somebody who would do something to locked pieces. */
public final class Locks {
  private Locks() {}

  /**
   * The refusal, with offers.
   *
   * @param edit what would be done to them; null if it is not known yet
   */
  public static Declined declined(Space space, Locked why, @Nullable Edit edit) {
    List<String> own = new ArrayList<>();
    Set<Layer> on = new LinkedHashSet<>();
    for (Piece p : why.pieces()) {
      locked(space, p.id(), p.keeping(), own, on);
    }
    for (PartName p : why.parts()) {
      locked(space, p.text(), space.filing().part(p).keeping(), own, on);
    }
    List<Layer> layers = List.copyOf(on);
    Edit unlock = new Unlock(own, layers.stream().map(Layer::id).toList());
    List<Offer> offers = new ArrayList<>();
    offers.add(new Offer(words(why.pieces().size() + why.parts().size(), layers), List.of(unlock)));
    if (edit != null) {
      offers.add(new Offer("Unlock and do it", List.of(unlock, edit)));
    }
    return new Declined(why, offers);
  }

  private static void locked(
      Space space, String id, Keeping keeping, List<String> own, Set<Layer> on) {
    if (keeping.locked()) {
      own.add(id);
    }
    if (space.layer(keeping).locked()) {
      on.add(space.layer(keeping));
    }
  }

  private static String words(int pieces, List<Layer> layers) {
    if (layers.isEmpty()) {
      return pieces == 1 ? "Unlock it" : "Unlock them";
    }
    return layers.size() == 1 ? "Unlock the layer " + layers.get(0).name() : "Unlock the layers";
  }
}
