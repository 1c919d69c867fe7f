package pied.core.tool.scatter;

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

/** They lie on the pieces that are clicked, in an outline of clicks, or about a point. */
final class ScatterClick implements Click<Scatter> {
  @Override
  public Class<Scatter> of() {
    return Scatter.class;
  }

  @Override
  public String hint(Scatter e) {
    if (e.about() != null) {
      return "Click the point about which they gather.";
    }
    if (e.outline() != null) {
      return e.outline().size() < 3
          ? "Click the corners of the part of the floor; three at least."
          : "Click more corners of the part of the floor.";
    }
    return "Click a piece they shall lie on, or on the floor a first corner of a part of it.";
  }

  @Override
  public Scatter at(Space space, LengthUnit unit, Scatter e, Pointed p) {
    Shell shell = space.shell();
    if (e.about() != null) {
      return e.withAbout(p.point(shell, null, unit));
    }
    List<PlanPoint> outline = e.outline() == null ? List.of() : e.outline();
    String piece = outline.isEmpty() ? p.piece(space, e.pieces()) : null;
    if (piece != null && space.article(space.piece(piece)).carries()) {
      return onto(e, piece);
    }
    if (outline.size() > 2 && p.is(outline.get(0), unit)) {
      return e; // it is closed anyhow
    }
    List<PlanPoint> points = new ArrayList<>(outline);
    points.add(p.point(shell, points.isEmpty() ? null : points.get(points.size() - 1), unit));
    return e.withOnto(null).withOutline(points);
  }

  /** One more to lie on; what is clicked again is none any more. */
  private static Scatter onto(Scatter e, String piece) {
    List<String> onto = new ArrayList<>(e.onto() == null ? List.of() : e.onto());
    if (!onto.remove(piece)) {
      onto.add(piece);
    }
    return e.withOutline(null).withOnto(onto.isEmpty() ? null : onto);
  }

  @Override
  public @Nullable Scatter back(Scatter e) {
    if (e.outline() == null || e.outline().isEmpty()) {
      return null;
    }
    List<PlanPoint> points = e.outline().subList(0, e.outline().size() - 1);
    return e.withOutline(points.isEmpty() ? null : points);
  }

  @Override
  public @Nullable Drawn drawn(Scatter e, LengthUnit unit) {
    if (e.about() != null) {
      return Drawn.of(List.of(e.about()), false, unit);
    }
    return e.outline() == null ? null : Drawn.of(e.outline(), e.outline().size() > 2, unit);
  }
}
