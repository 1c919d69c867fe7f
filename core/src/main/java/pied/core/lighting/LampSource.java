package pied.core.lighting;

import pied.core.light.Beam;
import pied.core.light.LinearColour;
import pied.core.solid.Vec;

/**
 * A place from which light comes.
 *
 * @param piece id of the lamp; of one that stands for several, of the strongest
 * @param at metres
 * @param way which way it shines, of length 1
 * @param lumens as it burns now
 */
public record LampSource(
    String piece, Vec at, Vec way, Beam beam, double lumens, LinearColour colour) {
  /** How strong it is along its way, candela. */
  public double candela() {
    return beam.candela(lumens);
  }

  /**
   * Its light on a surface, were nothing in between: the candela that way by the square of the
   * distance, and by the slant at which it falls.
   *
   * @param normal of the surface, of length 1
   * @return lux
   */
  public double lux(Vec point, Vec normal) {
    Vec to = at.minus(point);
    double far = to.length();
    double slant = to.dot(normal) / far;
    if (slant <= 0) {
      return 0;
    }
    double cos = Math.max(-1, Math.min(1, -to.dot(way) / far));
    return candela() * beam.share(Math.toDegrees(Math.acos(cos))) * slant / (far * far);
  }
}
