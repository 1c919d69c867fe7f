package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.edit.Places;
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.Space;

/**
 * Moves pieces to a place read from the datum; each keeps what is not said. Its height is that of
 * its lowest point; what hangs by a cord, or as cloth, is made longer or shorter for it.
 *
 * @param absolute whether a typed minus is a sign: 0.20 m before the datum, not 0.20 m less than
 *     now
 * @param together whether all go as one, with parts of the shell among them: a mark of the box
 *     about them goes there
 * @param mark of that box, as in {@link Hold}; null for the middle of its underside
 */
@JsonTypeName("moveTo")
@RecordBuilder
public record MoveTo(
    List<String> pieces,
    Place3 to,
    @Nullable Boolean absolute,
    @Nullable Boolean together,
    @Nullable String mark)
    implements Edit {
  public MoveTo(List<String> pieces, Place3 to) {
    this(pieces, to, null, null, null);
  }

  @Override
  public void make(EditSession session) {
    Place3 place = Boolean.TRUE.equals(absolute) ? need(to, "to").absolute() : need(to, "to");
    if (Boolean.TRUE.equals(together)) {
      asOne(session, place);
      return;
    }
    List<String> ids = session.chosen(pieces);
    for (String id : Carriers.carriersFirst(session.space(), ids)) {
      Piece p = session.piece(id);
      Vec low = new Vec(0, p.at().y() - session.space().shapes().low(p), 0);
      Vec at = p.at().minus(low);
      Vec next = Places.read(place, at, session.space().shell(), session.unit());
      if (to.y() != null && Drop.isDrop(session.space(), p)) {
        session.shift(List.of(id), new Vec(next.x() - at.x(), 0, next.z() - at.z()));
        Drop.to(session, id, next.y());
      } else {
        session.shift(List.of(id), next.minus(at));
      }
    }
    if (to.y() == null) {
      session.settle(Carriers.tops(session.space(), ids), false);
    } else {
      session.carriers(ids);
    }
    session.sayOverlaps(ids);
  }

  private void asOne(EditSession session, Place3 place) {
    Vec at = place(session.space(), session.picked(pieces), mark);
    Vec by = Places.read(place, at, session.space().shell(), session.unit()).minus(at);
    Place3 way = new Place3(Amount.of(by.x()), Amount.of(by.y()), Amount.of(by.z()));
    new MoveBy(pieces, way).make(session);
  }

  /**
   * Where several things are as one.
   *
   * @param mark of the box about them; null for the middle of its underside
   */
  public static Vec place(Space space, Picked picked, @Nullable String mark) {
    Box box = picked.box(space);
    Hold at = Hold.read(mark).orElse(Hold.FOOT);
    return new Vec(
        along(box.min().x(), box.max().x(), at.across()),
        along(box.min().y(), box.max().y(), at.upright()),
        along(box.min().z(), box.max().z(), at.deep()));
  }

  private static double along(double min, double max, int side) {
    return side < 0 ? min : side > 0 ? max : (min + max) / 2;
  }
}
