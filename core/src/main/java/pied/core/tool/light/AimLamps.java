package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Light;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.lighting.LampSources;
import pied.core.piece.Aim;
import pied.core.piece.Piece;
import pied.core.recipe.Head;
import pied.core.solid.Bodies.RayMet;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.Angle;
import pied.core.units.Refusal;

/**
 * Aims lanterns: their heads turn in their yokes toward what one points at, and follow it from then
 * on should it be a piece.
 *
 * @param pieces ids of lanterns
 * @param ray a line of sight to what they are aimed at
 * @param at a point of the space, in its place
 * @param to id of a piece whose middle is meant, in its place
 */
@JsonTypeName("aim")
@RecordBuilder
public record AimLamps(
    List<String> pieces, @Nullable Sight ray, @Nullable Vec at, @Nullable String to)
    implements Edit {
  private static final double FAR = 1e3;

  /** A line of sight that falls so steeply is one of a plan. */
  private static final double STEEP = -0.99;

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    Aim aim = aim(session, ids);
    for (String id : ids) {
      Piece p = session.piece(id);
      Light light = session.article(id).light();
      if (light == null || light.way() != Light.LightWay.front) {
        throw new Refusal("{} is no lantern with a head that could be aimed.", p.name());
      }
      double up = LampSources.upward(session.space(), p.withLamp(p.lamp().withAim(aim)));
      if (up > Head.HIGHEST) {
        throw new Refusal(
            "{} cannot look up by {}: its yoke stops at {} above the level.",
            p.name(),
            Angle.text(Math.rint(up)),
            Angle.text(Head.HIGHEST));
      }
    }
    session.alter(ids, p -> p.withLamp(p.lamp().withAim(aim)));
  }

  /** As seen on a plan nothing counts that is as high as the lanterns themselves. */
  private Vec start(EditSession session, List<String> ids, Vec along) {
    double least = Double.POSITIVE_INFINITY;
    for (String id : ids) {
      least = Math.min(least, session.space().shapes().low(session.piece(id)));
    }
    Vec from = ray.from();
    boolean plan = along.y() < STEEP && from.y() > least;
    return plan ? from.along(along, (least - from.y()) / along.y()) : from;
  }

  private @Nullable Aim aim(EditSession session, List<String> ids) {
    if (at != null) {
      return new Aim(null, Validity.point(at));
    }
    if (to != null) {
      Piece p = session.piece(to);
      Vec middle = session.space().shapes().mesh(p).box().centre();
      return new Aim(p.id(), middle);
    }
    if (ray == null) {
      return null; // straight ahead again
    }
    Vec along = Validity.sight(ray.from(), ray.along());
    RayMet met =
        session
            .space()
            .bodies()
            .ray(
                start(session, ids, along),
                along,
                FAR,
                b -> session.space().seen(b) && !ids.contains(b.id()));
    if (met == null) {
      throw new Refusal("There is nothing there to aim at.");
    }
    Space s = session.space();
    return s.has(met.body().id())
        ? new Aim(met.body().id(), s.piece(met.body().id()).pose().unapply(met.point()))
        : new Aim(null, met.point());
  }
}
