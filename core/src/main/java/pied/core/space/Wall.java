package pied.core.space;

import pied.core.solid.Vec;

/**
 * One wall of a room, by its inner face.
 *
 * @param from first corner; walking to the second the room lies on the right on the plan
 * @param outerFrom the outer corners, where the walls' outer faces meet
 */
public record Wall(String name, Spot from, Spot to, Spot outerFrom, Spot outerTo) {
  public double length() {
    return Math.hypot(to.x() - from.x(), to.z() - from.z());
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

  /** The turn of a piece whose back is against this wall, degrees. */
  public double turn() {
    Vec n = inward();
    double t = Math.toDegrees(Math.atan2(n.x(), n.z()));
    double near = Math.rint(t);
    t = Math.abs(t - near) < 1e-9 ? near : t;
    return t < 0 ? t + 360 : t + 0.0;
  }
}
