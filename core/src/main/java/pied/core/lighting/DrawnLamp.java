package pied.core.lighting;

import pied.core.light.LinearColour;
import pied.core.solid.Vec;

/**
 * A place from which light comes, for who draws it.
 *
 * @param way which way it shines, of length 1
 * @param candela along that
 * @param lux that it throws where it is aimed, or on a table beneath it
 * @param full angle from its way within which it is nearly full, degrees
 * @param edge angle from its way at which nothing is left, degrees; 180 for all round
 */
public record DrawnLamp(
    Vec at, Vec way, double candela, double lux, double full, double edge, LinearColour colour) {
  static DrawnLamp of(LampSource l, LinearColour used, double lux) {
    return new DrawnLamp(
        l.at(),
        l.way(),
        l.candela(),
        lux,
        l.beam().full(),
        l.beam().edge(),
        l.colour().seenIn(used));
  }
}
