package pied.core.tool.place;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.material.Finishes;
import pied.core.piece.Form;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Target;
import pied.core.size.Size;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.tool.move.Drop;
import pied.core.tool.size.Resize;
import pied.core.units.Text;

/**
 * Puts an article into the space, by its mounting, at a point of the plan or where a sight meets
 * something.
 *
 * @param piece id for the new piece, or null to have one made
 * @param turn degrees, or null for the usual
 */
@JsonTypeName("place")
@RecordBuilder
public record Place(
    @Nullable String piece,
    String article,
    @Nullable Measures size,
    @Nullable PlanPoint at,
    @Nullable Sight ray,
    @Nullable Amount turn,
    @Nullable String name,
    @Nullable Finishes finishes)
    implements Edit {
  /** Set farther aside than this is said, metres. */
  private static final double SAID = 0.005;

  @Override
  public void make(EditSession session) {
    Article kind = session.space().shapes().catalog().article(article);
    Size measures = kind.size();
    if (size != null) {
      measures = Resize.measured(session.unit(), size, kind);
      kind.check(kind.name(), measures);
    }
    Target target = target(session);
    if (kind.mounting() == Mounting.OPENING && size == null) {
      var shell = session.space().shell();
      measures = Inset.size(shell, Inset.at(shell, target), kind);
    }
    Double wanted = turn == null ? null : turn.angle(0);
    Rest rest = new Resting(session.space(), kind, measures, Set.of()).at(target, wanted);
    String called = name == null ? session.freeName(kind.name()) : Text.name("A piece", name);
    String id = piece == null ? session.newId() : piece;
    Finishes own = kind.finishes(finishes);
    session.put(
        List.of(
            new Piece(
                id,
                called,
                new Form(kind.id(), measures),
                new Stance(rest.at(), rest.turn()),
                rest.on(),
                false,
                own,
                session.fresh())));
    if (rest.aside() > SAID) {
      String aside = session.unit().fine(rest.aside());
      session.say("{} was set {} aside, where it is free.", called, aside);
    }
    session.sayOverlaps(List.of(id));
    Drop.offerHem(session, id);
  }

  private Target target(EditSession session) {
    if (ray != null) {
      return new Target.TargetSight(
          need(ray.from(), "ray.from"), Validity.sight(ray.from(), need(ray.along(), "ray.along")));
    }
    PlanPoint p = need(at, "at");
    return new Target.OnPlan(
        new Spot(
            need(p.x(), "at.x").length(session.unit(), 0),
            need(p.z(), "at.z").length(session.unit(), 0)));
  }
}
