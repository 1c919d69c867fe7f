package pied.core.tool.viewpoint;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;
import pied.core.show.PictureFrame;
import pied.core.show.ShownNames;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Validity;
import pied.core.units.Refusal;

/**
 * Keeps a place to look from, and what is hidden meanwhile: a point of the space and one that is
 * looked at, or a place on the plan to stand at and one to look to, or where a piece is and faces.
 *
 * @param name null for a number
 * @param eye a point of the space
 * @param target what is looked at from it
 * @param stand a point of the plan, in place of the eye
 * @param to a point of the plan that is looked to, level
 * @param from id of a piece: one sits on it, or stands where it is, and looks where it faces; or
 *     name of an opening: one stands before it, within, and looks in
 * @param height of the eye above the floor; null for that of somebody standing, on a piece seated
 * @param lens millimetres of a full frame, or a text such as "60°"; null for 24 mm
 * @param ratio width by height of the picture; null or 0 for as large as where it is drawn
 * @param upright whether verticals stay upright
 * @param lifted bodies of the shell that are left out
 * @param look id of the look that belongs to it
 */
@JsonTypeName("keepViewpoint")
@RecordBuilder
public record KeepViewpoint(
    @Nullable String name,
    @Nullable Vec eye,
    @Nullable Vec target,
    @Nullable PlanPoint stand,
    @Nullable PlanPoint to,
    @Nullable String from,
    @Nullable Amount height,
    @Nullable Amount lens,
    @Nullable Double ratio,
    @Nullable Boolean upright,
    @Nullable List<String> lifted,
    @Nullable String look)
    implements Edit {
  @Override
  public void make(EditSession session) {
    List<Viewpoint> all = session.space().showing().viewpoints();
    if (all.size() >= Viewpoint.MOST) {
      throw new Refusal("A space keeps up to {} viewpoints; remove one first.", Viewpoint.MOST);
    }
    Opening opening = from == null ? null : Viewpoints.opening(session.space(), from);
    Piece piece = from == null || opening != null ? null : session.piece(from);
    Vec at = opening == null ? eye(session, piece) : Viewpoints.eye(session, opening, height);
    Vec toward =
        opening == null
            ? target(session, piece, at)
            : at.plus(session.space().shell().wall(opening.wall()).inward());
    String begins = from == null ? "Viewpoint" : "From " + Viewpoints.nameOf(session.space(), from);
    boolean free = from != null && all.stream().noneMatch(v -> v.name().equalsIgnoreCase(begins));
    session.show(
        session
            .space()
            .showing()
            .with(
                new Viewpoint(
                    session.newId(),
                    name != null
                        ? Viewpoints.free(session, name, null)
                        : free ? begins : ShownNames.next(all, begins, 1),
                    Viewpoint.KEPT,
                    Validity.place("The eye", at),
                    Viewpoints.ahead(at, Validity.place("What is looked at", toward)),
                    false,
                    lens == null ? Viewpoint.USUAL : Viewpoints.lens(lens),
                    new PictureFrame(ratio == null ? 0 : ratio),
                    Boolean.TRUE.equals(upright),
                    Viewpoints.lifted(lifted),
                    Viewpoints.hidden(session.space()),
                    Viewpoints.look(session, look),
                    all.isEmpty() ? 0 : all.get(all.size() - 1).place() + 1)));
  }

  private Vec eye(EditSession session, @Nullable Piece piece) {
    if (piece != null) {
      return Viewpoints.eye(session, piece, session.length(height, Viewpoint.SEATED));
    }
    if (stand != null) {
      return Viewpoints.above(
          session, Viewpoints.point(session, stand), session.length(height, Viewpoint.STANDING));
    }
    return EditSession.need(eye, "eye");
  }

  private Vec target(EditSession session, @Nullable Piece piece, Vec at) {
    if (to != null) {
      Vec p = Viewpoints.point(session, to);
      return new Vec(p.x(), at.y(), p.z());
    }
    return piece != null ? at.plus(Viewpoints.facing(piece)) : EditSession.need(target, "target");
  }
}
