package pied.core.space;

import java.util.List;
import pied.core.units.Refusal;

/**
 * A raised area of floor.
 *
 * @param id its name, such as "platform 1"
 * @param outline corners on the plan
 * @param height of its top above the zero level of the floor, metres
 */
public record Platform(String id, List<Spot> outline, double height) implements Part {
  public Platform {
    outline = List.copyOf(outline);
  }

  public Platform withOutline(List<Spot> v) {
    return new Platform(id, v, height);
  }

  @Override
  public PartName name() {
    return new PartName(PartName.PartKind.platform, id);
  }

  @Override
  public void check(ShellCheck c) {
    ShellCheck.outline("The outline of " + id, outline);
    ShellCheck.measure("The " + id + " is to be", height, 0.01, c.shell().height() - 0.1, "high");
    if (!c.shell().holds(outline)) {
      throw new Refusal("The {} would reach beyond {}; make it smaller or move it.", id, c.words());
    }
  }
}
