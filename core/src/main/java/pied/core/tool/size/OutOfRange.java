package pied.core.tool.size;

/** What happens if an article does not come in the size that was asked for. */
public enum OutOfRange {
  /** It is refused, with what is possible. */
  refuse,
  /** It takes the nearest size it comes in. */
  nearest,
  /** It is stretched, and marked so. */
  stretch
}
