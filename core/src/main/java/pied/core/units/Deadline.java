package pied.core.units;

/** How long something may take: asked between its steps, it refuses when the time is up. */
public final class Deadline {
  /** As long as it takes. */
  public static final Deadline NONE = new Deadline(Long.MAX_VALUE, Message.of(""), () -> {});

  private final long until;
  private final Message tooLong;
  private final Runnable step;

  private Deadline(long until, Message tooLong, Runnable step) {
    this.until = until;
    this.tooLong = tooLong;
    this.step = step;
  }

  /** So many seconds from now on. */
  public static Deadline seconds(int seconds) {
    return watched(seconds, () -> {});
  }

  /**
   * So many seconds for a look that changes nothing.
   *
   * @param what is looked for, as in "the snags"
   * @param instead what makes it shorter, a sentence
   */
  public static Deadline looking(int seconds, String what, String instead) {
    Message tooLong =
        Message.of("To look for {} takes longer than {} seconds. {}", what, seconds, instead);
    return new Deadline(end(seconds), tooLong, () -> {});
  }

  /**
   * As {@link #seconds}, with somebody who is told of every step.
   *
   * @param step may refuse to go on
   */
  public static Deadline watched(int seconds, Runnable step) {
    Message tooLong =
        Message.of(
            "That takes longer than {} seconds. Nothing was changed; do it in smaller parts.",
            seconds);
    return new Deadline(end(seconds), tooLong, step);
  }

  private static long end(int seconds) {
    return System.nanoTime() + seconds * 1_000_000_000L;
  }

  /** Whether the time is up. */
  public boolean passed() {
    return this != NONE && System.nanoTime() - until > 0;
  }

  /**
   * Goes on, or not.
   *
   * @throws Refusal if the time is up, or whoever watches stops it
   */
  public void check() {
    step.run();
    if (passed()) {
      throw new Refusal(tooLong);
    }
  }
}
