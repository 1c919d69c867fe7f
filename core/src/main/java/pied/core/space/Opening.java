package pied.core.space;

/**
 * A door or a window in a wall.
 *
 * @param wall name of the wall
 * @param from distance from the wall's first corner to the near side of the opening, metres
 * @param sill height of its lower edge above the floor, metres; 0 for a door
 */
public record Opening(
    String id, Kind kind, String wall, double from, double width, double sill, double height) {
  /** Sorts of openings. */
  public enum Kind {
    door,
    window
  }
}
