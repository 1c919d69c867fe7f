package pied.core.place;

import pied.core.solid.Vec;
import pied.core.space.Spot;

/** What the pointer points at. */
public sealed interface Target {
  /** A point of the plan: the topmost surface there that may carry the piece. */
  record OnPlan(Spot spot) implements Target {}

  /** A line of sight in the set view: the surface it meets. */
  record TargetSight(Vec from, Vec along) implements Target {}
}
