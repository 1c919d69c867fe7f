package pied.core.units;

/**
 * Something asked for cannot be done; its message says what and why, for the person. It is read in
 * metres until a unit is chosen.
 */
public class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient Message why;
  private final String where;
  private final LengthUnit unit;

  /**
   * @param text what and why, with a gap for each argument, as in {@link Message}
   */
  public Refusal(String text, Object... arguments) {
    this(Message.of(text, arguments));
  }

  public Refusal(Message why) {
    this(why, "", LengthUnit.M);
  }

  private Refusal(Message why, String where, LengthUnit unit) {
    this.why = why;
    this.where = where;
    this.unit = unit;
  }

  /** The same as another. */
  protected Refusal(Refusal other) {
    this(other.why, other.where, other.unit);
  }

  /** What is refused and why, whatever part of the request it is about. */
  public final Message why() {
    return why;
  }

  /** The unit it is read in. */
  public final LengthUnit unit() {
    return unit;
  }

  /** In words, in its unit. */
  @Override
  public final String getMessage() {
    return where + why.in(unit);
  }

  /** The same, read in a unit; itself, of its own kind, where that makes no difference. */
  public Refusal in(LengthUnit other) {
    return why.in(other).equals(why.in(unit)) ? this : new Refusal(why, where, other);
  }

  /** The same, of a part of what was asked for. */
  public Refusal of(String part) {
    return new Refusal(why, part + where, unit);
  }
}
