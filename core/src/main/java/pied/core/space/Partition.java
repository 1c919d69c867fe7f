package pied.core.space;

import java.util.List;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * A free-standing wall.
 *
 * @param id its name, such as "partition 1"
 * @param from one end of its middle line
 * @param thickness metres
 * @param height metres
 */
public record Partition(String id, Spot from, Spot to, double thickness, double height)
    implements Part {
  public double length() {
    return from.distance(to);
  }

  /** Its face on the right as one walks from the first end to the second. */
  public Wall face() {
    return face(from, to);
  }

  /** Its other face. */
  public Wall back() {
    return face(to, from);
  }

  private Wall face(Spot a, Spot b) {
    Wall axis = new Wall(id, a, b, a, b, thickness, 0, height);
    double half = thickness / 2;
    double length = axis.length();
    return new Wall(
        id,
        axis.spot(0, half),
        axis.spot(length, half),
        axis.spot(0, -half),
        axis.spot(length, -half),
        thickness,
        0,
        height);
  }

  @Override
  public Vec anchor() {
    return from.at(0);
  }

  @Override
  public Partition called(String other) {
    return new Partition(other, from, to, thickness, height);
  }

  @Override
  public Partition moved(Vec by, Shell shell) {
    return new Partition(
        id, Part.moved(this, from, by), Part.moved(this, to, by), thickness, height);
  }

  /** Of a mirrored one the ends change places, so that its face is the image of the face. */
  @Override
  public Partition image(Twin by, Shell shell, String other) {
    Spot a = Part.image(by, from);
    Spot b = Part.image(by, to);
    return new Partition(other, by.turned() ? a : b, by.turned() ? b : a, thickness, height);
  }

  @Override
  public PartName name() {
    return new PartName(PartName.PartKind.wall, id);
  }

  @Override
  public void check(ShellCheck c) {
    ShellCheck.measure("The " + id + " is to be", thickness, 0.005, 3, "thick");
    ShellCheck.measure("The " + id + " is to be", height, 0.1, c.shell().height(), "high");
    if (length() < thickness) {
      throw new Refusal(
          "The {} is {} long, shorter than its thickness of {}.",
          id,
          ShellCheck.m(length()),
          ShellCheck.m(thickness));
    }
    c.within(id, List.of(from, to));
  }
}
