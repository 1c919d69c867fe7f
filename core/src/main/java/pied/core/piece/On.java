package pied.core.piece;

/**
 * What a piece stands on, hangs from or is fixed to.
 *
 * @param kind what sort of carrier
 * @param id the piece, the platform or flight, the wall, the bar or the opening; of what is held at
 *     a height whether that is meant ("so"); null for floor, ceiling and nothing
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
    held,
    nothing
  }

  public static final On FLOOR = new On(Kind.floor, null);
  public static final On CEILING = new On(Kind.ceiling, null);
  public static final On NOTHING = new On(Kind.nothing, null);

  /** What stands by its mounting was put at a height, where nothing carries it, and stays there. */
  public static final On HELD = new On(Kind.held, null);

  /** The same, and somebody has said that it is to be so. */
  public static final On HELD_SO = new On(Kind.held, "so");

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

  /** Whether it is held at a height, with nothing under it. */
  public boolean held() {
    return kind == Kind.held;
  }

  public static On wall(String name) {
    return new On(Kind.wall, name);
  }
}
