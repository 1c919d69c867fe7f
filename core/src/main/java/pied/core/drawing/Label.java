package pied.core.drawing;

/**
 * A text at a place of a drawing.
 *
 * @param kind what it says: "wall", "space", "height", "note"
 */
public record Label(String kind, String text, double x, double y) {}
