package pied.core.tool.twin;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Paired;
import pied.core.edit.Places;
import pied.core.solid.Vec;
import pied.core.space.Positions.Direction;
import pied.core.space.Twin;
import pied.core.units.Refusal;

/**
 * Moves the line of twins: the first ones stay, and the others are where they are the image of
 * those.
 *
 * @param twin id of it
 * @param about another line altogether
 * @param off from the datum, across the line; of a point across
 * @param deep of a point: deep from the datum
 * @param at the line goes through this point, as it runs
 */
@JsonTypeName("twinLine")
@RecordBuilder
public record MoveTwins(
    String twin,
    @Nullable TwinLine about,
    @Nullable Amount off,
    @Nullable Amount deep,
    @Nullable PlanPoint at)
    implements Edit, MoveTwinsBuilder.With {
  @Override
  public void make(EditSession session) {
    Twin old = session.filing().twin(EditSession.need(twin, "twin"));
    if (old == null) {
      throw new Refusal("There are no such twins in this space; they may have been parted.");
    }
    Twin next = about == null ? moved(session, old) : about.line(session, old.id(), null);
    session.rules(old.id());
    session.file(session.filing().with(next));
    Paired.follow(session, next);
  }

  private Twin moved(EditSession session, Twin old) {
    Vec datum = session.space().shell().datum();
    Vec from = old.at().minus(datum);
    if (old.turned()) {
      double x = read(session, Direction.across, off, from.x());
      double z = read(session, Direction.deep, deep, from.z());
      return old.withAt(new Vec(datum.x() + x, 0, datum.z() + z));
    }
    if (at != null) {
      Vec p = new Vec(session.length(at.x(), 0), 0, session.length(at.z(), 0));
      return old.withAt(
          old.turned() ? p : old.at().along(old.reading(), p.minus(old.at()).dot(old.reading())));
    }
    double now = from.dot(old.reading());
    boolean across = Math.abs(old.reading().x()) > Math.abs(old.reading().z());
    double next = read(session, across ? Direction.across : Direction.deep, off, now);
    return old.withAt(old.at().along(old.reading(), next - now));
  }

  private static double read(EditSession session, Direction d, @Nullable Amount typed, double now) {
    return Places.beside(d, typed, now, session.unit(), session.space().shell());
  }
}
