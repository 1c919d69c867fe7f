package pied.core.space;

import java.util.Comparator;
import java.util.List;
import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * One wall of a room, or one face of a partition, by its inner face.
 *
 * @param from first corner; walking to the second the room lies on the right on the plan
 * @param outerFrom the outer corners, where the walls' outer faces meet
 * @param thickness metres; 0 where the outline has no wall
 * @param base height of its lower edge, metres; 0 at the floor of a room
 * @param height of its upper edge, metres
 */
public record Wall(
    String name,
    Spot from,
    Spot to,
    Spot outerFrom,
    Spot outerTo,
    double thickness,
    double base,
    double height) {
  /**
   * Of faces of walls the one that is nearest to a point of the plan.
   *
   * @param what for, as in "to lean against"
   * @throws Refusal if there is none
   */
  public static Wall nearest(List<Wall> faces, Spot spot, String what) {
    return faces.stream()
        .min(Comparator.comparingDouble(w -> w.distance(spot)))
        .orElseThrow(() -> new Refusal("There is no wall here {}.", what));
  }

  public double length() {
    return from.distance(to);
  }

  /** Whether there is no wall at this edge of the outline. */
  public boolean open() {
    return thickness == 0;
  }

  /** Direction from the first corner to the second. */
  public Vec along() {
    return new Vec(to.x() - from.x(), 0, to.z() - from.z()).unit();
  }

  /** Direction into the room. */
  public Vec inward() {
    Vec t = along();
    return new Vec(-t.z() + 0.0, 0, t.x());
  }

  /** How far along the wall a point of the plan stands, metres from the first corner. */
  public double station(Spot p) {
    Vec t = along();
    return (p.x() - from.x()) * t.x() + (p.z() - from.z()) * t.z();
  }

  /** How far into the room a point of the plan stands from the inner face, metres. */
  public double off(Spot p) {
    Vec n = inward();
    return (p.x() - from.x()) * n.x() + (p.z() - from.z()) * n.z();
  }

  /** The point so far along the wall and so far into the room. */
  public Spot spot(double station, double off) {
    Vec t = along();
    return new Spot(
        from.x() + t.x() * station - t.z() * off, from.z() + t.z() * station + t.x() * off);
  }

  /** Distance of a point of the plan from the wall's inner face, metres. */
  public double distance(Spot p) {
    double s = Math.max(0, Math.min(length(), station(p)));
    return spot(s, 0).distance(p);
  }

  /** The turn of a piece whose back is against this wall, degrees. */
  public double turn() {
    Vec n = inward();
    double t = Math.toDegrees(Math.atan2(n.x(), n.z()));
    double near = Math.rint(t);
    t = Math.abs(t - near) < Tolerance.SAME ? near : t;
    return t < 0 ? t + 360 : t + 0.0;
  }
}
