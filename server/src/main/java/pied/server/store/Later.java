package pied.server.store;

/** It cannot be done now, but in a while. */
public class Later extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final int seconds;

  /**
   * @param seconds after which it is worth asking again
   */
  public Later(String why, int seconds) {
    super(why);
    this.seconds = seconds;
  }

  public int seconds() {
    return seconds;
  }
}
