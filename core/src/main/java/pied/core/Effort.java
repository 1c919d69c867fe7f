package pied.core;

/** How long something may take: asked between its steps, it refuses when the time is up. */
public final class Effort {
  /** As long as it takes. */
  public static final Effort ANY = new Effort(Long.MAX_VALUE, "", () -> {});

  private final long until;
  private final String tooLong;
  private final Runnable step;

  private Effort(long until, String tooLong, Runnable step) {
    this.until = until;
    this.tooLong = tooLong;
    this.step = step;
  }

  /** So many seconds from now on. */
  public static Effort seconds(int seconds) {
    return watched(seconds, () -> {});
  }

  /**
   * So many seconds for a look that changes nothing.
   *
   * @param what is looked for, as in "the snags"
   * @param instead what makes it shorter, a sentence
   */
  public static Effort looking(int seconds, String what, String instead) {
    String tooLong =
        "To look for " + what + " takes longer than " + seconds + " seconds. " + instead;
    return new Effort(end(seconds), tooLong, () -> {});
  }

  /**
   * As {@link #seconds}, with somebody who is told of every step.
   *
   * @param step may refuse to go on
   */
  public static Effort watched(int seconds, Runnable step) {
    String tooLong =
        "That takes longer than "
            + seconds
            + " seconds. Nothing was changed; do it in smaller parts.";
    return new Effort(end(seconds), tooLong, step);
  }

  private static long end(int seconds) {
    return System.nanoTime() + seconds * 1_000_000_000L;
  }

  /**
   * Goes on, or not.
   *
   * @throws Refusal if the time is up, or whoever watches stops it
   */
  public void goOn() {
    step.run();
    if (this != ANY && System.nanoTime() - until > 0) {
      throw new Refusal(tooLong);
    }
  }
}
