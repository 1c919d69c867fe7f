package pied.core.point;

import java.util.List;
import pied.core.edit.Edit.PlanPoint;
import pied.core.space.Spot;
import pied.core.units.LengthUnit;

/**
 * Points that were clicked, and lines from one to the next.
 *
 * @param closed whether a line leads back to the first
 */
public record Drawn(List<Spot> points, boolean closed) {
  public static Drawn of(List<PlanPoint> points, boolean closed, LengthUnit unit) {
    return new Drawn(points.stream().map(p -> Pointed.spot(p, unit)).toList(), closed);
  }
}
