package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.catalog.Mounting;
import pied.core.edit.BuiltIn;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.edit.Places;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Carriers;

/**
 * Moves pieces and parts of the shell across (x), up (y) and deep (z); what they carry goes along.
 *
 * @param stops true: what stands stops at what is in the way; up and down it goes to the next
 *     surface there is
 * @param hand whether a hand moves it: by whole centimetres
 */
@JsonTypeName("moveBy")
@RecordBuilder
public record MoveBy(
    List<String> pieces, Place3 by, @Nullable Boolean stops, @Nullable Boolean hand)
    implements Edit {
  public MoveBy(List<String> pieces, Place3 by) {
    this(pieces, by, null, null);
  }

  @Override
  public void make(EditSession session) {
    Picked picked = session.picked(pieces);
    if (!picked.onlyPieces()) {
      withParts(session, picked);
      return;
    }
    List<String> ids = picked.pieces();
    Piece lead = session.piece(ids.get(ids.size() - 1));
    Vec v = Places.way(need(by, "by"), session.unit());
    boolean stands = session.article(lead.id()).mounting() == Mounting.STANDS;
    boolean steps = Boolean.TRUE.equals(stops) && stands && !lead.attached();
    if (steps && v.length() > 0) {
      new PutDown(Steps.to(session.space(), ids, v), null).make(session);
      return;
    }
    shift(session, ids, v);
  }

  /** Parts of the shell take along what is on them; the other pieces are moved as far. */
  private void withParts(EditSession session, Picked picked) {
    Vec said = Places.way(need(by, "by"), session.unit());
    Vec v = Boolean.TRUE.equals(hand) ? byHand(said) : said;
    Set<String> along =
        session.space().withCarried(Picked.carriedBy(session.space(), picked.parts()));
    BuiltIn.move(session, picked.parts(), v);
    List<String> rest = picked.pieces().stream().filter(id -> !along.contains(id)).toList();
    if (!rest.isEmpty()) {
      shift(session, rest, v);
    }
  }

  private static Vec byHand(Vec v) {
    return new Vec(cm(v.x()), cm(v.y()), cm(v.z()));
  }

  private static double cm(double v) {
    return Math.rint(v * 100) / 100;
  }

  private static void shift(EditSession session, List<String> ids, Vec v) {
    session.shift(ids, v);
    if (v.y() == 0) {
      session.settle(Carriers.tops(session.space(), ids), false);
    } else {
      session.carriers(ids);
    }
    session.sayOverlaps(ids);
  }
}
