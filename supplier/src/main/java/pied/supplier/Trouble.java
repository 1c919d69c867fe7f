package pied.supplier;

/**
 * How badly the service behaves, so that Pied can be tried with it.
 *
 * @param bytesPerSecond at which model files are sent; 0 for as fast as may be
 * @param cuts so many of the next downloads are cut off half way
 * @param fails so many of the next requests for a model are answered with an error
 * @param damaged so many of the next downloads have a wrong byte in them
 * @param closed whether every request is answered with “closed”
 */
public record Trouble(int bytesPerSecond, int cuts, int fails, int damaged, boolean closed) {
  /** Slow, as a line over land is, but sound. */
  public static final Trouble USUAL = new Trouble(400_000, 0, 0, 0, false);
}
