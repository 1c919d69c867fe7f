package pied.core.tool.turn;

import pied.core.Tolerance;
import pied.core.piece.Lean;
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

  /**
   * How far something that leans so is tipped about this direction alone, degrees; NaN if it leans
   * aslant.
   */
  public double tipped(Lean lean) {
    if (lean.by() == 0) {
      return 0;
    }
    double quarter = lean.toward() / 90;
    int side = (int) Math.rint(quarter) % 4; // 0 front, 1 right, 2 back, 3 left
    if (Math.abs(quarter - Math.rint(quarter)) > Tolerance.SAME) {
      return Double.NaN;
    }
    boolean forward = side % 2 == 0;
    if (forward != (this == width)) {
      return this == upright ? Double.NaN : 0;
    }
    return side == 0 || side == 3 ? lean.by() : -lean.by();
  }
}
