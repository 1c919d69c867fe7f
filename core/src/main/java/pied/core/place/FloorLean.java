package pied.core.place;

import pied.core.Tolerance;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.solid.Bodies;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;

/** How a piece leans that stands square on a sloping floor. */
public final class FloorLean {
  private FloorLean() {}

  /** How it leans on the surface beneath it. */
  public static Lean of(Space space, Piece p) {
    Vec from = p.at().plus(new Vec(0, p.size().height() / 2 + 0.05, 0));
    Bodies.RayMet met =
        space
            .bodies()
            .ray(
                from,
                Vec.DOWN,
                1e3,
                b -> PartName.is(b, PartKind.floor, PartKind.platform, PartKind.flight));
    if (met == null || met.normal().y() > 1 - Tolerance.NONE) {
      return Lean.NONE;
    }
    Vec n = met.normal();
    double by = Math.toDegrees(Math.atan2(Math.hypot(n.x(), n.z()), n.y()));
    return new Lean(Math.toDegrees(Math.atan2(n.x(), n.z())) - p.turn(), by);
  }

  /** Whether two are the same but for a hundredth of a degree. */
  public static boolean same(Lean a, Lean b) {
    double t = Math.abs(a.toward() - b.toward()) % 360;
    return Math.abs(a.by() - b.by()) < 0.01 && (t < 0.01 || t > 359.99);
  }
}
