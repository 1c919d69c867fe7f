package pied.core.tool.ring;

import java.util.List;
import pied.core.Nullable;
import pied.core.point.Click;
import pied.core.point.Drawn;
import pied.core.point.Pointed;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** It goes around what is clicked. */
final class RingClick implements Click<Ring> {
  @Override
  public Class<Ring> of() {
    return Ring.class;
  }

  @Override
  public String hint(Ring e) {
    return "Click the piece or the point it shall go around.";
  }

  @Override
  public Ring at(Space space, LengthUnit unit, Ring e, Pointed p) {
    String piece = p.piece(space, e.pieces());
    return piece != null
        ? e.withAround(piece).withAt(null)
        : e.withAround(null).withAt(p.point(space.shell(), null, unit));
  }

  @Override
  public @Nullable Drawn drawn(Ring e, LengthUnit unit) {
    return e.at() == null ? null : Drawn.of(List.of(e.at()), false, unit);
  }
}
