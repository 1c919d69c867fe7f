package pied.core.lighting;

import pied.core.Nullable;
import pied.core.light.Beam;
import pied.core.light.LinearColour;
import pied.core.light.Shutters;
import pied.core.solid.Vec;

/**
 * A place from which light comes, for who draws it.
 *
 * @param piece id of the lamp; of one that stands for several, of the strongest
 * @param way which way it shines, of length 1
 * @param candela along that
 * @param lux that it throws where it is aimed, or on a table beneath it
 * @param full angle from its way within which it is nearly full, degrees
 * @param edge angle from its way at which nothing is left, degrees; 180 for all round
 * @param window what shutters leave of that cone; null for all of it
 */
public record DrawnLamp(
    String piece,
    Vec at,
    Vec way,
    double candela,
    double lux,
    double full,
    double edge,
    LinearColour colour,
    @Nullable LitWindow window) {
  /**
   * Between which lines light passes: across and up as seen along it, 1 at the edge of the cone.
   */
  public record LitWindow(double left, double right, double bottom, double top) {
    static LitWindow of(Shutters s, Beam beam) {
      double cone = Math.tan(Math.toRadians(Math.min(WIDEST, beam.edge())));
      double field = Math.tan(Math.toRadians(beam.field() / 2)) / cone;
      return new LitWindow(
          s.left() == 0 ? -1 : field * (2 * s.left() - 1),
          s.right() == 0 ? 1 : field * (1 - 2 * s.right()),
          s.bottom() == 0 ? -1 : field * (2 * s.bottom() - 1),
          s.top() == 0 ? 1 : field * (1 - 2 * s.top()));
    }
  }

  /** No cone is drawn wider, degrees from its way. */
  private static final double WIDEST = 89;

  static DrawnLamp of(LampSource l, LinearColour used, double lux) {
    return new DrawnLamp(
        l.piece(),
        l.at(),
        l.way(),
        l.candela(),
        lux,
        l.beam().full(),
        l.beam().isRound() ? 180 : Math.min(WIDEST, l.beam().edge()),
        l.colour().seenIn(used),
        l.cut() == null ? null : LitWindow.of(l.cut().shutters(), l.beam()));
  }
}
