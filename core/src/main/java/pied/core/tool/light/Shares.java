package pied.core.tool.light;

import pied.core.edit.Amount;
import pied.core.units.Refusal;

/** Parts of a whole, as they are said: 0.4, "40 %". */
final class Shares {
  private Shares() {}

  /**
   * A share as it was said.
   *
   * @param none what to say to what is no number
   * @param beyond what to say to one that is less than nothing or more than all
   * @return from 0 to 1
   */
  static double of(Amount said, String none, String beyond) {
    double v;
    if (said.text() == null) {
      v = said.number();
    } else {
      try {
        v = Double.parseDouble(said.text().replace("%", "").replace(',', '.').strip()) / 100;
      } catch (NumberFormatException e) {
        throw new Refusal(none);
      }
    }
    if (!(v >= 0 && v <= 1)) {
      throw new Refusal(beyond);
    }
    return v;
  }
}
