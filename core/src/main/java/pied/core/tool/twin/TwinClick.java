package pied.core.tool.twin;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit.PlanPoint;
import pied.core.point.Click;
import pied.core.point.Drawn;
import pied.core.point.Pointed;
import pied.core.space.Space;
import pied.core.space.Wall;
import pied.core.tool.twin.TwinLine.TwinBy;
import pied.core.units.LengthUnit;

/** The line of twins goes where one clicks. */
final class TwinClick implements Click<MakeTwins> {
  @Override
  public Class<MakeTwins> of() {
    return MakeTwins.class;
  }

  @Override
  public String hint(MakeTwins e) {
    TwinLine l = e.about();
    return switch (l.by()) {
      case drawn ->
          l.at() == null ? "Click a point of the line." : "Click another point of the line.";
      case point -> "Click the point they are turned about.";
      case deep -> "Click how far deep the line shall be.";
      default ->
          "Click how far across the line shall be, or the wall or the piece whose middle it is.";
    };
  }

  @Override
  public MakeTwins at(Space space, LengthUnit unit, MakeTwins e, Pointed p) {
    TwinLine l = e.about();
    PlanPoint at = p.point(space.shell(), l.to() == null ? l.at() : null, unit);
    if (l.by() == TwinBy.drawn) {
      return l.at() == null || l.to() != null
          ? about(e, TwinBy.drawn, at, null)
          : about(e, TwinBy.drawn, l.at(), at);
    }
    if (l.by() == TwinBy.point) {
      return about(e, TwinBy.point, at, null);
    }
    double x = at.x().number() - space.shell().datum().x();
    double z = at.z().number() - space.shell().datum().z();
    if (l.by() == TwinBy.deep) {
      return about(e, TwinBy.deep, new PlanPoint(null, Pointed.amount(z)), null);
    }
    if (p.piece() != null && space.has(p.piece())) {
      return e.withAbout(TwinLine.ofPiece(p.piece()));
    }
    Wall wall = p.wall(space.shell());
    return wall != null
        ? e.withAbout(new TwinLine(TwinBy.wall, "wall:" + wall.name(), null, null))
        : about(e, TwinBy.across, new PlanPoint(Pointed.amount(x), null), null);
  }

  private static MakeTwins about(MakeTwins e, TwinBy by, PlanPoint at, @Nullable PlanPoint to) {
    return e.withAbout(new TwinLine(by, null, at, to));
  }

  @Override
  public @Nullable MakeTwins back(MakeTwins e) {
    TwinLine l = e.about();
    if (l.by() != TwinBy.drawn || l.at() == null) {
      return null;
    }
    return l.to() == null
        ? about(e, TwinBy.drawn, null, null)
        : about(e, TwinBy.drawn, l.at(), null);
  }

  @Override
  public @Nullable Drawn drawn(MakeTwins e, LengthUnit unit) {
    TwinLine l = e.about();
    if (l.by() == TwinBy.point && l.at() != null || l.by() == TwinBy.drawn && l.at() != null) {
      List<PlanPoint> points = l.to() == null ? List.of(l.at()) : List.of(l.at(), l.to());
      return Drawn.of(points, false, unit);
    }
    return null;
  }
}
