package pied.core.lighting;

import pied.core.Nullable;
import pied.core.light.Beam;
import pied.core.light.LinearColour;
import pied.core.light.Photometry;
import pied.core.light.Shutters;
import pied.core.solid.Vec;

/**
 * A place from which light comes.
 *
 * @param piece id of the lamp; of one that stands for several, of the strongest
 * @param at metres
 * @param way which way it shines, of length 1
 * @param lumens as it burns now, were there no shutters
 * @param measured null where no photometric file was given
 * @param cut null where no shutter is in it
 */
public record LampSource(
    String piece,
    Vec at,
    Vec way,
    Beam beam,
    double lumens,
    LinearColour colour,
    @Nullable Measured measured,
    @Nullable Blades cut) {
  /**
   * What is known of it by measurement.
   *
   * @param share of its light that is given now, of 1
   * @param side the direction of its half plane at 0°, square to its way
   */
  public record Measured(Photometry curve, double share, Vec side) {}

  /**
   * Blades in its light.
   *
   * @param right as seen along its way, square to it
   * @param up square to both
   * @param through what is left of all its light, of 1; worked out once
   */
  public record Blades(Shutters shutters, Vec right, Vec up, double through) {}

  /** One that is neither measured nor cut. */
  public LampSource(String piece, Vec at, Vec way, Beam beam, double lumens, LinearColour colour) {
    this(piece, at, way, beam, lumens, colour, null, null);
  }

  /** How strong it is along its way, candela. */
  public double candela() {
    return beam.candela(lumens);
  }

  /** All that leaves it, past its shutters, lumens. */
  public double leaving() {
    return cut == null ? lumens : lumens * cut.through;
  }

  /**
   * How strong it is in a direction, past its shutters, candela.
   *
   * @param d from it, of length 1
   */
  public double candela(Vec d) {
    double cos = Math.max(-1, Math.min(1, d.dot(way)));
    return toward(d, Math.toDegrees(Math.acos(cos)));
  }

  private double toward(Vec d, double angle) {
    if (cut != null) {
      double tan = Math.tan(Math.toRadians(beam.field() / 2));
      double ahead = d.dot(way) * tan;
      if (ahead <= 0 || !cut.shutters.passes(d.dot(cut.right) / ahead, d.dot(cut.up) / ahead)) {
        return 0;
      }
    }
    if (measured == null) {
      return candela() * beam.share(angle);
    }
    Vec across = way.cross(measured.side);
    double plane = Math.toDegrees(Math.atan2(d.dot(across), d.dot(measured.side)));
    return measured.share * measured.curve.candela(plane, angle);
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
    return candela(to.times(-1 / far)) * slant / (far * far);
  }
}
