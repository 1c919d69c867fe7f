package pied.core.lighting;

import pied.core.Nullable;
import pied.core.catalog.Light;
import pied.core.piece.Piece;
import pied.core.show.LampCurve;
import pied.core.space.Space;

/** The light of a lamp at full: that of its article, or of the photometric file it was given. */
public final class LampLight {
  private LampLight() {}

  /** Null for what is no lamp. */
  public static @Nullable Light of(Space space, Piece p) {
    Light own = space.article(p).light();
    LampCurve curve = own == null ? null : curve(space, p);
    return curve == null
        ? own
        : new Light(
            curve.light().lumens(),
            own.kelvin(),
            curve.light().watts() > 0 ? curve.light().watts() : own.watts(),
            curve.light().beam(),
            own.way(),
            own.shutters());
  }

  /** The photometric file it was given; null for none. */
  static @Nullable LampCurve curve(Space space, Piece p) {
    String id = p.lamp().curve();
    return id == null ? null : (LampCurve) space.showing().get(LampCurve.key(id));
  }
}
