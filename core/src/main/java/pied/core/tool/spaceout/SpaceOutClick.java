package pied.core.tool.spaceout;

import pied.core.point.Click;
import pied.core.point.Pull;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** Pressing on one of what is spaced out and moving it: wider or tighter. */
final class SpaceOutClick implements Click<SpaceOut> {
  /** It goes in whole steps of this, metres; freely in smaller ones. */
  private static final double STEP = 0.01;

  private static final double FREE = 0.001;

  @Override
  public Class<SpaceOut> of() {
    return SpaceOut.class;
  }

  @Override
  public String hint(SpaceOut edit) {
    return "Press on one of them and move it: wider or tighter.";
  }

  @Override
  public boolean pulls() {
    return true;
  }

  @Override
  public SpaceOut pulled(Space space, LengthUnit unit, SpaceOut edit, Pull pull) {
    return edit.pulled(space, unit, pull.piece(), pull.by(), pull.free() ? FREE : STEP);
  }
}
