package pied.core.edit;

import java.util.List;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Something cannot be done as it was asked for, but otherwise it can. */
public final class Declined extends Refusal {
  private static final long serialVersionUID = 1;

  private final transient List<Offer> offers;

  /**
   * @param offers what can be done instead
   */
  public Declined(Refusal why, List<Offer> offers) {
    super(why);
    this.offers = List.copyOf(offers);
  }

  /** As above. */
  public Declined(Message why, List<Offer> offers) {
    this(new Refusal(why), offers);
  }

  public List<Offer> offers() {
    return offers;
  }

  @Override
  public Refusal in(LengthUnit unit) {
    return new Declined(super.in(unit), offers);
  }
}
