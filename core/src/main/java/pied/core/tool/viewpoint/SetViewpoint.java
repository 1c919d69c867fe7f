package pied.core.tool.viewpoint;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.PictureFrame;
import pied.core.show.Showing;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.space.Validity;

/**
 * Alters a viewpoint that is kept. What is not said stays; what is looked at stays at its height
 * above the eye where one of both is put elsewhere on the plan.
 *
 * @param viewpoint its id or its name
 * @param eye a point of the space
 * @param target what is looked at from it
 * @param stand a point of the plan, in place of the eye, at the height it had above the floor
 * @param toward a point of the plan that is looked to
 * @param height of the eye above the floor
 * @param lens as in {@link KeepViewpoint}
 * @param ratio width by height of the picture; 0 for as large as where it is drawn
 * @param hidden whether what is hidden now is left out of it from now on; false for nothing
 * @param look id of the look that belongs to it; empty for none
 * @param to its place among those that are kept, 0 for the first
 */
@JsonTypeName("viewpoint")
@RecordBuilder
public record SetViewpoint(
    String viewpoint,
    @Nullable String name,
    @Nullable Vec eye,
    @Nullable Vec target,
    @Nullable PlanPoint stand,
    @Nullable PlanPoint toward,
    @Nullable Amount height,
    @Nullable Amount lens,
    @Nullable Double ratio,
    @Nullable Boolean upright,
    @Nullable List<String> lifted,
    @Nullable Boolean hidden,
    @Nullable String look,
    @Nullable Integer to)
    implements Edit {
  @Override
  public void make(EditSession session) {
    Viewpoint old = Viewpoints.named(session, EditSession.need(viewpoint, "viewpoint"));
    Viewpoint now = placed(session, old);
    if (name != null) {
      now = now.withName(Viewpoints.free(session, name, old.id()));
    }
    if (lens != null) {
      now = now.withLens(Viewpoints.lens(lens));
    }
    if (ratio != null) {
      now = now.withFrame(new PictureFrame(ratio));
    }
    if (upright != null) {
      now = now.withUpright(upright);
    }
    if (lifted != null) {
      now = now.withLifted(Viewpoints.lifted(lifted));
    }
    if (hidden != null) {
      now = now.withHidden(hidden ? Viewpoints.hidden(session.space()) : List.of());
    }
    if (look != null) {
      now = now.withLook(Viewpoints.look(session, look));
    }
    if (to != null) {
      now = now.withPlace(among(session, old));
    }
    session.show(session.space().showing().with(now));
  }

  private Viewpoint placed(EditSession session, Viewpoint old) {
    Vec at = eye == null ? old.eye() : eye;
    Vec look = target == null ? old.target() : target;
    double above = old.target().y() - old.eye().y();
    if (stand != null || height != null) {
      Vec p = stand == null ? at : Viewpoints.point(session, stand);
      at = Viewpoints.above(session, p, session.length(height, standing(session, old)));
      look = new Vec(look.x(), at.y() + above, look.z());
    }
    if (toward != null) {
      Vec p = Viewpoints.point(session, toward);
      look = new Vec(p.x(), at.y() + above, p.z());
    }
    return old.withEye(Validity.place("The eye", at))
        .withTarget(Viewpoints.ahead(at, Validity.place("What is looked at", look)));
  }

  /** How high the eye was above the floor; that of somebody standing where there is none. */
  private static double standing(EditSession session, Viewpoint old) {
    double floor = session.space().shell().floorAt(new Spot(old.eye().x(), old.eye().z()));
    return Double.isNaN(floor) ? Viewpoint.STANDING : old.eye().y() - floor;
  }

  private double among(EditSession session, Viewpoint old) {
    return Showing.place(
        session.space().showing().viewpoints().stream()
            .filter(v -> !v.id().equals(old.id()))
            .map(Viewpoint::place)
            .toList(),
        to);
  }
}
