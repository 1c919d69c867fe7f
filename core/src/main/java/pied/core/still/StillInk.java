package pied.core.still;

/** Whether a picture has its edges drawn as with a pen. */
public enum StillInk {
  none,
  /** Over what is seen. */
  over,
  /** On bare paper. */
  alone
}
