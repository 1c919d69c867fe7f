package pied.core.piece;

/**
 * What a piece stands on, hangs from or is fixed to.
 *
 * @param kind what sort of carrier
 * @param id the piece, the platform or flight, the wall, the bar or the opening; of what is held at
 *     a height whether that is meant ("so"); null for floor, ceiling and nothing
 */
public record On(OnKind kind, String id) {
  /** Sorts of carriers. */
  public enum OnKind {
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

  public static final On FLOOR = new On(OnKind.floor, null);
  public static final On CEILING = new On(OnKind.ceiling, null);
  public static final On NOTHING = new On(OnKind.nothing, null);

  /** What stands by its mounting was put at a height, where nothing carries it, and stays there. */
  public static final On HELD = new On(OnKind.held, null);

  /** The same, and somebody has said that it is to be so. */
  public static final On HELD_SO = new On(OnKind.held, "so");

  public static On piece(String id) {
    return new On(OnKind.piece, id);
  }

  /** A platform, steps or a ramp. */
  public static On platform(String id) {
    return new On(OnKind.platform, id);
  }

  public static On bar(String id) {
    return new On(OnKind.bar, id);
  }

  /** An opening in a wall. */
  public static On opening(String id) {
    return new On(OnKind.opening, id);
  }

  /** Whether it is held at a height, with nothing under it. */
  public boolean held() {
    return kind == OnKind.held;
  }

  public static On wall(String name) {
    return new On(OnKind.wall, name);
  }
}
