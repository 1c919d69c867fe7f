package pied.core.drawing;

/**
 * A text at a place of a drawing.
 *
 * @param kind what it says: "wall" is a name, "space" that of the space and in a second line its
 *     area, "height" the height of something, a "note" stands just above what it is about, "under"
 *     just below
 * @param anchor which end of the text is at the place: "start", "middle" or "end"
 * @param room how wide the text may be so as not to run into something, metres; 0 if that does not
 *     matter
 */
public record Label(String kind, String text, double x, double y, String anchor, double room) {
  Label(String kind, String text, double x, double y) {
    this(kind, text, x, y, "middle", 0);
  }

  Label(String kind, String text, double x, double y, String anchor) {
    this(kind, text, x, y, anchor, 0);
  }
}
