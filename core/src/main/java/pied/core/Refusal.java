package pied.core;

/** Something asked for cannot be done; the message says what and why, in words for the person. */
public final class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1;

  public Refusal(String why) {
    super(why);
  }
}
