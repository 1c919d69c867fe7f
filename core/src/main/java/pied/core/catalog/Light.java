package pied.core.catalog;

import pied.core.light.Beam;

/**
 * The light a lamp gives, at full.
 *
 * @param lumens luminous flux
 * @param kelvin colour temperature; 2700 is the warm white of a living room
 * @param watts power it takes; 0 for none, as a candle
 * @param beam how it spreads
 * @param way which way it shines, in the directions of the piece
 * @param shutters whether it has blades that cut its light
 */
public record Light(
    double lumens, double kelvin, double watts, Beam beam, LightWay way, boolean shutters) {
  /** Which way a lamp shines. */
  public enum LightWay {
    down,
    up,
    /** Out of its front. */
    front
  }
}
