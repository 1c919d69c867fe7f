package pied.core.piece;

/**
 * How far a piece leans out of the upright.
 *
 * @param toward direction in which its top leans, degrees counter-clockwise from the piece's front
 * @param by degrees
 */
public record Lean(double toward, double by) {
  public static final Lean NONE = new Lean(0, 0);

  public Lean {
    toward = by == 0 ? 0 : Stance.round(toward);
  }
}
