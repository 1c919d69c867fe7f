package pied.core.edit.turn;

import pied.core.solid.Vec;

/** What a piece is turned about: the vertical, or a level direction of its own. */
public enum Axis {
  upright(Vec.UP),
  /** Along its width: forward over its front edge if positive. */
  width(new Vec(1, 0, 0)),
  /** Along its depth: over its left edge if positive. */
  depth(new Vec(0, 0, 1));

  private final Vec own;

  Axis(Vec own) {
    this.own = own;
  }

  Vec own() {
    return own;
  }
}
