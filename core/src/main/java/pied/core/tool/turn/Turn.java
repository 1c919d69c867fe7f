package pied.core.tool.turn;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.Validity;
import pied.core.space.Wholes;
import pied.core.tool.size.SizeAsOne;
import pied.core.units.Refusal;

/**
 * Turns pieces, to an angle or by one; a whole group among them as one.
 *
 * @param about the mark that stays, see {@link Hold#read}; what it does not say is the middle; null
 *     for the middle of the foot
 * @param axis null for the vertical; about a level direction of its own a piece is tipped over, and
 *     comes to rest on what touches first
 * @param together whether they are turned as one, about that mark of the last of them; without a
 *     mark about the middle of them all
 * @param at a point they are all turned about as one instead, metres
 */
@JsonTypeName("turn")
@RecordBuilder
public record Turn(
    List<String> pieces,
    @Nullable Amount to,
    @Nullable Amount by,
    @Nullable String about,
    @Nullable Axis axis,
    @Nullable Boolean together,
    @Nullable Vec at)
    implements Edit {
  /** Each about the middle of its foot. */
  public Turn(List<String> pieces, @Nullable Amount to, @Nullable Amount by) {
    this(pieces, to, by, null, null, null, null);
  }

  @Override
  public String ofParts() {
    return WhyNot.TURNED;
  }

  @Override
  public void make(EditSession session) {
    List<String> chosen = session.chosen(pieces);
    List<String> ids = Carriers.tops(session.space(), chosen);
    if ((to == null) == (by == null)) {
      throw new Refusal("Say what to turn to, or what by.");
    }
    if (axis != null && axis != Axis.upright) {
      over(session, ids);
      return;
    }
    if (Boolean.TRUE.equals(together) || at != null) {
      asOne(session, ids);
    } else {
      Set<String> tops = Set.copyOf(ids);
      for (List<String> whole : Wholes.of(session.space(), chosen)) {
        List<String> own = whole.stream().filter(tops::contains).toList();
        if (whole.size() > 1) {
          asOne(session, own);
        } else if (!own.isEmpty()) {
          Piece p = session.piece(own.get(0));
          Swing.upright(session, p, Swing.mark(p, Hold.pivot(about)), more(p));
        }
      }
    }
    Swing.rest(session, ids);
  }

  private void asOne(EditSession session, List<String> ids) {
    if (ids.isEmpty()) {
      return; // all of them stand on others that are turned
    }
    Vec common = common(session, ids);
    double all = more(session.piece(ids.get(ids.size() - 1)));
    ids.forEach(id -> Swing.upright(session, session.piece(id), common, all));
  }

  private double more(Piece p) {
    return to != null ? to.angle(p.turn()) - p.turn() : by.angle(0);
  }

  private Vec common(EditSession session, List<String> ids) {
    if (at != null) {
      return Validity.point(at);
    }
    if (about != null) {
      return Swing.mark(session.piece(ids.get(ids.size() - 1)), Hold.pivot(about));
    }
    return SizeAsOne.whole(session.space(), ids).centre();
  }

  /** About a level direction; what stands on them comes to rest again. */
  private void over(EditSession session, List<String> ids) {
    List<String> standing = new ArrayList<>();
    List<String> others = new ArrayList<>();
    for (String id : ids) {
      Piece p = session.piece(id);
      Vec way = p.pose().direct(axis.own());
      double tipped = axis.tipped(p.lean());
      if (to != null && Double.isNaN(tipped)) {
        throw new Refusal(
            "{} leans aslant; say by how much more it is to be tipped, or set it upright.",
            p.name());
      }
      Swing.about(
          session, p, way, Hold.pivot(about), to == null ? by.angle(0) : to.angle(tipped) - tipped);
      boolean stands = session.article(id).mounting() == Mounting.STANDS;
      boolean rests = stands && !p.attached() && !p.on().held() && !p.on().equals(On.NOTHING);
      (rests ? standing : others).add(id);
    }
    session.settle(session.space().carriedBy(ids), true);
    // an edge of a box is no edge of what is in it: it rests on what truly touches first
    session.settle(standing, true);
    session.carriers(others);
    session.sayOverlaps(ids);
  }
}
