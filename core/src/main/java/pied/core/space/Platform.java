package pied.core.space;

import java.util.List;
import pied.core.solid.Vec;
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
  public Vec anchor() {
    return outline.get(0).at(0);
  }

  @Override
  public Platform called(String other) {
    return new Platform(other, outline, height);
  }

  @Override
  public Platform moved(Vec by, Shell shell) {
    return withOutline(outline.stream().map(p -> Part.moved(this, p, by)).toList());
  }

  @Override
  public Platform image(Twin by, Shell shell, String other) {
    List<Spot> there = outline.stream().map(p -> Part.image(by, p)).toList();
    return new Platform(other, Outlines.clockwise(there), height);
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
