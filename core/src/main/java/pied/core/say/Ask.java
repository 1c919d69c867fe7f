package pied.core.say;

import java.util.List;
import java.util.function.Supplier;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * What a sentence is about.
 *
 * @param selected ids of pieces, the lead last
 * @param unit of bare numbers
 * @param newId makes ids for what is placed
 */
public record Ask(Space space, List<String> selected, LengthUnit unit, Supplier<String> newId) {
  public Ask {
    selected = List.copyOf(selected);
  }
}
