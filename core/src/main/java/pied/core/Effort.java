package pied.core;

/** How long something may take: asked between its steps, it refuses when the time is up. */
public final class Effort {
  /** As long as it takes. */
  public static final Effort ANY = new Effort(Long.MAX_VALUE, 0, () -> {});

  private final long until;
  private final int seconds;
  private final Runnable step;

  private Effort(long until, int seconds, Runnable step) {
    this.until = until;
    this.seconds = seconds;
    this.step = step;
  }

  /** So many seconds from now on. */
  public static Effort seconds(int seconds) {
    return watched(seconds, () -> {});
  }

  /**
   * The same, with somebody who is told of every step.
   *
   * @param step may refuse to go on
   */
  public static Effort watched(int seconds, Runnable step) {
    return new Effort(System.nanoTime() + seconds * 1_000_000_000L, seconds, step);
  }

  /**
   * Goes on, or not.
   *
   * @throws Refusal if the time is up, or whoever watches stops it
   */
  public void goOn() {
    step.run();
    if (this != ANY && System.nanoTime() - until > 0) {
      throw new Refusal(
          "That takes longer than "
              + seconds
              + " seconds. Nothing was changed; do it in smaller parts.");
    }
  }
}
