package pied.core.lighting;

import pied.core.catalog.Light;
import pied.core.piece.Piece;
import pied.core.space.Space;

/** What lamps take. */
final class Power {
  private Power() {}

  /** Of all that burn, as they are dimmed. */
  static double watts(Space space) {
    double sum = 0;
    for (Piece p : space.pieces()) {
      Light light = LampLight.of(space, p);
      sum += light == null ? 0 : light.watts() * p.lamp().burning();
    }
    return sum;
  }
}
