package pied.core.space;

import java.util.List;

/**
 * A column from the floor to the ceiling.
 *
 * @param at its middle
 * @param width across, or the diameter of a round one, metres
 * @param depth deep, metres
 */
public record Column(String id, Spot at, double width, double depth, boolean round)
    implements Part {
  @Override
  public PartName name() {
    return new PartName(PartName.PartKind.column, id);
  }

  @Override
  public void check(ShellCheck c) {
    ShellCheck.measure("The " + id + " is to be", width, 0.02, 10, "wide");
    ShellCheck.measure("The " + id + " is to be", depth, 0.02, 10, "deep");
    c.within(id, List.of(at));
  }
}
