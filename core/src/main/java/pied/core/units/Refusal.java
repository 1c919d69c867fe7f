package pied.core.units;

/**
 * Something asked for cannot be done; the message says what and why, in words for the person.
 * Lengths in it that were written by {@link Said} are read in metres until a unit is chosen.
 */
public class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final String why;

  public Refusal(String why) {
    super(Said.in(why, LengthUnit.M));
    this.why = why;
  }

  /** The same as another. */
  protected Refusal(Refusal other) {
    this(other.why);
  }

  /** The same, read in a unit. */
  public Refusal in(LengthUnit unit) {
    String words = Said.in(why, unit);
    return words.equals(getMessage()) ? this : new Refusal(words);
  }

  /** The same, of a part of what was asked for. */
  public Refusal of(String part) {
    return new Refusal(part + why);
  }
}
