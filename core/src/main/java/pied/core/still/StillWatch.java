package pied.core.still;

/** Asked now and then while a picture is made. */
public interface StillWatch {
  /** Whether to go on; may wait for those who come first. */
  boolean goesOn();
}
