package pied.core.place;

import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * How something hangs.
 *
 * @param from what it hangs from: the next above it from which something may hang
 * @param below how far it is under that, on lines of its own, metres; 0 where it touches
 */
public record Hung(On from, double below) {
  static final Hung NOWHERE = new Hung(On.NOTHING, 0);

  /** As a piece of a space hangs now. */
  public static Hung of(Space space, Piece piece) {
    return Resting.of(space, piece).hung(piece.pose());
  }

  /** Whether something may hang from a piece: it is a truss, or a bar on wires. */
  public static boolean isRigged(Space space, String id) {
    return Hanging.RIGGED.contains(space.article(space.piece(id)).kind());
  }

  /** Whether it hangs in mid-air, on lines of its own. */
  public boolean onLines() {
    return below > Resting.CONTACT;
  }

  /** Such as "hanging from the ceiling", "hung 0.30 below bar 2". */
  public String words(Space space, LengthUnit unit) {
    if (from.equals(On.NOTHING)) {
      return "hanging from nothing";
    }
    String name = space.nameOf(from);
    return onLines() ? "hung " + unit.fine(below) + " below " + name : "hanging from " + name;
  }
}
