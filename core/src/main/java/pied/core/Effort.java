package pied.core;

/** How long something may take: asked between its steps, it refuses when the time is up. */
public final class Effort {
  /** As long as it takes. */
  public static final Effort ANY = new Effort(Long.MAX_VALUE, 0);

  private final long until;
  private final int seconds;

  private Effort(long until, int seconds) {
    this.until = until;
    this.seconds = seconds;
  }

  /** So many seconds from now on. */
  public static Effort seconds(int seconds) {
    return new Effort(System.nanoTime() + seconds * 1_000_000_000L, seconds);
  }

  /**
   * Goes on, or not.
   *
   * @throws Refusal if the time is up
   */
  public void goOn() {
    if (this != ANY && System.nanoTime() - until > 0) {
      throw new Refusal(
          "That takes longer than "
              + seconds
              + " seconds. Nothing was changed; do it in smaller parts.");
    }
  }
}
