package pied.core.drawing;

import java.util.List;
import pied.core.Nullable;

/**
 * Lines of one style that belong together.
 *
 * @param part id of the body of the shell or of the piece they are of; null if of none
 * @param rings closed figures x, y, x, y…, metres; holes are rings of their own
 * @param lines segments x1, y1, x2, y2
 */
public record Ink(
    InkStyle style, @Nullable String part, List<double[]> rings, List<double[]> lines) {
  /** What lines stand for; how heavy and in which colour is the drawing's own affair. */
  public enum InkStyle {
    /** The floor one stands on. */
    floor,
    /** A raised area of floor. */
    raised,
    /** Treads, and the arrow that points up. */
    stair,
    /** Solid material that is cut through. */
    cut,
    /** A piece that is cut through. */
    cutPiece,
    /** Walls lower than the cut. */
    low,
    /** Where an opening is. */
    gap,
    /** Glass and frames of windows. */
    glass,
    /** A door leaf. */
    leaf,
    /** The way a leaf swings. */
    swing,
    /** What is above the cut. */
    overhead,
    /** The centre line of a stage. */
    centre,
    /** The setting line of a stage. */
    setting,
    /** Rows of seats. */
    seat,
    /** An edge of the shell one sees. */
    edge,
    /** A joint of what a wall is covered with. */
    hatch,
    /** An edge of a piece one sees. */
    piece
  }

  static Ink rings(InkStyle style, String part, List<double[]> rings) {
    return new Ink(style, part, rings, List.of());
  }

  static Ink lines(InkStyle style, String part, List<double[]> lines) {
    return new Ink(style, part, List.of(), lines);
  }
}
