package pied.core.space;

import java.util.List;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

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
  public Vec anchor() {
    return at.at(0);
  }

  @Override
  public Column called(String other) {
    return new Column(other, at, width, depth, round);
  }

  @Override
  public Column moved(Vec by, Shell shell) {
    return new Column(id, Part.moved(this, at, by), width, depth, round);
  }

  @Override
  public Column image(Twin by, Shell shell, String other) {
    if (!round && !Part.square(by)) {
      throw new Refusal("The {} would stand aslant as a twin about this line.", id);
    }
    return new Column(other, Part.image(by, at), width, depth, round);
  }

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
