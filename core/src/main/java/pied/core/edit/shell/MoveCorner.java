package pied.core.edit.shell;

import pied.core.space.Spot;

/**
 * Moves a corner.
 *
 * @param corner its number, from 0
 * @param place where to, read from the datum, instead of {@code to}
 * @param square whether the walls at it keep their directions; true if missing
 */
public record MoveCorner(int corner, PlanPoint to, Place3 place, Boolean square)
    implements ShellEdit {
  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    int n = w.shell().outline().size();
    Spot now = corner >= 0 && corner < n ? w.shell().outline().get(corner) : null;
    Spot target = w.place(place, to, now, "to");
    return w.outline()
        .moveCorner(corner, target, !Boolean.FALSE.equals(square))
        .of("corner:" + corner);
  }
}
