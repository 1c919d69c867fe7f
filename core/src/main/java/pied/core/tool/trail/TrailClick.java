package pied.core.tool.trail;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit.PlanPoint;
import pied.core.point.Click;
import pied.core.point.Drawn;
import pied.core.point.Pointed;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** It goes along what is clicked; on open floor clicks draw its path. */
final class TrailClick implements Click<Trail> {
  @Override
  public Class<Trail> of() {
    return Trail.class;
  }

  @Override
  public String hint(Trail e) {
    if (e.path() == null) {
      return "Click what it shall go along, or open floor where a path begins.";
    }
    return e.path().size() > 2 && !Boolean.TRUE.equals(e.closed())
        ? "Click where the path goes on; a click on its first point closes it."
        : "Click where the path goes on.";
  }

  @Override
  public Trail at(Space space, LengthUnit unit, Trail e, Pointed p) {
    Shell shell = space.shell();
    if (e.path() != null && !e.path().isEmpty()) {
      return on(shell, unit, e, p);
    }
    Trail other = e.withPath(null).withClosed(null).withSide(null);
    String piece = p.piece(space, e.pieces());
    if (piece != null) {
      return other.withAlong(List.of(piece));
    }
    if (p.part() != null && p.part().startsWith("bar:")) {
      return other.withAlong(List.of(p.part()));
    }
    if (p.platform() != null) {
      return other.withAlong(List.of(p.platform()));
    }
    if (p.wall(shell) != null) {
      return other.withAlong(Trail.meant(shell, p.at(), p.reach()));
    }
    return other
        .withAlong(null)
        .withInside(null)
        .withOffset(null)
        .withPath(List.of(p.point(shell, null, unit)));
  }

  private static Trail on(Shell shell, LengthUnit unit, Trail e, Pointed p) {
    List<PlanPoint> path = new ArrayList<>(e.path());
    if (path.size() > 2 && p.is(path.get(0), unit)) {
      return e.withClosed(true);
    }
    path.add(p.point(shell, path.get(path.size() - 1), unit));
    return e.withPath(path).withClosed(null);
  }

  @Override
  public @Nullable Trail back(Trail e) {
    if (e.path() == null || e.path().isEmpty()) {
      return null;
    }
    return Boolean.TRUE.equals(e.closed())
        ? e.withClosed(null)
        : e.withPath(e.path().subList(0, e.path().size() - 1));
  }

  @Override
  public @Nullable Drawn drawn(Trail e, LengthUnit unit) {
    return e.path() == null ? null : Drawn.of(e.path(), Boolean.TRUE.equals(e.closed()), unit);
  }
}
