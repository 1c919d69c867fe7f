package pied.core.piece;

/**
 * What a piece stands on, hangs from or is fixed to.
 *
 * @param kind what sort of carrier
 * @param id the piece, the platform or flight, the wall, the bar or the opening; null for floor,
 *     ceiling and nothing
 */
public record On(Kind kind, String id) {
  /** Sorts of carriers. */
  public enum Kind {
    floor,
    platform,
    piece,
    wall,
    ceiling,
    bar,
    opening,
    nothing
  }

  public static final On FLOOR = new On(Kind.floor, null);
  public static final On CEILING = new On(Kind.ceiling, null);
  public static final On NOTHING = new On(Kind.nothing, null);

  public static On piece(String id) {
    return new On(Kind.piece, id);
  }

  /** A platform, steps or a ramp. */
  public static On platform(String id) {
    return new On(Kind.platform, id);
  }

  public static On bar(String id) {
    return new On(Kind.bar, id);
  }

  /** An opening in a wall. */
  public static On opening(String id) {
    return new On(Kind.opening, id);
  }

  public static On wall(String name) {
    return new On(Kind.wall, name);
  }
}
