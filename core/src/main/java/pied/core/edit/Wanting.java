package pied.core.edit;

import pied.core.units.Refusal;

/** An edit that is not said to its end: the message asks for what it still wants. */
public final class Wanting extends Refusal {
  private static final long serialVersionUID = 1;

  public Wanting(String asks, Object... arguments) {
    super(asks, arguments);
  }
}
