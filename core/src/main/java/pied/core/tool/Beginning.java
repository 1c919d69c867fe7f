package pied.core.tool;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.point.Pointed;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** What is proposed first when one chooses a verb, before anything is said of it. */
public interface Beginning {
  /**
   * The edit that is proposed.
   *
   * @param pieces it is for, at least one, the lead last
   * @param at what was pointed at; null for nothing
   * @throws pied.core.units.Refusal if it takes more, in words
   */
  Edit edit(Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at);

  /** How far places of pieces are from one another at most, metres. */
  static Vec spread(Space space, List<String> pieces) {
    double[] lo = {1e9, 1e9};
    double[] hi = {-1e9, -1e9};
    for (String id : pieces) {
      Vec at = space.piece(id).at();
      lo[0] = Math.min(lo[0], at.x());
      hi[0] = Math.max(hi[0], at.x());
      lo[1] = Math.min(lo[1], at.z());
      hi[1] = Math.max(hi[1], at.z());
    }
    return new Vec(hi[0] - lo[0], 0, hi[1] - lo[1]);
  }

  /** Pieces but some of them. */
  static List<String> without(List<String> pieces, List<String> some) {
    return pieces.stream().filter(id -> !some.contains(id)).toList();
  }
}
